import { DecimalText, Reference, Row } from '../fields/index.js';

/** A bracket of a charge rule: up to and with its limit. */
export class RuleBracket extends Row {
  @Reference('chargeRule', { label: 'Rule', goesWithTarget: true })
  ruleId!: string;

  /** Empty for the last one, which has no limit. */
  @DecimalText({ label: 'Up to', above: '0', to: '1000000000', nullable: true })
  upTo: string | null = null;

  /** An amount, or a rate: per unit of the measure, of a value in percent. */
  @DecimalText({ label: 'Amount or rate', from: '-1000000000', to: '1000000000', nullable: true })
  amount: string | null = null;
}
