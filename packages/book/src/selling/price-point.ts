import { Choice, DecimalText, Flag, Reference, Row } from '../fields/index.js';

export const PRICE_BASES = ['typed', 'margin', 'markup', 'profit'] as const;
export type PriceBasis = (typeof PRICE_BASES)[number];

export const PRICE_ENDINGS = ['none', '.99', '.95', '.90', '.50', '.00', 'nearest 0.05'] as const;
export type PriceEnding = (typeof PRICE_ENDINGS)[number];

export const ENDING_DIRECTIONS = ['up', 'down', 'nearest'] as const;
export type EndingDirection = (typeof ENDING_DIRECTIONS)[number];

/** The price of a product in a channel, and what it is to reach. */
export class PricePoint extends Row {
  @Reference('product', { label: 'Product', goesWithTarget: true })
  productId!: string;

  @Reference('channel', { label: 'Channel', goesWithTarget: true })
  channelId!: string;

  /** Typed: the price stands and the margin moves. Otherwise a suggested price follows the cost. */
  @Choice(PRICE_BASES, { label: 'Set by' })
  basis: PriceBasis = 'typed';

  /** The wanted margin or markup in percent, or the wanted profit per unit in money. */
  @DecimalText({ label: 'Target', from: '-1000000', to: '1000000', nullable: true })
  target: string | null = null;

  /** The set price, with the tax in it where it says so. */
  @DecimalText({ label: 'Price', from: '0', to: '1000000000', nullable: true })
  price: string | null = null;

  @Flag({ label: 'Price includes sales tax' })
  taxInside = true;

  /** The tax rate of this product; where empty, the book's. */
  @DecimalText({ label: 'Sales tax', from: '0', to: '100', nullable: true })
  taxPercent: string | null = null;

  @DecimalText({ label: 'Discount', from: '0', to: '100' })
  discountPercent = '0';

  @Choice(PRICE_ENDINGS, { label: 'Price ending' })
  ending: PriceEnding = 'none';

  @Choice(ENDING_DIRECTIONS, { label: 'Ending goes' })
  endingDirection: EndingDirection = 'up';
}
