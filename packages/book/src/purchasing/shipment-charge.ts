import { Choice, CurrencyCode, DecimalText, Flag, Reference, TaxedRow, Text, WholeNumber } from '../fields/index.js';

/** What a charge is for, in the order in which goods meet it on their way. */
export const CHARGE_TYPES = [
  'loading',
  'pre-carriage',
  'export clearance',
  'loading on board',
  'freight',
  'insurance',
  'port',
  'customs clearance',
  'duty',
  'import tax',
  'trucking',
  'handling',
  'bank',
  'inspection',
  'packing',
  'assists',
  'royalties',
  'selling commission',
  'other',
] as const;
export type ChargeType = (typeof CHARGE_TYPES)[number];

/** What the estimate of a charge is for: the shipment as a whole, or each unit of something in it. */
export const CHARGE_RATES = ['the shipment', 'percent of value', 'unit', 'kg', 'm³', 'chargeable kg'] as const;
export type ChargeRate = (typeof CHARGE_RATES)[number];

/** By what a charge is shared over the lines that bear it. */
export const CHARGE_BASES = ['value', 'weight', 'volume', 'chargeable weight', 'quantity', 'equal'] as const;
export type ChargeBasis = (typeof CHARGE_BASES)[number];

/** Where a charge goes: into the cost of the goods, to expense at once, or it is recovered. */
export const CHARGE_TREATMENTS = ['stock value', 'expense', 'recovered'] as const;
export type ChargeTreatment = (typeof CHARGE_TREATMENTS)[number];

/** A charge on a shipment as a whole: freight, insurance, port, customs, trucking. */
export class ShipmentCharge extends TaxedRow {
  @Reference('shipment', { label: 'Shipment', goesWithTarget: true })
  shipmentId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Choice(CHARGE_TYPES, { label: 'Charge' })
  type: ChargeType = 'other';

  @Text({ label: 'Remark' })
  remark = '';

  /** The rule that gave it, and that says its estimate until one is typed. */
  @Reference('chargeRule', { label: 'Rule', goesWithTarget: false, nullable: true })
  ruleId: string | null = null;

  /** The estimate. A credit is negative. */
  @DecimalText({ label: 'Estimate', from: '-1000000000', to: '1000000000', nullable: true })
  amount: string | null = null;

  @Choice(CHARGE_RATES, { label: 'Per' })
  per: ChargeRate = 'the shipment';

  /** What was billed for it in all: it takes the place of the estimate. */
  @DecimalText({ label: 'Bill', from: '-1000000000', to: '1000000000', nullable: true })
  billed: string | null = null;

  @CurrencyCode({ label: 'Currency' })
  currency!: string;

  /** What one unit of the currency was worth in the estimate; empty where the rates of the book say it. */
  @DecimalText({ label: 'Exchange rate', above: '0', to: '1000000000', nullable: true })
  rate: string | null = null;

  /** What one unit of the currency was worth when the bill came; empty where it is that of the estimate. */
  @DecimalText({ label: 'Rate of the bill', above: '0', to: '1000000000', nullable: true })
  billedRate: string | null = null;

  @Choice(CHARGE_BASES, { label: 'Shared by' })
  basis: ChargeBasis = 'value';

  /** Cubic centimetres that count as one kilogram: 6,000 by air and often 5,000 by courier (common practice). */
  @DecimalText({ label: 'Volume divisor, cm³ per kg', above: '0', to: '1000000' })
  volumeDivisor = '6000';

  @Choice(CHARGE_TREATMENTS, { label: 'Goes to' })
  treatment: ChargeTreatment = 'stock value';

  /** The seller's price holds it: it costs nothing more, and only the customs value asks for it. */
  @Flag({ label: 'In the price' })
  inPrice = false;

  /** The account to which it is posted. */
  @Text({ label: 'Account' })
  account = '';
}
