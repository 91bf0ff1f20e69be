import { DecimalText, Name, Reference, Row, UnitCode, WholeNumber } from '../fields/index.js';

/** What is won back from a batch and is worth something: offcuts, trimmings, reclaimed clay. */
export class RecoveredScrap extends Row {
  @Reference('product', { label: 'Product', goesWithTarget: true })
  productId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Name({ label: 'By-product or scrap' })
  name!: string;

  @DecimalText({ label: 'Quantity per batch', from: '0', to: '1000000000', nullable: true })
  quantity: string | null = null;

  @UnitCode({ label: 'Unit' })
  unit = 'kg';

  /** What one of these units is worth. */
  @DecimalText({ label: 'Value per unit', from: '0', to: '1000000000', nullable: true })
  worth: string | null = null;
}
