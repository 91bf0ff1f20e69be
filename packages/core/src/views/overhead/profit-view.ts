import type { Figure } from '../../figure/index.js';
import { finishedStock, periodProfit, plannedProducts, productMonth } from '../../planning/index.js';
import type { Calculation, Evaluation } from '../../sheet/index.js';
import { type FigureView, shownAll } from '../general/figure-view.js';

const STATEMENT = [
  ...(['revenue', 'variableCost', 'contribution', 'fixedProduction', 'fixedOther', 'marginal'] as const),
  ...(['fixedInSold', 'underAbsorbed', 'absorption', 'intoStock', 'difference'] as const),
] as const;
const OF_PRODUCT = [...(['sold', 'made', 'stockChange', 'fixedInUnit', 'contribution', 'intoStock'] as const)] as const;

const STOCK = ['opening', 'closing', 'closingValue'] as const;
type StockFigures = Readonly<Record<(typeof STOCK)[number], Figure>>;

/** The profit of a planned month under both costings, and the products that make it. */
export interface ProfitView extends Readonly<Record<(typeof STATEMENT)[number], FigureView>> {
  readonly products: readonly (Readonly<Record<(typeof OF_PRODUCT)[number], FigureView>> & {
    readonly id: string;
    readonly name: string;
    /** Null where no finished stock is entered. */
    readonly stock: Readonly<Record<(typeof STOCK)[number], FigureView>> | null;
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
      stock:
        evaluation.read(finishedStock, `${id}@${month}`).opening === null
          ? null
          : shownAll(evaluation, finishedStock as Calculation<StockFigures>, `${id}@${month}`, STOCK),
    })),
  };
}
