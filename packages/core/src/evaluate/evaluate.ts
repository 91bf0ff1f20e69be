import type { RowsByKind } from '@nuvar/book';
import {
  frozenComparison,
  fullCost,
  openDays,
  overhead,
  overheadOnCard,
  overheadPerMonth,
  productComparison,
  runningCost,
} from '../overhead/index.js';
import {
  batchParts,
  breakEvenOfBook,
  breakEvenOfShare,
  candidateBatch,
  candidateSale,
  coverage,
} from '../planning/index.js';
import {
  batch,
  cardSubtotals,
  equipmentRate,
  equipmentUseCost,
  labourHours,
  labourRate,
  labourStepCost,
  lineCost,
  lossCost,
  otherCost,
  ownersLabour,
  productCost,
  recoveredScrap,
  runCost,
  typedCosts,
} from '../production/index.js';
import { exchangeRate, listedPrice, materialPrice, priceInUnits } from '../purchasing/index.js';
import { priceLimits, pricePoint, priceRatios, salesPerMonth, setPrice } from '../selling/index.js';
import type { Calculation } from './calculation.js';
import { beginEvaluation, type Evaluation } from './evaluation.js';
import type { Override } from './sources.js';

/** Every calculation whose figures can be asked for by key. */
const CALCULATIONS: readonly Calculation<unknown>[] = [
  exchangeRate,
  listedPrice,
  materialPrice,
  priceInUnits,
  batch,
  labourRate,
  labourStepCost,
  labourHours,
  lineCost,
  otherCost,
  recoveredScrap,
  typedCosts,
  equipmentRate,
  runCost,
  equipmentUseCost,
  productCost,
  cardSubtotals,
  ownersLabour,
  lossCost,
  openDays,
  runningCost,
  overhead,
  fullCost,
  overheadPerMonth,
  overheadOnCard,
  setPrice,
  pricePoint,
  priceRatios,
  priceLimits,
  salesPerMonth,
  candidateSale,
  breakEvenOfBook,
  breakEvenOfShare,
  coverage,
  batchParts,
  candidateBatch,
  frozenComparison,
  productComparison,
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
