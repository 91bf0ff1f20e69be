import { DecimalText, Reference, Row, WholeNumber } from '../fields/index.js';

/** A batch size at which the cost of one unit is compared. */
export class CandidateBatch extends Row {
  @Reference('product', { label: 'Product', goesWithTarget: true })
  productId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @DecimalText({ label: 'Units started', above: '0', to: '1000000000', nullable: true })
  batchSize: string | null = null;
}
