export { CALCULATIONS, evaluate } from './evaluate.js';
export { GAPS } from './gaps.js';
