import type { Calculation } from '../sheet/index.js';
import { openDays } from './open-days.js';
import { overhead } from './overhead.js';
import { runningCost } from './running-cost.js';

export { OVERHEAD_GAPS } from './gaps.js';
export { MONTHS_A_YEAR, openDays } from './open-days.js';
export { overhead, type Overhead, shareOfRunningCosts } from './overhead.js';
export { runningCost } from './running-cost.js';

/** The calculations of this room whose figures can be asked for by key. */
export const OVERHEAD_CALCULATIONS: readonly Calculation<unknown>[] = [openDays, runningCost, overhead];
