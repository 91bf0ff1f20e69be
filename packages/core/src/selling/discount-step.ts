import { constant, difference, type Figure, multiplied, shareOf } from '../figure/index.js';
import { decimal } from '../number/index.js';
import { plannedAt } from '../production/index.js';
import { NUMBER } from '../quantity/index.js';
import type { Calculation } from '../sheet/index.js';
import { carriedBy, contributionOf, netProceedsAt } from './sale.js';
import { unitsToEarnTheSame } from './sales-per-month.js';
import { afterCoupon, setPrice } from './set-price.js';
import { unitCostOf } from './unit-cost.js';

/** What a discount, or several one after the other, does to a sale. */
export interface DiscountStep {
  readonly priceAfter: Figure;
  /** What several discounts come to as one. */
  readonly asOne: Figure;
  readonly contribution: Figure;
  readonly profit: Figure;
  readonly margin: Figure;
  readonly unitsToEarnTheSame: Figure;
}

const WHOLE_LIST_PRICE = constant('The list price', '1', NUMBER, 'definition');

/**
 * A sale at a discount from the list price, or at several one after the other: price x (1 - d1) x (1 - d2)...; fees follow the
 * price. In place of the standing discount. The id is "point@10" or "point@10+5".
 */
export const discountStep: Calculation<DiscountStep> = {
  name: 'discountStep',
  meanings: {
    priceAfter: 'The price after the discounts, as the customer sees it.',
    asOne: 'What the discounts come to as one, in percent of the list price.',
    contribution: 'What each sale leaves at this discount (contribution).',
    profit: 'What each sale leaves after its share of the running costs.',
    margin: 'Profit in percent of the net revenue.',
    unitsToEarnTheSame: 'Units a month that earn the same as the planned units at the list price.',
  },
  work(sheet, id) {
    const [pointId = '', series = '0'] = id.split('@');
    const { sold, price } = sheet.read(setPrice, pointId);
    if (sold === null)
      return {
        priceAfter: price,
        asOne: price,
        contribution: price,
        profit: price,
        margin: price,
        unitsToEarnTheSame: price,
      };
    const { product, terms } = sold;
    const subject = product.name;
    const shares = series.split('+').map((each) => decimal('1').minus(decimal(each).div(100)));
    const kept = shares.reduce((so, share) => so.mul(share), decimal('1'));
    const note = `${series.split('+').join(' %, then ')} % off`;
    const keptFigure = constant('Share that is left', kept, NUMBER, note);
    const after = multiplied({ name: 'Price after discount', subject }, price, keptFigure);
    const proceeds = netProceedsAt(afterCoupon(after, terms, subject), terms, subject);
    const cost = unitCostOf(sheet, product.id, sold.point.channelId);
    const contribution = contributionOf(proceeds, cost, terms, subject);
    const profit = difference({ name: 'Profit', subject }, contribution, carriedBy(cost, terms, subject));
    const atList = kept.eq(1) ? contribution : sheet.read(discountStep, `${pointId}@0`).contribution;
    return {
      unitsToEarnTheSame: unitsToEarnTheSame(plannedAt(sheet, sold.point), atList, contribution, subject),
      priceAfter: after,
      asOne: shareOf('Discount as one', difference('Taken off', WHOLE_LIST_PRICE, keptFigure), WHOLE_LIST_PRICE),
      contribution,
      profit,
      margin: shareOf({ name: 'Margin', subject }, profit, proceeds.netRevenue),
    };
  },
};
