import { difference, type Figure, percentOf, sum } from '../figure/index.js';
import type { Calculation } from '../sheet/index.js';
import { carriedBy, contributionOf, type NetProceeds, type UnitCost } from './sale.js';
import type { SaleTerms } from './sale-terms.js';
import { setPrice } from './set-price.js';
import { unitCostOf } from './unit-cost.js';

/** What a sale leaves. Contribution and profit stand beside each other everywhere. */
export interface PricePointFigures {
  readonly contribution: Figure;
  readonly profit: Figure;
  /** All that stands between the price before tax and what the unit costs. */
  readonly sellingCost: Figure;
  /** The same with the channel's fees of the period, on average. */
  readonly sellingAndPeriodCost: Figure;
}

/**
 * What is left of one sale at the set price: contribution = price after fees - variable cost; profit = contribution -
 * what the unit carries of committed costs, fixed overhead and, on average, the channel's fees of the period. Of what comes back as new the variable cost is not spent. Gaps: profit is one while the full cost is partial.
 */
export const pricePoint: Calculation<PricePointFigures> = {
  name: 'pricePoint',
  meanings: {
    contribution: 'What each sale leaves for the running costs and for profit (contribution).',
    profit: 'What each sale leaves after its share of the running costs (profit).',
    sellingCost: 'What the sale of one unit costs: fees, packing, postage and returns, less the postage charged.',
    sellingAndPeriodCost:
      'What the sale of one unit costs, with the fees by the month, the day and the listing on average.',
  },
  work(sheet, pricePointId) {
    const set = sheet.read(setPrice, pricePointId);
    if (set.sold === null)
      return { contribution: set.price, profit: set.price, sellingCost: set.price, sellingAndPeriodCost: set.price };
    const { id, name: subject } = set.sold.product;
    const cost = unitCostOf(sheet, id, set.sold.point.channelId);
    const contribution = contributionOf(set, cost, set.sold.terms, subject);
    return {
      contribution,
      profit: difference({ name: 'Profit', subject }, contribution, carriedBy(cost, set.sold.terms, subject)),
      ...sellingCosts(sellingCostOf(set, set.sold.terms, cost, subject), set.sold.terms, subject),
    };
  },
};

function sellingCosts(
  sellingCost: Figure,
  { periodFee }: SaleTerms,
  subject: string,
): Pick<PricePointFigures, 'sellingCost' | 'sellingAndPeriodCost'> {
  const called = { name: 'Selling costs and fees of the period', subject };
  return {
    sellingCost,
    sellingAndPeriodCost: periodFee === null ? sellingCost : sum(called, sellingCost.unit, [sellingCost, periodFee]),
  };
}

function sellingCostOf(set: NetProceeds, { returns }: SaleTerms, { changingCost }: UnitCost, subject: string): Figure {
  const { beforeTax, netRevenue, afterFees, fees } = set;
  const isFeesAlone = netRevenue === beforeTax && afterFees.parts[1] === fees;
  const taken = isFeesAlone ? fees : difference({ name: 'Selling costs', subject }, beforeTax, afterFees);
  if (returns === null || returns.asNew === null) return taken;
  const back = percentOf({ name: 'Comes back as new', subject }, returns.asNew, changingCost);
  return difference({ name: 'Selling costs', subject }, taken, back);
}
