export { pricePoint, unitCostOf, type PricePointFigures } from './price-point.js';
export { saleAt, type Sale, type UnitCost } from './sale.js';
export { saleTerms, type SaleTerms } from './sale-terms.js';
