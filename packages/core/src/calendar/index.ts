export { addMonths } from './add-months.js';
export { isDay } from './is-day.js';
