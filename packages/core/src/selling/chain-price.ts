import type { RowOf } from '@nuvar/book';
import { constant, difference, type Figure, ofMissingRow, percentOf, sum, wholeOf } from '../figure/index.js';
import { PERCENT } from '../quantity/index.js';
import { type Calculation, money, type Sheet } from '../sheet/index.js';
import { sellingGap } from './gaps.js';
import { setPrice } from './set-price.js';

/** What the sellers after this one make of its price: the price that each of them asks, and in the end with tax. */
export interface ChainPrice {
  readonly asked: Figure;
}

const stepOf = (sheet: Sheet, step: RowOf<'chainStep'>) =>
  sheet.input('chainStep', step, 'percent', {
    name: step.basis === 'margin' ? 'Margin' : 'Markup',
    subject: step.name,
    unit: PERCENT,
  });

const ALL = constant('The price', '100', PERCENT, 'definition');

/**
 * The price before tax that a seller of the chain asks: price paid / (100 % - margin), or price paid x (100 % + markup), from
 * the price of this channel on. The id is "point@step", or "point@shelf" for the last with sales tax. Null for a channel
 * without sellers after it.
 */
export const chainPrice: Calculation<ChainPrice> = {
  name: 'chainPrice',
  meanings: { asked: 'The price that this seller asks.' },
  work(sheet, id) {
    const [pointId = '', stepId = ''] = id.split('@');
    const { sold, beforeTax } = sheet.read(setPrice, pointId);
    if (sold === null) return { asked: ofMissingRow({ name: 'Price', unit: money(sheet) }, 'a price') };
    const steps = sheet.rowsOf('chainStep', 'channelId', sold.point.channelId);
    const last = steps.findIndex((step) => step.id === stepId);
    const passed = steps.slice(0, stepId === 'shelf' ? steps.length : last + 1);
    const asked = passed.reduce((paid, step) => askedBy(sheet, step, paid), beforeTax);
    return {
      asked: stepId === 'shelf' ? percentOf('Shelf price', sold.terms.beside.priceWithTax, asked) : asked,
    };
  },
};

function askedBy(sheet: Sheet, step: RowOf<'chainStep'>, paid: Figure): Figure {
  const called = { name: 'Price asked', subject: step.name };
  const percent = stepOf(sheet, step);
  return step.basis === 'margin'
    ? wholeOf(
        called,
        paid,
        difference('What the margin leaves', ALL, percent),
        sellingGap('margin-takes-all', percent.place),
      )
    : percentOf(called, sum('Price with markup', PERCENT, [ALL, percent]), paid);
}

/** The price before tax that is left for this channel where the last seller asks a price with tax; the id is "point@price". */
export const chainBack: Calculation<{ left: Figure }> = {
  name: 'chainBack',
  meanings: { left: 'What is left for the maker, before tax, of a price on the shelf.' },
  work(sheet, id) {
    const [pointId = '', shelf = '0'] = id.split('@');
    const { sold, beforeTax } = sheet.read(setPrice, pointId);
    if (sold === null) return { left: beforeTax };
    const paid = constant('Shelf price', shelf, beforeTax.unit, 'typed to see what is left');
    const net = wholeOf('Shelf price before tax', paid, sold.terms.beside.priceWithTax);
    const steps = [...sheet.rowsOf('chainStep', 'channelId', sold.point.channelId)].reverse();
    return { left: steps.reduce((asked, step) => paidBy(sheet, step, asked), net) };
  },
};

function paidBy(sheet: Sheet, step: RowOf<'chainStep'>, asked: Figure): Figure {
  const called = { name: 'Price paid', subject: step.name };
  const percent = stepOf(sheet, step);
  return step.basis === 'margin'
    ? percentOf(called, difference('What the margin leaves', ALL, percent), asked)
    : wholeOf(called, asked, sum('Price with markup', PERCENT, [ALL, percent]));
}
