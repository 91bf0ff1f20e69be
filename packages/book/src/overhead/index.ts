export { RunningCost, RHYTHMS, type Rhythm } from './running-cost.js';
