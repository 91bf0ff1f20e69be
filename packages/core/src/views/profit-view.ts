import { periodProfit, plannedProducts, productMonth } from '../planning/index.js';
import type { Evaluation } from '../sheet/index.js';
import { type FigureView, shownAll } from './figure-view.js';

const STATEMENT = [
  ...(['revenue', 'variableCost', 'contribution', 'fixedProduction', 'fixedOther', 'marginal'] as const),
  ...(['fixedInSold', 'underAbsorbed', 'absorption', 'intoStock', 'difference'] as const),
] as const;
const OF_PRODUCT = [...(['sold', 'made', 'stockChange', 'fixedInUnit', 'contribution', 'intoStock'] as const)] as const;

/** The profit of a planned month under both costings, and the products that make it. */
export interface ProfitView extends Readonly<Record<(typeof STATEMENT)[number], FigureView>> {
  readonly products: readonly (Readonly<Record<(typeof OF_PRODUCT)[number], FigureView>> & {
    readonly id: string;
    readonly name: string;
  })[];
}

/** Marginal and absorption profit of a planned month; the id is its first day. */
export function profitView(evaluation: Evaluation, month: string): ProfitView {
  return {
    ...shownAll(evaluation, periodProfit, month, STATEMENT),
    products: plannedProducts(evaluation.sheet).map(({ id, name }) => ({
      id,
      name,
      ...shownAll(evaluation, productMonth, `${id}@${month}`, OF_PRODUCT),
    })),
  };
}
