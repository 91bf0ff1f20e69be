import type { EndingDirection, PriceEnding } from '@nuvar/book';
import { hasEnding, minorUnit } from '../money/index.js';
import { type Decimal, HUNDRED, isPositive, ONE, ZERO } from '../number/index.js';
import { endedPrice } from './ended-price.js';
import type { FeeCurve } from './fees/fee-curve.js';
import {
  type Asked,
  askedFor,
  askedWithin,
  lowestAsked,
  type PriceRange,
  pricesThatLeave,
  type Range,
  type Wanted,
} from './fees/reached.js';
import type { SaleTerms } from './sale-terms.js';

/** How a price before tax becomes a list price: a factor and a fixed amount; null where a discount leaves nothing. */
export function listedFrom({
  taxInside,
  beside,
  keptAfterDiscount: kept,
  coupon,
}: SaleTerms): { times: Decimal; plus: Decimal } | null {
  const share = kept === null ? HUNDRED : kept.amount;
  if (share === null || !isPositive(share)) return null;
  const seen = taxInside ? (beside.priceWithTax.amount ?? HUNDRED).div(HUNDRED) : ONE;
  const scale = HUNDRED.div(share);
  return { times: seen.mul(scale), plus: (coupon?.own.amount ?? ZERO).mul(scale) };
}

/** All list prices in whole minor units that reach a target. */
export const listedRanges = (
  target: PlainTarget,
  terms: SaleTerms,
  curve: FeeCurve,
  currency: string,
): readonly PriceRange[] => reachingRanges(target, terms, curve, currency).map(({ listed }) => listed);

/** The ranges of prices before tax that reach a target and hold a list price in whole minor units, with those list prices. */
export function reachingRanges(
  target: PlainTarget,
  terms: SaleTerms,
  curve: FeeCurve,
  currency: string,
): { readonly range: Range; readonly listed: PriceRange }[] {
  const [asked, wanted] = [listedFrom(terms), wantedFor(target, terms)];
  if (asked === null || wanted === null) return [];
  const step = minorUnit(currency);
  return pricesThatLeave(curve, wanted).flatMap((range) => {
    const listed = askedWithin(range, asked, step);
    return listed === null ? [] : [{ range, listed }];
  });
}

/** What a price is to leave, in plain amounts: of a whole board nobody asks for the working. */
export interface PlainTarget {
  readonly cover: Decimal;
  /** In percent; null where none is asked for. */
  readonly margin: Decimal | null;
  readonly isOfPrice: boolean;
}

export function lowestAskedFor(target: PlainTarget, terms: SaleTerms, curve: FeeCurve, currency: string): Asked | null {
  const [listed, wanted] = [listedFrom(terms), wantedFor(target, terms)];
  if (listed === null || wanted === null) return null;
  return lowestAsked(pricesThatLeave(curve, wanted), listed, minorUnit(currency));
}

/** What of the price before tax counts for a target, and what it is to cover; null while something is missing. */
export function wantedFor({ cover, margin, isOfPrice }: PlainTarget, terms: SaleTerms): Wanted | null {
  const amounts = terms.amounts();
  if (amounts === null) return null;
  const { kept, costs, brings } = amounts;
  const asked = margin === null ? ZERO : margin.div(HUNDRED);
  const afterMargin = ONE.minus(asked);
  return {
    share: isOfPrice ? kept.minus(asked) : afterMargin.mul(kept),
    toCover: cover.plus(costs).minus(isOfPrice ? brings : brings.mul(afterMargin)),
  };
}

/**
 * The lowest list price in whole minor units that reaches a target, or with an ending the one that `endedPrice` says, without
 * its working; null where there is none.
 */
export function listedForTarget(
  target: PlainTarget,
  terms: SaleTerms,
  currency: string,
  { ending, direction }: AskedEnding = NO_ENDING,
): Decimal | null {
  const curve = terms.curve();
  const lowest = curve === null ? null : lowestAskedFor(target, terms, curve, currency);
  const asked = listedFrom(terms);
  const minor = minorUnit(currency);
  if (curve === null || lowest === null || asked === null) return null;
  if (!hasEnding(ending, minor)) return lowest.listed;
  const exact = askedFor(lowest.range.from, asked);
  return endedPrice(exact, listedRanges(target, terms, curve, currency), ending, direction, minor);
}

/** With what a price is to end, and to which side it may be moved for that. */
export interface AskedEnding {
  readonly ending: PriceEnding;
  readonly direction: EndingDirection;
}

const NO_ENDING: AskedEnding = { ending: 'none', direction: 'up' };
