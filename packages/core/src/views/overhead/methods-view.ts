import { fullCostBy } from '../../costing/index.js';
import { isWhole } from '../../figure/index.js';
import { compared, type Decimal, ZERO } from '../../number/index.js';
import { methodOf, methodOfTheBook, overheadTotals, STANDARD_METHOD } from '../../overhead/index.js';
import { plannedSales, plannedUnits } from '../../production/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, figureView, shown, shownAll } from '../general/figure-view.js';
import { lotViews, type LotView, type UnassignedView, unassignedViews } from './overhead-view.js';

/** More methods do not stand beside each other. */
export const MOST_METHODS = 4;

export interface MethodView extends Readonly<Record<'toAssign' | 'assigned' | 'unused' | 'unassigned', FigureView>> {
  readonly id: string;
  readonly name: string;
  readonly isOfBook: boolean;
  readonly lots: readonly LotView[];
  readonly left: readonly UnassignedView[];
}

/** A product under each method. */
export interface ProductByMethod {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  readonly planned: FigureView;
  /** In the order of the methods. */
  readonly overhead: readonly FigureView[];
  readonly fullCost: readonly FigureView[];
  /** What each method makes of the full cost more than the first one; exact, null where one of the two is not whole. */
  readonly more: readonly (string | null)[];
  readonly morePercent: readonly (string | null)[];
}

export interface MethodsView {
  readonly methods: readonly MethodView[];
  /** Those first whose cost differs most, by the share of the first method's cost. */
  readonly products: readonly ProductByMethod[];
}

/**
 * Up to four methods beside each other; the id names them between commas, the first is what the others are compared with.
 * Without names: the method of the book and those after it.
 */
export function methodsView(evaluation: Evaluation, id: string): MethodsView {
  const ids = methodIds(evaluation, id);
  const { sheet } = evaluation;
  const ofBook = methodOfTheBook(sheet);
  const products = sheet
    .all('product')
    .filter((product) => !product.archived && plannedSales(sheet, product.id).length > 0)
    .map((product) => byMethod(evaluation, product.id, ids));
  return {
    methods: ids.map((methodId) => ({
      id: methodId,
      name: methodOf(sheet, methodId).name,
      isOfBook: methodId === ofBook,
      ...shownAll(evaluation, overheadTotals, methodId, ['toAssign', 'assigned', 'unused', 'unassigned']),
      lots: lotViews(evaluation, methodId),
      left: unassignedViews(evaluation, methodId),
    })),
    products: products.sort((one, other) => compared(furthest(other), furthest(one))).map(({ product }) => product),
  };
}

/** The methods of the id that there are, or the method of the book and the others in their order. */
export function methodIds({ sheet }: Evaluation, id: string): string[] {
  const named = id
    .split(',')
    .filter((each) => each === STANDARD_METHOD || sheet.row('costingMethod', each) !== undefined);
  if (named.length > 0) return [...new Set(named)].slice(0, MOST_METHODS);
  const ofBook = methodOfTheBook(sheet);
  const others = sheet
    .all('costingMethod')
    .map((row) => row.id)
    .filter((each) => each !== ofBook);
  return [ofBook, ...others].slice(0, MOST_METHODS);
}

interface Compared {
  readonly product: ProductByMethod;
  readonly shares: readonly (Decimal | null)[];
}

function byMethod(evaluation: Evaluation, productId: string, methodIds: readonly string[]): Compared {
  const { sheet } = evaluation;
  const product = sheet.row('product', productId);
  const figures = methodIds.map((methodId) => evaluation.read(fullCostBy, `${productId}@${methodId}`).fullCost);
  const [first] = figures;
  const apart = figures.map((figure) =>
    first !== undefined && isWhole(first) && isWhole(figure) ? figure.amount.minus(first.amount) : null,
  );
  const shares = apart.map((more) =>
    more === null || first?.amount == null || first.amount.lte(0) ? null : more.div(first.amount).mul(100),
  );
  const of = (member: 'overhead' | 'fullCost') =>
    methodIds.map((methodId) => shown(evaluation, fullCostBy, `${productId}@${methodId}`, member));
  return {
    shares,
    product: {
      id: productId,
      name: product?.name ?? '',
      unit: product?.outputUnit ?? 'each',
      planned: figureView(plannedUnits(sheet, productId)),
      overhead: of('overhead'),
      fullCost: of('fullCost'),
      more: apart.map((each) => each?.toFixed() ?? null),
      morePercent: shares.map((each) => each?.toFixed() ?? null),
    },
  };
}

const furthest = ({ shares }: Compared): Decimal =>
  shares.reduce<Decimal>((so, each) => (each !== null && each.abs().gt(so) ? each.abs() : so), ZERO);
