export { RunningCost, RHYTHMS, RUNNING_COST_POOLS, type Rhythm, type RunningCostPool } from './running-cost.js';
