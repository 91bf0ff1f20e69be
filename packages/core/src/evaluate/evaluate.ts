import type { RowsByKind } from '@nuvar/book';
import { requireDay } from '../calendar/index.js';
import { COSTING_CALCULATIONS } from '../costing/index.js';
import { OVERHEAD_CALCULATIONS } from '../overhead/index.js';
import { PLANNING_CALCULATIONS } from '../planning/index.js';
import { PRODUCTION_CALCULATIONS } from '../production/index.js';
import { PURCHASING_CALCULATIONS } from '../purchasing/index.js';
import { PRICE_CALCULATIONS } from '../price/index.js';
import { SELLING_CALCULATIONS } from '../selling/index.js';
import { beginEvaluation, type BookEvaluation, type Calculation } from '../sheet/index.js';

/** Every calculation whose figures can be asked for by key. */
export const CALCULATIONS: readonly Calculation<unknown>[] = [
  ...PURCHASING_CALCULATIONS,
  ...PRODUCTION_CALCULATIONS,
  ...OVERHEAD_CALCULATIONS,
  ...COSTING_CALCULATIONS,
  ...PRICE_CALCULATIONS,
  ...SELLING_CALCULATIONS,
  ...PLANNING_CALCULATIONS,
];

/**
 * The one way out of core: the figures of a book as of a day. Figures are worked out when they are asked for; `apply` lets
 * the evaluation follow changes of the book and recomputes only what they can reach; `fork` lays overrides over it.
 * Throws `not-a-day` where `asOf` is no day of the calendar.
 */
export function evaluate(book: Partial<RowsByKind>, asOf: string): BookEvaluation {
  requireDay(asOf);
  return beginEvaluation(book, asOf, CALCULATIONS);
}
