import { Choice, DecimalText, Flag, Reference, TaxedRow, Text, UnitCode, WholeNumber } from '../fields/index.js';

/** How duty is taken: of the value, by amount, both together, or the greater of the two. */
export const DUTY_FORMS = ['percent', 'specific', 'compound', 'greater of'] as const;
export type DutyForm = (typeof DUTY_FORMS)[number];

/** What a specific duty is an amount for. */
export const SPECIFIC_DUTY_UNITS = ['kg', 'unit'] as const;
export type SpecificDutyUnit = (typeof SPECIFIC_DUTY_UNITS)[number];

/** So much of a material in a shipment. */
export class ShipmentLine extends TaxedRow {
  @Reference('shipment', { label: 'Shipment', goesWithTarget: true })
  shipmentId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Reference('material', { label: 'Material', goesWithTarget: false })
  materialId!: string;

  @DecimalText({ label: 'Quantity', above: '0', to: '1000000000', nullable: true })
  quantity: string | null = null;

  @UnitCode({ label: 'Unit' })
  unit!: string;

  /** Per unit, in the buying currency. A credit is negative. */
  @DecimalText({ label: 'Price', from: '-1000000000', to: '1000000000', nullable: true })
  price: string | null = null;

  /** Of the whole line, packed; empty where the quantity says it. */
  @DecimalText({ label: 'Weight, kg', from: '0', to: '1000000000', nullable: true })
  weight: string | null = null;

  /** Of the whole line, packed; empty where the quantity says it. */
  @DecimalText({ label: 'Volume, m³', from: '0', to: '1000000000', nullable: true })
  volume: string | null = null;

  @DecimalText({ label: 'Duty %', from: '0', to: '1000', nullable: true })
  dutyPercent: string | null = null;

  @Choice(DUTY_FORMS, { label: 'Duty form' })
  dutyForm: DutyForm = 'percent';

  /** For a specific duty: so much, in the currency of the book, for each kilogram or unit. */
  @DecimalText({ label: 'Specific duty', from: '0', to: '1000000000', nullable: true })
  specificDuty: string | null = null;

  @Choice(SPECIFIC_DUTY_UNITS, { label: 'Specific duty per' })
  specificPer: SpecificDutyUnit = 'kg';

  /** On top of the duty, of the customs value and not of value and duty. */
  @DecimalText({ label: 'Anti-dumping duty %', from: '0', to: '1000', nullable: true })
  antiDumpingPercent: string | null = null;

  /** The duty rate for goods of that origin, where the proof of it is at hand. */
  @DecimalText({ label: 'Preference %', from: '0', to: '1000', nullable: true })
  preferencePercent: string | null = null;

  /** A proof of origin: without one there is no preference, wherever the goods are sent from. */
  @Flag({ label: 'Proof of origin' })
  hasProofOfOrigin = false;

  /** The number of the goods in the Harmonized System, by which the customs know them. */
  @Text({ label: 'HS code' })
  hsCode = '';

  @Text({ label: 'Origin' })
  origin = '';

  /** What the customs took of the line when it was posted, in the currency of the book. */
  @DecimalText({ label: 'Duty as posted', from: '0', to: '1000000000', nullable: true })
  postedDuty: string | null = null;

  @DecimalText({ label: 'Import tax as posted', from: '0', to: '1000000000', nullable: true })
  postedImportTax: string | null = null;

  @DecimalText({ label: 'Entry fee as posted', from: '0', to: '1000000000', nullable: true })
  postedEntryFee: string | null = null;
}
