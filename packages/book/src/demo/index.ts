export { benchBook } from './bench-book.js';
export { benchSelling } from './bench-selling.js';
export { bookBuilder, rowsOfFile, type BookBuilder } from './demo-book.js';
export { quillfernPottery } from './quillfern/index.js';
