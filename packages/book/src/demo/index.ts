export { benchBook } from './bench-book.js';
export { benchSelling } from './bench-selling.js';
export { movedByMonths, wholeMonthsBetween } from './moved-by-months.js';
export { bookBuilder, rowsOfFile, type BookBuilder } from './demo-book.js';
export { DEMO_DAY, quillfernBudget, quillfernPottery } from './quillfern/index.js';
