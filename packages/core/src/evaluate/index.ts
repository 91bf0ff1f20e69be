export { CALCULATIONS, evaluate } from './evaluate.js';
