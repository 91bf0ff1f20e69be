import type { RoundingMode } from '@nuvar/book';
import type { Decimal as DecimalStatic } from 'decimal.js';
import { Decimal, type Decimal as DecimalValue } from './decimal.js';
import { subtracted, withoutNoise } from './noise.js';

/** How a figure is brought to a step: the book's two modes for nearest, and the two directions that prices need. */
export type Rounding = RoundingMode | 'up' | 'down';

/**
 * Rounds to the nearest multiple of `step` (0.01, 0.05, 1), or to the next one up or down.
 *
 * - half-away-from-zero: 1.005 → 1.01, -1.005 → -1.01 (step 0.01)
 * - half-even: 1.005 → 1.00, 1.015 → 1.02
 * - up: towards plus infinity, 1.001 → 1.01, -1.009 → -1.00
 * - down: towards minus infinity
 *
 * What divisions left in the last digits is dropped first, in every mode: 10/3 x 3 is 10, and 10 rounded up to cents is
 * 10.00 and not 10.01; 29.955 / 3 is 9.985 and rounds to 9.99.
 *
 * Up and down, less than a millionth of a step is no reason for another one: typed quotients are kept to 12 decimals, and
 * what is made of 40000/12 hours is 15,390.00 and not 15,390.01.
 *
 * @example roundToStep(decimal('7.32'), decimal('0.05'), 'up') → "7.35"
 */
export function roundToStep(amount: DecimalValue, step: DecimalValue, rounding: Rounding): DecimalValue {
  const steps = withoutNoise(amount).div(step);
  const nearest = steps.toDecimalPlaces(0, Decimal.ROUND_HALF_UP);
  const isDirected = rounding === 'up' || rounding === 'down';
  if (isDirected && steps.minus(nearest).abs().lessThan(NO_STEP)) return nearest.mul(step);
  return steps.toDecimalPlaces(0, MODES[rounding]).mul(step);
}

const NO_STEP = new Decimal('1e-6');

/**
 * True where an amount stays below another by more than rounding to the step ignores: a price that was rounded up for a
 * target reaches it.
 */
export function fallsShort(amount: DecimalValue, wanted: DecimalValue, step: DecimalValue): boolean {
  return subtracted(wanted, amount).greaterThan(step.mul(NO_STEP));
}

const MODES: Record<Rounding, DecimalStatic.Rounding> = {
  'half-away-from-zero': Decimal.ROUND_HALF_UP,
  'half-even': Decimal.ROUND_HALF_EVEN,
  up: Decimal.ROUND_CEIL,
  down: Decimal.ROUND_FLOOR,
};

/**
 * Rounds to so many digits after the point and writes it with exactly those: ("1.005", 2) → "1.01".
 *
 * @example fixedDigits('1.005', 2, 'half-away-from-zero') → "1.01"
 * @example fixedDigits('1.005', 2, 'half-even') → "1.00"
 */
export function fixedDigits(amount: string, digits: number, rounding: RoundingMode): string {
  return withoutNoise(new Decimal(amount)).toFixed(digits, MODES[rounding]);
}
