import { difference, percentOf, shareOf, sum, wholeOf, type Figure } from '../figure/index.js';
import type { SaleTerms } from './sale-terms.js';

/** What one unit costs the seller, before what the channel takes. */
export interface UnitCost {
  readonly variableCost: Figure;
  readonly overhead: Figure;
  readonly fullCost: Figure;
}

/** What becomes of one sale. Contribution and full cost stand beside each other everywhere. */
export interface Sale {
  readonly beforeTax: Figure;
  readonly tax: Figure;
  readonly paid: Figure;
  readonly fees: Figure;
  readonly contribution: Figure;
  readonly profit: Figure;
  readonly margin: Figure;
  readonly contributionMargin: Figure;
  readonly markup: Figure;
}

/**
 * What is left of one sale at a price p (before tax): contribution = p - fees - variable cost; profit = contribution -
 * absorbed overhead; margin = profit / p; markup = profit / full cost (fees are not in that base). A price with the tax
 * inside is brought to p = price / (1 + tax), unrounded. Profit and the ratios are gaps while the full cost is partial.
 */
export function saleAt(price: Figure, terms: SaleTerms, cost: UnitCost, subject: string): Sale {
  const named = (name: string) => ({ name, subject });
  const beforeTax = terms.taxInside ? wholeOf(named('Price before tax'), price, terms.priceWithTax) : price;
  const paid = terms.taxInside ? price : percentOf(named('Price paid'), terms.priceWithTax, beforeTax);
  const percentageFee = percentOf(named('Percentage fee'), terms.feePercent, terms.feeOfPricePaid ? paid : beforeTax);
  const fees = sum(named('Fees'), price.unit, [percentageFee, terms.fixedFee]);
  const afterFees = difference(named('Price after fees'), beforeTax, fees);
  const contribution = difference(named('Contribution'), afterFees, cost.variableCost);
  const profit = difference(named('Profit'), contribution, cost.overhead);
  return {
    beforeTax,
    tax: difference(named('Sales tax'), paid, beforeTax),
    paid,
    fees,
    contribution,
    profit,
    margin: shareOf(named('Margin'), profit, beforeTax),
    contributionMargin: shareOf(named('Contribution margin'), contribution, beforeTax),
    markup: shareOf(named('Markup'), profit, cost.fullCost),
  };
}
