export { addMonths } from './add-months.js';
