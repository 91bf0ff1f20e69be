import { CurrencyCode, Day, DecimalText, Reference, TaxedRow, Text, UnitCode } from '../fields/index.js';

/** What a supplier asks for a pack of a material, from a day on. */
export class SupplierPrice extends TaxedRow {
  @Reference('material', { label: 'Material', goesWithTarget: true })
  materialId!: string;

  @Reference('supplier', { label: 'Supplier', goesWithTarget: false, nullable: true })
  supplierId: string | null = null;

  @DecimalText({ label: 'Pack quantity', above: '0', to: '1000000000' })
  packQuantity = '1';

  @UnitCode({ label: 'Pack unit' })
  packUnit!: string;

  @DecimalText({ label: 'Pack price', from: '0', to: '1000000000', nullable: true })
  price: string | null = null;

  @CurrencyCode({ label: 'Currency' })
  currency!: string;

  @Day({ label: 'Valid from' })
  validFrom!: string;

  /** The fewest packs that the supplier sends. */
  @DecimalText({ label: 'Smallest order, packs', above: '0', to: '1000000000', nullable: true })
  minimumOrder: string | null = null;

  /** The packs that were ordered at this price, where it is known: an average of prices weighs by it. */
  @DecimalText({ label: 'Ordered, packs', above: '0', to: '1000000000', nullable: true })
  orderedPacks: string | null = null;

  /** The supplier's own number of the article. */
  @Text({ label: "Supplier's code" })
  supplierCode = '';
}
