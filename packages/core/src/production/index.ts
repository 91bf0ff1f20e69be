import type { Calculation } from '../sheet/index.js';
import { batch } from './batch.js';
import { committedCost } from './committed-cost.js';
import { equipmentRate } from './equipment-rate.js';
import { jointPart } from './joint/joint-basis.js';
import { bestUse } from './joint/best-use.js';
import { furtherProcessing, jointBatch, jointShare } from './joint/joint-batch.js';
import { loadCost } from './shared-load.js';
import { labourRate } from './labour-rate.js';
import { ownersLabour } from './owners-labour.js';
import { allPlannedUnits } from './planned-sales.js';
import { plannedMaterial } from './planned-material.js';
import { orderedMaterial, orderedProduct } from './order-needs.js';
import { rolledYield } from './rolled-yield.js';
import { plannedBatches } from './planned-batches.js';
import { plannedOutput } from './planned-output.js';
import { plannedVolume, plannedVolumeMonth } from './planned-volume.js';
import { productCost } from './product-cost.js';
import { sheetLayout } from './sheet-layout.js';
import { equipmentUseCost, labourStepCost, lineCost, otherCost, scrapWorth } from './row-costs.js';
import { resourceUse } from './resource-use.js';
import { labourHours } from './takings.js';

export { isComponentOnly } from './component-only.js';
export { PRODUCTION_GAPS } from './gaps.js';
export { batch } from './batch.js';
export { committedCost } from './committed-cost.js';
export { ELEMENT_LABELS, ELEMENTS, type Element } from './elements.js';
export {
  equipmentRate,
  type EquipmentRate,
  floorOfAYear,
  isCommittedMachine,
  wearsByYears,
  yearlyUpkeepOf,
} from './equipment-rate.js';
export { loadCost } from './shared-load.js';
export { costRowOf } from './cost-rows.js';
export { itemTotal } from './item-total.js';
export { jointPart, netRealisableValue, outputsOf } from './joint/joint-basis.js';
export { bestUse, type OutputUse } from './joint/best-use.js';
export { furtherProcessing, jointBatch, jointShare } from './joint/joint-batch.js';
export { labourRate, type LabourRate } from './labour-rate.js';
export { labourSetUpHours } from './labour-steps.js';
export { ownersLabour } from './owners-labour.js';
export { plannedMaterial } from './planned-material.js';
export { orderedMaterial, orderedProduct, orderNeeds } from './order-needs.js';
export { rolledYield } from './rolled-yield.js';
export { plannedBatches } from './planned-batches.js';
export { plannedOutput, usedInOthers } from './planned-output.js';
export { isInPlan, isPlannedAt, plannedAt, plannedSales, plannedUnits, type PlannedSale } from './planned-sales.js';
export { plannedVolume, plannedVolumeMonth } from './planned-volume.js';
export { costItems, productCost, type ProductCost } from './product-cost.js';
export { sheetLayout } from './sheet-layout.js';
export { equipmentUseCost, labourStepCost, lineCost, otherCost, scrapWorth } from './row-costs.js';
export { resourceUse, type ResourceUse, unitOfResource } from './resource-use.js';
export type { CostItem, Taking } from './taking.js';
export { labourHours, takings } from './takings.js';
export { goesInto, productsUsing, whereUsed, type GoesIn } from './where-used.js';

/** The calculations of this room whose figures can be asked for by key. */
export const PRODUCTION_CALCULATIONS: readonly Calculation<unknown>[] = [
  batch,
  labourRate,
  labourStepCost,
  labourHours,
  lineCost,
  sheetLayout,
  otherCost,
  scrapWorth,
  equipmentRate,
  loadCost,
  equipmentUseCost,
  productCost,
  ownersLabour,
  committedCost,
  jointBatch,
  jointPart,
  jointShare,
  bestUse,
  furtherProcessing,
  plannedVolume,
  plannedVolumeMonth,
  allPlannedUnits,
  orderedMaterial,
  orderedProduct,
  rolledYield,
  plannedBatches,
  plannedOutput,
  plannedMaterial,
  resourceUse,
];
