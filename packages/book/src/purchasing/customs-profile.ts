import { Choice, DecimalText, Flag, Name, Row } from '../fields/index.js';

/** How far carriage counts in the customs value: to the place of entry, or to the place of export. */
export const CUSTOMS_VALUE_KINDS = ['CIF', 'FOB'] as const;
export type CustomsValueKind = (typeof CUSTOMS_VALUE_KINDS)[number];

/** What becomes of import tax: recovered as other tax on purchases is, recovered in full, or a cost. */
export const IMPORT_TAX_TREATMENTS = ['by registration', 'recovered', 'cost'] as const;
export type ImportTaxTreatment = (typeof IMPORT_TAX_TREATMENTS)[number];

/** How the customs of a country of import reckon: what they take duty and import tax of, and what an entry costs. */
export class CustomsProfile extends Row {
  @Name({ label: 'Name' })
  name!: string;

  @Choice(CUSTOMS_VALUE_KINDS, { label: 'Customs value' })
  valueKind: CustomsValueKind = 'CIF';

  @DecimalText({ label: 'Import tax %', from: '0', to: '1000' })
  importTaxPercent = '0';

  /** For imports that differ from the share of input tax that the book recovers. */
  @Choice(IMPORT_TAX_TREATMENTS, { label: 'Import tax' })
  importTax: ImportTaxTreatment = 'by registration';

  /** What the import tax is taken of beside the customs value. */
  @Flag({ label: 'Duty in the tax base' })
  taxOnDuty = true;

  @Flag({ label: 'Freight in the tax base' })
  taxOnFreight = true;

  @Flag({ label: 'Insurance in the tax base' })
  taxOnInsurance = true;

  /** Unloading, clearance and carriage to the first destination in the country. */
  @Flag({ label: 'Inland costs in the tax base' })
  taxOnInland = true;

  /** A fee for each entry, of the customs value. */
  @DecimalText({ label: 'Entry fee %', from: '0', to: '100', nullable: true })
  entryFeePercent: string | null = null;

  @DecimalText({ label: 'Smallest entry fee', from: '0', to: '1000000000', nullable: true })
  entryFeeMinimum: string | null = null;

  @DecimalText({ label: 'Largest entry fee', from: '0', to: '1000000000', nullable: true })
  entryFeeMaximum: string | null = null;
}
