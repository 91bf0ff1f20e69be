export { costItems, type CostItem } from './cost-items.js';
export { countedIn, type CardComparison, type ComparedLine } from './compared-cards.js';
export { frozenComparison } from './frozen-comparison.js';
export { productComparison } from './product-comparison.js';
export { fullCost, overheadPerMonth, plannedUnits, type FullCost } from './full-cost.js';
export { openDays } from './open-days.js';
export { overheadOnCard } from './overhead-on-card.js';
export { overhead, type Overhead } from './overhead.js';
export { runningCost } from './running-cost.js';
