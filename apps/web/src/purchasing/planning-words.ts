import type { PlanningBasis, StockMethod } from '@nuvar/book';

/** By what a material is planned, in the owner's words. */
export const PLANNING_WORDS: Readonly<Record<PlanningBasis, string>> = {
  latest: 'newest price',
  highest: 'highest price',
  average: 'average price',
  'average of stock': 'average of stock',
  'first in, first out': 'first in, first out',
  standard: 'standard price',
};

/** By which method stock is valued. */
export const STOCK_WORDS: Readonly<Record<StockMethod, string>> = {
  'moving average': 'moving average',
  'first in, first out': 'first in, first out',
  standard: 'standard price',
};
