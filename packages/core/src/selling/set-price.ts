import type { RowOf } from '@nuvar/book';
import { difference, type Figure, missing, ofMissingRow, percentOf } from '../figure/index.js';
import { listPriceOf, priceAtQuantity } from '../price/index.js';
import { type Calculation, money, type Sheet } from '../sheet/index.js';
import { sellingGap } from './gaps.js';
import { type SaleTerms, saleTerms } from './sale-terms.js';
import { type NetProceeds, netProceedsAt } from './sale.js';

/** A set price and what the seller gets of it, which no cost can move. */
export interface SetPrice extends NetProceeds {
  /** The price that counts: of the quantity that the usual order of the channel reaches, else the list price. */
  readonly price: Figure;
  /** The price below the smallest quantity with a price of its own. */
  readonly listPrice: Figure;
  /** After the standing discount and the seller's part of a coupon. */
  readonly discounted: Figure;
  /** What the seller would get without the discount, the coupon taken off. */
  readonly undiscounted: NetProceeds;
  /** What it is the price of, and on what terms; null where the price, its product or its channel is gone. */
  readonly sold: {
    readonly point: RowOf<'pricePoint'>;
    readonly product: RowOf<'product'>;
    readonly terms: SaleTerms;
  } | null;
}

/**
 * The set price of a price point, the price after its discount, and what the seller gets of that. Apart from all that
 * costs move: when a material becomes dearer, nothing of this has to be worked out again.
 */
export const setPrice: Calculation<SetPrice> = {
  name: 'setPrice',
  meanings: {
    price: 'The set price, as the customer sees it: that of the quantity that the usual order reaches.',
    listPrice: 'The set price for orders that reach no quantity with a price of its own.',
    discounted: 'The price after the discount and the coupon of the seller, as the customer sees it.',
    beforeTax: 'The price without sales tax.',
    tax: 'The sales tax in what the customer pays.',
    paid: 'What the customer pays, tax included.',
    postageCharged: 'The postage that the customer pays for one unit, without sales tax.',
    refunds: 'What is expected to be refunded for returns, on one unit dispatched.',
    netRevenue: 'Price and postage without sales tax, less what is refunded.',
    fees: 'The channel fees on one unit sold.',
    packing: 'What one unit is packed in to be sent, and the work of packing it.',
    postagePaid: 'What the carrier is paid for one unit.',
    returnsCost: 'What returns cost beside the refund: handling, less fees given back and what the rest is worth.',
    afterFees: 'What is left of the net revenue after channel fees, packing, postage and returns.',
  },
  work(sheet, pricePointId) {
    const point = sheet.row('pricePoint', pricePointId);
    const product = point && sheet.row('product', point.productId);
    const channel = point && sheet.row('channel', point.channelId);
    if (point === undefined || product === undefined || channel === undefined) return gone(sheet);
    const subject = product.name;
    const terms = saleTerms(sheet, product, channel, point);
    const listPrice = listPriceOf(sheet, point, product);
    const price = priceAtQuantity(sheet, point, product, channel.unitsPerOrder) ?? listPrice;
    const withoutDiscount = afterCoupon(price, terms, subject);
    const undiscounted = netProceedsAt(withoutDiscount, terms, subject);
    const sold = { point, product, terms };
    if (terms.keptAfterDiscount === null)
      return { price, listPrice, discounted: withoutDiscount, ...undiscounted, undiscounted, sold };
    const discounted = priceAfter(price, terms, subject);
    return { price, listPrice, discounted, ...netProceedsAt(discounted, terms, subject), undiscounted, sold };
  },
};

/** A list price after the standing discount and the seller's part of a coupon. */
export function priceAfter(listed: Figure, { keptAfterDiscount, coupon }: SaleTerms, subject: string): Figure {
  const reduced =
    keptAfterDiscount === null
      ? listed
      : percentOf({ name: 'Price after discount', subject }, keptAfterDiscount, listed);
  return afterCoupon(reduced, { coupon }, subject);
}

/** A price less the seller's part of a coupon. Gap: the coupon is above the price. */
export function afterCoupon(price: Figure, { coupon }: Pick<SaleTerms, 'coupon'>, subject: string): Figure {
  if (coupon === null) return price;
  const left = difference({ name: 'Price after the coupon', subject }, price, coupon.own);
  return left.amount?.isNegative() === true && !left.amount.isZero()
    ? missing(
        { name: 'Price after the coupon', subject, unit: price.unit },
        sellingGap('coupon-above-price', null, { subject }),
        [left],
      )
    : left;
}

function gone(sheet: Sheet): SetPrice {
  const figure = ofMissingRow({ name: 'Price', unit: money(sheet) }, 'a price');
  const none = { postageCharged: null, refunds: null, packing: null, postagePaid: null, returnsCost: null };
  const proceeds: NetProceeds = {
    beforeTax: figure,
    tax: figure,
    paid: figure,
    netRevenue: figure,
    taken: [],
    fees: figure,
    afterFees: figure,
    ...none,
  };
  return { price: figure, listPrice: figure, discounted: figure, ...proceeds, undiscounted: proceeds, sold: null };
}
