import { isWhole } from '../../figure/index.js';
import { type Decimal, HUNDRED, ONE } from '../../number/index.js';
import type { ReturnTerms } from '../returns.js';
import { type BesidePrice, curveOfFee } from './fee-amount.js';
import { type FeeCurve, scaledCurve, sumOfCurves } from './fee-curve.js';
import type { FeeTerms } from './fee-terms.js';

/** What of a fee is not given back on returns, as a share of one. */
export function notGivenBack({ givenBack }: FeeTerms, { returns }: { readonly returns: ReturnTerms | null }): Decimal {
  if (givenBack?.amount == null || returns?.rate.amount == null) return ONE;
  return ONE.minus(returns.rate.amount.mul(givenBack.amount).div(HUNDRED).div(HUNDRED));
}

/** The fees of a sale, and what they go by. */
interface SaleFees {
  readonly fees: readonly FeeTerms[];
  readonly beside: BesidePrice;
  readonly returns: ReturnTerms | null;
}

/** All fees of a sale less what is given back of them; null while one of its figures is missing. */
export function curveOf(terms: SaleFees): FeeCurve | null {
  const curves = terms.fees.map((fee) => {
    const curve = curveOfFee(fee, terms.beside);
    if (curve === null || (fee.givenBack !== null && !isWhole(fee.givenBack))) return null;
    return scaledCurve(curve, notGivenBack(fee, terms));
  });
  if (terms.returns !== null && !isWhole(terms.returns.rate)) return null;
  return curves.every((curve) => curve !== null) ? sumOfCurves(curves) : null;
}
