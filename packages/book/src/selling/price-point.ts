import { Choice, Day, DecimalText, Flag, Reference, Row, Text } from '../fields/index.js';

/**
 * Typed: the price stands. Otherwise what it is to reach: a margin in percent of the net revenue or of the price before tax, a
 * markup on full cost, a profit for each unit or each hour of work, or a return in percent a year on what is invested.
 */
export const PRICE_BASES = [
  'typed',
  'margin',
  'margin of the price',
  'markup',
  'profit',
  'profit per hour',
  'return',
] as const;
export type PriceBasis = (typeof PRICE_BASES)[number];

export const PRICE_ENDINGS = [
  'none',
  '.99',
  '.95',
  '.90',
  '.50',
  '.00',
  'nearest 0.05',
  'nearest 0.10',
  'nearest 0.25',
] as const;
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

  /** The wanted margin, markup or return in percent, or the wanted profit in money. */
  @DecimalText({ label: 'Target', from: '-1000000', to: '1000000', nullable: true })
  target: string | null = null;

  /** What is invested to sell this product here, for a return on it. */
  @DecimalText({ label: 'Invested', from: '0', to: '1000000000', nullable: true })
  invested: string | null = null;

  /** The set price, with the tax in it where it says so. */
  @DecimalText({ label: 'Price', from: '0', to: '1000000000', nullable: true })
  price: string | null = null;

  @Flag({ label: 'Price includes sales tax' })
  taxInside = true;

  /** The tax rate of this product; where empty, that of its category, else the book's. */
  @DecimalText({ label: 'Sales tax', from: '0', to: '100', nullable: true })
  taxPercent: string | null = null;

  @DecimalText({ label: 'Discount', from: '0', to: '100' })
  discountPercent = '0';

  /** What a coupon takes off the price that the customer sees. */
  @DecimalText({ label: 'Coupon', from: '0', to: '1000000' })
  couponAmount = '0';

  /** How much of the coupon the channel pays; it is part of the price. */
  @DecimalText({ label: 'Of the coupon, the channel pays', from: '0', to: '100' })
  couponFundedPercent = '0';

  /** Of this product here; where empty, the channel's. */
  @DecimalText({ label: 'Returns', from: '0', to: '100', nullable: true })
  returnsPercent: string | null = null;

  /** Of this product here; where empty, the channel's. */
  @DecimalText({ label: 'Months in store', from: '0', to: '120', nullable: true })
  monthsInStore: string | null = null;

  /** The most that customers pay here, as they see it: what it may cost follows from it. */
  @DecimalText({ label: 'Customers pay at most', from: '0', to: '1000000000', nullable: true })
  marketPrice: string | null = null;

  @Choice(PRICE_ENDINGS, { label: 'Price ending' })
  ending: PriceEnding = 'none';

  @Choice(ENDING_DIRECTIONS, { label: 'Ending goes' })
  endingDirection: EndingDirection = 'up';
}

/** A price that holds from a day on, in place of the set price. */
export class DatedPrice extends Row {
  @Reference('pricePoint', { label: 'Price', goesWithTarget: true })
  pricePointId!: string;

  @Day({ label: 'From' })
  startsOn!: string;

  @DecimalText({ label: 'New price', from: '0', to: '1000000000' })
  price!: string;
}

/** The price of each unit of an order from a quantity on. */
export class QuantityBreak extends Row {
  @Reference('pricePoint', { label: 'Price', goesWithTarget: true })
  pricePointId!: string;

  @DecimalText({ label: 'From units', above: '0', to: '1000000' })
  fromQuantity!: string;

  @DecimalText({ label: 'Price each', from: '0', to: '1000000000' })
  price!: string;
}

export const RANGE_SHAPES = ['triangular', 'normal', 'uniform'] as const;
export type RangeShape = (typeof RANGE_SHAPES)[number];

/** How far an input of a price may lie from what it is thought to be. */
export class InputRange extends Row {
  @Reference('pricePoint', { label: 'Price', goesWithTarget: true })
  pricePointId!: string;

  /** A group of inputs such as "materials", or one field as "kind.id.field". */
  @Text({ label: 'Input' })
  input!: string;

  @DecimalText({ label: 'Lowest, %', from: '-100', to: '0' })
  lowPercent = '-10';

  @DecimalText({ label: 'Highest, %', from: '0', to: '1000' })
  highPercent = '10';

  @Choice(RANGE_SHAPES, { label: 'Shape' })
  shape: RangeShape = 'triangular';
}
