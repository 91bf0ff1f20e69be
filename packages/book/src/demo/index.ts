export { benchBook } from './bench-book.js';
export { bookBuilder, type BookBuilder } from './demo-book.js';
export { quillfernPottery } from './quillfern/index.js';
