export { CALCULATIONS, evaluate, GAPS } from './evaluate/index.js';
export type { FormulaToken, GapDefinition, Place } from './figure/index.js';
export { WHOLE_BOOK, type BookEvaluation, type Evaluation, type Fork } from './sheet/index.js';
export { readDay, type DayOrder } from './calendar/index.js';
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
export { STANDARD_METHOD } from './overhead/index.js';
export { ELEMENT_LABELS, ELEMENTS, isComponentOnly, type Element } from './production/index.js';
export { conversion, convert, readPower, readQuantity, unitsWithin, type TypedQuantity } from './quantity/index.js';
export {
  CHARGE_WORDS,
  firstBelowZero,
  FORMULA_NAMES,
  guessColumns,
  listNoteSentence,
  movementsOf,
  positionsByDay,
  pricesByDay,
  PRICE_LIST_FIELDS,
  priceListOperations,
  readFormula,
  readPriceList,
  rulesThatFit,
  hasSalesTax,
  taxStatusOn,
  unknownUnitWords,
  type ColumnMapping,
  type KeptPosition,
  type PositionOfDay,
  type GuessedTable,
  type ListOutcome,
  type ListReading,
  type ListRow,
  type PostedFields,
  type PriceListField,
} from './purchasing/index.js';
export * from './views/index.js';
export * from './words/index.js';
export {
  explainMix,
  feasibleArea,
  findMix,
  furthestRanking,
  gainCurve,
  gapOf,
  MIX_FILE_FORMATS,
  mixFile,
  mixFileRefusal,
  readMixTable,
  solveMix,
  worthOfHours,
  type CurvePoint,
  type HoursWorth,
  type LimitWorth,
  type OneMore,
  type MixAnswer,
  type MixExplanation,
  type MixFileFormat,
  type MixFindings,
  type MixLimit,
  type MixModel,
  type MixProgress,
  type MixTable,
  type RankedMix,
} from './planning/index.js';
export {
  CHANCE_FACTORS,
  factorInput,
  listedPriceForTarget,
  simulate,
  USUAL_RANGES,
  type ChanceFactor,
  type ChanceModel,
  type ChanceRange,
  type ChanceRanges,
  type SimulationInput,
  type SimulationResult,
  type Spread,
} from './selling/index.js';
