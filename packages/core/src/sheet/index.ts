export { WHOLE_BOOK, type Calculation, type InputLeaf, type Sheet } from './calculation.js';
export { beginEvaluation, type Evaluation } from './evaluation.js';
export type { Override } from './sources.js';
export { BATCH, bookCurrency, DAY, HOUR, MINUTE, money, MONTH, ORDER, PLACE, RUN, WEEK, YEAR } from './units.js';
