import { Decimal, type Decimal as DecimalValue, ZERO } from './decimal.js';

/**
 * Amounts hold 34 digits, and a division leaves its remainder in the last of them: 10 / 3 x 3 is 9.99...9. Nothing is
 * told apart in those last six digits: what is equal in the first 28 is equal.
 */
const DIGITS_THAT_COUNT = 28;

/** An amount without what divisions left in its last six digits: before it is rounded, and a tie is looked for. */
export function withoutNoise(amount: DecimalValue): DecimalValue {
  return amount.toSignificantDigits(DIGITS_THAT_COUNT, Decimal.ROUND_HALF_EVEN);
}

/**
 * A total or a difference of amounts of which the largest has this exponent; exactly zero where no more is left than the
 * noise of that largest one.
 */
export function orZero(total: DecimalValue, largestExponent: number): DecimalValue {
  return !total.isZero() && total.e < largestExponent - (DIGITS_THAT_COUNT - 1) ? ZERO : total;
}

/** What is left of one amount after another: exactly zero where they differ by noise only. */
export function subtracted(minuend: DecimalValue, subtrahend: DecimalValue): DecimalValue {
  return orZero(minuend.minus(subtrahend), Math.max(minuend.e, subtrahend.e));
}

/** Amounts are compared here and nowhere else: -1 where the first is smaller, 1 where it is larger, 0 where they are equal. */
export function compared(one: DecimalValue, other: DecimalValue): -1 | 0 | 1 {
  const left = subtracted(one, other);
  if (left.isZero()) return 0;
  return left.isNegative() ? -1 : 1;
}
