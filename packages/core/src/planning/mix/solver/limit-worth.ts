import type { MixModel } from '../mix-model.js';
import { type CurvePoint, keepsUntil, type PointAt, slopeTowards } from './curve.js';
import { isNothing, settledOr } from './noise.js';
import type { ProgramRow } from './program.js';
import type { Session } from './session.js';
import { settled, type Solved } from './solved.js';

/** What one more of a limit is worth, by the goal. */
export interface LimitWorth {
  /** The place of the resource or the total in the model. */
  readonly at: number;
  /** What one more brings, and what one less takes away. They differ at a kink: there the optimum is degenerate. */
  readonly up: number;
  readonly down: number;
  /** What ten more bring together, as far as they bring anything. */
  readonly ofTen: number;
  /** True at a kink: the two differ there. */
  readonly isKink: boolean;
  /** As little of it and as much of it as both hold for; null where they hold without end. */
  readonly from: number | null;
  readonly until: number | null;
  /** What of it the best mix leaves; zero where it binds. */
  readonly left: number;
  /** The normal price that the contributions hold, and what one more is worth above it; null by a goal that is not money. */
  readonly mostToPay: number | null;
  /** What one more of it changes: by how much of a product, what each brings, and both multiplied. */
  readonly changes: readonly LimitChange[];
  /** What one more brings beside those changes: extra that need not be had, or is had more. */
  readonly byExtra: number;
}

/** A product of which one more of a limit makes more or less. */
export interface LimitChange {
  readonly product: number;
  readonly by: number;
  readonly each: number;
  readonly together: number;
}

/** The goal as something of which more is better. */
export const asGain = ({ program }: Session, amount: number): number => (program.model.isLeast ? -amount : amount);

export const rowOf = ({ program }: Session, row: number): ProgramRow => program.rows[row] as ProgramRow;

/** The limit of a row as people know it. */
export function limitOfRow(session: Session, row: number): number {
  const { upper, lower, scale } = rowOf(session, row);
  return (Number.isFinite(upper) ? upper : lower) * scale;
}

const pointOf = (session: Session, row: number, at: number, { goal, rowDuals }: Solved): CurvePoint => ({
  at,
  value: asGain(session, goal),
  slope: asGain(session, rowDuals[row] ?? 0),
});

/** The goal against the limit of a row, wherever something fits. */
export function goalByLimit(session: Session, row: number): PointAt {
  return (at) => {
    const solved = session.withLimit(row, at);
    return solved.status === 'best' ? pointOf(session, row, at, solved) : null;
  };
}

/** How much of the limit of a row a mix takes. */
function activityOf(session: Session, row: number, values: readonly number[]): number {
  const { columns, values: coefficients, scale } = rowOf(session, row);
  return columns.reduce((so, column, index) => so + (coefficients[index] ?? 0) * (values[column] ?? 0), 0) * scale;
}

/** The end of the curve of a limit towards less of it: as little as something fits with. Null where that is where it stands. */
export function lowEnd(session: Session, row: number): CurvePoint | null {
  const { upper, scale } = rowOf(session, row);
  const least = Number.isFinite(upper) ? session.extremeOf(row, 'least') : 0;
  if (least === null) return null;
  // A hair above: at the very end floats may find that nothing fits.
  const at = Math.max(0, least + scale * 1e-7);
  return at < limitOfRow(session, row) ? goalByLimit(session, row)(at) : null;
}

/** Its end towards more: from where more brings nothing, or as much as something fits with. */
export function highEnd(session: Session, row: number): CurvePoint | null {
  const { lower, scale } = rowOf(session, row);
  const limit = limitOfRow(session, row);
  const pointAt = goalByLimit(session, row);
  if (Number.isFinite(lower)) {
    const most = session.extremeOf(row, 'most');
    const at = most === null ? limit * 1000 + scale : most - scale * 1e-7;
    return at > limit ? pointAt(at) : null;
  }
  const without = session.withLimit(row, null);
  if (without.status !== 'best') return pointAt(limit * 1000 + scale);
  return pointAt(Math.max(limit, activityOf(session, row, without.values)) + scale);
}

/** What one more and one less of the limit of a row are worth at the best mix, and for how much of it. */
export function limitWorth(session: Session, best: Solved, row: number): LimitWorth {
  const { at, of } = rowOf(session, row);
  const limit = limitOfRow(session, row);
  const left = limit - activityOf(session, row, best.values);
  if (of === 'resource' && !isNothing(left, limit)) return slack(at, limit - left, left);
  const now = pointOf(session, row, limit, best);
  const more = sideOf(session, row, now, highEnd(session, row));
  const less = sideOf(session, row, now, lowEnd(session, row));
  const changes = changesOf(session, best, row, limit, more.until);
  const brought = changes.reduce((so, { together }) => so + together, 0);
  return {
    at,
    up: settled(more.slope),
    down: settled(less.slope),
    left: 0,
    changes,
    ofTen: ofTenMore(session, now, row, limit),
    isKink: !isNothing(more.slope - less.slope, Math.max(Math.abs(more.slope), Math.abs(less.slope))),
    from: settledOr(less.until),
    until: settledOr(more.until),
    mostToPay: of === 'resource' ? mostToPay(session.program.model, at, more.slope) : null,
    byExtra: settled(asGain(session, more.slope) - brought),
  };
}

const slack = (at: number, used: number, left: number): LimitWorth => ({
  at,
  up: 0,
  down: 0,
  ofTen: 0,
  isKink: false,
  from: settled(used),
  until: null,
  left: settled(Math.max(0, left)),
  mostToPay: null,
  changes: [],
  byExtra: 0,
});

/** The slope on one side, and until where it holds: where the curve ends at once, nothing is worth anything there. */
function sideOf(session: Session, row: number, now: CurvePoint, end: CurvePoint | null) {
  if (end === null) return { slope: 0, until: now.at };
  const pointAt = goalByLimit(session, row);
  const slope = slopeTowards(pointAt, now, end);
  const until = keepsUntil(pointAt, { ...now, slope }, end);
  return { slope, until: until ?? (end.at < now.at ? end.at : null) };
}

/** The goal with ten more of a limit less that of today; nothing where it cannot be so much. */
function ofTenMore(session: Session, now: CurvePoint, row: number, limit: number): number {
  const more = goalByLimit(session, row)(limit + 10);
  return more === null ? 0 : settled(more.value - now.value);
}

/** By a goal that is money: the normal price, and what one more is worth above it. */
function mostToPay({ goal, resources }: MixModel, at: number, up: number): number | null {
  if (goal === 'units' || goal === 'revenue' || isNothing(up)) return null;
  return settled((resources[at]?.normalPrice ?? 0) + up);
}

/** What one more of a limit changes in the mix: a small step is taken, and counted for one. */
function changesOf(session: Session, best: Solved, row: number, limit: number, until: number | null): LimitChange[] {
  const step = Math.min(1, until === null || until <= limit ? 1 : (until - limit) / 2);
  const moved = session.withLimit(row, limit + step);
  if (moved.status !== 'best') return [];
  return best.quantities.flatMap((quantity, product) => {
    const by = settled(((moved.quantities[product] ?? 0) - quantity) / step);
    const each = session.program.model.products[product]?.gain ?? 0;
    return isNothing(by, quantity * 1e-2) ? [] : [{ product, by, each, together: settled(by * each) }];
  });
}
