export { conversionConflicts } from './conversion-conflicts.js';
export { converted, convertedFor, ownConversions, type ConvertedItem } from './converted.js';
export { exchangeRate } from './exchange-rate.js';
export * from './price-list/index.js';
export { listedPrice, validPrices } from './listed-price.js';
export { materialPrice, type MaterialPrice } from './material-price.js';
export { priceInUnits } from './price-in-units.js';
export { goesInto, productsUsing, whereUsed, type GoesIn } from './where-used.js';
