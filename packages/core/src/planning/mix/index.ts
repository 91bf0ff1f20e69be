import type { Calculation } from '../../sheet/index.js';
import { mixAgainst, mixBeside, mixPlansApart } from './mix-against.js';
import { mixComponentUse } from './mix-component.js';
import { mixOutcome, mixTotalOutcome } from './mix-outcome.js';
import { mixResourceOutcome } from './mix-resource-outcome.js';
import { mixPeriod, mixPeriodLength } from './periods/mix-periods.js';
import { mixPeriodResource } from './periods/mix-period-resource.js';
import { mixPeriodDemand } from './periods/mix-period-demand.js';
import { mixPeriodSupply } from './periods/mix-period-supply.js';
import { mixStock } from './periods/mix-stock.js';
import { mixHolding, mixStockTerms } from './periods/mix-stock-terms.js';
import { mixMakingCost, mixProductTerms } from './mix-product.js';
import { mixFactoryCost, mixRanking } from './mix-ranking.js';
import { mixResourceTerms } from './mix-resource.js';
import { mixUse } from './mix-use.js';

export { mixAgainst, mixBeside, mixPlansApart } from './mix-against.js';
export { feasibleArea } from './feasible-area.js';
export { type MixModel, type ModelProduct, type ModelResource } from './mix-model.js';
export { mixModel } from './model-of-plan.js';
export { mixPeriodDemand } from './periods/mix-period-demand.js';
export { subjectOf } from './periods/period-quantity.js';
export { mixStock } from './periods/mix-stock.js';
export { mixStockTerms } from './periods/mix-stock-terms.js';
export { mixPeriodResource } from './periods/mix-period-resource.js';
export { mixSlots, type MixSlot, type PeriodSlot, slotId, triedInSlot } from './periods/mix-slots.js';
export { isInPeriods, periodsOfMix } from './periods/mix-periods.js';
export { madeResources, mixComponentUse } from './mix-component.js';
export { mixOutcome, mixTotalOutcome } from './mix-outcome.js';
export { headsOfMix, linesOfHead, madeOf, productsOfMix, resourcesOfMix, withQuantities } from './mix-quantities.js';
export { mixResourceOutcome } from './mix-resource-outcome.js';
export {
  mixLineName,
  mixProductTerms,
  type MixProductTerms,
  nameInMix,
  outputInMix,
  productNameInMix,
} from './mix-product.js';
export { mixRanking } from './mix-ranking.js';
export { mixResourceTerms, nameOfResource, unitOfMixResource } from './mix-resource.js';
export { readMixTable, type MixTable, type TableField, type TableProduct } from './mix-table.js';
export { mixTakers, takersThatMake } from './mix-takers.js';
export { mixUse } from './mix-use.js';
export { isSetUpLeftOut, setUpHead } from './set-up-head.js';
export { mixVolumes, type MixVolume } from './mix-volumes.js';
export * from './solver/index.js';

/** The calculations about mix plans whose figures can be asked for by key. */
export const MIX_CALCULATIONS: readonly Calculation<unknown>[] = [
  mixPeriod,
  mixPeriodLength,
  mixPeriodDemand,
  mixPeriodSupply,
  mixPeriodResource,
  mixMakingCost,
  mixStockTerms,
  mixHolding,
  mixStock,
  mixProductTerms,
  mixResourceTerms,
  mixUse,
  mixComponentUse,
  mixFactoryCost,
  mixRanking,
  mixOutcome,
  mixResourceOutcome,
  mixTotalOutcome,
  mixAgainst,
  mixBeside,
  mixPlansApart,
];
