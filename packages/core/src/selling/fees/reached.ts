import { compared, type Decimal, roundToStep, ZERO } from '../../number/index.js';
import type { FeeCurve, Stretch } from './fee-curve.js';

/** What a price is to leave: share x price - fees - toCover is not to fall below zero. */
export interface Wanted {
  /** What of the price counts: one, less a margin that is asked for. */
  readonly share: Decimal;
  readonly toCover: Decimal;
}

/** Prices that leave what is wanted. */
export interface Range {
  readonly from: Decimal;
  /** True where it begins only above `from`, because the fees fall there. */
  readonly isAbove: boolean;
  /** Null for no limit. */
  readonly upTo: Decimal | null;
  /** The stretch of the fees on which it begins. */
  readonly stretch: Stretch;
}

/** All prices of zero or more that leave what is wanted, as ranges in their order. Solved stretch by stretch, exactly. */
export function pricesThatLeave(curve: FeeCurve, wanted: Wanted): Range[] {
  const found: Range[] = [];
  let from: Decimal | null = null;
  for (const stretch of curve) {
    const part = rangeOn(stretch, from, wanted);
    const last = found.at(-1);
    const goesOn = part?.isAbove === true && last !== undefined && last.upTo !== null && last.upTo.eq(part.from);
    if (part !== null && goesOn) found[found.length - 1] = { ...last, upTo: part.upTo };
    else if (part !== null) found.push(part);
    from = stretch.upTo;
  }
  return found;
}

/** The prices of one stretch that leave what is wanted; `after` is where the one before ended. */
function rangeOn(stretch: Stretch, after: Decimal | null, { share, toCover }: Wanted): Range | null {
  const { upTo, slope, level } = stretch;
  const gain = share.minus(slope);
  const need = toCover.plus(level);
  const start = { from: after ?? ZERO, isAbove: after !== null };
  if (gain.isZero()) return compared(need, ZERO) <= 0 ? { ...start, upTo, stretch } : null;
  const turn = need.div(gain);
  if (gain.isPositive()) {
    if (upTo !== null && compared(turn, upTo) > 0) return null;
    return compared(turn, start.from) > 0 ? { from: turn, isAbove: false, upTo, stretch } : { ...start, upTo, stretch };
  }
  const end = upTo !== null && compared(upTo, turn) < 0 ? upTo : turn;
  // A price of zero alone is none.
  return compared(end, start.from) <= 0 ? null : { ...start, upTo: end, stretch };
}

/** List prices in whole steps, from one to another; null for no limit. */
export interface PriceRange {
  readonly from: Decimal;
  readonly upTo: Decimal | null;
}

/** How a price before tax becomes the price that is asked: times so much, and so much on top. */
export interface AskedFrom {
  readonly times: Decimal;
  readonly plus: Decimal;
}

/** A price before tax as the price that is asked. */
export const askedFor = (beforeTax: Decimal, { times, plus }: AskedFrom): Decimal => beforeTax.mul(times).plus(plus);

/** The prices in whole steps that can be asked within a range; null where it holds none. */
export function askedWithin({ from, isAbove, upTo }: Range, asked: AskedFrom, step: Decimal): PriceRange | null {
  const first = askedFor(from, asked);
  const up = roundToStep(first, step, 'up');
  const lowest = isAbove && compared(up, first) <= 0 ? up.plus(step) : up;
  const highest = upTo === null ? null : roundToStep(askedFor(upTo, asked), step, 'down');
  return highest !== null && compared(highest, lowest) < 0 ? null : { from: lowest, upTo: highest };
}

/** A price that can be asked, and the range that it lies in. */
export interface Asked {
  readonly listed: Decimal;
  readonly range: Range;
}

/** The lowest price in whole steps that leaves what is wanted. A range that holds no whole step is passed over. */
export function lowestAsked(ranges: readonly Range[], asked: AskedFrom, step: Decimal): Asked | null {
  for (const range of ranges) {
    const within = askedWithin(range, asked, step);
    if (within !== null) return { listed: within.from, range };
  }
  return null;
}
