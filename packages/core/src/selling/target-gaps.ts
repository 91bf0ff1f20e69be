import { type Figure, type Gap, isWhole } from '../figure/index.js';
import { compared, type Decimal, HUNDRED, isPositive, ZERO } from '../number/index.js';
import { feeLine } from './fees/fee-amount.js';
import { notGivenBack } from './fees/sale-curve.js';
import { sellingGap } from './gaps.js';
import type { SaleTerms } from './sale-terms.js';

/** What a price was to reach, as far as a sentence about it goes. */
export interface WantedOfPrice {
  /** In percent; null where an amount is to be left. */
  readonly margin: Figure | null;
  /** What the margin is of: the net revenue, or the price before tax alone. */
  readonly isOfPrice: boolean;
  readonly place: Gap['place'];
}

/**
 * Why no price leaves enough: a margin comes near what fees and returns leave and does not reach it, or an amount is not left since
 * they take all that a higher price brings. Where nothing has to be covered the margin is the same at any price.
 */
export function outOfReach(
  { margin, isOfPrice, place }: WantedOfPrice,
  terms: SaleTerms,
  at: Decimal,
  cover: Figure,
): Gap {
  if (margin === null) return sellingGap('amount-out-of-reach', place);
  const taken = terms.fees.reduce(
    (total, fee) => total.plus((feeLine(fee, terms.beside, at).percent?.amount ?? ZERO).mul(notGivenBack(fee, terms))),
    ZERO,
  );
  const kept = terms.returns?.kept.amount ?? HUNDRED;
  const left = kept.minus(taken);
  const share = isOfPrice ? left : isPositive(kept) ? left.mul(HUNDRED).div(kept) : ZERO;
  const values = {
    margin: isOfPrice ? 'margin of the price' : 'margin',
    limit: terms.written(share.toDecimalPlaces(2).toFixed()),
  };
  const isAlways = isWhole(cover) && compared(cover.amount, ZERO) === 0;
  return sellingGap(isAlways ? 'margin-is-always' : 'target-out-of-reach', place, values);
}

/** Every price from zero on reaches it, or those up to a limit do: none is suggested. */
export const reachedFromZero = (place: Gap['place'], terms: SaleTerms, upTo: Decimal | null): Gap =>
  upTo === null
    ? sellingGap('any-price-reaches-target', place)
    : sellingGap('any-price-up-to', place, { limit: terms.written(upTo.toFixed()) });
