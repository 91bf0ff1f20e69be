import { isDecimalText, type RowOf } from '@nuvar/book';
import { constant, difference, type Figure, ofMissingRow, percentOf, sum, wholeOf } from '../../figure/index.js';
import { PERCENT, unit } from '../../quantity/index.js';
import { type Calculation, money, MONTH, ORDER, type Sheet } from '../../sheet/index.js';
import { salesTaxOf, THE_WHOLE } from '../../price/index.js';
import { fulfillerOf, postageCharged } from '../sale-terms.js';
import { type FeeBase, feeAmount } from './fee-amount.js';
import type { FeeContext } from './fee-context.js';
import { feeTermsOf, termsOf } from './fee-terms.js';

const PIECE = unit('each');

/** A price that is tried in a channel, of a product or of none. */
interface Tried {
  readonly price: string;
  readonly product: RowOf<'product'> | null;
}

/** An id such as "fee@price" or "fee@price@product". */
function triedOf(sheet: Sheet, id: string): Tried & { readonly of: string } {
  const [of = '', price = '', productId = ''] = id.split('@');
  return { of, price, product: sheet.row('product', productId) ?? null };
}

const outputOf = ({ product }: Tried) => (product === null ? PIECE : unit(product.outputUnit));

function contextOf(sheet: Sheet, channel: RowOf<'channel'>, tried: Tried): FeeContext {
  const output = outputOf(tried);
  const { name: subject } = channel;
  return {
    channel,
    product: tried.product,
    output,
    unitsPerOrder: () =>
      sheet.input('channel', channel, 'unitsPerOrder', { name: 'Units per order', subject, unit: output.per(ORDER) }),
    monthsInStore: () =>
      sheet.input('channel', channel, 'monthsInStore', { name: 'Months in store', subject, unit: MONTH }),
  };
}

/** The price that is tried, with and without the sales tax on it, as the book writes its prices, and the postage charged beside it. */
function triedPrice(sheet: Sheet, channel: RowOf<'channel'>, tried: Tried): FeeBase {
  const settings = sheet.settings();
  const perPiece = money(sheet).per(outputOf(tried));
  const price = constant(
    'Price tried',
    isDecimalText(tried.price) ? tried.price : '0',
    perPiece,
    'typed to see the fees',
  );
  const tax = salesTaxOf(sheet, tried.product ?? { category: '' }, undefined);
  const priceWithTax = sum('Price with tax', PERCENT, [THE_WHOLE, tax]);
  const inside = settings.pricesIncludeTax ? priceWithTax : null;
  const postage = postageCharged(sheet, channel, inside, contextOf(sheet, channel, tried).unitsPerOrder);
  const beside = { priceWithTax, postage, coupon: null };
  return settings.pricesIncludeTax
    ? { paid: price, beforeTax: wholeOf('Price before tax', price, priceWithTax), beside }
    : { beforeTax: price, paid: percentOf('Price paid', priceWithTax, price), beside };
}

/** What one fee comes to at a price that is tried, on any day; the id is "fee@price" or "fee@price@product". */
export const feeAtPrice: Calculation<{ amount: Figure }> = {
  name: 'feeAtPrice',
  meanings: { amount: 'What this fee comes to at the price tried.' },
  work(sheet, id) {
    const tried = triedOf(sheet, id);
    const rule = sheet.row('feeRule', tried.of);
    const channel = rule && sheet.row('channel', rule.channelId);
    if (rule === undefined || channel === undefined)
      return { amount: ofMissingRow({ name: 'Fee', unit: money(sheet).per(PIECE) }, 'a fee') };
    return {
      amount: feeAmount(
        termsOf(sheet, rule, contextOf(sheet, channel, tried)),
        triedPrice(sheet, channel, tried),
        channel.name,
      ),
    };
  },
};

/** What a channel takes in all at a price that is tried, and what is left of it; the id is "channel@price" or "channel@price@product". */
export const channelTake: Calculation<Readonly<Record<'fees' | 'left', Figure>>> = {
  name: 'channelTake',
  meanings: {
    fees: 'All fees of the channel at the price tried and on the postage charged beside it that are in force: for the product tried, or for products of every category.',
    left: 'What is left of the price tried after sales tax and fees.',
  },
  work(sheet, id) {
    const tried = triedOf(sheet, id);
    const channel = sheet.row('channel', tried.of);
    if (channel === undefined) {
      const gone = ofMissingRow({ name: 'Fees', unit: money(sheet).per(PIECE) }, 'a channel');
      return { fees: gone, left: gone };
    }
    const price = triedPrice(sheet, channel, tried);
    const fees = feeTermsOf(sheet, contextOf(sheet, channel, tried), fulfillerOf(sheet, channel)).map((terms) =>
      feeAmount(terms, price, channel.name),
    );
    const all = sum({ name: 'Fees', subject: channel.name }, price.beforeTax.unit, fees);
    return { fees: all, left: difference({ name: 'Left of the price', subject: channel.name }, price.beforeTax, all) };
  },
};
