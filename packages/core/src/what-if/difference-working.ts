import type { Override } from '@nuvar/book';
import { type Figure, isWhole } from '../figure/index.js';
import { type Decimal, ZERO } from '../number/index.js';
import type { Evaluation } from '../sheet/index.js';
import { differencesBetween } from './differences.js';

/** An input that differs between two sides, and what that alone would do to a figure of the first. */
export interface ExplainingInput {
  readonly difference: Override;
  /** Null where the figure would not be known. */
  readonly effect: Decimal | null;
}

/** Why a figure is another on the other side. */
export interface DifferenceWorking {
  readonly before: Figure | null;
  readonly after: Figure | null;
  /** Those first that move it most. */
  readonly inputs: readonly ExplainingInput[];
  /** What they do together beyond what each does alone; null where that is not known. */
  readonly together: Decimal | null;
  /** How many more inputs differ than were looked at. */
  readonly more: number;
}

/** So many differences are tried one by one. */
const MOST_TRIED = 300;

/**
 * Takes the difference of one figure between two sides apart: each input that differs is laid over the first side alone, and
 * the figure is worked out again. Inputs that do nothing to it are left out.
 */
export function differenceWorking(one: Evaluation, other: Evaluation, key: string): DifferenceWorking {
  const [before, after] = [one.figure(key), other.figure(key)];
  const all = differencesBetween(one.rows, other.rows);
  const fork = one.fork([]);
  try {
    const inputs = all.slice(0, MOST_TRIED).map((difference): ExplainingInput => {
      fork.lay([difference]);
      return { difference, effect: effectOf(before, fork.figure(key)) };
    });
    const moving = inputs.filter(({ effect }) => effect === null || !effect.isZero());
    const sizeOf = ({ effect }: ExplainingInput) => effect?.abs() ?? ZERO;
    return {
      before,
      after,
      inputs: moving.sort((left, right) => sizeOf(right).cmp(sizeOf(left))),
      together: togetherOf(before, after, moving),
      more: Math.max(0, all.length - MOST_TRIED),
    };
  } finally {
    fork.end();
  }
}

/** Null where one of the two is not known, or counts less of what belongs to it than the other. */
function effectOf(before: Figure | null, after: Figure | null): Decimal | null {
  if (before?.amount == null || after?.amount == null || isWhole(before) !== isWhole(after)) return null;
  return after.amount.minus(before.amount);
}

function togetherOf(before: Figure | null, after: Figure | null, inputs: readonly ExplainingInput[]): Decimal | null {
  if (before?.amount == null || after?.amount == null || inputs.some(({ effect }) => effect === null)) return null;
  const alone = inputs.reduce((sum, { effect }) => sum.plus(effect ?? ZERO), ZERO);
  return after.amount.minus(before.amount).minus(alone);
}
