export { pricesIncludeTaxIn, usualCurrency, usualMass } from './usual.js';
export { dayFormat, dayText, numberText } from './written.js';
