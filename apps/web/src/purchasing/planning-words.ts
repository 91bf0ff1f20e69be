import type { PlanningBasis } from '@nuvar/book';

/** By which of its listed prices a material is planned, in the owner's words. */
export const PLANNING_WORDS: Readonly<Record<PlanningBasis, string>> = {
  latest: 'newest price',
  highest: 'highest price',
  average: 'average price',
  standard: 'standard price',
};
