import type { Calculation } from '../sheet/index.js';
import { exchangeRate } from './exchange-rate.js';
import { inputTax } from './input-tax.js';
import { listedPrice } from './listed-price.js';
import { materialPrice } from './material-price.js';
import { priceInUnits } from './price-in-units.js';
import { SHIPMENT_CALCULATIONS } from './shipment/index.js';
import { STOCK_CALCULATIONS } from './stock/index.js';

export { PURCHASING_GAPS } from './gaps.js';
export { conversionConflicts } from './conversion-conflicts.js';
export { converted, convertedFor, ownConversions, type ConvertedItem } from './converted.js';
export * from './price-list/index.js';
export { costWithTax, inputTax } from './input-tax.js';
export { hasSalesTax, taxStatusOn, type TaxStatus } from './tax-status.js';
export { listedPrice, listedPriceAt } from './listed-price.js';
export { materialMeasures } from './material-measures.js';
export { materialPrice, replacementCost, type MaterialPrice } from './material-price.js';
export { inForcePerSupplier, priceInForce, pricesByDay, pricesOnTheDay, type PricesByDay } from './price-in-force.js';
export { priceInUnits } from './price-in-units.js';
export * from './shipment/index.js';
export * from './stock/index.js';

/** The calculations of this room whose figures can be asked for by key. */
export const PURCHASING_CALCULATIONS: readonly Calculation<unknown>[] = [
  exchangeRate,
  inputTax,
  listedPrice,
  materialPrice,
  priceInUnits,
  ...SHIPMENT_CALCULATIONS,
  ...STOCK_CALCULATIONS,
];
