import type { Calculation } from '../../sheet/index.js';
import { lateChargeSplit } from './late-charge.js';
import { receiptDue, receiptToPost, receivedLine } from './receipts.js';
import { stockOnHand, stockTotal } from './stock-on-hand.js';
import { stockEntry, stockMethod, stockPeriod } from './stock-period.js';

export { movementsOf, type Movement } from './movement.js';
export { positionsByDay } from './position.js';
export { STOCK_LEDGER } from './stock-ledger.js';
export { lateChargeSplit } from './late-charge.js';
export { receiptDue, receiptToPost, receivedLine } from './receipts.js';

export { stockedMaterials, stockOnHand, stockTotal } from './stock-on-hand.js';
export type { PeriodEntry } from './period-entry.js';
export { PERIOD_METHODS, type MethodOfPeriod, type PeriodMethod } from './period-methods.js';
export { stockEntry, stockMethod, stockPeriod } from './stock-period.js';

/** The calculations about stock whose figures can be asked for by key. */
export const STOCK_CALCULATIONS: readonly Calculation<unknown>[] = [
  stockOnHand,
  stockTotal,
  stockPeriod,
  stockEntry,
  stockMethod,
  receivedLine,
  receiptDue,
  receiptToPost,
  lateChargeSplit,
];
