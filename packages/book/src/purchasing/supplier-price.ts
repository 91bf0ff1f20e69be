import { CurrencyCode, Day, DecimalText, Reference, Row, UnitCode } from '../fields/index.js';

/** What a supplier asks for a pack of a material, from a day on. */
export class SupplierPrice extends Row {
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
}
