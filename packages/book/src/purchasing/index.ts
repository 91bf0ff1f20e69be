export { BookUnit } from './book-unit.js';
export { ExchangeRate, RATE_SOURCES, type RateSource } from './exchange-rate.js';
export { ItemConversion } from './item-conversion.js';
export { LANDED_ADD_ON_BASES, Material, MATERIAL_KINDS, type LandedAddOnBasis, type MaterialKind } from './material.js';
export { PLANNING_BASES, type PlanningBasis } from './planning-basis.js';
export { StandardPrice } from './standard-price.js';
export { Supplier } from './supplier.js';
export { SupplierPrice } from './supplier-price.js';
