export { batch } from './batch.js';
export { ELEMENT_LABELS, ELEMENTS, type Element } from './elements.js';
export { labourHours } from './labour-hours.js';
export { labourRate } from './labour-rate.js';
export { labourStepCost } from './labour-step-cost.js';
export { lineCost, otherCost, productCost, type ProductCost } from './product-cost.js';
