import type { BookRows } from '../change/index.js';
import { BOOK_FILE_VERSION, type BookFile, readBookFile } from '../file/index.js';
import { type Kind, STORED_KINDS } from '../kinds.js';
import { ProblemError } from '../problem/index.js';

/** Builds the rows of an invented book, with ids that stay the same from one build to the next. */
export interface BookBuilder {
  add(kind: Kind, fields: Record<string, unknown>): string;
  file(): BookFile;
}

export function bookBuilder(): BookBuilder {
  const rows = Object.fromEntries(STORED_KINDS.map((kind) => [kind, [] as Record<string, unknown>[]])) as Record<
    Kind,
    Record<string, unknown>[]
  >;
  let count = 0;
  return {
    add(kind, fields) {
      count += 1;
      const id = `0192f000-0000-7000-8000-${count.toString(16).padStart(12, '0')}`;
      rows[kind].push({ id, ...fields });
      return id;
    },
    file: () => ({ format: 'nuvar-book', version: BOOK_FILE_VERSION, rows }),
  };
}

/** The rows of an invented book, held against their classes and rules as the application does. Throws what is wrong. */
export function rowsOfFile(file: unknown): BookRows {
  const read = readBookFile(file);
  if (!read.ok) throw new ProblemError(read.problems);
  return read.rows;
}
