import type { RowOf } from '@nuvar/book';
import { type Figure, ofMissingRow, percentOf } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, money, type Sheet } from '../sheet/index.js';
import { sellingGap } from './gaps.js';
import { type SaleTerms, saleTerms } from './sale-terms.js';
import { type NetProceeds, netProceedsAt } from './sale.js';

/** A set price and what the seller gets of it, which no cost can move. */
export interface SetPrice extends NetProceeds {
  readonly price: Figure;
  readonly discounted: Figure;
  /** What the seller would get without the discount. */
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
    price: 'The set price, as the customer sees it.',
    discounted: 'The price after the discount, as the customer sees it.',
    beforeTax: 'The price without sales tax.',
    tax: 'The sales tax in what the customer pays.',
    paid: 'What the customer pays, tax included.',
    fees: 'The channel fees on one unit sold.',
    afterFees: 'The price without sales tax and channel fees.',
  },
  work(sheet, pricePointId) {
    const point = sheet.row('pricePoint', pricePointId);
    const product = point && sheet.row('product', point.productId);
    const channel = point && sheet.row('channel', point.channelId);
    if (point === undefined || product === undefined || channel === undefined) return gone(sheet);
    const subject = product.name;
    const terms = saleTerms(sheet, product, channel, point);
    const price = priceOf(sheet, point, product);
    const undiscounted = netProceedsAt(price, terms, subject);
    const sold = { point, product, terms };
    if (terms.keptAfterDiscount === null) return { price, discounted: price, ...undiscounted, undiscounted, sold };
    const discounted = percentOf({ name: 'Price after discount', subject }, terms.keptAfterDiscount, price);
    return { price, discounted, ...netProceedsAt(discounted, terms, subject), undiscounted, sold };
  },
};

function priceOf(sheet: Sheet, point: RowOf<'pricePoint'>, product: RowOf<'product'>): Figure {
  return sheet.input('pricePoint', point, 'price', {
    name: 'Price',
    subject: product.name,
    unit: money(sheet).per(unit(product.outputUnit)),
    whenEmpty: (place) => sellingGap('no-selling-price', place, { subject: product.name }),
  });
}

function gone(sheet: Sheet): SetPrice {
  const figure = ofMissingRow({ name: 'Price', unit: money(sheet) }, 'a price');
  const proceeds = { beforeTax: figure, tax: figure, paid: figure, fees: figure, afterFees: figure };
  return { price: figure, discounted: figure, ...proceeds, undiscounted: proceeds, sold: null };
}
