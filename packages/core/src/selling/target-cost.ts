import { constant, difference, type Figure, percentOf, sum, wholeOf } from '../figure/index.js';
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
      name: 'Customers pay at most',
      subject,
      unit: perUnit,
      whenEmpty: (place) => sellingGap('no-market-price', place, { subject }),
    });
    const proceeds = netProceedsAt(priceAfter(highest, terms, subject), terms, subject);
    const { fullCost } = unitCostOf(sheet, product.id, point.channelId);
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
      name: 'Target markup',
      subject,
      unit: PERCENT,
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
