export { readDay, type DayOrder } from './read-day.js';
export { addMonths, requireDay } from './add-months.js';
export { dayAfter, daysIn, monthNumber, monthOf, weekdayOf } from './days.js';
