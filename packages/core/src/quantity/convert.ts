import { unitOfMeasure } from '@nuvar/book';
import { Decimal, decimal, type Decimal as DecimalValue } from '../number/index.js';

/** How to get from one unit to another: multiply or divide by a number that is exact wherever either is. */
export interface Conversion {
  readonly by: 'multiply' | 'divide';
  readonly factor: DecimalValue;
}

/** What was found, by the unit from which and then by the unit to which: bills ask for the same few again and again. */
const KNOWN = new Map<string, Map<string, Conversion | null>>();

/**
 * The way from one unit of measure to another of the same dimension, or null where there is none. Grams to pounds is a
 * division by 453.59237, since the factor itself has no end. Factors: see the table of units (NIST SP 811).
 */
export function conversion(from: string, to: string): Conversion | null {
  let ways = KNOWN.get(from);
  if (ways === undefined) KNOWN.set(from, (ways = new Map<string, Conversion | null>()));
  let way = ways.get(to);
  if (way === undefined) ways.set(to, (way = findConversion(from, to)));
  return way;
}

function findConversion(from: string, to: string): Conversion | null {
  const [source, target] = [unitOfMeasure(from), unitOfMeasure(to)];
  if (source === undefined || target === undefined || source.dimension !== target.dimension) return null;
  const numerator = decimal(source.size).mul(target.dividedBy ?? 1);
  const denominator = decimal(target.size).mul(source.dividedBy ?? 1);
  const [factor, inverse] = [numerator.div(denominator), denominator.div(numerator)];
  // One third has no end, and three has: the one of fewer digits is the exact one.
  return inverse.precision() < factor.precision() ? { by: 'divide', factor: inverse } : { by: 'multiply', factor };
}

/**
 * Converts an amount, or returns null where no way leads from the one unit to the other.
 *
 * @example convert('1', 'lb', 'kg') → "0.45359237"
 * @example convert('1', 'oz', 'US fl oz') → null
 */
export function convert(amount: string, from: string, to: string): DecimalValue | null {
  const way = conversion(from, to);
  if (way === null) return null;
  return way.by === 'multiply' ? new Decimal(amount).mul(way.factor) : new Decimal(amount).div(way.factor);
}
