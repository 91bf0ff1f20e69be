import { fullCost } from '../costing/index.js';
import { difference, type Figure } from '../figure/index.js';
import { productCost } from '../production/index.js';
import type { Calculation, Sheet } from '../sheet/index.js';
import { contributionOf, type UnitCost } from './sale.js';
import { setPrice } from './set-price.js';

/** What a sale leaves. Contribution and profit stand beside each other everywhere. */
export interface PricePointFigures {
  readonly contribution: Figure;
  readonly profit: Figure;
}

/** What one unit of a product costs, as the sale of it needs to know. */
export function unitCostOf(sheet: Sheet, productId: string): UnitCost {
  const full = sheet.read(fullCost, productId);
  return {
    variableCost: sheet.read(productCost, productId).variableCost,
    overhead: full.overhead,
    fullCost: full.fullCost,
  };
}

/**
 * What is left of one sale at the set price: contribution = price after fees - variable cost; profit = contribution -
 * absorbed overhead. Gaps: profit is one while the full cost is partial.
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
    return { contribution, profit: difference({ name: 'Profit', subject }, contribution, cost.overhead) };
  },
};
