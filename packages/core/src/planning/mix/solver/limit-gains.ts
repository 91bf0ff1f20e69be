import type { Highs } from 'highs';
import type { MixModel } from '../mix-model.js';
import { mixProgram } from './program.js';
import { mixSums } from './mix-sums.js';
import { asGain, type MovableLimit } from './moved-limit.js';
import { settledTo } from './noise.js';
import { inSession } from './session.js';
import type { MixAnswer } from './solve-mix.js';
import type { Solved } from './solved.js';
import { PROVEN_WITHIN } from './with-program.js';

/** What the goal gains where a limit is moved; that no mix fits then; or that it is not known in the time there was. */
export type MovedGain = number | 'no mix fits' | 'not known';

/** What more of a limit brings where something is counted whole: found by solving again, and not by a price of one. */
export interface LimitGain extends MovableLimit {
  readonly limit: number;
  /** What of it the best mix leaves. */
  readonly left: number;
  /** By how much it is eased at a time: one, or a step of a product that is counted whole. */
  readonly step: number;
  /** What one step more of it brings; of what is at least so much, one step less. */
  readonly ofOne: MovedGain;
  /** What ten more bring; null for what is not counted in tens. */
  readonly ofTen: MovedGain | null;
}

/** True where a model counts something whole, so that no limit has a price of its own. */
export const isWhole = (model: MixModel): boolean => !mixProgram(model).isContinuous;

/**
 * What more of each limit brings to the best mix of a model that counts something whole, one after the other: each is found by
 * making the program anew with that limit eased, so that what bounds its set-ups follows, and solving that. Both sides are proven
 * the best, whatever gap the plan allows; where they are not within the seconds there are for all of them, it is said that it is
 * not known. Many limits that are eased together and bring nothing bring nothing each.
 */
export function* limitGains(
  highs: Highs,
  model: MixModel,
  best: Pick<MixAnswer, 'status' | 'goal' | 'quantities'>,
  secondsForAll: number,
): Generator<LimitGain, void> {
  const exact = { ...model, gapPercent: 0 };
  let left = secondsForAll;
  const solved = (eased: MixModel): Solved | null => {
    if (left <= 0) return null;
    return inSession(highs, eased, left, (session) => {
      const found = session.now();
      left -= session.seconds();
      return found;
    });
  };
  const isProven = best.status === 'best' && model.gapPercent === 0;
  const now = isProven ? best.goal : proven(solved(exact));
  const limits = limitsToEase(model, best);
  if (typeof now !== 'number') {
    for (const limit of limits) yield { ...limit, ofOne: NOT_KNOWN, ofTen: limit.isInTens ? NOT_KNOWN : null };
    return;
  }
  const noise = 2 * PROVEN_WITHIN * mixProgram(exact).worth + NEAR * Math.abs(now);
  const gainOf = (eased: MixModel): MovedGain => {
    const then = proven(solved(eased));
    if (typeof then !== 'number') return then;
    const gain = asGain(model, then - now);
    return Math.abs(gain) <= noise ? 0 : settledTo(gain, noise);
  };
  const finding = { exact, gainOf };
  yield* gainsOf(
    finding,
    limits.filter(({ isEased }) => isEased),
  );
  for (const limit of limits)
    if (!limit.isEased) yield { ...limit, ofOne: gainOf(easedBy(exact, limit, 1)), ofTen: null };
}

/** What of the goal may be lost to noise, in parts of it. */
const NEAR = 1e-9;

/** A limit that can be eased, and whether ten more of it mean something. */
interface Easing extends Omit<LimitGain, 'ofOne' | 'ofTen'> {
  readonly isInTens: boolean;
  /** True where mixes that fitted before fit with more of it too: not so of "exactly". */
  readonly isEased: boolean;
}

interface Finding {
  readonly exact: MixModel;
  readonly gainOf: (eased: MixModel) => MovedGain;
}

function* gainsOf(finding: Finding, limits: readonly Easing[]): Generator<LimitGain, void> {
  if (limits.length === 0) return;
  const { exact, gainOf } = finding;
  const furthest = limits.reduce((model, limit) => easedBy(model, limit, limit.isInTens ? TENS : 1), exact);
  const together = limits.length > 1 || limits[0]?.isInTens === true ? gainOf(furthest) : NOT_KNOWN;
  if (together === 0) {
    for (const limit of limits) yield { ...limit, ofOne: 0, ofTen: limit.isInTens ? 0 : null };
    return;
  }
  const [limit] = limits;
  if (limits.length === 1 && limit !== undefined) {
    yield { ...limit, ofOne: gainOf(easedBy(exact, limit, 1)), ofTen: limit.isInTens ? together : null };
    return;
  }
  const middle = Math.ceil(limits.length / 2);
  yield* gainsOf(finding, limits.slice(0, middle));
  yield* gainsOf(finding, limits.slice(middle));
}

const TENS = 10;

/** The resources, the totals, and the own limits of products at which the best mix stands: those first that leave most. */
function limitsToEase(model: MixModel, { quantities }: Pick<MixAnswer, 'quantities'>): Easing[] {
  const { taken, totals } = mixSums(model, quantities);
  const resources = model.resources.map(({ available, extra }, at): Easing => {
    const limit = available + extra;
    return {
      of: 'resource',
      at,
      limit,
      step: 1,
      isInTens: true,
      isEased: true,
      left: settledTo(limit - (taken[at] ?? 0), limit * 10 + 1),
    };
  });
  const ofTotals = model.totals.map(({ units, rule }, at): Easing => {
    const left = settledTo(Math.abs(units - (totals[at] ?? 0)), Math.abs(units) * 10 + 1);
    return {
      of: 'total',
      at,
      limit: units,
      step: rule === 'at least' ? -1 : 1,
      isInTens: false,
      isEased: rule !== 'exactly',
      left,
    };
  });
  const ofProducts = model.products.flatMap(({ most, least, step }, at): Easing[] => {
    const quantity = quantities[at] ?? 0;
    const isAt = (limit: number) => Math.abs(limit - quantity) < (step ?? 1e-7 * Math.max(1, limit));
    const own = (of: 'most' | 'least', limit: number): Easing => ({
      ...{ of, at, limit, isInTens: false, isEased: true, left: Math.abs(limit - quantity) },
      step: of === 'most' ? (step ?? 1) : -Math.min(step ?? 1, limit),
    });
    return [
      ...(most !== null && quantity > 0 && isAt(most) ? [own('most', most)] : []),
      ...(least > 0 && isAt(least) ? [own('least', least)] : []),
    ];
  });
  return [...resources, ...ofTotals, ...ofProducts].sort((one, other) => Number(other.left > 0) - Number(one.left > 0));
}

/** The model with so many steps more of a limit. */
function easedBy(model: MixModel, { of, at, step }: Easing, times: number): MixModel {
  const by = step * times;
  const changed = <Row>(rows: readonly Row[], change: (row: Row) => Row) =>
    rows.map((row, index) => (index === at ? change(row) : row));
  if (of === 'resource')
    return { ...model, resources: changed(model.resources, (row) => ({ ...row, available: row.available + by })) };
  if (of === 'total') return { ...model, totals: changed(model.totals, (row) => ({ ...row, units: row.units + by })) };
  return {
    ...model,
    products: changed(model.products, (row) =>
      of === 'most' ? { ...row, most: (row.most ?? 0) + by } : { ...row, least: row.least + by },
    ),
  };
}

const NOT_KNOWN = 'not known';

function proven(solved: Solved | null): MovedGain {
  if (solved === null) return NOT_KNOWN;
  return solved.status === 'best' ? solved.goal : solved.status === 'infeasible' ? 'no mix fits' : NOT_KNOWN;
}
