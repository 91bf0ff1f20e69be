import type { Calculation } from '../sheet/index.js';
import { chargedParcel } from './dispatch/charged-parcel.js';
import { parcel } from './dispatch/parcel.js';
import { channelTake, feeAtPrice } from './fees/channel-take.js';
import { periodFees } from './fees/period-fees.js';
import { plannedInChannel } from './fees/planned-in-channel.js';
import { bundle } from './bundle.js';
import { channelComparison } from './channel-comparison.js';
import { landedSale } from './landed-sale.js';
import { netRealisable } from './net-realisable.js';
import { exactPriceOnStretch, priceLimits } from './price-limits.js';
import { pricePoint } from './price-point.js';
import { markupBases } from './markup-bases.js';
import { priceRatios } from './price-ratios.js';
import { sameResult } from './same-result.js';
import { salesPerMonth } from './sales-per-month.js';
import { quotedOption } from './quotes/quote-option.js';
import { quotedPlan } from './quotes/quoted-plan.js';
import { quotedActual } from './quotes/quoted-actual.js';
import { perBottleneck } from './per-bottleneck.js';
import { discountStep } from './discount-step.js';
import { dearerOrder } from './dearer-order.js';
import { orderThresholds } from './order-thresholds.js';
import { returnsInAll } from './returns-in-all.js';
import { saleFee, saleLines } from './sale-lines.js';
import { setPrice } from './set-price.js';
import { chainBack, chainPrice } from './chain-price.js';
import { targetCost } from './target-cost.js';
import { channelUnitCost, unitBehaviour } from './unit-cost.js';

export { SELLING_GAPS } from './gaps.js';
export { channelTake, feeAtPrice } from './fees/channel-take.js';
export { isOfFulfilment } from './fees/fee-terms.js';
export { isInForce } from './fees/fee-rule-in-force.js';
export { fulfillerOf } from './sale-terms.js';
export { isOfPeriod, periodFees, periodRules } from './fees/period-fees.js';
export { landedSale } from './landed-sale.js';
export { netRealisable } from './net-realisable.js';
export { exactPriceOnStretch, priceLimits } from './price-limits.js';
export { targetAnswers } from './target-answers.js';
export { contributionAt, listedPriceForTarget, reachesTarget } from './without-working.js';
export { pricePoint } from './price-point.js';
export { channelUnitCost, unitBehaviour, unitCostOf } from './unit-cost.js';
export { chargedParcel } from './dispatch/charged-parcel.js';
export { markupBases } from './markup-bases.js';
export { priceRatios } from './price-ratios.js';
export { sameResult } from './same-result.js';
export { contributionOf, netProceedsAt } from './sale.js';
export { saleTerms, type SaleTerms } from './sale-terms.js';
export { salesPerMonth } from './sales-per-month.js';
export { bundle } from './bundle.js';
export {
  CHANCE_FACTORS,
  type ChanceFactor,
  type ChanceRange,
  type ChanceRanges,
  factorInput,
  rangesOf,
  USUAL_RANGES,
} from './chance/ranges.js';
export {
  type ChanceModel,
  simulate,
  type SimulationInput,
  type SimulationResult,
  type Spread,
} from './chance/simulate.js';
export { besideThePrice, priceForTarget } from './price-for-target.js';
export { quotedOption } from './quotes/quote-option.js';
export { quotedPlan } from './quotes/quoted-plan.js';
export { quotedActual } from './quotes/quoted-actual.js';
export { perBottleneck } from './per-bottleneck.js';
export { channelComparison } from './channel-comparison.js';
export { discountStep } from './discount-step.js';
export { dearerOrder } from './dearer-order.js';
export { orderThresholds } from './order-thresholds.js';
export { returnsInAll, type ReturnsInAll } from './returns-in-all.js';
export { saleFee, saleLines, type SaleLines } from './sale-lines.js';
export { setPrice } from './set-price.js';
export { chainBack, chainPrice } from './chain-price.js';
export { targetCost } from './target-cost.js';

/** The calculations of this room whose figures can be asked for by key. */
export const SELLING_CALCULATIONS: readonly Calculation<unknown>[] = [
  setPrice,
  unitBehaviour,
  channelUnitCost,
  pricePoint,
  priceRatios,
  markupBases,
  sameResult,
  priceLimits,
  exactPriceOnStretch,
  salesPerMonth,
  landedSale,
  netRealisable,
  feeAtPrice,
  channelTake,
  parcel,
  chargedParcel,
  periodFees,
  plannedInChannel,
  saleLines,
  returnsInAll,
  saleFee,
  discountStep,
  dearerOrder,
  orderThresholds,
  channelComparison,
  targetCost,
  chainPrice,
  chainBack,
  perBottleneck,
  bundle,
  quotedOption,
  quotedPlan,
  quotedActual,
];
