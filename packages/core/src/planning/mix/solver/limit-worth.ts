import type { MixModel } from '../mix-model.js';
import { keepsUntil, slopeTowards } from './curve.js';
import { asGain, type CurveEnd, type MovableLimit, type MovedLimit, movedLimit } from './moved-limit.js';
import { isNothing, settledTo } from './noise.js';
import type { Session } from './session.js';
import type { Range, SharpRanges } from './sharp-ranges.js';
import { settled, type Solved } from './solved.js';

/** What one more and one less of a limit are worth at the best mix, by the goal. */
export interface OneMore extends MovableLimit {
  /** Where the limit stands. */
  readonly limit: number;
  /** What one more brings, and what one less takes away; null where no mix fits then. They differ at a kink: there the optimum is degenerate. */
  readonly up: number | null;
  readonly down: number | null;
  /** True at a kink: the two differ there. */
  readonly isKink: boolean;
  /** What one more of it changes: by how much of a product, what each brings, and both multiplied. */
  readonly changes: readonly LimitChange[];
  /** What one more brings beside those changes: extra that need not be had, or is had more. */
  readonly byExtra: number;
}

/** What one more of a resource or a total is worth, for how much of it, and how much of it is left. */
export interface LimitWorth extends OneMore {
  /** What ten more bring together; null where no mix fits then. */
  readonly ofTen: number | null;
  /** As little of it and as much of it as both hold for; null where they hold as far as mixes fit. */
  readonly from: number | null;
  readonly until: number | null;
  /** With less than this, and with more than this, no mix fits; null where mixes fit with any. */
  readonly fitsFrom: number | null;
  readonly fitsUntil: number | null;
  /** What of it the best mix leaves; zero where it binds. */
  readonly left: number;
  /** The normal price that the contributions hold, and what one more is worth above it; null by a goal that is not money. */
  readonly mostToPay: number | null;
}

/** A product of which one more of a limit makes more or less. */
export interface LimitChange {
  readonly product: number;
  readonly by: number;
  readonly each: number;
  readonly together: number;
}

/** What one more and one less of a limit are worth at the best mix, and for how much of it. */
export function limitWorth(
  session: Session,
  best: Solved,
  sharp: SharpRanges | null,
  which: MovableLimit,
): LimitWorth | null {
  const moved = movedLimit(session, which);
  if (moved === null) return null;
  const { model } = session.program;
  const { limit, scale } = moved;
  const at = limit / scale;
  const left = at - moved.takenBy(best);
  if (which.of === 'resource' && !isNothing(left, at)) return slack(moved, left * scale);
  const now = moved.pointOf(at, best);
  const { more, less, fitsFrom, fitsUntil } = sidesOf(moved, now, sharp);
  const step = Math.min(1 / scale, more.until === null || more.until <= at ? 1 / scale : (more.until - at) / 2);
  return {
    ...oneMore(model, moved, more.slope, less.slope, changesOf(model, moved, best, step)),
    left: 0,
    ofTen: ofTenMore(model, moved, best),
    from: counted(moved, less.until),
    until: counted(moved, more.until),
    fitsFrom: counted(moved, fitsFrom),
    fitsUntil: counted(moved, fitsUntil),
    mostToPay: which.of === 'resource' ? mostToPay(model, which.at, worthOf(moved, more.slope)) : null,
  };
}

/** How far a limit is moved to see what a hair more and less of it bring, in parts of itself. */
const STEP = 1e-4;

/** What one more and one less of a limit that binds are worth at the best mix. */
export function ownLimitWorth(
  session: Session,
  best: Solved,
  sharp: SharpRanges | null,
  which: MovableLimit,
): OneMore | null {
  const moved = movedLimit(session, which);
  if (moved === null) return null;
  const { model } = session.program;
  const at = moved.limit / moved.scale;
  const now = moved.pointOf(at, best);
  const { least, most } = model.products[which.at] ?? {};
  const isFixed = least === most;
  const slopeBy = (step: number): number | null => {
    if (sharp !== null && !isFixed) return now.slope;
    const end = moved.pointAt(at + step);
    return end === null ? null : slopeTowards(moved.pointAt, now, end);
  };
  const [up, down] = [slopeBy(STEP), slopeBy(-STEP)];
  return oneMore(model, moved, up, down, changesOf(model, moved, best, STEP));
}

function oneMore(
  model: MixModel,
  moved: MovedLimit,
  slopeUp: number | null,
  slopeDown: number | null,
  changes: readonly LimitChange[],
): OneMore {
  const { of, at, limit } = moved;
  const { up, down } = { up: worthOf(moved, slopeUp), down: worthOf(moved, slopeDown) };
  const brought = changes.reduce((so, { together }) => so + together, 0);
  return {
    of,
    at,
    limit,
    up,
    down,
    isKink: up !== null && down !== null && !isNothing(up - down, Math.max(Math.abs(up), Math.abs(down))),
    changes: up === null ? [] : changes,
    byExtra: up === null ? 0 : besideChanges(asGain(model, up), brought),
  };
}

/** What is brought beside the changes of products; what is small beside both is the noise of the step that was taken. */
function besideChanges(up: number, brought: number): number {
  const rest = up - brought;
  return Math.abs(rest) <= 1e-4 * Math.max(Math.abs(up), Math.abs(brought)) ? 0 : settledTo(rest, up);
}

const worthOf = ({ scale, worth }: MovedLimit, slope: number | null): number | null =>
  slope === null ? null : settledTo((slope * worth) / scale, worth / scale);

function slack({ of, at, limit }: MovedLimit, left: number): LimitWorth {
  return {
    of,
    at,
    limit,
    up: 0,
    down: 0,
    ofTen: 0,
    isKink: false,
    from: settled(limit - left),
    until: null,
    fitsFrom: null,
    fitsUntil: null,
    left: settled(left),
    mostToPay: null,
    changes: [],
    byExtra: 0,
  };
}

type Now = ReturnType<MovedLimit['pointOf']>;

/** A side of a limit: its slope, null where no mix fits there, and until where that holds; null where it does as far as mixes fit. */
interface Side {
  readonly slope: number | null;
  readonly until: number | null;
}

/** Both sides of a limit, and beyond which amounts of it no mix fits; null where mixes fit with any. In sizes of the curve. */
interface Sides {
  readonly more: Side;
  readonly less: Side;
  readonly fitsFrom: number | null;
  readonly fitsUntil: number | null;
}

function sidesOf(moved: MovedLimit, now: Now, sharp: SharpRanges | null): Sides {
  const known = sharp === null ? null : sharpSides(moved, now, sharp.ofRow(moved.bound.index));
  if (known !== null) return known;
  const [high, low] = [moved.highEnd(), moved.lowEnd()];
  return {
    more: sideOf(moved, now, high),
    less: sideOf(moved, now, low),
    fitsUntil: high === null ? now.at : high.nothingFitsFrom,
    fitsFrom: low === null ? now.at : low.nothingFitsFrom,
  };
}

/** Both sides of a resource by the ranges of a sharp optimum; null for what else than the ranges decides where mixes fit. */
function sharpSides(moved: MovedLimit, now: Now, [from, until]: Range): Sides | null {
  const isKnown = moved.of === 'resource' && from <= now.at && until >= now.at;
  if (!isKnown) return null;
  const low = from > 0 && moved.pointAt(0) === null ? moved.lowEnd() : null;
  const fitsFrom = low?.nothingFitsFrom ?? null;
  const end = fitsFrom ?? 0;
  return {
    more: { slope: now.slope, until: Number.isFinite(until) ? until : null },
    less: { slope: now.slope, until: from - end <= NONE * Math.max(1, from) ? null : from },
    fitsFrom,
    fitsUntil: null,
  };
}

/** As little of a limit as is none. */
const NONE = 1e-6;

/** The slope on one side, and until where it holds: none where the curve ends at once, since no mix fits there. */
function sideOf({ pointAt }: MovedLimit, now: Now, end: CurveEnd | null): Side {
  if (end === null) return { slope: null, until: null };
  const slope = slopeTowards(pointAt, now, end.point);
  return { slope, until: keepsUntil(pointAt, { ...now, slope }, end.point) };
}

/** An amount of the curve as people count it. */
const counted = ({ scale }: MovedLimit, place: number | null): number | null =>
  place === null ? null : settledTo(place * scale, scale);

/** The goal with ten more of a limit less that of today. */
function ofTenMore(model: MixModel, { limit, scale, worth, solvedAt }: MovedLimit, best: Solved): number | null {
  const more = solvedAt((limit + 10) / scale);
  return more.status === 'best' ? settledTo(asGain(model, more.goal - best.goal), worth) : null;
}

/** By a goal that is money: the normal price, and what one more is worth above it. */
function mostToPay({ goal, resources }: MixModel, at: number, up: number | null): number | null {
  if (goal === 'units' || goal === 'revenue' || up === null || up === 0) return null;
  return settledTo((resources[at]?.normalPrice ?? 0) + up, up);
}

/** What one more of a limit changes in the mix: a small step is taken, and counted for one. */
function changesOf(model: MixModel, moved: MovedLimit, best: Solved, step: number): LimitChange[] {
  const { limit, scale, solvedAt } = moved;
  const then = solvedAt(limit / scale + step);
  if (then.status !== 'best') return [];
  const unmoved = moved.quantitiesIn(best);
  return moved.quantitiesIn(then).flatMap((quantity, product) => {
    const before = unmoved[product] ?? 0;
    const by = settledTo((quantity - before) / (step * scale), 1);
    const each = model.products[product]?.gain ?? 0;
    return isNothing(by, quantity * 1e-2) ? [] : [{ product, by, each, together: settledTo(by * each, each) }];
  });
}
