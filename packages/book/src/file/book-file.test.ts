import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { BOOK_FILE_VERSION } from './book-file.js';

it('docs/book-file.md states the format of today, and what each one brought', () => {
  const page = readFileSync(new URL('../../../../docs/book-file.md', import.meta.url), 'utf8');
  expect(page).toContain(`is the format, ${BOOK_FILE_VERSION} today`);
  const formats = Array.from({ length: BOOK_FILE_VERSION - 1 }, (_none, index) => index + 2);
  expect(formats.filter((format) => !page.includes(`Format ${format} `))).toEqual([]);
});
