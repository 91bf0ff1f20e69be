import { DecimalText, Reference, Row, WholeNumber } from '../fields/index.js';

/** A price that is held against others in the break-even of a product. */
export class CandidatePrice extends Row {
  @Reference('product', { label: 'Product', goesWithTarget: true })
  productId!: string;

  @Reference('channel', { label: 'Channel', goesWithTarget: true })
  channelId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  /** As the customer sees it in this channel: with the tax in it where the price of the product has it. */
  @DecimalText({ label: 'Price to compare', from: '0', to: '1000000000', nullable: true })
  price: string | null = null;
}
