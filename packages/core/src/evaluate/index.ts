export { evaluate } from './evaluate.js';
