import {
  apportion,
  compared,
  CoreError,
  Decimal,
  type Decimal as DecimalValue,
  HUNDRED,
  isPositive,
  orZero,
  type Rounding,
  roundToStep,
  subtracted,
  ZERO,
} from '../number/index.js';
import { PERCENT, type Unit } from '../quantity/index.js';
import { type Figure, isWhole, type Operation } from './figure.js';
import { type Gap, unitedGaps } from './gap.js';
import { dividedByNothing, missing } from './leaves.js';

/** What a result is called: its name, and the row it is of where the name alone does not say it. */
export type Called = string | { readonly name: string; readonly subject: string };

function node(
  operation: Operation,
  called: Called,
  unit: Unit,
  amount: DecimalValue | null,
  parts: readonly Figure[],
  note = '',
): Figure {
  const [name, subject] = typeof called === 'string' ? [called, ''] : [called.name, called.subject];
  return {
    operation,
    name,
    subject,
    unit,
    amount,
    gaps: unitedGaps(parts),
    parts,
    place: null,
    note,
    publishedOf: null,
    member: '',
  };
}

/** Adding or comparing figures of different units is a fault of the program. */
export function requireUnit(called: Called, expected: Unit, part: Figure): void {
  if (part.unit === expected) return;
  const name = typeof called === 'string' ? called : called.name;
  throw new CoreError('units-differ', `"${name}" is in ${expected.text}, but "${part.name}" is in ${part.unit.text}.`);
}

const isKnown = (amount: DecimalValue | null): amount is DecimalValue => amount !== null;

/** Rounded once, at the end, and not at every step; where signs are mixed, what is left of noise is zero. */
function totalOf(amounts: readonly DecimalValue[]): DecimalValue {
  const [first = ZERO, second = ZERO] = amounts;
  if (amounts.length < 2) return first;
  const total = amounts.length === 2 ? first.plus(second) : Decimal.sum(...amounts);
  return haveMixedSigns(amounts) ? orZero(total, Math.max(...amounts.map(({ e }) => e))) : total;
}

/** True where some are above zero and some below. */
export function haveMixedSigns(amounts: readonly DecimalValue[]): boolean {
  const [first] = amounts;
  for (const { s } of amounts) if (s !== first?.s) return true;
  return false;
}

/**
 * Adds figures of one unit. Parts without an amount are left out and make the sum partial; where no part has an amount
 * there is none. The sum of nothing is zero. Throws `units-differ` for figures of different units.
 */
export function sum(called: Called, unit: Unit, parts: readonly Figure[]): Figure {
  for (const part of parts) requireUnit(called, unit, part);
  const amounts = parts.map((part) => part.amount);
  const known = amounts.every(isKnown) ? amounts : amounts.filter(isKnown);
  const hasTotal = known.length > 0 || parts.length === 0;
  return node('sum', called, unit, hasTotal ? totalOf(known) : null, parts);
}

/** What is left of the first figure after the second. Of something partial there is no difference. */
export function difference(called: Called, minuend: Figure, subtrahend: Figure): Figure {
  requireUnit(called, minuend.unit, subtrahend);
  const whole = isWhole(minuend) && isWhole(subtrahend);
  return node('difference', called, minuend.unit, whole ? subtracted(minuend.amount, subtrahend.amount) : null, [
    minuend,
    subtrahend,
  ]);
}

/** One figure times another. A partial figure times a known factor stays partial; two partial ones have no product. */
export function multiplied(called: Called, multiplicand: Figure, multiplier: Figure): Figure {
  const { amount: one } = multiplicand;
  const { amount: other } = multiplier;
  const bothPartial = multiplicand.gaps.length > 0 && multiplier.gaps.length > 0;
  const amount = one === null || other === null || bothPartial ? null : one.mul(other);
  return node('product', called, multiplicand.unit.times(multiplier.unit), amount, [multiplicand, multiplier]);
}

/** One figure divided by another. Nothing is divided by zero or by something partial: `whenZero` says what it is instead. */
export function quotient(called: Called, dividend: Figure, divisor: Figure, whenZero?: Gap): Figure {
  const unit = dividend.unit.per(divisor.unit);
  if (isWhole(divisor) && divisor.amount.isZero()) return undivided(called, unit, whenZero, [dividend, divisor]);
  const amount = dividend.amount !== null && isWhole(divisor) ? dividend.amount.div(divisor.amount) : null;
  return node('quotient', called, unit, amount, [dividend, divisor]);
}

function undivided(called: Called, unit: Unit, reason: Gap | undefined, parts: readonly Figure[]): Figure {
  const leaf = typeof called === 'string' ? { name: called, unit } : { ...called, unit };
  return missing(leaf, reason ?? dividedByNothing(leaf.name, parts[1] as Figure), parts);
}

/** So many percent of a figure: 15 % of 40.00 = 6.00. */
export function percentOf(called: Called, percent: Figure, base: Figure): Figure {
  requireUnit(called, PERCENT, percent);
  const amount = isWhole(percent) && base.amount !== null ? base.amount.mul(percent.amount).div(HUNDRED) : null;
  return node('percent of', called, base.unit, amount, [percent, base]);
}

/** The whole of which a figure is so many percent: 34.00 is 85 % of 40.00. A percentage of zero or less has no whole. */
export function wholeOf(called: Called, part: Figure, percent: Figure, whenNotPositive?: Gap): Figure {
  requireUnit(called, PERCENT, percent);
  if (isWhole(percent) && !isPositive(percent.amount))
    return undivided(called, part.unit, whenNotPositive, [part, percent]);
  const amount = part.amount !== null && isWhole(percent) ? part.amount.mul(HUNDRED).div(percent.amount) : null;
  return node('whole of', called, part.unit, amount, [part, percent]);
}

/** A figure as a percentage of another of the same unit. There is none of something partial. */
export function shareOf(called: Called, part: Figure, whole: Figure): Figure {
  requireUnit(called, whole.unit, part);
  if (isWhole(whole) && whole.amount.isZero()) return undivided(called, PERCENT, undefined, [part, whole]);
  const amount = isWhole(part) && isWhole(whole) ? part.amount.mul(HUNDRED).div(whole.amount) : null;
  return node('share of', called, PERCENT, amount, [part, whole]);
}

/** A figure brought to a step. Something partial is not rounded. */
export function rounded(called: Called, figure: Figure, step: DecimalValue, rounding: Rounding): Figure {
  const note = `${rounding === 'up' || rounding === 'down' ? `rounded ${rounding}` : 'rounded'} to ${step.eq(1) ? 'whole numbers' : `steps of ${step.toFixed()}`}`;
  return node(
    'round',
    called,
    figure.unit,
    isWhole(figure) ? roundToStep(figure.amount, step, rounding) : null,
    [figure],
    note,
  );
}

/** A figure brought to a form by a rule of its own (a price ending); the note says which. */
export function shaped(
  called: Called,
  figure: Figure,
  shape: (amount: DecimalValue) => DecimalValue,
  note: string,
): Figure {
  return node('round', called, figure.unit, isWhole(figure) ? shape(figure.amount) : null, [figure], note);
}

/** The figure that was chosen among several, and why. */
export function choice(called: Called, chosen: Figure, because: string): Figure {
  return node('choice', called, chosen.unit, chosen.amount, [chosen], because);
}

/** The largest of several whole figures of one unit, and which ones they are; ties go to the first. */
export function largest(called: Called, candidates: readonly Figure[], note: string): Figure {
  return outermost('largest', called, candidates, note);
}

/** The smallest of several whole figures of one unit, and which ones they are; ties go to the first. */
export function smallest(called: Called, candidates: readonly Figure[], note: string): Figure {
  return outermost('smallest', called, candidates, note);
}

function outermost(which: 'largest' | 'smallest', called: Called, candidates: readonly Figure[], note: string): Figure {
  const [first, ...others] = candidates;
  if (first === undefined) throw new CoreError('unknown-figure', `The ${which} of no figures was asked for.`);
  for (const other of others) requireUnit(called, first.unit, other);
  const amounts = candidates.map((each) => each.amount).filter((amount) => amount !== null);
  const further = which === 'largest' ? 1 : -1;
  const chosen = amounts.reduce<DecimalValue | null>(
    (so, each) => (so === null || Math.sign(compared(each, so)) === further ? each : so),
    null,
  );
  return node(which, called, first.unit, chosen, candidates, note);
}

/**
 * The part of a figure that lies in a band: above its lower limit, up to and with its upper one, null where it has none.
 * Of 1,200 the band from 500 to 1,000 holds 500. There is none of something partial.
 */
export function band(called: Called, whole: Figure, from: Figure, to: Figure | null): Figure {
  const parts = to === null ? [whole, from] : [whole, from, to];
  for (const part of parts) requireUnit(called, whole.unit, part);
  if (!parts.every(isWhole)) return node('band', called, whole.unit, null, parts);
  const reached = whole.amount as DecimalValue;
  const lower = from.amount as DecimalValue;
  const upper = to?.amount ?? reached;
  const top = compared(reached, upper) > 0 ? upper : reached;
  return node('band', called, whole.unit, compared(top, lower) > 0 ? subtracted(top, lower) : ZERO, parts);
}

/** What bears a share of an amount: its share of the basis, and what the share is called. */
export interface Bearer {
  readonly called: Called;
  readonly basis: Figure;
}

/**
 * Shares an amount over what bears it, in whole steps (minor units) that sum exactly to the amount, by the largest
 * remainder: `apportion`. The amount is a multiple of the step. Each share is made of the amount, its own basis and the
 * sum of all. Where any basis is missing there are no shares at all: what is left out would be borne by the others.
 * `whenNotPositive` says what they are where the basis does not sum to more than zero.
 */
export function apportionedShares(
  total: Figure,
  bearers: readonly Bearer[],
  basis: Figure,
  step: DecimalValue,
  whenNotPositive: Gap,
): Figure[] {
  const known = bearers.map((bearer) => bearer.basis.amount).filter(isKnown);
  const isBasisKnown = isWhole(basis) && known.length === bearers.length;
  const isBasisPositive = isBasisKnown && isPositive(basis.amount);
  const shares = isBasisPositive && isWhole(total) ? apportion(total.amount, known, step) : [];
  return bearers.map(({ called, basis: own }, place) => {
    const parts = [total, own, basis];
    if (isBasisKnown && !isBasisPositive) return undivided(called, total.unit, whenNotPositive, parts);
    return node('apportioned share', called, total.unit, shares[place] ?? null, parts);
  });
}
