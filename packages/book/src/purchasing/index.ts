export { ItemConversion } from './item-conversion.js';
export { Material, MATERIAL_KINDS, type MaterialKind } from './material.js';
export { PLANNING_BASES, type PlanningBasis } from './planning-basis.js';
export { Supplier } from './supplier.js';
export { SupplierPrice } from './supplier-price.js';
