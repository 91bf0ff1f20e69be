export { addMonths, requireDay } from './add-months.js';
