import { fullCostBy } from '../../costing/index.js';
import { methodOf, productOverheadBy } from '../../overhead/index.js';
import { productCost } from '../../production/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, figureView, shown, shownAll } from '../general/figure-view.js';
import { methodIds } from '../overhead/methods-view.js';

/** One share of the overhead in a unit, as a line of a card. */
export interface OverheadLineView {
  readonly id: string;
  readonly label: string;
  readonly isProduction: boolean;
  readonly isVariable: boolean;
  readonly quantity: FigureView;
  readonly rate: FigureView;
  readonly cost: FigureView;
}

/** The card of a product under one method. */
export interface CardByMethod {
  readonly id: string;
  readonly name: string;
  readonly items: readonly OverheadLineView[];
  readonly overhead: FigureView;
  readonly fullCost: FigureView;
}

export interface CardByMethodView {
  readonly productId: string;
  readonly name: string;
  readonly primeCost: FigureView;
  readonly beforeOverhead: FigureView;
  readonly methods: readonly CardByMethod[];
}

/** The cost card of a product under several methods; the id is "product@method,method". */
export function cardByMethodView(evaluation: Evaluation, id: string): CardByMethodView {
  const [productId = '', named = ''] = id.split('@');
  return {
    productId,
    name: evaluation.sheet.row('product', productId)?.name ?? '',
    primeCost: shown(evaluation, productCost, productId, 'primeCost'),
    beforeOverhead: shown(evaluation, productCost, productId, 'variableCost'),
    methods: methodIds(evaluation, named).map((methodId) => cardOf(evaluation, productId, methodId)),
  };
}

function cardOf(evaluation: Evaluation, productId: string, methodId: string): CardByMethod {
  const key = `${productId}@${methodId}`;
  const { items } = evaluation.read(productOverheadBy, key);
  return {
    id: methodId,
    name: methodOf(evaluation.sheet, methodId).name,
    items: items.map(({ lot, bearing, quantity, rate, cost }) => ({
      id: bearing.id,
      label: bearing.label,
      isProduction: lot.use === 'production',
      isVariable: lot.isVariable,
      quantity: figureView(quantity),
      rate: figureView(rate),
      cost: figureView(cost, ''),
    })),
    ...shownAll(evaluation, fullCostBy, key, ['overhead', 'fullCost']),
  };
}
