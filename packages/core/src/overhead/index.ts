export { costItems, type CostItem } from './cost-items.js';
export { frozenComparison, type ComparedLine } from './frozen-comparison.js';
export { fullBatchCost } from './full-batch-cost.js';
export { fullCost, plannedUnits, type FullCost } from './full-cost.js';
export { openDays } from './open-days.js';
export { overhead, type Overhead } from './overhead.js';
export { runningCost } from './running-cost.js';
