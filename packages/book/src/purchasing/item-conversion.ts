import { DecimalText, Reference, Row, UnitCode } from '../fields/index.js';

/**
 * How one item is measured in two ways: "1 each = 58 g", "1 l = 0.92 kg". Of a material or of a product; stated once, it
 * serves wherever the item is bought, used or made.
 */
export class ItemConversion extends Row {
  @Reference('material', { label: 'Material', goesWithTarget: true, nullable: true })
  materialId: string | null = null;

  @Reference('product', { label: 'Product', goesWithTarget: true, nullable: true })
  productId: string | null = null;

  @DecimalText({ label: 'Quantity', above: '0', to: '1000000000' })
  quantity = '1';

  @UnitCode({ label: 'Unit' })
  unit!: string;

  /** As many of the other unit as the quantity is. */
  @DecimalText({ label: 'Equals', above: '0', to: '1000000000', nullable: true })
  equalQuantity: string | null = null;

  @UnitCode({ label: 'Equal unit' })
  equalUnit!: string;
}
