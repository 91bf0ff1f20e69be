export { priceLimits } from './price-limits.js';
export { pricePoint, unitCostOf } from './price-point.js';
export { priceRatios } from './price-ratios.js';
export { contributionOf, netProceedsAt } from './sale.js';
export { saleTerms } from './sale-terms.js';
export { salesPerMonth } from './sales-per-month.js';
export { setPrice } from './set-price.js';
