import type { RowOf } from '@nuvar/book';
import { type Figure, figureKey, slopes } from '../../figure/index.js';
import { compared, type Decimal, decimal, HUNDRED } from '../../number/index.js';
import { pricePoint, salesPerMonth } from '../../selling/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, figureView, shown } from '../general/figure-view.js';
import { type MovableField, movableField } from '../general/movable-field.js';

/** An input at the two ends of its range, and what the profit is there. */
export interface MovingInput extends FigureView {
  readonly subject: string;
  /** "kind.id.field", by which a range of its own is kept. */
  readonly input: string;
  readonly place: { readonly kind: string; readonly id: string; readonly field: string };
  readonly low: { readonly percent: string; readonly amount: string; readonly result: string };
  readonly high: { readonly percent: string; readonly amount: string; readonly result: string };
}

export interface SensitivityView {
  /** What is moved: the profit of the planned month, or of a unit where nothing is planned. */
  readonly profit: FigureView;
  readonly inputs: readonly MovingInput[];
}

/** How far an input goes to either side until a range of its own is typed, in percent. */
export const USUAL_MOVE = '10';
const MOST_SHOWN = 12;
const SPARE = 4;

/** Which inputs move the profit of a price most, each moved alone to the ends of its range; the widest move first. */
export function sensitivityView(evaluation: Evaluation, pointId: string): SensitivityView {
  const perMonth = evaluation.read(salesPerMonth, pointId).profitPerMonth;
  const isMonth = perMonth.amount !== null && perMonth.gaps.length === 0;
  const figure = isMonth ? perMonth : evaluation.read(pricePoint, pointId).profit;
  const key = isMonth ? `salesPerMonth/${pointId}/profitPerMonth` : `pricePoint/${pointId}/profit`;
  const ranges = evaluation.sheet.rowsOf('inputRange', 'pricePointId', pointId);
  return {
    profit: isMonth
      ? shown(evaluation, salesPerMonth, pointId, 'profitPerMonth')
      : shown(evaluation, pricePoint, pointId, 'profit'),
    inputs: figure.amount === null ? [] : moved(evaluation, key, figure, ranges),
  };
}

function moved(
  evaluation: Evaluation,
  key: string,
  figure: Figure,
  ranges: readonly RowOf<'inputRange'>[],
): MovingInput[] {
  const widest = slopes(figure)
    .map(({ input, slope }) => ({ input, size: slope.mul(input.amount ?? 0).abs() }))
    .filter(({ input, size }) => !size.isZero() || isRanged(input, ranges))
    .sort((one, other) => compared(other.size, one.size))
    .slice(0, MOST_SHOWN + SPARE);
  const fork = evaluation.fork([]);
  try {
    return widest
      .flatMap(({ input }) => movedInput(fork, key, input, ranges) ?? [])
      .sort((one, other) => compared(widthOf(other), widthOf(one)))
      .slice(0, MOST_SHOWN);
  } finally {
    fork.end();
  }
}

const widthOf = ({ low, high }: MovingInput): Decimal => decimal(high.result).minus(low.result).abs();

const nameOf = ({ place }: Figure): string => (place === null ? '' : `${place.kind}.${place.id}.${place.field}`);
const isRanged = (input: Figure, ranges: readonly RowOf<'inputRange'>[]) =>
  ranges.some((range) => range.input === nameOf(input));

type Fork = ReturnType<Evaluation['fork']>;

function movedInput(
  fork: Fork,
  key: string,
  input: Figure,
  ranges: readonly RowOf<'inputRange'>[],
): MovingInput | null {
  const field = movableField(input);
  if (field === null) return null;
  const typed = ranges.find((range) => range.input === nameOf(input));
  const end = (percent: string) => movedTo(fork, key, field, percent);
  const [low, high] = [end(typed?.lowPercent ?? `-${USUAL_MOVE}`), end(typed?.highPercent ?? USUAL_MOVE)];
  if (low === null || high === null || low.result === high.result) return null;
  return {
    ...figureView(input, figureKey(input)),
    subject: input.subject,
    input: nameOf(input),
    low,
    high,
    place: field.place,
  };
}

function movedTo(fork: Fork, key: string, { place, amount, most }: MovableField, percent: string) {
  const wanted = amount.mul(decimal(percent).plus(HUNDRED)).div(HUNDRED).toDecimalPlaces(12);
  const within = most !== null && wanted.gt(most) ? most : wanted;
  fork.lay([{ ...place, how: 'set', value: within.toFixed() }]);
  const result = fork.figure(key);
  return result?.amount == null || result.gaps.length > 0
    ? null
    : { percent, amount: within.toFixed(), result: result.amount.toFixed() };
}
