import { difference, type Figure, percentOf, sum, wholeOf } from '../figure/index.js';
import type { PackedLine } from './dispatch/packing.js';
import { feeAmount, type FeeBase } from './fees/fee-amount.js';
import type { FeeTerms } from './fees/fee-terms.js';
import { costOfDispatched, type ReturnTerms } from './returns.js';
import type { SaleTerms } from './sale-terms.js';

/** What one unit costs the seller, before what the channel takes. */
export interface UnitCost {
  /** What changes with each unit that is made and sold. */
  readonly changingCost: Figure;
  /** The rest of the full cost: what is committed, and fixed overhead. */
  readonly fixedInUnit: Figure;
  readonly fullCost: Figure;
}

/** What one unit carries of costs that come whatever is sold: its fixed cost, and the channel's fees of the period. */
export function carriedBy(
  { fixedInUnit }: UnitCost,
  { periodFee }: Pick<SaleTerms, 'periodFee'>,
  subject: string,
): Figure {
  return periodFee === null
    ? fixedInUnit
    : sum({ name: 'Fixed cost and fees of the period', subject }, fixedInUnit.unit, [fixedInUnit, periodFee]);
}

/** What one fee comes to in a sale. */
export interface FeeTaken {
  readonly terms: FeeTerms;
  readonly amount: Figure;
}

/** What the seller gets of one sale, whatever the unit costs. Null for what there is nothing of. */
export interface NetProceeds {
  readonly beforeTax: Figure;
  readonly tax: Figure;
  readonly paid: Figure;
  readonly postageCharged: Figure | null;
  readonly refunds: Figure | null;
  /** Price and postage before tax, less what is refunded. */
  readonly netRevenue: Figure;
  readonly taken: readonly FeeTaken[];
  readonly fees: Figure;
  readonly postagePaid: Figure | null;
  readonly packing: Figure | null;
  /** What returns cost beside the refund and beside the units: handling, less fees given back and what the rest is worth. */
  readonly returnsCost: Figure | null;
  readonly afterFees: Figure;
}

/**
 * What the seller gets of one sale at a price, as the customer sees it after discount and coupon. A price with the tax inside is
 * brought to p = price / (1 + tax), unrounded. Net revenue = p + postage charged - refunds expected; what is left of it = net
 * revenue - fees - packing - postage paid - other cost of returns. Returns are expected at their rate: rate x (price + postage
 * refunded + handling - fees given back - worth of what is not as new).
 */
export function netProceedsAt(price: Figure, terms: SaleTerms, subject: string): NetProceeds {
  const named = (name: string) => ({ name, subject });
  const { beside, returns } = terms;
  const { priceWithTax, postage: postageCharged } = beside;
  const beforeTax = terms.taxInside ? wholeOf(named('Price before tax'), price, priceWithTax) : price;
  const paid = terms.taxInside ? price : percentOf(named('Price paid'), priceWithTax, beforeTax);
  const base: FeeBase = { beforeTax, paid, beside };
  const taken = terms.fees.map((fee) => ({ terms: fee, amount: feeAmount(fee, base, subject) }));
  const fees = sum(
    named('Fees'),
    price.unit,
    taken.map(({ amount }) => amount),
  );
  const refunds = refundsOf(beforeTax, postageCharged, returns, subject);
  const sold =
    postageCharged === null ? beforeTax : sum(named('Price and postage'), price.unit, [beforeTax, postageCharged]);
  const netRevenue = refunds === null ? sold : difference(named('Net revenue'), sold, refunds);
  const packing = packedOf(terms.packing, subject);
  const { postagePaid } = terms;
  const returnsCost = returns && returnsCostOf(returns, taken, price.unit, subject);
  const others = [packing, postagePaid, returnsCost].filter((each) => each !== null);
  const costs = others.length === 0 ? fees : sum(named('Fees and selling costs'), price.unit, [fees, ...others]);
  return {
    beforeTax,
    paid,
    postageCharged,
    refunds,
    netRevenue,
    taken,
    fees,
    packing,
    postagePaid,
    returnsCost,
    tax: difference(named('Sales tax'), paid, beforeTax),
    afterFees: difference(named('Left after fees'), netRevenue, costs),
  };
}

function refundsOf(
  beforeTax: Figure,
  postage: Figure | null,
  returns: ReturnTerms | null,
  subject: string,
): Figure | null {
  if (returns === null) return null;
  const called = { name: 'Expected refunds', subject };
  const isRefunded = returns.refundsPostage && postage !== null;
  const refunded = isRefunded ? sum({ name: 'Refunded', subject }, beforeTax.unit, [beforeTax, postage]) : beforeTax;
  return percentOf(called, returns.rate, refunded);
}

function packedOf(lines: readonly PackedLine[], subject: string): Figure | null {
  const packing = lines.map(({ perUnit }) => perUnit);
  const [only] = packing;
  if (only === undefined) return null;
  return packing.length === 1 ? only : sum({ name: 'Packing', subject }, only.unit, packing);
}

function returnsCostOf(
  { rate, handling, scrap }: ReturnTerms,
  taken: readonly FeeTaken[],
  unit: Figure['unit'],
  subject: string,
): Figure | null {
  const named = (name: string) => ({ name, subject });
  const given = taken.flatMap(({ terms: { givenBack, name }, amount }) =>
    givenBack === null ? [] : [percentOf({ name: `${name} given back`, subject }, givenBack, amount)],
  );
  const spent = handling === null ? null : percentOf(named('Handling of returns'), rate, handling);
  const back = [
    ...(given.length === 0
      ? []
      : [percentOf(named('Fees given back'), rate, sum(named('Fees given back for a return'), unit, given))]),
    ...(scrap === null ? [] : [scrap]),
  ];
  if (spent === null && back.length === 0) return null;
  if (back.length === 0) return spent;
  return difference(
    named('Other cost of returns'),
    spent ?? sum(named('Handling of returns'), unit, []),
    sum(named('Comes back'), unit, back),
  );
}

/** Contribution of one sale = what is left after fees - what changes with the unit (variable cost), less what comes back as new. */
export function contributionOf(
  { afterFees }: NetProceeds,
  { changingCost }: UnitCost,
  { returns }: Pick<SaleTerms, 'returns'>,
  subject: string,
): Figure {
  return difference({ name: 'Contribution', subject }, afterFees, costOfDispatched(changingCost, returns));
}
