import type { Kind } from '@nuvar/book';
import { Decimal, decimal, ONE, roundToStep, ZERO } from '../number/index.js';
import type { Evaluation, Fork } from '../sheet/index.js';

/** An input that may move, between what limits, and to what step its value is rounded. */
export interface SoughtInput {
  readonly kind: Kind;
  readonly id: string;
  readonly field: string;
  readonly from: Decimal;
  readonly to: Decimal;
  readonly step: Decimal;
  /** What it is now. */
  readonly today: Decimal;
}

/** A figure that is sought, and what it should be. */
export interface Sought {
  /** The key of a published figure. */
  readonly key: string;
  readonly goal: Decimal;
  /** True where more of the figure is better, so that it may come out above its goal and not below. */
  readonly moreIsBetter: boolean;
}

/** A value of the input, and what the figure is there. */
export interface SoughtValue {
  readonly value: Decimal;
  readonly figure: Decimal;
}

export interface GoalFound {
  /** Every value in the range at which the goal is met, the nearest to today's first. */
  readonly values: readonly SoughtValue[];
  /** Where the figure jumps over its goal, and so never is it: the two sides of the jump. */
  readonly jumps: readonly (readonly [below: SoughtValue, above: SoughtValue])[];
  /** The value that comes nearest; of use where none meets the goal. Null where the figure is known nowhere. */
  readonly nearest: SoughtValue | null;
  /** True where the figure is the same whatever the input is. */
  readonly isUnmoved: boolean;
}

/** So many pieces the range is cut into at first: some by size around today's value, some of one width. */
const PIECES = 24;
/** A piece that is neither straight nor met is halved so often at most. */
const DEPTH = 40;
/** So often the figure is worked out at most. */
const MOST_TRIES = 4000;

/**
 * Finds the values of one input at which a figure reaches its goal. The range is cut into pieces; where the figure is a
 * straight line over a piece, the value is solved exactly; else the piece is halved, so that every kink and jump is come upon
 * and the goal is closed in. The value is rounded to the step of the field towards what is not worse, and worked out again.
 */
export function goalSeek(evaluation: Evaluation, input: SoughtInput, sought: Sought): GoalFound {
  const fork = evaluation.fork([]);
  try {
    return searched(curveOf(fork, input, sought.key), input, sought);
  } finally {
    fork.end();
  }
}

/** What the figure is at a value of the input; null where it is not known. */
type Curve = (value: Decimal) => Decimal | null;

function curveOf(fork: Fork, { kind, id, field }: SoughtInput, key: string): Curve {
  const known = new Map<string, Decimal | null>();
  let tries = 0;
  return (value) => {
    const text = value.toDecimalPlaces(12).toFixed();
    const before = known.get(text);
    if (before !== undefined) return before;
    if (++tries > MOST_TRIES) return null;
    fork.lay([{ kind, id, field, how: 'set', value: text }]);
    const amount = fork.figure(key)?.amount ?? null;
    known.set(text, amount);
    return amount;
  };
}

interface Piece {
  readonly left: Decimal;
  readonly right: Decimal;
}

/** A search under way: what was found so far, and the jumps over the goal. */
interface Search {
  readonly curve: Curve;
  readonly goal: Decimal;
  readonly found: Decimal[];
  readonly jumps: Piece[];
}

function searched(curve: Curve, input: SoughtInput, sought: Sought): GoalFound {
  const cuts = cutsOf(input);
  const search: Search = { curve, goal: sought.goal, found: [], jumps: [] };
  for (let index = 1; index < cuts.length; index += 1)
    seek(search, { left: cuts[index - 1] as Decimal, right: cuts[index] as Decimal }, 0);
  const at = (value: Decimal) => valueAt(curve, value);
  const all = cuts.flatMap(at);
  const met = distinct(search.found.flatMap((value) => settled(curve, value, input, sought)));
  const jumps = search.jumps.flatMap(({ left, right }) => {
    const [below, above] = [at(left)[0], at(right)[0]];
    return below === undefined || above === undefined ? [] : [[below, above] as const];
  });
  const overJumps = jumps.flatMap((sides) =>
    sides.filter(({ figure }) => isGood(figure, sought)).flatMap(({ value }) => settled(curve, value, input, sought)),
  );
  const distance = ({ value }: SoughtValue) => value.minus(input.today).abs();
  const off = ({ figure }: SoughtValue) => figure.minus(sought.goal).abs();
  return {
    values: (met.length > 0 ? met : distinct(overJumps)).sort((one, other) => distance(one).cmp(distance(other))),
    jumps,
    nearest: least([...all, ...jumps.flat()], off),
    isUnmoved: all.length > 0 && all.every(({ figure }) => figure.eq(all[0]?.figure ?? ZERO)),
  };
}

function valueAt(curve: Curve, value: Decimal): SoughtValue[] {
  const figure = curve(value);
  return figure === null ? [] : [{ value, figure }];
}

const isGood = (figure: Decimal, { goal, moreIsBetter }: Sought) =>
  moreIsBetter ? figure.gte(goal) : figure.lte(goal);

/** Where the range is cut: at its ends, at today's value, by size around that, and evenly. */
function cutsOf({ from, to, today }: SoughtInput): Decimal[] {
  const size = today.abs().gt(0) ? today.abs() : ONE;
  const bySize = Array.from({ length: PIECES }, (_none, index) => size.mul(new Decimal(2).pow(index / 2 - PIECES / 4)));
  const even = Array.from({ length: PIECES - 1 }, (_none, index) =>
    from.plus(
      to
        .minus(from)
        .mul(index + 1)
        .div(PIECES),
    ),
  );
  const inside = [...bySize, ...bySize.map((each) => each.neg()), ...even, today].filter(
    (each) => each.gt(from) && each.lt(to),
  );
  const sorted = [from, ...inside, to].map((each) => each.toDecimalPlaces(12)).sort((one, other) => one.cmp(other));
  return sorted.filter((each, index) => index === 0 || !each.eq(sorted[index - 1] as Decimal));
}

/** Goes through a piece of the range: straight over it, or halved until it is, or until what is left is a jump. */
function seek(search: Search, piece: Piece, depth: number): void {
  const { curve, goal, found } = search;
  const { left, right } = piece;
  const [atLeft, atRight] = [curve(left), curve(right)];
  found.push(...[left, right].filter((end) => curve(end)?.eq(goal)));
  if (isStraight(curve, piece)) {
    found.push(...crossing(piece, atLeft as Decimal, atRight as Decimal, goal));
    return;
  }
  const crosses = atLeft !== null && atRight !== null && atLeft.minus(goal).mul(atRight.minus(goal)).lt(0);
  halve(search, piece, depth, crosses);
}

function halve(search: Search, piece: Piece, depth: number, crosses: boolean): void {
  const { left, right } = piece;
  const middle = left.plus(right.minus(left).div(2)).toDecimalPlaces(12);
  if (depth >= DEPTH || middle.eq(left) || middle.eq(right)) {
    if (crosses && isClosed(search, piece)) search.found.push(left);
    else if (crosses) search.jumps.push(piece);
    return;
  }
  const halves = [
    { left, right: middle },
    { left: middle, right },
  ];
  // A curve that bends everywhere is only closed in where it crosses the goal; one kink or jump leaves one half straight.
  const isCurved = !halves.some((half) => isStraight(search.curve, half));
  if (depth >= CURVED && isCurved && !crosses) return;
  for (const half of halves) seek(search, half, depth + 1);
}

/** True for what is left of a curve about its goal: its two ends are one figure but for a hair. What jumps is far apart. */
function isClosed({ curve }: Search, { left, right }: Piece): boolean {
  const [atLeft, atRight] = [curve(left), curve(right)];
  if (atLeft === null || atRight === null) return false;
  return atLeft.minus(atRight).abs().lte(Decimal.max(atLeft.abs(), ONE).mul('1e-6'));
}

/** From that depth on, a piece that is not straight is taken for a curve that bends everywhere. */
const CURVED = 3;

/** Over less than that nothing can be told of a line: values are kept to twelve decimals. */
const NARROW = decimal('1e-9');

/** Off the middle, so that two kinks do not cancel out. */
const LOOKED_AT = ['0.37', '0.81'].map((each) => decimal(each));

function isStraight(curve: Curve, { left, right }: Piece): boolean {
  const [atLeft, atRight] = [curve(left), curve(right)];
  if (atLeft === null || atRight === null || right.minus(left).lt(NARROW)) return false;
  const scale = Decimal.max(atLeft.abs(), atRight.abs(), ONE);
  return LOOKED_AT.every((part) => {
    const value = left.plus(right.minus(left).mul(part)).toDecimalPlaces(12);
    const amount = curve(value);
    if (amount === null) return false;
    const share = value.minus(left).div(right.minus(left));
    const expected = atLeft.plus(atRight.minus(atLeft).mul(share));
    return amount.minus(expected).abs().lte(scale.mul('1e-20'));
  });
}

/** Where a straight piece meets the goal between its ends; nowhere, or in one place. */
function crossing({ left, right }: Piece, atLeft: Decimal, atRight: Decimal, goal: Decimal): Decimal[] {
  if (atLeft.minus(goal).mul(atRight.minus(goal)).gte(0)) return [];
  return [left.plus(right.minus(left).mul(goal.minus(atLeft)).div(atRight.minus(atLeft)))];
}

/** A value rounded to the step of its field towards what is not worse. Where neither side of the step does, it is kept to 12 decimals. */
function settled(curve: Curve, value: Decimal, { step, from, to }: SoughtInput, sought: Sought): SoughtValue[] {
  const [down, up] = [roundToStep(value, step, 'down'), roundToStep(value, step, 'up')];
  // Beyond a jump that lies on a step, the next step is the first that is not worse.
  const candidates = [down, up, down.minus(step), up.plus(step)]
    .filter((each) => each.gte(from) && each.lte(to))
    .flatMap((each) => valueAt(curve, each));
  const good = candidates.filter(({ figure }) => isGood(figure, sought));
  const best = least(good, ({ value: each }) => each.minus(value).abs());
  return best === null ? valueAt(curve, value.toDecimalPlaces(12)) : [best];
}

const distinct = (values: readonly SoughtValue[]) => [
  ...new Map(values.map((each) => [each.value.toFixed(), each])).values(),
];

function least<Each>(all: readonly Each[], sizeOf: (each: Each) => Decimal): Each | null {
  return all.reduce<Each | null>((best, each) => (best === null || sizeOf(each).lt(sizeOf(best)) ? each : best), null);
}
