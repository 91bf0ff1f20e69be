export { BOOK_FILE_VERSION, readBookFile, writeBookFile, type BookFile } from './book-file.js';
