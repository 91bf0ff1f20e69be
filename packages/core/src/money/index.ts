export { minorDigits, minorUnit } from './minor-units.js';
export { priceEnding } from './price-ending.js';
