export { WHOLE_BOOK } from './calculation.js';
export { evaluate } from './evaluate.js';
export type { Evaluation } from './evaluation.js';
export type { Override } from './sources.js';
