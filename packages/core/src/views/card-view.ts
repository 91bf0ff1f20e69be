import type { Evaluation } from '../evaluate/evaluation.js';
import { fullCost } from '../overhead/index.js';
import {
  batch,
  ELEMENT_LABELS,
  ELEMENTS,
  labourHours,
  labourStepCost,
  lineCost,
  otherCost,
  productCost,
} from '../production/index.js';
import { sharesInPercent } from '../number/index.js';
import { isWhole, type Figure } from '../figure/index.js';
import { figureView, type FigureView } from './figure-view.js';

/** One line of a cost card: an element or a subtotal, per unit and per batch, with its share of the full cost. */
export interface CardLine {
  readonly id: string;
  readonly label: string;
  readonly term: string;
  readonly subtotal: boolean;
  readonly perUnit: FigureView;
  readonly perBatch: FigureView | null;
  readonly share: string | null;
}

export interface CardView {
  readonly lines: readonly CardLine[];
  readonly withoutLabour: FigureView;
  readonly hoursPerUnit: FigureView;
  readonly good: FigureView;
  /** The cost of each bill line, labour step and other cost for one batch, by the id of its row. */
  readonly rowCosts: Readonly<Record<string, FigureView>>;
}

/** The cost card of a product. The shares of the elements and the running costs sum to exactly 100.0 %. */
export function cardView(evaluation: Evaluation, productId: string): CardView {
  const cost = evaluation.read(productCost, productId);
  const full = evaluation.read(fullCost, productId);
  const shared = [...ELEMENTS.map((element) => cost[element]), full.overhead];
  const shares = shared.every(isWhole)
    ? sharesInPercent(shared.map((figure) => figure.amount as NonNullable<Figure['amount']>))
    : null;
  const line = (
    id: string,
    label: string,
    term: string,
    subtotal: boolean,
    perUnit: Figure,
    perBatch: Figure | null,
    share: string | null,
  ): CardLine => ({
    id,
    label,
    term,
    subtotal,
    perUnit: figureView(perUnit),
    perBatch: perBatch && figureView(perBatch),
    share,
  });
  const elements = ELEMENTS.map((element, index) =>
    line(
      element,
      ELEMENT_LABELS[element],
      element === 'other' ? 'direct expenses' : '',
      false,
      cost[element],
      cost[`${element}PerBatch`],
      shares?.[index] ?? null,
    ),
  );
  return {
    lines: [
      ...elements,
      line('primeCost', 'Cost by itself', 'prime cost', true, cost.primeCost, cost.primeCostPerBatch, null),
      line(
        'overhead',
        'Share of running costs',
        'absorbed overhead',
        false,
        full.overhead,
        null,
        shares?.[ELEMENTS.length] ?? null,
      ),
      line(
        'fullCost',
        'Full cost',
        'full cost',
        true,
        full.fullCost,
        full.fullCostPerBatch,
        shares === null ? null : '100.0',
      ),
    ],
    withoutLabour: figureView(cost.withoutLabour),
    hoursPerUnit: figureView(evaluation.read(labourHours, productId).perUnit),
    good: figureView(evaluation.read(batch, productId).good),
    rowCosts: rowCosts(evaluation, productId),
  };
}

function rowCosts(evaluation: Evaluation, productId: string): Record<string, FigureView> {
  const { sheet } = evaluation;
  return Object.fromEntries([
    ...sheet
      .rowsOf('billLine', 'productId', productId)
      .map((row) => [row.id, figureView(evaluation.read(lineCost, row.id).total)]),
    ...sheet
      .rowsOf('labourStep', 'productId', productId)
      .map((row) => [row.id, figureView(evaluation.read(labourStepCost, row.id).cost)]),
    ...sheet
      .rowsOf('otherCost', 'productId', productId)
      .map((row) => [row.id, figureView(evaluation.read(otherCost, row.id).perBatch)]),
  ]);
}
