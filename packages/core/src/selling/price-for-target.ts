import type { EndingDirection, PriceBasis, PriceEnding } from '@nuvar/book';
import {
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
import { isPositive } from '../number/index.js';
import { PERCENT } from '../quantity/index.js';
import { sellingGap } from './gaps.js';
import { type SaleTerms, THE_WHOLE } from './sale-terms.js';

/**
 * The exact list price, as the customer sees it, that reaches a target on full cost C with a percentage fee f and a
 * fixed fee F per unit. Before tax and after the standing discount:
 *
 * - margin m: p = (C + F) / (100 % - f - m)
 * - markup k: p = (C + k x C + F) / (100 % - f)
 * - profit P: p = (C + P + F) / (100 % - f)
 *
 * A fee taken of the price paid counts as f x (1 + tax). Price with tax = p x (1 + tax) where tax is inside; list price
 * = that / (100 % - discount). Not rounded. Gaps: `target-out-of-reach` where fee and margin leave nothing of the price,
 * `discount-leaves-nothing` at a discount of 100 %, `any-price-reaches-target` where the price would be zero or less.
 */
export function exactPriceForTarget(
  basis: Exclude<PriceBasis, 'typed'>,
  target: Figure,
  terms: SaleTerms,
  cost: Figure,
  subject: string,
): Figure {
  const named = (name: string) => ({ name, subject });
  const fee = effectiveFee(terms);
  const taken = basis === 'margin' ? sum('Fee and margin', PERCENT, [fee, target]) : fee;
  const wanted =
    basis === 'profit' ? target : basis === 'markup' ? percentOf(named('Target markup'), target, cost) : null;
  const toCover = sum(
    named('To be covered'),
    cost.unit,
    wanted === null ? [cost, terms.fixedFee] : [cost, wanted, terms.fixedFee],
  );
  const price = listPrice(named('Exact price for the target'), toCover, taken, terms, target.place);
  return isWhole(price) && !isPositive(price.amount)
    ? missing({ ...named(price.name), unit: price.unit }, sellingGap('any-price-reaches-target', target.place), [price])
    : price;
}

/**
 * The list price at which what is left after fees just covers a cost, as the customer sees it, rounded up to the minor
 * unit: the standing discount is taken off it first. Gaps as of a target.
 */
export function floorPrice(cost: Figure, terms: SaleTerms, currency: string, subject: string, name: string): Figure {
  const toCover = sum({ name: 'To be covered', subject }, cost.unit, [cost, terms.fixedFee]);
  const exact = listPrice({ name: `${name}, exact`, subject }, toCover, effectiveFee(terms), terms, null);
  return rounded({ name, subject }, exact, minorUnit(currency), 'up');
}

/** The list price of which so much is left after a percentage and the discount; as the customer sees it, not rounded. */
function listPrice(
  called: { readonly name: string; readonly subject: string },
  toCover: Figure,
  percentTaken: Figure,
  terms: SaleTerms,
  place: Gap['place'],
): Figure {
  const { subject } = called;
  const isLast = {
    beforeTax: !terms.taxInside && terms.keptAfterDiscount === null,
    seen: terms.keptAfterDiscount === null,
  };
  const left = difference('What the price leaves for cost', THE_WHOLE, percentTaken);
  const reason = sellingGap('target-out-of-reach', place, { limit: marginLimit(terms) });
  const beforeTax = wholeOf(isLast.beforeTax ? called : { name: 'Price before tax', subject }, toCover, left, reason);
  const seen = terms.taxInside
    ? percentOf(isLast.seen ? called : { name: 'Price with tax', subject }, terms.priceWithTax, beforeTax)
    : beforeTax;
  if (terms.keptAfterDiscount === null) return seen;
  return wholeOf(called, seen, terms.keptAfterDiscount, sellingGap('discount-leaves-nothing', null));
}

/** The margin that is come near as the price grows and cost weighs less and less: what the fee leaves, in percent. */
function marginLimit(terms: SaleTerms): string {
  const limit = difference('What the fee leaves', THE_WHOLE, effectiveFee(terms));
  return limit.amount?.toDecimalPlaces(2).toFixed() ?? '?';
}

/** The percentage fee as a share of the price before tax. */
function effectiveFee(terms: SaleTerms): Figure {
  return terms.feeOfPricePaid
    ? percentOf('Fee in percent of the price before tax', terms.feePercent, terms.priceWithTax)
    : terms.feePercent;
}

/**
 * An exact list price brought to the ending that the customer is to see; without one, or where the currency lacks it,
 * rounded up to the minor unit, so that the target is still reached.
 */
export function suggestedPrice(
  exact: Figure,
  ending: PriceEnding,
  direction: EndingDirection,
  currency: string,
  subject: string,
): Figure {
  const called = { name: 'Suggested price', subject };
  const minor = minorUnit(currency);
  if (ending === 'none' || !hasEnding(ending, minor)) return rounded(called, exact, minor, 'up');
  const note = ending === 'nearest 0.05' ? `to a multiple of 0.05, ${direction}` : `to end in ${ending}, ${direction}`;
  return shaped(called, exact, (amount) => priceEnding(amount, ending, direction, minor), note);
}
