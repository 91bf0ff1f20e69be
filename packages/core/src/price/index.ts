import type { Calculation } from '../sheet/index.js';
import { salesValue } from './sales-value.js';

export { PRICE_GAPS, priceGap } from './gaps.js';
export { keptAfterDiscount, listPriceOf, THE_WHOLE } from './list-price.js';
export { priceAtQuantity } from './quantity-price.js';
export { salesTaxOf } from './sales-tax.js';
export { salesValue } from './sales-value.js';

/** The calculations of this room whose figures can be asked for by key. */
export const PRICE_CALCULATIONS: readonly Calculation<unknown>[] = [salesValue];
