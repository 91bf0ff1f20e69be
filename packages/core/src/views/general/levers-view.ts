import { fieldsOf, isKind, type FieldSpec, type Kind } from '@nuvar/book';
import { type Figure, slopes } from '../../figure/index.js';
import { compared, type Decimal, decimal, HUNDRED } from '../../number/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, figureView } from './figure-view.js';

/** An input that moves a figure, and by how much. */
export interface LeverView extends FigureView {
  readonly subject: string;
  /** Opens the input within the working of the figure. */
  readonly reference: string;
  /** The amount to which the input is moved: 1 % more, or 1 % less where more is out of bounds; a whole number by one. */
  readonly movedTo: string;
  /** By how much the figure then changes, worked out anew. */
  readonly effect: string;
}

/** Of so many more inputs than are shown the change is worked out: a slope ranks what rounds or goes in steps amiss. */
const SPARE = 3;
const MOST_DECIMALS = 12;
/** What moves a figure by less than this share of it moves nothing that anyone could see. */
const NOISE = '1e-9';

/**
 * The fields that move a figure most when each of them alone is moved by 1 %, the largest change first. The slopes say
 * which inputs come into question; the change itself is what the figure becomes with the other value, in its own unit.
 * Empty where the figure is not whole.
 */
export function leversOf(evaluation: Evaluation, key: string, most: number): LeverView[] {
  const figure = evaluation.figure(key);
  if (figure?.amount == null) return [];
  const candidates = slopes(figure)
    .map(({ input, slope }) => ({ input, size: slope.mul(input.amount ?? 0).abs() }))
    .filter(({ size }) => !size.isZero())
    .sort((one, other) => compared(other.size, one.size))
    .slice(0, most + SPARE);
  return candidates
    .flatMap(({ input }) => leverOf(evaluation, key, figure, input) ?? [])
    .sort((one, other) => compared(decimal(other.effect).abs(), decimal(one.effect).abs()))
    .slice(0, most);
}

function leverOf(evaluation: Evaluation, key: string, figure: Figure, input: Figure): LeverView | null {
  const { place, amount } = input;
  if (place?.id == null || !isKind(place.kind) || amount === null || figure.amount === null) return null;
  const spec = fieldsOf(place.kind).find(({ name }) => name === place.field);
  if (spec === undefined) return null;
  const movedTo = moved(spec, input.unit.text === '%', amount);
  const after = amountWith(evaluation, key, { kind: place.kind, id: place.id, field: place.field }, spec, movedTo);
  const effect = after?.minus(figure.amount);
  if (effect === undefined || effect.abs().lte(figure.amount.abs().mul(NOISE))) return null;
  return {
    ...figureView(input),
    subject: input.subject,
    reference: `${key}#${wayTo(figure, input).join('.')}`,
    movedTo: movedTo.toFixed(),
    effect: effect.toFixed(),
  };
}

/** 1 % more, or 1 % less where more than that would be out of bounds or more than all of it. */
function moved({ type, bounds }: FieldSpec, isPercent: boolean, amount: Decimal): Decimal {
  if (type === 'integer') return amount.plus(1);
  const more = amount.mul('1.01').toDecimalPlaces(MOST_DECIMALS);
  const isOut = bounds?.to !== undefined && more.gt(bounds.to);
  const isMoreThanAll = isPercent && amount.lte(HUNDRED) && more.gt(HUNDRED);
  return isOut || isMoreThanAll ? amount.mul('0.99').toDecimalPlaces(MOST_DECIMALS) : more;
}

/** What a figure is with another value in one field; undefined where it is none. */
function amountWith(
  evaluation: Evaluation,
  key: string,
  place: { readonly kind: Kind; readonly id: string; readonly field: string },
  { type }: FieldSpec,
  value: Decimal,
): Decimal | undefined {
  const fork = evaluation.fork([
    { ...place, how: 'set', value: type === 'integer' ? value.toNumber() : value.toFixed() },
  ]);
  try {
    const figure = fork.figure(key);
    return figure?.gaps.length === 0 ? (figure.amount ?? undefined) : undefined;
  } finally {
    fork.end();
  }
}

/** The way from a figure to one of those that it was made from, as the places of parts; the shortest of several. */
function wayTo(figure: Figure, sought: Figure): number[] {
  const seen = new Set<Figure>([figure]);
  let level: { readonly at: Figure; readonly way: number[] }[] = [{ at: figure, way: [] }];
  while (level.length > 0) {
    const found = level.find(({ at }) => at === sought);
    if (found !== undefined) return found.way;
    level = level.flatMap(({ at, way }) =>
      at.parts.flatMap((part, index) => {
        if (seen.has(part)) return [];
        seen.add(part);
        return [{ at: part, way: [...way, index] }];
      }),
    );
  }
  return [];
}
