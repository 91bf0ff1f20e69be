import type { EndingDirection, PriceBasis, PriceEnding } from '@nuvar/book';
import {
  choice,
  constant,
  difference,
  type Figure,
  type Gap,
  isWhole,
  missing,
  percentOf,
  rounded,
  shaped,
  sum,
  wholeOf,
} from '../figure/index.js';
import { hasEnding, minorUnit, priceEnding } from '../money/index.js';
import { compared, type Decimal, HUNDRED, isPositive, ONE, roundToStep, ZERO } from '../number/index.js';
import { PERCENT } from '../quantity/index.js';
import { curveOfFee, feeLine, sumOfLines } from './fees/fee-amount.js';
import { type FeeCurve, sumOfCurves } from './fees/fee-curve.js';
import { type Asked, lowestAsked, pricesThatLeave } from './fees/reached.js';
import { sellingGap } from './gaps.js';
import { type SaleTerms, THE_WHOLE } from './sale-terms.js';

/** A list price that leaves what is wanted, as the customer sees it: exactly, and the lowest in whole minor units. */
export interface ReachedPrice {
  readonly exact: Figure;
  /** Null where there is none, or where something is missing. */
  readonly listed: Decimal | null;
}

/** What a price is to leave: its cost and what is wanted beside it, after the fees and a margin. */
interface Needed {
  readonly called: { readonly name: string; readonly subject: string };
  readonly toCover: readonly Figure[];
  /** In percent of the price before tax; null where none is asked for. */
  readonly margin: Figure | null;
  readonly place: Gap['place'];
}

/**
 * The exact list price, as the customer sees it, that reaches a target on full cost C, where the fees at that price are f of it
 * and F a unit. Before tax and after the standing discount:
 *
 * - margin m: p = (C + F) / (100 % - f - m)
 * - markup k: p = (C + k x C + F) / (100 % - f)
 * - profit P: p = (C + P + F) / (100 % - f)
 *
 * Fees are a piecewise-linear function of the price (bands, at least, at most), and it is solved piece by piece: the answer is
 * the lowest price that reaches the target. A fee taken of the price paid counts as f x (1 + tax). Price with tax = p x
 * (1 + tax) where tax is inside; list price = that / (100 % - discount). Not rounded. Gaps: `target-out-of-reach` where no
 * price leaves enough, `discount-leaves-nothing` at a discount of 100 %, `any-price-reaches-target` where the price would be
 * zero or less.
 */
export function priceForTarget(
  basis: Exclude<PriceBasis, 'typed'>,
  target: Figure,
  terms: SaleTerms,
  cost: Figure,
  subject: string,
  currency: string,
): ReachedPrice {
  const wanted =
    basis === 'profit'
      ? target
      : basis === 'markup'
        ? percentOf({ name: 'Target markup', subject }, target, cost)
        : null;
  const reached = reachedPrice(
    {
      called: { name: 'Exact price for the target', subject },
      toCover: wanted === null ? [cost] : [cost, wanted],
      margin: basis === 'margin' ? target : null,
      place: target.place,
    },
    terms,
    currency,
  );
  const { exact } = reached;
  if (!isWhole(exact) || isPositive(exact.amount)) return reached;
  const any = sellingGap('any-price-reaches-target', target.place);
  return { exact: missing({ name: exact.name, subject, unit: exact.unit }, any, [exact]), listed: null };
}

/**
 * The list price at which what is left after fees just covers a cost, as the customer sees it, rounded up to the minor
 * unit: the standing discount is taken off it first. Gaps as of a target.
 */
export function floorPrice(cost: Figure, terms: SaleTerms, currency: string, subject: string, name: string): Figure {
  const called = { name: `${name}, exact`, subject };
  const reached = reachedPrice({ called, toCover: [cost], margin: null, place: null }, terms, currency);
  return inMinorUnits({ name, subject }, reached, currency);
}

/** An exact price in whole minor units: rounded up, or the next one at which the fees leave enough. */
function inMinorUnits(
  called: { readonly name: string; readonly subject: string },
  { exact, listed }: ReachedPrice,
  currency: string,
): Figure {
  const minor = minorUnit(currency);
  if (!isWhole(exact) || listed === null || compared(roundToStep(exact.amount, minor, 'up'), listed) === 0)
    return rounded(called, exact, minor, 'up');
  return shaped(called, exact, () => listed, 'up to the next price at which the fees leave enough');
}

/** Solves for a price: finds the stretch of the fees on which it lies, and works it out of the figures of that stretch. */
function reachedPrice(needed: Needed, terms: SaleTerms, currency: string): ReachedPrice {
  const curve = curveOf(terms);
  const asked = curve === null ? null : lowestFor(needed, terms, curve, currency);
  if (asked === null) return { exact: withoutAnswer(needed, terms, curve), listed: null };
  const { listed, range } = asked;
  if (range.isAbove) return { exact: aboveLimit(needed, terms, asked), listed };
  return { exact: priceOnStretch(needed, terms, range.stretch.upTo ?? range.from.plus(ONE)), listed };
}

/** Where no price leaves enough, or something is missing: the price on the stretch of the highest prices, which says why. */
function withoutAnswer(needed: Needed, terms: SaleTerms, curve: FeeCurve | null): Figure {
  const highest = curve?.at(-2)?.upTo?.plus(ONE) ?? ZERO;
  const exact = priceOnStretch(needed, terms, highest);
  const isCutOff = curve !== null && isWhole(exact) && isPositive(exact.amount);
  // There would be one, but beyond the last band the fees are not known.
  return isCutOff
    ? missing({ ...needed.called, unit: exact.unit }, outOfReach(needed, terms, highest), [exact])
    : exact;
}

function curveOf({ fees, priceWithTax }: SaleTerms): FeeCurve | null {
  const curves = fees.map((fee) => curveOfFee(fee, priceWithTax));
  return curves.every((curve) => curve !== null) ? sumOfCurves(curves) : null;
}

/** How many times the price before tax the list price is; null where something is missing, or nothing is left of it. */
function listedTimes({ taxInside, priceWithTax, keptAfterDiscount: kept }: SaleTerms): Decimal | null {
  if (!isWhole(priceWithTax) || (kept !== null && (!isWhole(kept) || !isPositive(kept.amount)))) return null;
  const seen = taxInside ? priceWithTax.amount.div(HUNDRED) : ONE;
  return kept === null ? seen : seen.mul(HUNDRED).div(kept.amount ?? HUNDRED);
}

function lowestFor({ toCover, margin }: Needed, terms: SaleTerms, curve: FeeCurve, currency: string): Asked | null {
  const times = listedTimes(terms);
  if (times === null || !toCover.every(isWhole) || (margin !== null && !isWhole(margin))) return null;
  const share = ONE.minus((margin?.amount ?? ZERO).div(HUNDRED));
  const cover = toCover.reduce((so, { amount }) => so.plus(amount ?? ZERO), ZERO);
  return lowestAsked(pricesThatLeave(curve, { share, toCover: cover }), times, minorUnit(currency));
}

/** The price on the stretch of the fees that holds a price before tax. */
function priceOnStretch({ called, toCover, margin, place }: Needed, terms: SaleTerms, at: Decimal): Figure {
  const { subject } = called;
  const unit = (toCover[0] as Figure).unit;
  const lines = terms.fees.map((fee) => feeLine(fee, terms.priceWithTax, at));
  const { percent, amounts } = sumOfLines(lines, unit);
  const taken = margin === null ? percent : sum('Fee and margin', PERCENT, [percent, margin]);
  const cover = sum({ name: 'To be covered', subject }, unit, [...toCover, ...amounts]);
  const left = difference('What the price leaves for cost', THE_WHOLE, taken);
  const reason = outOfReach({ place }, terms, at);
  const isLast = !terms.taxInside && terms.keptAfterDiscount === null;
  const beforeTax = wholeOf(isLast ? called : { name: 'Price before tax', subject }, cover, left, reason);
  return asListed(called, beforeTax, terms);
}

/** Where the fees fall above a price, that price: the first one above it will do. */
function aboveLimit({ called, toCover }: Needed, terms: SaleTerms, { range }: Asked): Figure {
  const { unit } = toCover[0] as Figure;
  const limit = constant('Price at which the fees fall', range.from.toFixed(), unit, 'the limit of a band');
  const isLast = !terms.taxInside && terms.keptAfterDiscount === null;
  const beforeTax = choice(
    isLast ? called : { name: 'Price before tax', subject: called.subject },
    limit,
    'just above it',
  );
  return asListed(called, beforeTax, terms);
}

/** A price before tax as the customer sees it before the discount. */
function asListed(called: Needed['called'], beforeTax: Figure, terms: SaleTerms): Figure {
  const isSeen = terms.keptAfterDiscount === null;
  const seen = terms.taxInside
    ? percentOf(isSeen ? called : { name: 'Price with tax', subject: called.subject }, terms.priceWithTax, beforeTax)
    : beforeTax;
  if (terms.keptAfterDiscount === null) return seen;
  return wholeOf(called, seen, terms.keptAfterDiscount, sellingGap('discount-leaves-nothing', null));
}

/** The margin that is come near as the price grows and cost weighs less and less: what the fees leave, in percent. */
function outOfReach({ place }: Pick<Needed, 'place'>, terms: SaleTerms, at: Decimal): Gap {
  const taken = terms.fees.reduce(
    (so, fee) => so.plus(feeLine(fee, terms.priceWithTax, at).percent?.amount ?? ZERO),
    ZERO,
  );
  const limit = HUNDRED.minus(taken).toDecimalPlaces(2).toFixed();
  return sellingGap('target-out-of-reach', place, { limit });
}

/**
 * An exact list price brought to the ending that the customer is to see; without one, or where the currency lacks it, in whole
 * minor units, so that the target is still reached.
 */
export function suggestedPrice(
  reached: ReachedPrice,
  ending: PriceEnding,
  direction: EndingDirection,
  currency: string,
  subject: string,
): Figure {
  const called = { name: 'Suggested price', subject };
  const minor = minorUnit(currency);
  if (ending === 'none' || !hasEnding(ending, minor)) return inMinorUnits(called, reached, currency);
  const note = ending === 'nearest 0.05' ? `to a multiple of 0.05, ${direction}` : `to end in ${ending}, ${direction}`;
  return shaped(called, reached.exact, (amount) => priceEnding(amount, ending, direction, minor), note);
}
