import type { Evaluation } from '../evaluate/evaluation.js';
import { costItems, frozenComparison, fullCost, type ComparedLine } from '../overhead/index.js';
import { isWhole, type Figure } from '../figure/index.js';
import { NUMBER, unit } from '../quantity/index.js';
import { figureView, figureViews, type FigureView } from './figure-view.js';

/** The lines under which the card of a product can be frozen now: what a frozen line holds, as it is stored. */
export interface FreezableView {
  readonly lines: readonly {
    readonly source: string;
    readonly element: string;
    readonly label: string;
    readonly quantity: string;
    readonly unit: string;
    readonly price: string;
  }[];
  /** What is missing, as sentences: a card with something missing cannot be frozen. */
  readonly missing: FigureView['gaps'];
}

/** At most as many decimals as a row may hold. */
const STORED_DECIMALS = 12;
const stored = (figure: Figure) => (figure.amount?.toDecimalPlaces(STORED_DECIMALS) ?? 0).toString();

export function freezableView(evaluation: Evaluation, productId: string): FreezableView {
  const output = unit(evaluation.sheet.row('product', productId)?.outputUnit ?? 'each');
  const items = costItems(evaluation.sheet, productId);
  return {
    lines: items
      .filter(({ quantity, price }) => isWhole(quantity) && isWhole(price))
      .map(({ source, element, label, quantity, price }) => ({
        source,
        element,
        label,
        quantity: stored(quantity),
        unit: quantity.unit === NUMBER ? '' : quantity.unit.times(output).text,
        price: stored(price),
      })),
    missing: figureView(evaluation.read(fullCost, productId).fullCost).gaps,
  };
}

interface SideView {
  readonly quantity: FigureView;
  readonly price: FigureView;
}

export interface FrozenLineView extends Pick<ComparedLine, 'source' | 'element' | 'label'> {
  readonly before: SideView | null;
  readonly now: SideView | null;
  readonly quantityEffect: FigureView;
  readonly priceEffect: FigureView;
  /** False where both effects are nothing but what rounding at the freezing left. */
  readonly hasMoved: boolean;
}

export interface FrozenView extends Readonly<
  Record<'before' | 'now' | 'quantityEffects' | 'priceEffects' | 'difference', FigureView>
> {
  readonly lines: readonly FrozenLineView[];
}

const isSomething = ({ amount }: Figure) => amount === null || !amount.toDecimalPlaces(8).isZero();

/** A frozen card against the card of now, line by line. */
export function frozenView(evaluation: Evaluation, cardId: string): FrozenView {
  const comparison = evaluation.read(frozenComparison, cardId);
  const side = (of: ComparedLine['before']): SideView | null =>
    of && { quantity: figureView(of.quantity), price: figureView(of.price) };
  return {
    ...figureViews(comparison, ['before', 'now', 'quantityEffects', 'priceEffects', 'difference']),
    lines: comparison.lines.map((line) => ({
      source: line.source,
      element: line.element,
      label: line.label,
      before: side(line.before),
      now: side(line.now),
      quantityEffect: figureView(line.quantityEffect),
      priceEffect: figureView(line.priceEffect),
      hasMoved: [line.quantityEffect, line.priceEffect].some(isSomething),
    })),
  };
}
