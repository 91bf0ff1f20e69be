import { type Decimal, decimal } from '../../number/index.js';

/** An exact fraction of whole numbers, with a denominator above zero and in its lowest terms. */
export interface Fraction {
  readonly numerator: bigint;
  readonly denominator: bigint;
}

function fraction(numerator: bigint, denominator: bigint): Fraction {
  const sign = denominator < 0n ? -1n : 1n;
  const common = greatestCommonDivisor(numerator < 0n ? -numerator : numerator, denominator * sign);
  return { numerator: (sign * numerator) / common, denominator: (sign * denominator) / common };
}

function greatestCommonDivisor(one: bigint, other: bigint): bigint {
  return other === 0n ? (one === 0n ? 1n : one) : greatestCommonDivisor(other, one % other);
}

export const NONE: Fraction = { numerator: 0n, denominator: 1n };
export const WHOLE: Fraction = { numerator: 1n, denominator: 1n };

/** A decimal as a fraction, without loss. */
export function fractionOf(amount: Decimal): Fraction {
  const places = amount.decimalPlaces();
  return fraction(BigInt(amount.mul(decimal('10').pow(places)).toFixed(0)), 10n ** BigInt(places));
}

export const isNone = ({ numerator }: Fraction): boolean => numerator === 0n;

export const lessThan = (minuend: Fraction, subtrahend: Fraction): Fraction =>
  fraction(
    minuend.numerator * subtrahend.denominator - subtrahend.numerator * minuend.denominator,
    minuend.denominator * subtrahend.denominator,
  );

export const times = (one: Fraction, other: Fraction): Fraction =>
  fraction(one.numerator * other.numerator, one.denominator * other.denominator);

/** One fraction divided by another that is not zero. */
export const dividedBy = (dividend: Fraction, divisor: Fraction): Fraction =>
  fraction(dividend.numerator * divisor.denominator, dividend.denominator * divisor.numerator);

/** A fraction as a decimal of 34 digits. */
export const toDecimal = ({ numerator, denominator }: Fraction): Decimal =>
  decimal(String(numerator)).div(decimal(String(denominator)));
