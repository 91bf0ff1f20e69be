import type { MixModel } from '../mix-model.js';
import type { CurvePoint, PointAt } from './curve.js';
import type { ProgramColumn, ProgramRow } from './program.js';
import type { Bound, Session } from './session.js';
import type { Solved } from './solved.js';

/** A limit that can be made more or less of: of a resource or a total, or the most and the least of one product. */
export interface MovableLimit {
  readonly of: 'resource' | 'total' | 'most' | 'least';
  /** The place of the resource, the total or the product in the model. */
  readonly at: number;
}

/**
 * A limit of a program as a curve: the goal against how much of it there is. The curve is in sizes of its own, so that limits of a
 * millionth and of a milliard look alike: amounts by `scale`, the goal by `worth`.
 */
export interface MovedLimit extends MovableLimit {
  /** Where it stands, as people know it. */
  readonly limit: number;
  /** One of the curve in what people count. */
  readonly scale: number;
  /** One of the curve in what the goal counts. */
  readonly worth: number;
  readonly pointAt: PointAt;
  readonly solvedAt: (amount: number | null) => Solved;
  /** The row or the column that it belongs to. */
  readonly bound: Bound;
  /** How much of it a mix takes. */
  readonly takenBy: (solved: Solved) => number;
  /** How much a mix makes of each product, with all digits of the solver. */
  readonly quantitiesIn: (solved: Solved) => readonly number[];
  readonly pointOf: (at: number, solved: Solved) => CurvePoint;
  readonly lowEnd: () => CurveEnd | null;
  readonly highEnd: () => CurveEnd | null;
}

/** Where a curve ends: a point of it, and from where on no mix fits; null where mixes fit beyond it too. */
export interface CurveEnd {
  readonly point: CurvePoint;
  readonly nothingFitsFrom: number | null;
}

/** The goal as something of which more is better. */
export const asGain = ({ isLeast }: MixModel, amount: number): number => (isLeast ? -amount : amount);

/** So far from the very end: there floats may find that nothing fits. */
const HAIR = 1e-7;

/** A limit of the program of a session, ready to be moved; null where there is none. */
export function movedLimit(session: Session, { of, at }: MovableLimit): MovedLimit | null {
  const bound = boundOf(session, { of, at });
  if (bound === null) return null;
  const { program } = session;
  const { worth } = program;
  const holder = (bound.of === 'row' ? program.rows : program.columns)[bound.index] as ProgramRow | ProgramColumn;
  const stands = bound.side === 'lower' ? holder.lower : holder.upper;
  const size = bound.of === 'column' ? Math.abs(stands) || 1 : 1;
  const scale = size * ('scale' in holder ? holder.scale : holder.step);
  const solvedAt = (amount: number | null) => session.withLimit(bound, amount === null ? null : amount * size);
  const takenBy = ({ values }: Solved) => activityOf(session, bound, values) / size;
  const pointOf = (place: number, solved: Solved): CurvePoint => ({
    at: place,
    value: asGain(program.model, solved.goal) / worth,
    slope: (slopeOf(session, bound, place * size, solved) * scale) / worth,
  });
  const pointAt: PointAt = (place) => {
    const solved = solvedAt(place);
    return solved.status === 'best' ? pointOf(place, solved) : null;
  };
  const extreme = (end: 'least' | 'most') => {
    const found = session.extremeOf(bound, end);
    return found === null ? null : found / size;
  };
  const quantitiesIn = ({ values }: Solved) => rawQuantities(session, values);
  const limit = (stands / size) * scale;
  const curve = { of, at, bound, limit, scale, worth, pointAt, solvedAt, takenBy, quantitiesIn, pointOf };
  return { ...curve, ...endsOf(curve, extreme) };
}

/** Where the curve of a limit ends. */
function endsOf(
  { of, bound, limit, scale, pointAt, solvedAt, takenBy }: Omit<MovedLimit, 'lowEnd' | 'highEnd'>,
  extreme: (end: 'least' | 'most') => number | null,
): Pick<MovedLimit, 'lowEnd' | 'highEnd'> {
  const now = limit / scale;
  const endAt = (place: number, nothingFitsFrom: number | null): CurveEnd | null => {
    const point = pointAt(place);
    return point === null ? null : { point, nothingFitsFrom };
  };
  const endWithout = (turn: 1 | -1): CurveEnd | null => {
    const without = solvedAt(null);
    const reached = without.status === 'best' ? takenBy(without) : turn * (Math.abs(now) * 1000 + 1);
    return endAt(turn * Math.max(turn * now, turn * reached) + turn, null);
  };
  return {
    lowEnd() {
      if (bound.side === 'lower') return of === 'least' ? endAt(0, null) : endWithout(-1);
      // Mostly something fits with nothing of it.
      const none = of === 'total' ? null : endAt(HAIR, null);
      if (none !== null) return none;
      const least = extreme('least');
      return least === null || least + HAIR >= now ? null : endAt(least + HAIR, least);
    },
    highEnd() {
      if (bound.side === 'upper') return endWithout(1);
      const most = extreme('most');
      if (most === null) return endAt(Math.abs(now) * 1000 + 1, null);
      return most - HAIR <= now ? null : endAt(most - HAIR, most);
    },
  };
}

function boundOf({ program: { rows, columns, model } }: Session, { of, at }: MovableLimit): Bound | null {
  if (of === 'resource' || of === 'total') {
    const index = rows.findIndex((row) => row.of === of && row.at === at);
    if (index === -1) return null;
    const rule = of === 'resource' ? 'at most' : model.totals[at]?.rule;
    return { of: 'row', index, side: rule === 'at most' ? 'upper' : rule === 'at least' ? 'lower' : 'both' };
  }
  const index = columns.findIndex((column) => column.of === 'quantity' && column.at === at);
  return index === -1 ? null : { of: 'column', index, side: of === 'most' ? 'upper' : 'lower' };
}

/** How much of a limit a mix takes, in the units of the program. */
function activityOf({ program }: Session, { of, index }: Bound, values: readonly number[]): number {
  if (of === 'column') return values[index] ?? 0;
  const { columns, values: coefficients } = program.rows[index] as ProgramRow;
  return columns.reduce((so, column, place) => so + (coefficients[place] ?? 0) * (values[column] ?? 0), 0);
}

/** What the goal gains with one more of a limit, by the duals of a solve; nothing where the limit does not bind there. */
function slopeOf({ program }: Session, { of, index, side }: Bound, limit: number, solved: Solved): number {
  const dual = (of === 'row' ? solved.rowDuals : solved.columnDuals)[index] ?? 0;
  const gain = asGain(program.model, dual);
  const binds = of === 'row' || Math.abs((solved.values[index] ?? 0) - limit) <= HAIR * Math.max(1, Math.abs(limit));
  // More of what is at most so much never harms, nor does less of what is at least so much.
  if (!binds || (side === 'upper' && gain < 0) || (side === 'lower' && gain > 0)) return 0;
  return gain;
}

function rawQuantities({ program: { columns, model } }: Session, values: readonly number[]): number[] {
  const quantities = model.products.map(() => 0);
  columns.forEach(({ of, at, step }, index) => {
    if (of === 'quantity') quantities[at] = (values[index] ?? 0) * step;
  });
  return quantities;
}
