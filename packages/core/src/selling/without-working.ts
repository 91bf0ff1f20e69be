import { isWhole } from '../figure/index.js';
import { type Decimal, decimal, fallsShort, HUNDRED, ONE, ZERO } from '../number/index.js';
import { minorUnit } from '../money/index.js';
import { bookCurrency, type Sheet } from '../sheet/index.js';
import { feeAt } from './fees/fee-curve.js';
import { type AskedEnding, listedForTarget, type PlainTarget } from './plain-target.js';
import { targetOf } from './price-limits.js';
import { pricePoint } from './price-point.js';
import type { SaleTerms } from './sale-terms.js';
import { setPrice, type SetPrice } from './set-price.js';
import { unitCostOf } from './unit-cost.js';

// A board has thousands of prices, of which nobody asks for workings: here they are worked out in plain amounts, by the same
// curves as the figures. A test holds both against each other.

type Sold = NonNullable<SetPrice['sold']>;

/** What one unit dispatched costs, without what comes back as new: what changes with it, and all of it; null while not known. */
export function plainCosts(
  sheet: Sheet,
  { product, terms, point }: Sold,
): { readonly dispatched: Decimal; readonly whole: Decimal } | null {
  const { changingCost, fixedInUnit } = unitCostOf(sheet, product.id, point.channelId);
  const { periodFee } = terms;
  if (!isWhole(changingCost) || !isWhole(fixedInUnit) || (periodFee !== null && !isWhole(periodFee))) return null;
  const asNew = terms.returns?.asNew?.amount;
  const dispatched = asNew == null ? changingCost.amount : changingCost.amount.mul(ONE.minus(asNew.div(HUNDRED)));
  return { dispatched, whole: dispatched.plus(fixedInUnit.amount).plus(periodFee?.amount ?? ZERO) };
}

/** What a price is to leave, of its target as it is typed; null where there is none, or something is missing. */
export function plainTarget(sheet: Sheet, { point, product }: Sold, cost: Decimal): PlainTarget | null {
  const { basis, target } = point;
  if (basis === 'typed' || target === null) return null;
  if (basis === 'margin' || basis === 'margin of the price')
    return { cover: cost, margin: decimal(target), isOfPrice: basis === 'margin of the price' };
  const { wanted } = targetOf(sheet, point, product, basis);
  return isWhole(wanted) ? { cover: cost.plus(wanted.amount), margin: null, isOfPrice: false } : null;
}

/** The lowest list price in whole minor units that reaches the target of a price; null where it has none, or no price reaches it. */
export function listedPriceForTarget(sheet: Sheet, pricePointId: string, ending?: AskedEnding): Decimal | null {
  const { sold } = sheet.read(setPrice, pricePointId);
  const costs = sold && plainCosts(sheet, sold);
  const target = sold && costs && plainTarget(sheet, sold, costs.whole);
  return sold && target && listedForTarget(target, sold.terms, bookCurrency(sheet), ending);
}

/**
 * What a sale at a list price leaves (contribution); null while something is missing. Left = share kept x price before tax +
 * postage kept - fees - what stands beside the price - variable cost.
 */
export function contributionAt(sheet: Sheet, pricePointId: string, listed: Decimal): Decimal | null {
  const { sold } = sheet.read(setPrice, pricePointId);
  const costs = sold && plainCosts(sheet, sold);
  const curve = sold && sold.terms.curve();
  const amounts = sold && sold.terms.amounts();
  if (sold === null || costs === null || curve === null || amounts === null) return null;
  const beforeTax = withoutTax(listed, sold.terms);
  const fees = feeAt(curve, beforeTax);
  const left = beforeTax.mul(amounts.kept).plus(amounts.brings).minus(amounts.costs).minus(costs.dispatched);
  return fees && left.minus(fees);
}

/** A list price after discount and coupon, before tax. */
function withoutTax(listed: Decimal, { keptAfterDiscount, coupon, taxInside, beside }: SaleTerms): Decimal {
  const kept = keptAfterDiscount?.amount ?? HUNDRED;
  const seen = listed
    .mul(kept)
    .div(HUNDRED)
    .minus(coupon?.own.amount ?? 0);
  return taxInside ? seen.mul(HUNDRED).div(beside.priceWithTax.amount ?? HUNDRED) : seen;
}

/** True where the price as it is set reaches its target; null while something is missing, or where there is none. */
export function reachesTarget(sheet: Sheet, pricePointId: string): boolean | null {
  const { sold, netRevenue, beforeTax } = sheet.read(setPrice, pricePointId);
  if (sold === null || sold.point.basis === 'typed') return null;
  const { profit } = sheet.read(pricePoint, pricePointId);
  const { basis, wanted } = targetOf(sheet, sold.point, sold.product, sold.point.basis);
  if (profit.amount === null || wanted.amount === null) return null;
  const step = minorUnit(bookCurrency(sheet));
  if (basis === 'amount') return !fallsShort(profit.amount, wanted.amount, step);
  const base = basis === 'margin' ? netRevenue.amount : beforeTax.amount;
  return base === null ? null : !fallsShort(profit.amount, base.mul(wanted.amount).div(HUNDRED), step);
}
