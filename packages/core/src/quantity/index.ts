export { conversion, convert, type Conversion } from './convert.js';
export { NUMBER, PERCENT, unit, type Unit } from './unit.js';
