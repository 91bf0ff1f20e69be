import type { Calculation } from '../sheet/index.js';
import { batch } from './batch.js';
import { equipmentRate } from './equipment-rate.js';
import { runCost } from './equipment-run.js';
import { equipmentUseCost } from './equipment-use.js';
import { labourHours } from './labour-hours.js';
import { labourRate } from './labour-rate.js';
import { labourStepCost } from './labour-step-cost.js';
import { otherCost } from './other-cost.js';
import { ownersLabour } from './owners-labour.js';
import { lineCost, productCost } from './product-cost.js';
import { recoveredScrap } from './recovered-scrap.js';
import { typedCosts } from './typed-costs.js';

export { batch } from './batch.js';
export { ELEMENT_LABELS, ELEMENTS, type Element } from './elements.js';
export { equipmentRate } from './equipment-rate.js';
export { runCost } from './equipment-run.js';
export { equipmentUseCost } from './equipment-use.js';
export { labourHours } from './labour-hours.js';
export { labourRate } from './labour-rate.js';
export { labourStepCost } from './labour-step-cost.js';
export { lineTotal, type LineCost } from './line-cost.js';
export { otherCost } from './other-cost.js';
export { ownersLabour } from './owners-labour.js';
export { plannedUnits } from './planned-sales.js';
export { lineCost, lineCosts, productCost, type ProductCost } from './product-cost.js';
export { recoveredScrap } from './recovered-scrap.js';
export { typedCosts } from './typed-costs.js';
export { goesInto, productsUsing, whereUsed, type GoesIn } from './where-used.js';

export const PRODUCTION_CALCULATIONS: readonly Calculation<unknown>[] = [
  batch,
  labourRate,
  labourStepCost,
  labourHours,
  lineCost,
  otherCost,
  recoveredScrap,
  typedCosts,
  equipmentRate,
  runCost,
  equipmentUseCost,
  productCost,
  ownersLabour,
];
