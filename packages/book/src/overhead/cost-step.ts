import { DecimalText, Reference, Row } from '../fields/index.js';

/** A step of a stepped running cost: what it is up to so many units of its driver a month, the limit included. */
export class CostStep extends Row {
  @Reference('runningCost', { label: 'Running cost', goesWithTarget: true })
  runningCostId!: string;

  /** Empty for the last step. */
  @DecimalText({ label: 'Up to, a month', above: '0', to: '1000000000', nullable: true })
  upTo: string | null = null;

  @DecimalText({ label: 'Amount', from: '0', to: '1000000000' })
  amount!: string;
}
