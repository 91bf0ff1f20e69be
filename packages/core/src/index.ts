export { CALCULATIONS, evaluate, GAPS } from './evaluate/index.js';
export type { FormulaToken, GapDefinition, Place } from './figure/index.js';
export { WHOLE_BOOK, type BookEvaluation, type Evaluation, type Fork, type Override } from './sheet/index.js';
export { minorDigits, minorUnit, priceEnding, steppedPrice } from './money/index.js';
export {
  adjusted,
  apportion,
  fixedDigits,
  isShortText,
  readAdjustment,
  readNumber,
  roundToStep,
  sharesInPercent,
  type Adjustment,
  type Rounding,
  type DecimalSign,
  type ReadNumber,
} from './number/index.js';
export { ELEMENT_LABELS, ELEMENTS, type Element } from './production/index.js';
export { conversion, convert, unitsWithin } from './quantity/index.js';
export {
  guessColumns,
  listNoteSentence,
  PRICE_LIST_FIELDS,
  priceListOperations,
  readPriceList,
  unknownUnitWords,
  type ColumnMapping,
  type GuessedTable,
  type ListOutcome,
  type ListReading,
  type ListRow,
  type PriceListField,
} from './purchasing/index.js';
export * from './views/index.js';
