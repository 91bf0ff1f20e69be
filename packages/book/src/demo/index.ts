export { benchBook } from './bench-book.js';
export { bookBuilder, rowsOfFile, type BookBuilder } from './demo-book.js';
export { quillfernPottery } from './quillfern/index.js';
