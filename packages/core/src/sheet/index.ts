export { asked, type AskedFigure } from './asked.js';
export { WHOLE_BOOK, type Calculation, type InputLeaf, type Sheet } from './calculation.js';
export { SHEET_GAPS } from './gaps.js';
export { idOf, partsOf } from './id.js';
export { beginEvaluation, type BookEvaluation, type Evaluation, type Fork } from './evaluation.js';
export type { DayState, LedgerFold } from './ledger-fold.js';
export { layerOver, overriddenValue, type RowsBelow } from './layer.js';
export {
  BATCH,
  bookCurrency,
  DAY,
  DRIVER_UNIT,
  dayIn,
  HOUR,
  LINE,
  LISTING,
  MINUTE,
  money,
  MONTH,
  numberIn,
  ORDER,
  OUTPUT,
  SPACE,
  LOAD,
  WEEK,
  YEAR,
} from './units.js';
