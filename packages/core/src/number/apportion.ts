import { CoreError } from './core-error.js';
import { Decimal, type Decimal as DecimalValue, ZERO } from './decimal.js';
import { compared, withoutNoise } from './noise.js';

/**
 * Splits an amount over weights in whole steps (minor units), by the largest remainder, so that the shares sum exactly
 * to the amount. The amount must be a multiple of the step. For a negative amount the shares mirror those of the
 * positive one. Ties go to the earlier line. A negative weight takes a negative share.
 *
 * Throws `basis-not-positive` where the weights do not sum to more than zero: never an even split in secret.
 *
 * @example apportion(decimal('10'), [1, 1, 1].map(decimal), decimal('0.01')) → ["3.34","3.33","3.33"]
 */
export function apportion(amount: DecimalValue, weights: readonly DecimalValue[], step: DecimalValue): DecimalValue[] {
  const basis = weights.reduce((total, weight) => total.plus(weight), ZERO);
  if (basis.lte(0))
    throw new CoreError('basis-not-positive', 'The weights of an apportionment must sum to more than zero.');
  if (amount.isNegative()) return apportion(amount.neg(), weights, step).map((share) => share.neg());
  const exact = weights.map((weight) => withoutNoise(amount.mul(weight).div(basis).div(step)));
  const floors = exact.map((steps) => steps.floor());
  const left = amount
    .div(step)
    .minus(floors.reduce((total, steps) => total.plus(steps), ZERO))
    .round()
    .toNumber();
  const byRemainder = exact
    .map((steps, line) => ({ line, remainder: steps.minus(floors[line] ?? ZERO) }))
    .sort((one, other) => compared(other.remainder, one.remainder) || one.line - other.line);
  const extra = new Set(byRemainder.slice(0, left).map((entry) => entry.line));
  return floors.map((steps, line) => (extra.has(line) ? steps.plus(1) : steps).mul(step));
}

/**
 * Shares in percent with one digit that sum to exactly 100.0, for amounts shown beside each other; none where the total is not positive.
 *
 * @example sharesInPercent([1, 1, 1].map(decimal)) → ["33.4","33.3","33.3"]
 */
export function sharesInPercent(amounts: readonly DecimalValue[]): string[] | null {
  const total = amounts.reduce((sum, amount) => sum.plus(amount), ZERO);
  if (total.lte(0)) return null;
  return apportion(new Decimal(100), amounts, new Decimal('0.1')).map((share) => share.toFixed(1));
}
