import { Choice, Day, DecimalText, FindableRow, Flag, Gtin, Name, Text, UnitCode } from '../fields/index.js';

export const PRODUCT_KINDS = ['made', 'bundle', 'resale', 'service'] as const;
export type ProductKind = (typeof PRODUCT_KINDS)[number];

export const COSTINGS = ['bill and steps', 'typed totals'] as const;
export type Costing = (typeof COSTINGS)[number];

/** Something that is sold, or made to go into what is sold. */
export class Product extends FindableRow {
  @Name({ label: 'Name' })
  name!: string;

  @Choice(PRODUCT_KINDS, { label: 'Kind' })
  kind: ProductKind = 'made';

  /** The unit in which the output is counted or measured. */
  @UnitCode({ label: 'Output unit' })
  outputUnit = 'each';

  /** Units started in one batch. */
  @DecimalText({ label: 'Batch size', above: '0', to: '1000000000' })
  batchSize = '1';

  /** Good units as a percentage of the units started. */
  @DecimalText({ label: 'Yield', above: '0', to: '10000' })
  yieldPercent = '100';

  /** Units that are made in a month; where empty, as many as are sold. */
  @DecimalText({ label: 'Made a month', from: '0', to: '1000000000', nullable: true })
  madePerMonth: string | null = null;

  /** Finished units in stock at the beginning of a month, from which the planned months go on. */
  @DecimalText({ label: 'Finished stock', from: '0', to: '1000000000', nullable: true })
  finishedStock: string | null = null;

  /** A day of the month at whose beginning they were counted. */
  @Day({ label: 'Counted at the beginning of', nullable: true })
  finishedStockOn: string | null = null;

  /** Worked out from its bill and its steps, or typed as totals by element until somebody details it. */
  @Choice(COSTINGS, { label: 'Costing' })
  costing: Costing = 'bill and steps';

  /** The sides of one unit as it is packed for sale, in any order. */
  @DecimalText({ label: 'Packed length, cm', above: '0', to: '100000', nullable: true })
  packedLength: string | null = null;

  @DecimalText({ label: 'Packed width, cm', above: '0', to: '100000', nullable: true })
  packedWidth: string | null = null;

  @DecimalText({ label: 'Packed height, cm', above: '0', to: '100000', nullable: true })
  packedHeight: string | null = null;

  @DecimalText({ label: 'Packed weight, kg', above: '0', to: '1000000', nullable: true })
  packedWeight: string | null = null;

  /** Of the packaging alone, for fees on packaging. */
  @DecimalText({ label: 'Packaging weight, kg', from: '0', to: '1000000', nullable: true })
  packagingWeight: string | null = null;

  /** Global Trade Item Number with its check digit. */
  @Gtin({ label: 'GTIN' })
  gtin = '';

  /** True while it exists for a quote alone: it is neither made nor sold until the quote is won. */
  @Flag({ label: 'Only in a quote' })
  quoted = false;

  @Text({ label: 'Note' })
  note = '';
}
