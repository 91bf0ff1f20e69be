import { compared, type Decimal, ZERO } from '../../number/index.js';

/**
 * A stretch of prices over which a fee is a straight line: level + slope x price, up to and with `upTo`. Slopes are shares of
 * one, never below zero; levels are money.
 */
export interface Stretch {
  readonly upTo: Decimal | null;
  readonly slope: Decimal;
  readonly level: Decimal;
}

/**
 * A fee as a function of a price of zero or more: stretches in the order of their prices. It may jump between two. A last
 * stretch with a limit says that beyond it the fee is not known.
 */
export type FeeCurve = readonly Stretch[];

const least = (one: Decimal | null, other: Decimal | null): Decimal | null => {
  if (one === null || other === null) return one ?? other;
  return compared(one, other) <= 0 ? one : other;
};

/** The first stretch that reaches a price; none beyond the last limit. */
export const stretchAt = (curve: FeeCurve, price: Decimal): Stretch | undefined =>
  curve.find(({ upTo }) => upTo === null || compared(price, upTo) <= 0);

/** What a curve comes to at a price; null where it is not known. */
export function feeAt(curve: FeeCurve, price: Decimal): Decimal | null {
  const found = stretchAt(curve, price);
  return found === undefined ? null : found.level.plus(found.slope.mul(price));
}

/** All fees together: where any of them is not known, their sum is not. */
export function sumOfCurves(curves: readonly FeeCurve[]): FeeCurve {
  return curves.reduce<FeeCurve>(added, [{ upTo: null, slope: ZERO, level: ZERO }]);
}

function added(one: FeeCurve, other: FeeCurve): FeeCurve {
  const made: Stretch[] = [];
  for (let [at, beside] = [0, 0]; ;) {
    const [first, second] = [one[at], other[beside]];
    if (first === undefined || second === undefined) return made;
    const upTo = least(first.upTo, second.upTo);
    made.push({ upTo, slope: first.slope.plus(second.slope), level: first.level.plus(second.level) });
    if (upTo === null) return made;
    if (first.upTo !== null && compared(first.upTo, upTo) === 0) at += 1;
    if (second.upTo !== null && compared(second.upTo, upTo) === 0) beside += 1;
  }
}

/** The same fee with so many times its slope and level: with the tax on it. */
export const scaledCurve = (curve: FeeCurve, factor: Decimal): FeeCurve =>
  curve.map(({ upTo, slope, level }) => ({ upTo, slope: slope.mul(factor), level: level.mul(factor) }));

/** A fee that is taken of something that is so many times the price, as a fee of the price. */
export const curveOfPrice = (curve: FeeCurve, times: Decimal): FeeCurve =>
  curve.map(({ upTo, slope, level }) => ({
    upTo: upTo === null ? null : upTo.div(times),
    slope: slope.mul(times),
    level,
  }));

/** A fee that is taken of a price and so much beside it, as a fee of the price alone. */
export const shiftedCurve = (curve: FeeCurve, beside: Decimal): FeeCurve =>
  beside.isZero()
    ? curve
    : curve
        .map(({ upTo, slope, level }) => ({
          upTo: upTo === null ? null : upTo.minus(beside),
          slope,
          level: level.plus(slope.mul(beside)),
        }))
        .filter(({ upTo }) => upTo === null || !upTo.isNegative() || upTo.isZero());

/** The same fee, at least and at most so much. */
export function clampedCurve(curve: FeeCurve, minimum: Decimal | null, maximum: Decimal | null): FeeCurve {
  const made: Stretch[] = [];
  let from = ZERO;
  for (const stretch of curve) {
    made.push(...clampedStretch(stretch, from, minimum, maximum));
    from = stretch.upTo ?? from;
  }
  return made;
}

/** One stretch clamped: at its minimum, then along its line, then at its maximum; what would be empty is left out. */
function clampedStretch(stretch: Stretch, from: Decimal, minimum: Decimal | null, maximum: Decimal | null): Stretch[] {
  const { upTo, slope, level } = stretch;
  const flat = (limit: Decimal, end: Decimal | null): Stretch => ({ upTo: end, slope: ZERO, level: limit });
  if (slope.isZero()) {
    if (minimum !== null && compared(level, minimum) < 0) return [flat(minimum, upTo)];
    return [maximum !== null && compared(level, maximum) > 0 ? flat(maximum, upTo) : stretch];
  }
  const reaches = (limit: Decimal) => limit.minus(level).div(slope);
  const made: Stretch[] = [];
  let at = from;
  const goTo = (end: Decimal | null, of: (end: Decimal | null) => Stretch): void => {
    const stop = least(end, upTo);
    if (stop !== null && compared(stop, at) <= 0 && !(made.length === 0 && from.isZero() && stop.isZero())) return;
    made.push(of(stop));
    at = stop ?? at;
  };
  if (minimum !== null) goTo(reaches(minimum), (end) => flat(minimum, end));
  if (maximum === null) {
    if (upTo === null || compared(upTo, at) > 0) made.push(stretch);
    return made;
  }
  goTo(reaches(maximum), (end) => ({ upTo: end, slope, level }));
  if (upTo === null || compared(upTo, at) > 0) made.push(flat(maximum, upTo));
  return made;
}

/** A band of a fee: up to and with its limit, so much percent (as a share of one) and so much money. */
export interface Band {
  readonly upTo: Decimal | null;
  readonly share: Decimal;
  readonly amount: Decimal;
}

/** The band that a price reaches is taken of the whole of it. */
export const curveOfWhole = (bands: readonly Band[]): FeeCurve =>
  bands.map(({ upTo, share, amount }) => ({ upTo, slope: share, level: amount }));

/** Each band is taken of the slice of the price that lies in it; the amounts of all bands that are reached add up. */
export function curveOfSlices(bands: readonly Band[]): FeeCurve {
  let [from, before] = [ZERO, ZERO];
  return bands.map(({ upTo, share, amount }) => {
    const level = before.plus(amount).minus(share.mul(from));
    if (upTo !== null) [from, before] = [upTo, level.plus(share.mul(upTo))];
    return { upTo, slope: share, level };
  });
}
