export { compareDecimalText, isDecimalText } from './decimal-text.js';
export { daysOfMonth, isDay } from './day.js';
export * from './field.js';
export { FindableRow } from './findable-row.js';
export { gtinCheckDigit, isGtin } from './gtin.js';
export { nameKey } from './name-key.js';
export { isRowId } from './row-id.js';
export { Row } from './row.js';
export { UNITS, UNIT_CODES, unitOfMeasure, unitsThatFit, type Dimension, type UnitOfMeasure } from './units.js';
