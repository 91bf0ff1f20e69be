export { billLevels, MOST_LEVELS, type BillLevels } from './bill-levels.js';
export { ruleProblems } from './rules.js';
