import { difference, type Figure } from '../figure/index.js';
import type { Calculation } from '../sheet/index.js';
import { contributionOf } from './sale.js';
import { setPrice } from './set-price.js';
import { unitCostOf } from './unit-cost.js';

/** What a sale leaves. Contribution and profit stand beside each other everywhere. */
export interface PricePointFigures {
  readonly contribution: Figure;
  readonly profit: Figure;
}

/**
 * What is left of one sale at the set price: contribution = price after fees - variable cost; profit = contribution -
 * what the unit carries of committed costs and fixed overhead. Gaps: profit is one while the full cost is partial.
 */
export const pricePoint: Calculation<PricePointFigures> = {
  name: 'pricePoint',
  meanings: {
    contribution: 'What each sale leaves for the running costs and for profit (contribution).',
    profit: 'What each sale leaves after its share of the running costs (profit).',
  },
  work(sheet, pricePointId) {
    const set = sheet.read(setPrice, pricePointId);
    if (set.sold === null) return { contribution: set.price, profit: set.price };
    const { id, name: subject } = set.sold.product;
    const cost = unitCostOf(sheet, id);
    const contribution = contributionOf(set, cost, subject);
    return { contribution, profit: difference({ name: 'Profit', subject }, contribution, cost.fixedInUnit) };
  },
};
