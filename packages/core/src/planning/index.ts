export { breakEvenOfBook, breakEvenOfShare, candidateSale, type BreakEven } from './break-even.js';
export { coverage } from './coverage.js';
