import { minorUnit } from '../money/index.js';
import { compared, type Decimal, HUNDRED, roundToStep, ZERO } from '../number/index.js';
import { bookCurrency, type Sheet } from '../sheet/index.js';
import { feeAt, type FeeCurve } from './fees/fee-curve.js';
import { askedFor, type AskedFrom, type PriceRange } from './fees/reached.js';
import { listedFrom, listedRanges, type PlainTarget, wantedFor } from './plain-target.js';
import { setPrice } from './set-price.js';
import type { SaleTerms } from './sale-terms.js';
import { plainCosts, plainTarget } from './without-working.js';

/** The best that can be reached where no price reaches a target: a margin in percent, or for an amount by how much it falls short (below zero), and the price at which. */
export interface BestResult {
  readonly price: Decimal;
  readonly result: Decimal;
}

export interface TargetAnswers {
  /** Several where higher prices fall short again, because the fees jump. */
  readonly ranges: readonly PriceRange[];
  /** Null where a price reaches the target, or where the result only grows with the price and stays below its limit. */
  readonly best: BestResult | null;
}

/** All list prices that reach the target of a price, and where there is none the best that one does; null while something is missing. */
export function targetAnswers(sheet: Sheet, pricePointId: string): TargetAnswers | null {
  const { sold } = sheet.read(setPrice, pricePointId);
  const costs = sold && plainCosts(sheet, sold);
  const target = sold && costs && plainTarget(sheet, sold, costs.whole);
  if (sold === null || target === null) return null;
  const { terms } = sold;
  const [curve, listed] = [terms.curve(), listedFrom(terms)];
  if (curve === null || listed === null || wantedFor(target, terms) === null) return null;
  const step = minorUnit(bookCurrency(sheet));
  const ranges = listedRanges(target, terms, curve, bookCurrency(sheet));
  return { ranges, best: ranges.length > 0 ? null : bestOf(curve, target, terms, listed, step) };
}

/**
 * The highest result at the ends of the stretches of the fees: between two ends it rises or falls. Null where it is highest as the
 * price grows without end.
 */
function bestOf(
  curve: FeeCurve,
  target: PlainTarget,
  terms: SaleTerms,
  asked: AskedFrom,
  step: Decimal,
): BestResult | null {
  const ends = curve.flatMap(({ upTo }) => (upTo === null ? [] : [upTo]));
  const results = ends.flatMap((end) => {
    const result = resultAt(end, curve, target, terms);
    return result === null ? [] : [{ price: roundToStep(askedFor(end, asked), step, 'down'), result }];
  });
  const best = results.reduce<BestResult | null>(
    (so, each) => (so === null || compared(each.result, so.result) > 0 ? each : so),
    null,
  );
  const last = curve.at(-1);
  if (last === undefined || last.upTo !== null) return best;
  // On the last stretch the result goes to this limit: a margin to what fees leave, an amount beyond all bounds or below them.
  const kept = terms.amounts()?.kept ?? ZERO;
  const gain = kept.minus(last.slope);
  if (target.margin === null) return gain.isPositive() && !gain.isZero() ? null : best;
  const base = target.isOfPrice || kept.isZero() ? gain : gain.div(kept);
  // The limit itself is never reached: a result that is as high is the best.
  return best !== null && compared(best.result, base.mul(HUNDRED)) >= 0 ? best : null;
}

function resultAt(beforeTax: Decimal, curve: FeeCurve, target: PlainTarget, terms: SaleTerms): Decimal | null {
  const [amounts, fees] = [terms.amounts(), feeAt(curve, beforeTax)];
  if (amounts === null || fees === null) return null;
  const revenue = beforeTax.mul(amounts.kept).plus(amounts.brings);
  const left = revenue.minus(fees).minus(amounts.costs).minus(target.cover);
  if (target.margin === null) return left;
  const base = target.isOfPrice ? beforeTax : revenue;
  return base.isZero() ? null : left.mul(HUNDRED).div(base);
}
