export { converted, materialPrice, supplierPriceInForce, type PurchasedItem } from './material-price.js';
export { priceInUnits } from './price-in-units.js';
export { productsUsing } from './where-used.js';
