/**
 * By what a material is planned. Listed prices: the newest, the highest of a period (the cautious choice for goods with a
 * season), the average of a period. Its stock: the moving average, or the oldest layer (first in, first out). A standard
 * price that is set by hand from a date.
 */
export const PLANNING_BASES = [
  'latest',
  'highest',
  'average',
  'average of stock',
  'first in, first out',
  'standard',
] as const;
export type PlanningBasis = (typeof PLANNING_BASES)[number];

/** By which method stock is valued. */
export const STOCK_METHODS = ['moving average', 'first in, first out', 'standard'] as const;
export type StockMethod = (typeof STOCK_METHODS)[number];
