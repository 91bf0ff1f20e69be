export { costItems, type CostItem } from './cost-items.js';
export { frozenComparison, type ComparedLine } from './frozen-comparison.js';
export { fullCost, overheadPerMonth, plannedUnits, type FullCost } from './full-cost.js';
export { openDays } from './open-days.js';
export { overheadOnCard } from './overhead-on-card.js';
export { overhead, type Overhead } from './overhead.js';
export { runningCost } from './running-cost.js';
