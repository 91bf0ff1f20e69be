export { breakEvenOfBook, breakEvenOfShare, candidateSale, type BreakEven } from './break-even.js';
export { batchParts, candidateBatch } from './candidate-batch.js';
export { coverage } from './coverage.js';
