export { BOOK_FILE_VERSION, readBookFile, writeBookFile, type BookFile, type ReadBookFile } from './book-file.js';
