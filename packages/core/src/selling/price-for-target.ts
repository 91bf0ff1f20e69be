import type { EndingDirection, PriceEnding } from '@nuvar/book';
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
import { hasEnding, minorUnit, multipleOf } from '../money/index.js';
import { compared, type Decimal, isPositive, ONE, roundToStep, ZERO } from '../number/index.js';
import { PERCENT } from '../quantity/index.js';
import { feeLine, type FeeLine, sumOfLines } from './fees/fee-amount.js';
import type { FeeCurve } from './fees/fee-curve.js';
import type { FeeTerms } from './fees/fee-terms.js';
import type { Asked, PriceRange, Range } from './fees/reached.js';
import { endedPrice } from './ended-price.js';
import { sellingGap } from './gaps.js';
import { listedRanges, lowestAskedFor, type PlainTarget, reachingRanges } from './plain-target.js';
import { THE_WHOLE } from '../price/index.js';
import type { SaleTerms } from './sale-terms.js';
import { outOfReach, reachedFromZero } from './target-gaps.js';

/** A list price that leaves what is wanted, as the customer sees it: exactly, and the lowest in whole minor units. */
export interface ReachedPrice {
  readonly exact: Figure;
  /** Null where there is none, or where something is missing. */
  readonly listed: Decimal | null;
  /** All list prices in whole minor units that leave it: several ranges where fees jump. */
  readonly ranges: () => readonly PriceRange[];
  /** The exact price at which each of these ranges begins. */
  readonly exacts: () => readonly Figure[];
  /** Where every price from zero on leaves it, up to which one; null where the lowest is above zero. */
  readonly fromZero: { readonly upTo: Decimal | null } | null;
}

/** What a price is to leave: its cost and what is wanted beside it, after the fees and a margin. */
interface Needed {
  readonly called: { readonly name: string; readonly subject: string };
  readonly toCover: readonly Figure[];
  /** In percent; null where none is asked for. */
  readonly margin: Figure | null;
  /** What the margin is of: the net revenue, or the price before tax alone. */
  readonly isOfPrice: boolean;
  readonly place: Gap['place'];
}

/** What a price for a target is worked out of. */
export interface Target {
  readonly basis: 'margin' | 'margin of the price' | 'amount';
  /** A margin in percent, or an amount that one unit is to leave. */
  readonly wanted: Figure;
  /** Where the target is typed. */
  readonly place: Gap['place'];
}

/**
 * The exact list price, as the customer sees it, that reaches a target on a cost C of a unit dispatched. Where the fees at that
 * price are f of it and F a unit, returns r, fees given back g of them, and D a unit goes into packing, postage and returns
 * less the postage that is charged and kept, before tax and after the standing discount:
 *
 * - margin m of the net revenue: p = (C + F + D') / ((100 % - m) x (100 % - r) - f)
 * - margin m of the price: p = (C + F + D) / (100 % - r - f - m)
 * - an amount P (profit, markup x C, hours x profit an hour, a share of what is invested): p = (C + P + F + D) / (100 % - r - f)
 *
 * f and F are less what is given back on returns, r x g of each fee; D' counts (100 % - m) of the postage. Fees are a
 * piecewise-linear function of the price (bands, at least, at most), and it is solved piece by piece: the answer is the lowest
 * price that reaches the target. A fee taken of the price paid counts as f x (1 + tax). Price with tax = p x (1 + tax) where tax
 * is inside; list price = (that + the seller's coupon) / (100 % - discount). Not rounded. Gaps: `target-out-of-reach` where no
 * price leaves enough, `discount-leaves-nothing` at a discount of 100 %, `any-price-reaches-target` where the price would be
 * zero or less.
 */
export function priceForTarget(
  { basis, wanted, place }: Target,
  terms: SaleTerms,
  cost: Figure,
  subject: string,
  currency: string,
): ReachedPrice {
  const reached = reachedPrice(
    {
      called: { name: 'Exact price for the target', subject },
      toCover: basis === 'amount' ? [cost, wanted] : [cost],
      margin: basis === 'amount' ? null : wanted,
      isOfPrice: basis === 'margin of the price',
      place,
    },
    terms,
    currency,
  );
  const { exact } = reached;
  const without = (gap: Gap) => ({
    exact: missing({ name: exact.name, subject, unit: exact.unit }, gap, [exact]),
    listed: null,
    ranges: () => [],
    exacts: () => [],
    fromZero: null,
  });
  // A price that part of the cost is still missing from would be too low.
  if (!isWhole(exact)) return exact.amount === null ? reached : without(exact.gaps[0] as Gap);
  return reached.fromZero === null ? reached : without(reachedFromZero(place, terms, reached.fromZero.upTo));
}

/**
 * The list price at which what is left after fees just covers a cost, as the customer sees it, rounded up to the minor
 * unit: the standing discount is taken off it first. Gaps as of a target.
 */
export function floorPrice(cost: Figure, terms: SaleTerms, currency: string, subject: string, name: string): Figure {
  const called = { name: `${name}, exact`, subject };
  const reached = reachedPrice(
    { called, toCover: [cost], margin: null, isOfPrice: false, place: null },
    terms,
    currency,
  );
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
  const curve = terms.curve();
  const asked = curve === null ? null : lowestFor(needed, terms, curve, currency);
  if (asked === null)
    return {
      exact: withoutAnswer(needed, terms, curve),
      listed: null,
      ranges: () => [],
      exacts: () => [],
      fromZero: null,
    };
  const { listed, range } = asked;
  const ranges = () => rangesFor(needed, terms, curve as FeeCurve, currency);
  const exacts = () => beginnings(needed, terms, curve as FeeCurve, currency);
  const fromZero = range.from.isZero() && !range.isAbove ? { upTo: ranges()[0]?.upTo ?? null } : null;
  return { exact: beginningOf(needed, terms, range), listed, ranges, exacts, fromZero };
}

/** The exact list price at which a range begins: just above a limit, at nothing, or solved on its stretch of the fees. */
function beginningOf(needed: Needed, terms: SaleTerms, range: Range): Figure {
  if (range.isAbove) return aboveLimit(needed, terms, range);
  if (range.from.isZero()) return fromNothing(needed, terms);
  return priceOnStretch(needed, terms, withinStretch(range));
}

/** The exact list prices at which the ranges begin that hold a whole minor unit. */
function beginnings(needed: Needed, terms: SaleTerms, curve: FeeCurve, currency: string): readonly Figure[] {
  const target = plainTargetOf(needed);
  return target === null
    ? []
    : reachingRanges(target, terms, curve, currency).map(({ range }) => beginningOf(needed, terms, range));
}

/** The lowest price where a price before tax of zero leaves enough: nothing, and the coupon that comes off it. */
function fromNothing({ called, toCover }: Needed, terms: SaleTerms): Figure {
  const { unit } = toCover[0] as Figure;
  const name = isListed(terms) ? called.name : 'Price before tax';
  const nothing = constant('No price', '0', unit, 'what stands beside the price covers all of it');
  return asListed(
    called,
    choice({ name, subject: called.subject }, nothing, 'even a price of zero leaves enough'),
    terms,
  );
}

/** Above the last band of a fee nothing is known. */
function beyondLastBand({ fees }: SaleTerms): Gap {
  const ended = fees.find(({ bands }) => bands.at(-1)?.upTo !== null);
  const place = ended === undefined ? null : ({ kind: 'feeRule', id: ended.id, field: 'bands' } as const);
  return sellingGap('beyond-last-band', place, { fee: ended?.name ?? '' });
}

/** A price in the middle of the stretch on which a range begins: at its very ends the noise of a division would choose another. */
const withinStretch = ({ from, stretch: { upTo } }: Range): Decimal =>
  upTo === null ? from.plus(ONE) : from.plus(upTo).div(2);

/** Where no price leaves enough, or something is missing: the price on the stretch of the highest prices, which says why. */
function withoutAnswer(needed: Needed, terms: SaleTerms, curve: FeeCurve | null): Figure {
  const highest = curve?.at(-2)?.upTo?.plus(ONE) ?? ZERO;
  const exact = priceOnStretch(needed, terms, highest);
  const isCutOff = curve !== null && isWhole(exact) && isPositive(exact.amount);
  // There would be one, but beyond the last band the fees are not known.
  return isCutOff ? missing({ ...needed.called, unit: exact.unit }, beyondLastBand(terms), [exact]) : exact;
}

/** What is not of the price: to be covered by it, and what covers a part of it. */
interface Beside {
  readonly costs: readonly Figure[];
  /** The postage that is charged and not refunded. */
  readonly brings: Figure | null;
}

/** What a sale costs and brings beside its price and its fees. */
export function besideThePrice({ packing, postagePaid, returns, beside }: SaleTerms, subject: string): Beside {
  const { postage } = beside;
  const handling =
    returns?.handling == null
      ? []
      : [percentOf({ name: 'Handling of returns', subject }, returns.rate, returns.handling)];
  const scrap =
    returns?.scrap == null ? [] : [percentOf({ name: 'Worth of returns', subject }, LESS_ALL, returns.scrap)];
  const kept =
    postage !== null && returns?.refundsPostage === true
      ? percentOf({ name: 'Postage that is kept', subject }, returns.kept, postage)
      : postage;
  return {
    costs: [
      ...packing.map(({ perUnit }) => perUnit),
      ...(postagePaid === null ? [] : [postagePaid]),
      ...handling,
      ...scrap,
    ],
    brings: kept,
  };
}

const LESS_ALL = constant('Taken off', '-100', PERCENT, 'definition');

/** What of the price counts, and what it is to cover: after the margin, the returns, and what stands beside the price. */
function wantedOf({ called, toCover, margin, isOfPrice }: Needed, terms: SaleTerms): { share: Figure; cover: Figure } {
  const { subject } = called;
  const unit = (toCover[0] as Figure).unit;
  const { costs, brings } = besideThePrice(terms, subject);
  const kept = terms.returns?.kept ?? THE_WHOLE;
  const afterMargin = margin === null ? null : difference('What the margin leaves', THE_WHOLE, margin);
  const share =
    margin === null || afterMargin === null
      ? kept
      : isOfPrice
        ? difference('What margin and returns leave', kept, margin)
        : terms.returns === null
          ? afterMargin
          : percentOf('What margin and returns leave', afterMargin, kept);
  const brought =
    brings === null
      ? null
      : afterMargin === null || isOfPrice
        ? brings
        : percentOf({ name: 'Postage after the margin', subject }, afterMargin, brings);
  const all = sum({ name: 'To be covered', subject }, unit, [...toCover, ...costs]);
  return {
    share,
    cover: brought === null ? all : difference({ name: 'To be covered by the price', subject }, all, brought),
  };
}

function lowestFor(needed: Needed, terms: SaleTerms, curve: FeeCurve, currency: string): Asked | null {
  const target = plainTargetOf(needed);
  return target && lowestAskedFor(target, terms, curve, currency);
}

/** What a price is to leave in plain amounts; null while something is missing. */
function plainTargetOf({ toCover, margin, isOfPrice }: Needed): PlainTarget | null {
  if (!toCover.every(isWhole) || (margin !== null && !isWhole(margin))) return null;
  const cover = toCover.reduce<Decimal>((total, { amount }) => total.plus(amount ?? ZERO), ZERO);
  return { cover, margin: margin?.amount ?? null, isOfPrice };
}

function rangesFor(needed: Needed, terms: SaleTerms, curve: FeeCurve, currency: string): readonly PriceRange[] {
  const target = plainTargetOf(needed);
  return target === null ? [] : listedRanges(target, terms, curve, currency);
}

/** The price on the stretch of the fees that holds a price before tax. */
function priceOnStretch(needed: Needed, terms: SaleTerms, at: Decimal): Figure {
  const { called, toCover } = needed;
  const { subject } = called;
  const unit = (toCover[0] as Figure).unit;
  const { share, cover } = wantedOf(needed, terms);
  const lines = terms.fees.map((fee) => keptLine(fee, feeLine(fee, terms.beside, at), terms));
  const { percent, amounts } = sumOfLines(lines, unit);
  const toBeCovered = amounts.length === 0 ? cover : sum({ name: 'To be covered', subject }, unit, [cover, ...amounts]);
  const left = difference('What the price leaves for cost', share, percent);
  const reason = outOfReach(needed, terms, at, toBeCovered);
  const isLast = isListed(terms);
  const beforeTax = wholeOf(isLast ? called : { name: 'Price before tax', subject }, toBeCovered, left, reason);
  return asListed(called, beforeTax, terms);
}

/** The line of a fee less what is given back on returns. */
function keptLine(fee: FeeTerms, line: FeeLine, { returns }: SaleTerms): FeeLine {
  if (fee.givenBack === null || returns === null) return line;
  const back = percentOf('Given back, of all units', returns.rate, fee.givenBack);
  const kept = difference('Not given back', THE_WHOLE, back);
  const of = (figure: Figure | null) =>
    figure === null ? null : percentOf({ name: figure.name, subject: figure.subject }, kept, figure);
  return { percent: of(line.percent), amount: of(line.amount) };
}

/** True where the price before tax is the list price itself. */
const isListed = ({ taxInside, keptAfterDiscount, coupon }: SaleTerms) =>
  !taxInside && keptAfterDiscount === null && coupon === null;

/** Where the fees fall above a price, that price: the first one above it will do. */
function aboveLimit({ called, toCover }: Needed, terms: SaleTerms, range: Range): Figure {
  const { unit } = toCover[0] as Figure;
  const limit = constant('Price at which the fees fall', range.from.toFixed(), unit, 'the limit of a band');
  const beforeTax = choice(
    isListed(terms) ? called : { name: 'Price before tax', subject: called.subject },
    limit,
    'just above it',
  );
  return asListed(called, beforeTax, terms);
}

/** A price before tax as the customer sees it before the coupon and the discount. */
function asListed(called: Needed['called'], beforeTax: Figure, terms: SaleTerms): Figure {
  const { subject } = called;
  const { keptAfterDiscount: kept, coupon, beside } = terms;
  const isSeen = kept === null && coupon === null;
  const seen = terms.taxInside
    ? percentOf(isSeen ? called : { name: 'Price with tax', subject }, beside.priceWithTax, beforeTax)
    : beforeTax;
  const beforeCoupon =
    coupon === null
      ? seen
      : sum(kept === null ? called : { name: 'Price before the coupon', subject }, seen.unit, [seen, coupon.own]);
  if (kept === null) return beforeCoupon;
  return wholeOf(called, beforeCoupon, kept, sellingGap('discount-leaves-nothing', null));
}

/**
 * An exact list price brought to the ending that the customer is to see, so that the target is still reached (`endedPrice`);
 * without one, or where the currency lacks it, in whole minor units. Gap: `no-ending-reaches-target`.
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
  const multiple = multipleOf(ending);
  const note = multiple === null ? `to end in ${ending}, ${direction}` : `to a multiple of ${multiple}, ${direction}`;
  if (!isWhole(reached.exact)) return shaped(called, reached.exact, (amount) => amount, note);
  const ended = endedPrice(reached.exact.amount, reached.ranges(), ending, direction, minor);
  if (ended !== null) return shaped(called, reached.exact, () => ended, note);
  const plain = reached.listed?.toFixed() ?? '';
  const gap = sellingGap('no-ending-reaches-target', reached.exact.gaps[0]?.place ?? null, { ending, plain });
  return missing({ name: called.name, subject, unit: reached.exact.unit }, gap, [reached.exact]);
}
