import { isDecimalText, type RowOf } from '@nuvar/book';
import { constant, difference, type Figure, ofMissingRow, percentOf, sum, wholeOf } from '../../figure/index.js';
import { PERCENT, unit } from '../../quantity/index.js';
import { type Calculation, money, type Sheet } from '../../sheet/index.js';
import { THE_WHOLE } from '../sale-terms.js';
import { type FeeBase, feeAmount } from './fee-amount.js';
import { isInForce, termsOf } from './fee-terms.js';

const PIECE = unit('each');

/** The price that is tried, with and without the tax of the book, as the book writes its prices. */
function triedPrice(sheet: Sheet, text: string): FeeBase {
  const settings = sheet.settings();
  const perPiece = money(sheet).per(PIECE);
  const price = constant('Price tried', isDecimalText(text) ? text : '0', perPiece, 'typed to see the fees');
  const tax = sheet.input('settings', settings, 'salesTaxPercent', { name: 'Sales tax of the book', unit: PERCENT });
  const withTax = sum('Price with tax', PERCENT, [THE_WHOLE, tax]);
  return settings.pricesIncludeTax
    ? { paid: price, beforeTax: wholeOf('Price before tax', price, withTax) }
    : { beforeTax: price, paid: percentOf('Price paid', withTax, price) };
}

function feeOf(sheet: Sheet, rule: RowOf<'feeRule'>, channel: RowOf<'channel'>, price: string): Figure {
  return feeAmount(termsOf(sheet, rule, channel, PIECE), triedPrice(sheet, price), channel.name);
}

const idAndPrice = (id: string): readonly [string, string] => {
  const at = id.indexOf('@');
  return [id.slice(0, at), id.slice(at + 1)];
};

/** What one fee comes to at a price that is tried, of a piece of any category on any day; the id is "fee@price". */
export const feeAtPrice: Calculation<{ amount: Figure }> = {
  name: 'feeAtPrice',
  meanings: { amount: 'What this fee comes to at the price tried.' },
  work(sheet, id) {
    const [ruleId, price] = idAndPrice(id);
    const rule = sheet.row('feeRule', ruleId);
    const channel = rule && sheet.row('channel', rule.channelId);
    if (rule === undefined || channel === undefined)
      return { amount: ofMissingRow({ name: 'Fee', unit: money(sheet).per(PIECE) }, 'a fee') };
    return { amount: feeOf(sheet, rule, channel, price) };
  },
};

/** What a channel takes in all at a price that is tried, and what is left of it; the id is "channel@price". */
export const channelTake: Calculation<Readonly<Record<'fees' | 'left', Figure>>> = {
  name: 'channelTake',
  meanings: {
    fees: 'All fees of the channel at the price tried that are in force for products of every category.',
    left: 'What is left of the price tried after sales tax and fees.',
  },
  work(sheet, id) {
    const [channelId, price] = idAndPrice(id);
    const channel = sheet.row('channel', channelId);
    const perPiece = money(sheet).per(PIECE);
    if (channel === undefined) {
      const gone = ofMissingRow({ name: 'Fees', unit: perPiece }, 'a channel');
      return { fees: gone, left: gone };
    }
    const fees = sheet
      .rowsOf('feeRule', 'channelId', channelId)
      .filter((rule) => isInForce(rule, sheet.asOf) && rule.category.trim() === '')
      .map((rule) => feeOf(sheet, rule, channel, price));
    const all = sum({ name: 'Fees', subject: channel.name }, perPiece, fees);
    const { beforeTax } = triedPrice(sheet, price);
    return { fees: all, left: difference({ name: 'Left of the price', subject: channel.name }, beforeTax, all) };
  },
};
