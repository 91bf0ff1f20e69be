import { Choice, CurrencyCode, DecimalText, Name, Reference, Row, Text } from '../fields/index.js';
import { DELIVERY_TERMS, type DeliveryTerm } from './delivery-term.js';
import {
  CHARGE_BASES,
  CHARGE_RATES,
  CHARGE_TREATMENTS,
  CHARGE_TYPES,
  type ChargeBasis,
  type ChargeRate,
  type ChargeTreatment,
  type ChargeType,
} from './shipment-charge.js';

/** How a rule comes to its amount: so much per something, by brackets, or by a formula. */
export const RULE_METHODS = ['rate', 'brackets', 'formula'] as const;
export type RuleMethod = (typeof RULE_METHODS)[number];

/** What brackets are reached by. */
export const BRACKET_MEASURES = ['value', 'quantity', 'weight', 'volume', 'chargeable weight'] as const;
export type BracketMeasure = (typeof BRACKET_MEASURES)[number];

/**
 * What a bracket says: an amount for the whole, a rate on the whole at the bracket that is reached, or a rate on the slice
 * that lies in it.
 */
export const BRACKET_MODES = ['amount', 'rate on the whole', 'rate on the slice'] as const;
export type BracketMode = (typeof BRACKET_MODES)[number];

/** A charge that shipments get by themselves where the rule fits, or where they are given its set. */
export class ChargeRule extends Row {
  @Name({ label: 'Name' })
  name!: string;

  @Choice(CHARGE_TYPES, { label: 'Charge' })
  type: ChargeType = 'freight';

  @Choice(RULE_METHODS, { label: 'Method' })
  method: RuleMethod = 'rate';

  @DecimalText({ label: 'Amount', from: '-1000000000', to: '1000000000', nullable: true })
  amount: string | null = null;

  @Choice(CHARGE_RATES, { label: 'Per' })
  per: ChargeRate = 'the shipment';

  @CurrencyCode({ label: 'Currency' })
  currency!: string;

  @Choice(BRACKET_MEASURES, { label: 'Brackets by' })
  bracketsBy: BracketMeasure = 'weight';

  @Choice(BRACKET_MODES, { label: 'A bracket says' })
  bracketMode: BracketMode = 'amount';

  /** Plain arithmetic over named figures: max(45, 0.35 * weight). */
  @Text({ label: 'Formula' })
  formula = '';

  @Choice(CHARGE_BASES, { label: 'Shared by' })
  basis: ChargeBasis = 'value';

  @DecimalText({ label: 'Volume divisor, cm³ per kg', above: '0', to: '1000000' })
  volumeDivisor = '6000';

  @Choice(CHARGE_TREATMENTS, { label: 'Goes to' })
  treatment: ChargeTreatment = 'stock value';

  @Text({ label: 'Account' })
  account = '';

  /** Only lines of this material; empty for all. */
  @Reference('material', { label: 'Material', goesWithTarget: true, nullable: true })
  materialId: string | null = null;

  @Text({ label: 'Category' })
  category = '';

  @Reference('supplier', { label: 'Supplier', goesWithTarget: true, nullable: true })
  supplierId: string | null = null;

  @Text({ label: 'Origin' })
  origin = '';

  @Choice(DELIVERY_TERMS, { label: 'Delivery term', nullable: true })
  deliveryTerm: DeliveryTerm | null = null;

  /** Only where this set was given to the shipment, to its supplier or to the material. */
  @Text({ label: 'Set' })
  ruleSet = '';
}
