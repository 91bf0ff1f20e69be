import type { Calculation } from '../sheet/index.js';
import { breakEvenOfBook, breakEvenOfCash, breakEvenOfShare } from './break-even.js';
import { breakEvenOfStep, breakEvenSteps } from './break-even-steps.js';
import { candidateSale } from './candidate-sale.js';
import { coverage } from './coverage.js';
import { decision } from './decision/decision.js';
import { decisionCost } from './decision/decision-cost.js';
import { materialNeed } from './material-need.js';
import { MIX_CALCULATIONS } from './mix/index.js';
import { orderOption, orderQuantities } from './order-quantity.js';
import { periodCosts } from './period-costs.js';
import { finishedStock } from './finished-stock.js';
import { periodProfit } from './period-profit.js';
import { productMonth } from './product-month.js';

export { PLANNING_GAPS } from './gaps.js';
export { breakEvenOfBook, breakEvenOfCash, breakEvenOfShare, type BreakEven } from './break-even.js';
export { breakEvenOfStep, breakEvenSteps, type BreakEvenStep } from './break-even-steps.js';
export { candidateSale } from './candidate-sale.js';
export { periodCosts } from './period-costs.js';
export { finishedStock } from './finished-stock.js';
export { periodProfit, plannedProducts } from './period-profit.js';
export { productMonth } from './product-month.js';
export { coverage } from './coverage.js';
export { decision, type DecisionLines } from './decision/decision.js';
export { decisionCost } from './decision/decision-cost.js';
export * from './mix/index.js';
export { orderOption, orderQuantities, type OrderOption } from './order-quantity.js';

/** The calculations of this room whose figures can be asked for by key. */
export const PLANNING_CALCULATIONS: readonly Calculation<unknown>[] = [
  candidateSale,
  breakEvenOfBook,
  breakEvenOfCash,
  breakEvenOfShare,
  breakEvenSteps,
  breakEvenOfStep,
  coverage,
  periodCosts,
  materialNeed,
  orderQuantities,
  orderOption,
  productMonth,
  periodProfit,
  finishedStock,
  decision,
  decisionCost,
  ...MIX_CALCULATIONS,
];
