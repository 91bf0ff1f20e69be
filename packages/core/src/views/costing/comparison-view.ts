import {
  type CardComparison,
  type ComparedLine,
  componentOf,
  countedIn,
  frozenComparison,
  productComparison,
  savedLines,
} from '../../costing/index.js';
import { type Figure, isWhole } from '../../figure/index.js';
import { compared } from '../../number/index.js';
import { unit } from '../../quantity/index.js';
import type { Calculation, Evaluation } from '../../sheet/index.js';
import { type FigureView, figureView, shownAll } from '../general/figure-view.js';

interface SideView {
  readonly quantity: FigureView;
  readonly price: FigureView;
}

export interface ComparedLineView extends Pick<ComparedLine, 'source' | 'element' | 'label'> {
  /** What the quantities are counted in; empty for what stands on a card once. */
  readonly unit: string;
  readonly before: SideView | null;
  readonly now: SideView | null;
  readonly quantityEffect: FigureView;
  readonly priceEffect: FigureView;
  readonly effect: FigureView;
  /** Under which the comparison of what is inside a component can be asked for; null where nothing of it was saved. */
  readonly inside: string | null;
  /** False where both effects are nothing but what rounding at the freezing left. */
  readonly hasMoved: boolean;
}

export interface ComparisonView extends Readonly<
  Record<'before' | 'now' | 'quantityEffects' | 'priceEffects' | 'difference', FigureView>
> {
  readonly lines: readonly ComparedLineView[];
}

/**
 * A saved card against the card of now, line by line, in the order of the card; of "card@component" what is inside one
 * unit of a component.
 */
export function frozenView(evaluation: Evaluation, id: string): ComparisonView {
  const { sheet } = evaluation;
  const [cardId = '', within = ''] = id.split('@');
  const productId = within === '' ? (sheet.row('frozenCard', cardId)?.productId ?? '') : componentOf(within);
  const { lines } = evaluation.read(frozenComparison, id);
  const insideOf = ({ source }: ComparedLine) =>
    componentOf(source) !== '' && savedLines(sheet, cardId, source).length > 0 ? `${cardId}@${source}` : null;
  return { ...totals(evaluation, frozenComparison, id), lines: linesView(evaluation, productId, lines, insideOf) };
}

/** One product against another ("product@other"), those lines first that make the most of the difference. */
export function againstView(evaluation: Evaluation, id: string): ComparisonView {
  const { lines } = evaluation.read(productComparison, id);
  const [productId = ''] = id.split('@');
  const largestFirst = [...lines].sort(largestEffectFirst);
  return {
    ...totals(evaluation, productComparison, id),
    lines: linesView(evaluation, productId, largestFirst, () => null),
  };
}

/** What is not known stands first: it may be the largest. */
function largestEffectFirst({ effect: one }: ComparedLine, { effect: other }: ComparedLine): number {
  if (!isWhole(one) || !isWhole(other)) return Number(isWhole(one)) - Number(isWhole(other));
  return compared(other.amount.abs(), one.amount.abs());
}

const totals = (evaluation: Evaluation, comparison: Calculation<CardComparison>, id: string) =>
  shownAll(evaluation, comparison, id, ['before', 'now', 'quantityEffects', 'priceEffects', 'difference']);

function linesView(
  evaluation: Evaluation,
  productId: string,
  lines: readonly ComparedLine[],
  insideOf: (line: ComparedLine) => string | null,
): ComparedLineView[] {
  const output = unit(evaluation.sheet.row('product', productId)?.outputUnit ?? 'each');
  return lines.map((line) => ({
    source: line.source,
    element: line.element,
    label: line.label,
    unit: countedIn(line, output),
    before: sideView(line.before),
    now: sideView(line.now),
    quantityEffect: figureView(line.quantityEffect),
    priceEffect: figureView(line.priceEffect),
    effect: figureView(line.effect),
    inside: insideOf(line),
    hasMoved: [line.quantityEffect, line.priceEffect].some(isSomething),
  }));
}

const sideView = (side: ComparedLine['before']): SideView | null =>
  side && { quantity: figureView(side.quantity), price: figureView(side.price) };

const isSomething = ({ amount }: Figure) => amount === null || !amount.toDecimalPlaces(8).isZero();
