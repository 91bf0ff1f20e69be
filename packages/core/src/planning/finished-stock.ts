import type { RowOf } from '@nuvar/book';
import { addMonths, monthNumber, monthOf } from '../calendar/index.js';
import { overheadOnCard } from '../costing/index.js';
import { constant, difference, type Figure, missing, multiplied, sum } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, MONTH, type Sheet } from '../sheet/index.js';
import { planningGap } from './gaps.js';
import { productMonth } from './product-month.js';

/** The finished stock of a product at the beginning and at the end of a planned month; null where none is entered. */
export interface FinishedStock {
  readonly opening: Figure | null;
  readonly closing: Figure | null;
  readonly openingValue: Figure | null;
  readonly closingValue: Figure | null;
}

/**
 * Finished stock of a product in a planned month; the id is "product@first day of the month". Opening = what was counted at the
 * beginning of a month + what the plan makes less what it sells in the months between (taken off again for a month before the
 * count); closing = opening + made - sold: the closing stock of a month is the opening stock of the next. Below zero where more is
 * sold than there is. Value at today's production cost (absorption costing, IAS 2.12). Gap: stock without the month of its count.
 */
export const finishedStock: Calculation<FinishedStock> = {
  name: 'finishedStock',
  meanings: {
    opening: 'Finished units in stock at the beginning of the month.',
    closing:
      'Finished units in stock at the end of the month; below zero where more is planned to be sold than there is.',
    openingValue: 'That stock at production cost.',
    closingValue: 'That stock at production cost.',
  },
  work(sheet, id) {
    const [productId = '', month = ''] = id.split('@');
    const product = sheet.row('product', productId);
    if (product === undefined || product.finishedStock === null)
      return { opening: null, closing: null, openingValue: null, closingValue: null };
    const subject = product.name;
    const opening = openingOf(sheet, product, month);
    const change = multiplied({ name: 'Into stock', subject }, changeOf(sheet, product, month), A_MONTH);
    const closing = sum({ name: 'Stock at the end', subject }, unit(product.outputUnit), [opening, change]);
    const { productionCost } = sheet.read(overheadOnCard, productId);
    return {
      opening,
      closing,
      openingValue: multiplied(
        { name: 'Stock at the beginning, at production cost', subject },
        opening,
        productionCost,
      ),
      closingValue: multiplied({ name: 'Stock at the end, at production cost', subject }, closing, productionCost),
    };
  },
};

const A_MONTH = constant('A month', '1', MONTH, 'of the plan');

const changeOf = (sheet: Sheet, { id }: RowOf<'product'>, month: string): Figure =>
  sheet.read(productMonth, `${id}@${month}`).stockChange;

function openingOf(sheet: Sheet, product: RowOf<'product'>, month: string): Figure {
  const subject = product.name;
  const output = unit(product.outputUnit);
  const counted = sheet.input('product', product, 'finishedStock', { name: 'Finished stock', subject, unit: output });
  const called = { name: 'Stock at the beginning', subject };
  if (product.finishedStockOn === null) {
    const place = { kind: 'product', id: product.id, field: 'finishedStockOn' } as const;
    return missing({ ...called, unit: output }, planningGap('no-stock-day', place, { subject }), [counted]);
  }
  const from = monthOf(product.finishedStockOn);
  const later = changesBetween(sheet, product, from, month);
  const earlier = changesBetween(sheet, product, month, from);
  if (later.length === 0 && earlier.length === 0) return counted;
  const since = sum({ name: 'Into stock since', subject }, output, later);
  return earlier.length === 0
    ? sum(called, output, [counted, since])
    : difference(called, counted, sum({ name: 'Into stock until the count', subject }, output, earlier));
}

/** What the plan puts into stock from one month until before another: each month of the year as often as it comes. */
function changesBetween(sheet: Sheet, product: RowOf<'product'>, from: string, until: string): Figure[] {
  const first = monthsOf(from);
  const count = monthsOf(until) - first;
  return Array.from({ length: Math.min(Math.max(count, 0), 12) }, (_none, index) => {
    const month = addMonths(monthOf(from), index);
    const times = Math.floor((count - index - 1) / 12) + 1;
    const often = constant('Months', String(times), MONTH, `month ${monthNumber(month)} of the year, ${times} of them`);
    return multiplied({ name: 'Into stock', subject: product.name }, changeOf(sheet, product, month), often);
  });
}

const monthsOf = (day: string): number => Number(day.slice(0, 4)) * 12 + monthNumber(day);
