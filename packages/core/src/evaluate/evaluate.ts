import type { RowsByKind } from '@nuvar/book';
import { fullCost, openDays, overhead, runningCost } from '../overhead/index.js';
import { breakEvenOfBook, breakEvenOfShare, candidateSale, coverage } from '../planning/index.js';
import {
  batch,
  labourHours,
  labourRate,
  labourStepCost,
  lineCost,
  otherCost,
  productCost,
} from '../production/index.js';
import { listedPrice, materialPrice, priceInUnits } from '../purchasing/index.js';
import { pricePoint } from '../selling/index.js';
import type { Calculation } from './calculation.js';
import { beginEvaluation, type Evaluation } from './evaluation.js';
import type { Override } from './sources.js';

/** Every calculation whose figures can be asked for by key. */
const CALCULATIONS: readonly Calculation<unknown>[] = [
  listedPrice,
  materialPrice,
  priceInUnits,
  batch,
  labourRate,
  labourStepCost,
  labourHours,
  lineCost,
  otherCost,
  productCost,
  openDays,
  runningCost,
  overhead,
  fullCost,
  pricePoint,
  candidateSale,
  breakEvenOfBook,
  breakEvenOfShare,
  coverage,
];

/**
 * The one way out of core: the figures of a book as of a day, with overrides laid over it. Figures are worked out when
 * they are asked for; `apply` lets the evaluation follow changes of the book and recomputes only what they can reach.
 */
export function evaluate(book: Partial<RowsByKind>, asOf: string, overrides: readonly Override[] = []): Evaluation {
  const evaluation = beginEvaluation(book, asOf, CALCULATIONS);
  if (overrides.length > 0) evaluation.override(overrides);
  return evaluation;
}
