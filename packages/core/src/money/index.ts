export { minorDigits, minorUnit } from './minor-units.js';
export { hasEnding, multipleOf, priceEnding } from './price-ending.js';
export { steppedPrice } from './stepped-price.js';
