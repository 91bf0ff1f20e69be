import { type Figure, missing, multiplied, ofMissingRow, quotient, rounded } from '../figure/index.js';
import { ONE } from '../number/index.js';
import { labourHours, plannedAt } from '../production/index.js';
import { type Calculation, money, MONTH } from '../sheet/index.js';
import { sellingGap } from './gaps.js';
import { pricePoint } from './price-point.js';
import { unitCostOf } from './unit-cost.js';
import { contributionOf } from './sale.js';
import { setPrice } from './set-price.js';

/** What the planned units of a price point bring. */
export interface SalesPerMonth {
  readonly contributionPerHour: Figure;
  readonly contributionPerMonth: Figure;
  readonly profitPerMonth: Figure;
  readonly undiscountedContribution: Figure;
  readonly unitsToEarnTheSame: Figure;
}

/**
 * What the planned units bring in a month where they are counted at this price, and what each labour hour brings. Units that earn the same after a discount =
 * planned units in this channel x contribution at full price / contribution after it, rounded up; none where nothing is left of
 * a sale, or where a sale loses before and gains after.
 */
export const salesPerMonth: Calculation<SalesPerMonth> = {
  name: 'salesPerMonth',
  meanings: {
    contributionPerHour: 'What each productive labour hour in this product earns (contribution per labour hour).',
    contributionPerMonth: 'What the planned units of a month leave for the running costs and for profit.',
    profitPerMonth: 'What the planned units of a month leave after their share of the running costs (profit).',
    undiscountedContribution: 'What each sale would leave without the discount.',
    unitsToEarnTheSame:
      'How many units a month have to be sold at the discount to earn the same as the planned units without it.',
  },
  work(sheet, pricePointId) {
    const { sold, price, undiscounted } = sheet.read(setPrice, pricePointId);
    if (sold === null) {
      const perMonth = ofMissingRow({ name: 'Contribution per month', unit: money(sheet).per(MONTH) }, 'a price');
      return {
        contributionPerHour: price,
        contributionPerMonth: perMonth,
        profitPerMonth: perMonth,
        undiscountedContribution: price,
        unitsToEarnTheSame: price,
      };
    }
    const { id, name: subject } = sold.product;
    const { contribution, profit } = sheet.read(pricePoint, pricePointId);
    const planned = plannedAt(sheet, sold.point);
    const full =
      sold.point.discountPercent === '0'
        ? contribution
        : contributionOf(undiscounted, unitCostOf(sheet, id, sold.point.channelId), sold.terms, subject);
    return {
      contributionPerHour: quotient(
        { name: 'Contribution per labour hour', subject },
        contribution,
        sheet.read(labourHours, id).perUnit,
      ),
      contributionPerMonth: multiplied({ name: 'Contribution per month', subject }, contribution, planned),
      profitPerMonth: multiplied({ name: 'Profit per month', subject }, profit, planned),
      undiscountedContribution: full,
      unitsToEarnTheSame: unitsToEarnTheSame(planned, full, contribution, subject),
    };
  },
};

/** Planned units x contribution before / contribution after, rounded up. Stated gap: nothing is left of a sale. */
export function unitsToEarnTheSame(planned: Figure, before: Figure, after: Figure, subject: string): Figure {
  const called = { name: 'Units that earn the same', subject };
  if (after.amount !== null && after.amount.lte(0))
    return missing({ ...called, unit: planned.unit }, sellingGap('discount-eats-all', null), [after]);
  if (before.amount !== null && before.amount.lte(0) && after.amount !== null)
    return missing({ ...called, unit: planned.unit }, sellingGap('earned-nothing-before', null), [before, after]);
  const needed = quotient(
    { name: 'Units needed', subject },
    multiplied({ name: 'Earned without the discount', subject }, planned, before),
    after,
  );
  return rounded(called, needed, ONE, 'up');
}
