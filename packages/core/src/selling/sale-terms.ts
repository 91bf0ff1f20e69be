import type { FeeBasis, RowOf } from '@nuvar/book';
import { constant, difference, type Figure, percentOf, quotient, sum, wholeOf } from '../figure/index.js';
import { PERCENT, unit } from '../quantity/index.js';
import { type Calculation, idOf, money, MONTH, numberIn, ORDER, partsOf, type Sheet } from '../sheet/index.js';
import { type PackedLine, packingOf, type SoldProduct } from './dispatch/packing.js';
import { postageOf } from './dispatch/postage.js';
import type { BesidePrice } from './fees/fee-amount.js';
import type { FeeContext } from './fees/fee-context.js';
import { feeTermsOf, type FeeTerms, periodFeeOf } from './fees/fee-terms.js';
import { type FeeCurve } from './fees/fee-curve.js';
import { curveOf } from './fees/sale-curve.js';
import { type SaleAmounts, saleAmounts } from './sale-amounts.js';
import { returnTermsOf, type ReturnTerms } from './returns.js';
import { keptAfterDiscount, salesTaxOf, THE_WHOLE } from '../price/index.js';

/** A coupon of the seller: what it takes off the price that the customer sees, and off the price before tax. */
export interface CouponTerms {
  /** The part that the seller pays, as the customer sees prices. */
  readonly own: Figure;
  readonly ownBeforeTax: Figure;
}

/** On what terms a product is sold in a channel: tax, what stands beside the price, and what the sale costs. */
export interface SaleTerms {
  readonly taxInside: boolean;
  /** The sales tax in percent of the price before tax. */
  readonly tax: Figure;
  readonly beside: BesidePrice;
  readonly fees: readonly FeeTerms[];
  readonly packing: readonly PackedLine[];
  readonly postagePaid: Figure | null;
  readonly returns: ReturnTerms | null;
  /** What a unit carries on average of fees by the month, the day and the listing: no part of a contribution. Null for none. */
  readonly periodFee: Figure | null;
  /** The share of the list price that is left after the standing discount, in percent; null where there is none. */
  readonly keptAfterDiscount: Figure | null;
  /** A decimal as the country of the book writes it, for sentences. */
  readonly written: (decimal: string) => string;
  readonly coupon: CouponTerms | null;
  /** All fees as a function of the price before tax; null while one of their figures is missing. Worked out once, when it is asked for. */
  readonly curve: () => FeeCurve | null;
  /** What stands beside the price in plain amounts; null while something of it is missing. */
  readonly amounts: () => SaleAmounts | null;
}

/** How many units an order has, where it is asked for another number than the channel's. */
export interface OrderOf {
  readonly units: string;
}

type Point = RowOf<'pricePoint'>;

/**
 * The terms of a product in a channel: the tax of its price where typed, else that of its category, else the book's; none where
 * the business is not registered. Packing, postage, fulfilment and storage are those of the channel that fulfils. Products of
 * which nothing else is said than of others share them.
 */
export function saleTerms(
  sheet: Sheet,
  product: RowOf<'product'>,
  channel: RowOf<'channel'>,
  point: Point | undefined,
  order?: OrderOf,
): SaleTerms {
  if (order !== undefined || !isUsual(point) || sheet.read(goesByProduct, channel.id))
    return termsFor(sheet, product, channel, point, order);
  const taxInside = point?.taxInside ?? sheet.settings().pricesIncludeTax;
  const of = idOf(channel.id, taxInside ? 'inside' : 'on top', product.outputUnit, product.category);
  return sheet.read(sharedTerms, of) ?? termsFor(sheet, product, channel, point);
}

/** True where a price says nothing of its own about tax, discount, coupon, returns and time in store. */
function isUsual(point: Point | undefined): boolean {
  if (point === undefined) return true;
  const { taxPercent, discountPercent, couponAmount, returnsPercent, monthsInStore } = point;
  const isPlain = discountPercent === '0' && couponAmount === '0';
  return isPlain && taxPercent === null && returnsPercent === null && monthsInStore === null;
}

const OF_PARCELS: readonly FeeBasis[] = ['weight', 'packaging weight', 'size', 'volume and month'];

/** True where what a channel takes or pays differs from product to product of a category: by weight, size or volume. */
const goesByProduct: Calculation<boolean> = {
  name: 'goesByProduct',
  meanings: {},
  work(sheet, channelId) {
    const channel = sheet.row('channel', channelId);
    if (channel === undefined) return true;
    const fulfiller = fulfillerOf(sheet, channel);
    if (sheet.rowsOf('postageShare', 'channelId', fulfiller.id).length > 0) return true;
    return [channel.id, fulfiller.id].some((id) =>
      sheet.rowsOf('feeRule', 'channelId', id).some(({ takenOf }) => OF_PARCELS.includes(takenOf)),
    );
  },
};

/** The terms that products of a category and a unit share in a channel; null where it is gone. */
const sharedTerms: Calculation<SaleTerms | null> = {
  name: 'sharedTerms',
  meanings: {},
  work(sheet, id) {
    const [channelId = '', tax, outputUnit = '', category = ''] = partsOf(id);
    const channel = sheet.row('channel', channelId);
    if (channel === undefined) return null;
    const product = { id: '', name: channel.name, outputUnit, category };
    return termsFor(sheet, product, channel, undefined, undefined, tax === 'inside');
  },
};

function termsFor(
  sheet: Sheet,
  product: SoldProduct,
  channel: RowOf<'channel'>,
  point: Point | undefined,
  order?: OrderOf,
  inside?: boolean,
): SaleTerms {
  const settings = sheet.settings();
  const tax = salesTaxOf(sheet, product, point);
  const taxInside = inside ?? point?.taxInside ?? settings.pricesIncludeTax;
  const priceWithTax = sum('Price with tax', PERCENT, [THE_WHOLE, tax]);
  const fulfiller = fulfillerOf(sheet, channel);
  const output = unit(product.outputUnit);
  const unitsPerOrder = () =>
    order === undefined
      ? sheet.input('channel', channel, 'unitsPerOrder', {
          name: 'Units per order',
          subject: channel.name,
          unit: output.per(ORDER),
        })
      : constant('Units of the order', order.units, output.per(ORDER), 'an order of so many');
  const coupon = couponOf(sheet, product, point, taxInside ? priceWithTax : null);
  const postage = postageCharged(sheet, channel, taxInside ? priceWithTax : null, unitsPerOrder);
  const monthsInStore = () => monthsOf(sheet, fulfiller, product, point);
  const context: FeeContext = { channel, product, output, unitsPerOrder, monthsInStore };
  const beside = { priceWithTax, postage, coupon: coupon?.ownBeforeTax ?? null };
  const fees = feeTermsOf(sheet, context, fulfiller);
  const returns = returnTermsOf(sheet, channel, product, point);
  const packing = packingOf(sheet, fulfiller, product, unitsPerOrder);
  const postagePaid = postageOf(sheet, fulfiller, product, unitsPerOrder);
  return {
    taxInside,
    tax,
    coupon,
    beside,
    fees,
    packing,
    postagePaid,
    returns,
    periodFee: periodFeeOf(sheet, context, fulfiller),
    keptAfterDiscount: keptAfterDiscount(sheet, product, point),
    written: (text) => numberIn(sheet, text),
    curve: once(() => curveOf({ fees, beside, returns })),
    amounts: once(() => saleAmounts({ packing, postagePaid, returns, beside })),
  };
}

/** What a function gives, worked out when it is first asked for. It reads figures, and no rows. */
function once<T>(work: () => T): () => T {
  let known: { readonly result: T } | null = null;
  return () => (known ??= { result: work() }).result;
}

function monthsOf(sheet: Sheet, fulfiller: RowOf<'channel'>, product: SoldProduct, point: Point | undefined): Figure {
  return point === undefined || point.monthsInStore === null
    ? sheet.input('channel', fulfiller, 'monthsInStore', {
        name: 'Months in store',
        subject: fulfiller.name,
        unit: MONTH,
      })
    : sheet.input('pricePoint', point, 'monthsInStore', {
        name: 'Months in store',
        subject: product.name,
        unit: MONTH,
      });
}

/** The channel that packs and dispatches the orders of another: the last of a chain of them, and in a circle the channel itself. */
export function fulfillerOf(sheet: Sheet, channel: RowOf<'channel'>): RowOf<'channel'> {
  const seen = new Set([channel.id]);
  let found = channel;
  for (let next = channel.fulfilledById; next !== null; next = found.fulfilledById) {
    const row = sheet.row('channel', next);
    if (row === undefined) return found;
    if (seen.has(next)) return channel;
    seen.add(next);
    found = row;
  }
  return found;
}

/** The postage that is charged, for one unit and before tax; null where none is. */
export function postageCharged(
  sheet: Sheet,
  channel: RowOf<'channel'>,
  priceWithTax: Figure | null,
  unitsPerOrder: () => Figure,
): Figure | null {
  if (channel.postageCharged === null || channel.postageCharged === '0') return null;
  const subject = channel.name;
  const typed = sheet.input('channel', channel, 'postageCharged', {
    name: 'Postage charged',
    subject,
    unit: money(sheet).per(ORDER),
  });
  const net =
    priceWithTax === null ? typed : wholeOf({ name: 'Postage charged before tax', subject }, typed, priceWithTax);
  return quotient({ name: 'Postage charged per unit', subject }, net, unitsPerOrder());
}

function couponOf(
  sheet: Sheet,
  product: SoldProduct,
  point: RowOf<'pricePoint'> | undefined,
  priceWithTax: Figure | null,
): CouponTerms | null {
  if (point === undefined || point.couponAmount === '0') return null;
  const subject = product.name;
  const perUnit = money(sheet).per(unit(product.outputUnit));
  const off = sheet.input('pricePoint', point, 'couponAmount', { name: 'Coupon', subject, unit: perUnit });
  const own = point.couponFundedPercent === '0' ? off : ownPart(sheet, point, off, subject);
  const ownBeforeTax = priceWithTax === null ? own : wholeOf({ name: 'Coupon before tax', subject }, own, priceWithTax);
  return { own, ownBeforeTax };
}

const THE_COUPON = constant('The whole coupon', '100', PERCENT, 'definition');

function ownPart(sheet: Sheet, point: RowOf<'pricePoint'>, off: Figure, subject: string): Figure {
  const funded = sheet.input('pricePoint', point, 'couponFundedPercent', {
    name: 'Of the coupon, the channel pays',
    subject,
    unit: PERCENT,
  });
  return percentOf(
    { name: "The seller's part of the coupon", subject },
    difference("The seller's share of the coupon", THE_COUPON, funded),
    off,
  );
}
