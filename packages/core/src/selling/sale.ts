import { difference, type Figure, percentOf, sum, wholeOf } from '../figure/index.js';
import { feeAmount } from './fees/fee-amount.js';
import type { SaleTerms } from './sale-terms.js';

/** What one unit costs the seller, before what the channel takes. */
export interface UnitCost {
  /** What changes with each unit that is made and sold. */
  readonly changingCost: Figure;
  /** The rest of the full cost: what is committed, and fixed overhead. */
  readonly fixedInUnit: Figure;
  readonly fullCost: Figure;
}

/** What the seller gets of one sale, whatever the unit costs. */
export interface NetProceeds {
  readonly beforeTax: Figure;
  readonly tax: Figure;
  readonly paid: Figure;
  readonly fees: Figure;
  readonly afterFees: Figure;
}

/**
 * What the seller gets of one sale at a price: the price before tax - fees. A price with the tax inside is brought to
 * p = price / (1 + tax), unrounded.
 */
export function netProceedsAt(price: Figure, terms: SaleTerms, subject: string): NetProceeds {
  const named = (name: string) => ({ name, subject });
  const beforeTax = terms.taxInside ? wholeOf(named('Price before tax'), price, terms.priceWithTax) : price;
  const paid = terms.taxInside ? price : percentOf(named('Price paid'), terms.priceWithTax, beforeTax);
  const fees = sum(
    named('Fees'),
    price.unit,
    terms.fees.map((fee) => feeAmount(fee, { beforeTax, paid }, subject)),
  );
  return {
    beforeTax,
    tax: difference(named('Sales tax'), paid, beforeTax),
    paid,
    fees,
    afterFees: difference(named('Price after fees'), beforeTax, fees),
  };
}

/** Contribution of one sale = price after fees - what changes with the unit (variable cost). */
export function contributionOf({ afterFees }: NetProceeds, { changingCost }: UnitCost, subject: string): Figure {
  return difference({ name: 'Contribution', subject }, afterFees, changingCost);
}
