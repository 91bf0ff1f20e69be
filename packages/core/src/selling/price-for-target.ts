import type { PriceBasis, PriceEnding, EndingDirection } from '@nuvar/book';
import { difference, type Figure, gap, percentOf, rounded, shaped, sum, wholeOf } from '../figure/index.js';
import { minorUnit, priceEnding } from '../money/index.js';
import { PERCENT } from '../quantity/index.js';
import { type SaleTerms, THE_WHOLE } from './sale-terms.js';
import type { UnitCost } from './sale.js';

/**
 * The lowest price, as the customer sees it and in whole minor units, that reaches a target on full cost C with a
 * percentage fee f and a fixed fee F per unit, before tax:
 *
 * - margin m: p = (C + F) / (100 % - f - m)
 * - markup k: p = (C + k x C + F) / (100 % - f)
 * - profit P: p = (C + P + F) / (100 % - f)
 *
 * A fee taken of the price paid counts as f x (1 + tax). The result rises with the price, so rounding up to the minor
 * unit keeps the target. Gap: `target-out-of-reach` where fee and margin leave nothing of the price.
 */
export function priceForTarget(
  basis: Exclude<PriceBasis, 'typed'>,
  target: Figure,
  terms: SaleTerms,
  cost: Figure,
  currency: string,
  subject: string,
): Figure {
  const named = (name: string) => ({ name, subject });
  const fee = effectiveFee(terms);
  const taken = basis === 'margin' ? sum('Fee and margin', PERCENT, [fee, target]) : fee;
  const left = difference('What the price leaves for cost', THE_WHOLE, taken);
  const wanted =
    basis === 'profit' ? target : basis === 'markup' ? percentOf(named('Wanted markup'), target, cost) : null;
  const toCover = sum(
    named('To be covered'),
    cost.unit,
    wanted === null ? [cost, terms.fixedFee] : [cost, wanted, terms.fixedFee],
  );
  const limit = fee.amount === null ? '?' : THE_WHOLE.amount?.minus(fee.amount).toDecimalPlaces(2).toFixed();
  const beforeTax = wholeOf(
    named('Price before tax'),
    toCover,
    left,
    gap('target-out-of-reach', target.place, { limit: limit ?? '?' }),
  );
  return asSeen(beforeTax, terms, currency, subject, 'Lowest price for the target');
}

/** The price at which what is left after fees just covers a cost, as the customer sees it, rounded up to the minor unit. */
export function floorPrice(
  cost: UnitCost['variableCost'],
  terms: SaleTerms,
  currency: string,
  subject: string,
  name: string,
): Figure {
  const left = difference('What the price leaves for cost', THE_WHOLE, effectiveFee(terms));
  const toCover = sum({ name: 'To be covered', subject }, cost.unit, [cost, terms.fixedFee]);
  const beforeTax = wholeOf(
    { name: 'Price before tax', subject },
    toCover,
    left,
    gap('target-out-of-reach', null, { limit: '0' }),
  );
  return asSeen(beforeTax, terms, currency, subject, name);
}

/** The percentage fee as a share of the price before tax. */
function effectiveFee(terms: SaleTerms): Figure {
  return terms.feeOfPricePaid
    ? percentOf('Fee in percent of the price before tax', terms.feePercent, terms.priceWithTax)
    : terms.feePercent;
}

function asSeen(beforeTax: Figure, terms: SaleTerms, currency: string, subject: string, name: string): Figure {
  const seen = terms.taxInside
    ? percentOf({ name: 'Price with tax', subject }, terms.priceWithTax, beforeTax)
    : beforeTax;
  return rounded({ name, subject }, seen, minorUnit(currency), 'up');
}

/** A price brought to the ending that the customer is to see. */
export function withEnding(price: Figure, ending: PriceEnding, direction: EndingDirection, subject: string): Figure {
  if (ending === 'none') return price;
  const note = ending === 'nearest 0.05' ? `to a multiple of 0.05, ${direction}` : `to end in ${ending}, ${direction}`;
  return shaped({ name: 'Suggested price', subject }, price, (amount) => priceEnding(amount, ending, direction), note);
}
