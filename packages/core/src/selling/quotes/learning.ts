import { type Figure, shaped } from '../../figure/index.js';
import { Decimal, decimal, HUNDRED, ONE } from '../../number/index.js';

/**
 * The average time of so many units in percent of the first: y = a x^b with b = log(rate) / log 2, the cumulative average under a
 * learning curve (T. P. Wright, 1936). At a rate of 80 % each doubling of the units brings the average to 80 % of itself.
 */
export function averageTime(rate: Figure, units: Decimal): Figure {
  return shaped(
    { name: 'Average time, of that of the first', subject: rate.subject },
    rate,
    (percent) => learningShare(percent, units).mul(HUNDRED),
    `of ${units.toFixed()} units: each doubling brings the average to so much of itself`,
  );
}

/** The average time of so many units as a share of the first, for a rate in percent. */
export function learningShare(percent: Decimal, units: Decimal): Decimal {
  if (units.lte(ONE)) return ONE;
  const exponent = percent.div(HUNDRED).ln().div(decimal('2').ln());
  return Decimal.pow(units, exponent);
}
