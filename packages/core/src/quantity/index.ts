export { conversion, convert, type Conversion } from './convert.js';
export { ownWay, unitsWithin, type OwnConversion, type WayStep } from './own-ways.js';
export { readPower } from './read-power.js';
export { readQuantity, type TypedQuantity } from './read-quantity.js';
export { NUMBER, PERCENT, unit, unitWord, type Unit } from './unit.js';
