export * from './change/index.js';
export * from './costing/index.js';
export * from './country/index.js';
export {
  compareDecimalText,
  daysOfMonth,
  declaredFields,
  gtinCheckDigit,
  isCurrencyCode,
  isDay,
  monthsAfter,
  isDecimalText,
  LIKE_A_FORMULA,
  isGtin,
  isPlainText,
  isRowId,
  nameKey,
  UNITS,
  UNIT_CODES,
  unitNamed,
  unitOfMeasure,
  unitsThatFit,
  type Dimension,
  type FieldSpec,
  type UnitOfMeasure,
} from './fields/index.js';
export * from './file/index.js';
export * from './kinds.js';
export * from './ledgers.js';
export { newId } from './new-id.js';
export * from './overhead/index.js';
export * from './planning/index.js';
export * from './what-if/index.js';
export * from './problem/index.js';
export * from './production/index.js';
export * from './purchasing/index.js';
export * from './selling/index.js';
export { isEmail, LEAST_PASSWORD, ROLES, type Role } from './people.js';
export { LOCALES, OPEN_DAY_RULES, ROUNDING_MODES, Settings, type OpenDayRule, type RoundingMode } from './settings.js';
export { completeRow, validateFields, validateRow } from './validate-row.js';
