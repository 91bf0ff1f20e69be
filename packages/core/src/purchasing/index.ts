export { converted, materialPrice, supplierPriceInForce } from './material-price.js';
export { priceInUnits } from './price-in-units.js';
export { productsUsing } from './where-used.js';
