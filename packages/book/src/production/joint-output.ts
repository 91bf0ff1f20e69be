import { DecimalText, Flag, Name, Reference, Row, UnitCode, WholeNumber } from '../fields/index.js';

/** A product that comes out of a joint batch. */
export class JointOutput extends Row {
  @Reference('jointProcess', { label: 'Joint batch', goesWithTarget: true })
  processId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Name({ label: 'Output' })
  name!: string;

  /** The product of the book that it is: its share of the joint cost goes into that product. */
  @Reference('product', { label: 'Product', goesWithTarget: false, nullable: true })
  productId: string | null = null;

  @DecimalText({ label: 'Quantity', from: '0', to: '1000000000', nullable: true })
  quantity: string | null = null;

  @UnitCode({ label: 'Unit' })
  unit = 'kg';

  /** What one unit sells for at split-off; empty where it cannot be sold then. */
  @DecimalText({ label: 'Price at split-off', from: '0', to: '1000000000', nullable: true })
  splitOffPrice: string | null = null;

  /** What it costs to bring one unit from split-off to the final product. */
  @DecimalText({ label: 'Further cost', from: '0', to: '1000000000', nullable: true })
  furtherCost: string | null = null;

  /** What one unit of the final product sells for. */
  @DecimalText({ label: 'Final price', from: '0', to: '1000000000', nullable: true })
  finalPrice: string | null = null;

  @Flag({ label: 'By-product' })
  isByProduct = false;
}
