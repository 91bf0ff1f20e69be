import type { RowOf } from '@nuvar/book';
import { constant, difference, type Figure, ofMissingRow, percentOf, sum, wholeOf } from '../figure/index.js';
import { PERCENT, unit } from '../quantity/index.js';
import { type Calculation, money, type Sheet } from '../sheet/index.js';
import { sellingGap } from './gaps.js';
import { targetOf } from './price-limits.js';
import { netProceedsAt } from './sale.js';
import { priceAfter, setPrice, type SetPrice } from './set-price.js';
import { unitCostOf } from './unit-cost.js';

/** What a product may cost at the most that customers pay. */
export interface TargetCost {
  readonly afterFees: Figure;
  readonly wanted: Figure;
  readonly allowed: Figure;
  readonly today: Figure;
  /** Today's cost above what is allowed; below zero there is room. */
  readonly gap: Figure;
}

const WHOLE = constant('The whole cost', '100', PERCENT, 'definition');

/**
 * Target costing: allowed cost = what is left of the highest price that customers pay, after all that the sale costs, less the
 * profit that is wanted; gap = full cost of today - allowed cost (common practice; Horngren, Datar & Rajan, Cost Accounting,
 * target pricing). A markup is taken of the allowed cost itself: allowed = left / (100 % + markup). Where no target is set, a
 * profit of zero is wanted. The full cost counts as it is, without what comes back as new. Gap: no such price is stated.
 */
export const targetCost: Calculation<TargetCost> = {
  name: 'targetCost',
  meanings: {
    afterFees: 'What is left of the highest price that customers pay, after all that the sale costs.',
    wanted: 'The profit that is wanted at that price.',
    allowed: 'What one unit may cost at most.',
    today: 'What one unit costs today (full cost).',
    gap: 'By how much it costs too much today; below zero there is room.',
  },
  work(sheet, pointId) {
    const { sold, price } = sheet.read(setPrice, pointId);
    if (sold === null) return { afterFees: price, wanted: price, allowed: price, today: price, gap: price };
    const { point, product, terms } = sold;
    const subject = product.name;
    const named = (name: string) => ({ name, subject });
    const perUnit = money(sheet).per(unit(product.outputUnit));
    const highest = sheet.input('pricePoint', point, 'marketPrice', {
      ...{ name: 'Customers pay at most', subject, unit: perUnit },
      whenEmpty: (place) => sellingGap('no-market-price', place, { subject }),
    });
    const proceeds = netProceedsAt(priceAfter(highest, terms, subject), terms, subject);
    const { fullCost } = unitCostOf(sheet, product.id);
    const { wanted, allowed } = allowedOf(sheet, sold, proceeds);
    return {
      afterFees: proceeds.afterFees,
      wanted,
      allowed,
      today: fullCost,
      gap: difference(named('Costs too much by'), fullCost, allowed),
    };
  },
};

function allowedOf(
  sheet: Sheet,
  { point, product }: NonNullable<SetPrice['sold']>,
  { afterFees, netRevenue, beforeTax }: ReturnType<typeof netProceedsAt>,
): Pick<TargetCost, 'wanted' | 'allowed'> {
  const subject = product.name;
  const named = (name: string) => ({ name, subject });
  const { basis } = point;
  if (basis === 'markup') {
    const markup = sheet.input('pricePoint', point, 'target', {
      ...{ name: 'Target markup', subject, unit: PERCENT },
      whenEmpty: (place) => sellingGap('no-target', place, { subject }),
    });
    const allowed = wholeOf(named('Allowed cost'), afterFees, sum('Cost with the markup', PERCENT, [WHOLE, markup]));
    return { wanted: difference(named('Profit wanted'), afterFees, allowed), allowed };
  }
  const wanted =
    basis === 'typed' ? constant('No profit wanted', '0', afterFees.unit, 'no target is set') : profitWanted();
  return { wanted, allowed: difference(named('Allowed cost'), afterFees, wanted) };

  function profitWanted(): Figure {
    const target = targetOf(sheet, point, product, basis as Exclude<typeof basis, 'typed'>);
    if (target.basis === 'amount') return target.wanted;
    return percentOf(named('Profit wanted'), target.wanted, target.basis === 'margin' ? netRevenue : beforeTax);
  }
}

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
