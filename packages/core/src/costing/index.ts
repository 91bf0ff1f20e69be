import type { Calculation } from '../sheet/index.js';
import { batchParts, candidateBatch, overheadParts } from './candidate-batch.js';
import { cardSubtotals } from './card-subtotals.js';
import { fullCost, fullCostBy, overheadPerMonth } from './full-cost.js';
import { lossCost } from './loss-cost.js';
import { overheadOnCard } from './overhead-on-card.js';
import { productComparison } from './product-comparison.js';
import { frozenComparison } from './saved-card-comparison.js';

export { COSTING_GAPS } from './gaps.js';
export { batchParts, candidateBatch, overheadParts } from './candidate-batch.js';
export { cardSubtotals } from './card-subtotals.js';
export { countedIn, type CardComparison, type ComparedLine } from './compared-cards.js';
export { fullCost, fullCostBy, overheadPerMonth, type FullCost } from './full-cost.js';
export { lossCost } from './loss-cost.js';
export { overheadOnCard } from './overhead-on-card.js';
export { itemsInside, unitItems, type UnitItem } from './unit-items.js';
export { productComparison } from './product-comparison.js';
export { componentOf, frozenComparison, savedLines } from './saved-card-comparison.js';

/** The calculations of this room whose figures can be asked for by key. */
export const COSTING_CALCULATIONS: readonly Calculation<unknown>[] = [
  fullCost,
  fullCostBy,
  overheadPerMonth,
  overheadParts,
  overheadOnCard,
  cardSubtotals,
  lossCost,
  batchParts,
  candidateBatch,
  frozenComparison,
  productComparison,
];
