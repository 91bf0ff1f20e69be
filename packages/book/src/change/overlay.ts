import type { Kind } from '../kinds.js';
import { bookRows } from './book-rows.js';
import type { BookReader, StoredRow, Write } from './stored-row.js';

/** A book with rows changed on top of it: the book itself stays as it is until the change is known to be right. */
export interface Overlay extends BookReader {
  put(kind: Kind, id: string, row: StoredRow | null): void;
  /** What came of it, one write a row that differs from the book below, in the order in which they were first touched. */
  writes(): Write[];
}

export function overlayOn(book: BookReader): Overlay {
  const above = bookRows();
  const touched = new Map<string, { kind: Kind; id: string }>();
  return {
    row: (kind, id) => (touched.has(`${kind}/${id}`) ? above.row(kind, id) : book.row(kind, id)),
    rowsWith: (kind, field, value) => [
      ...book.rowsWith(kind, field, value).filter((row) => !touched.has(`${kind}/${row.id}`)),
      ...above.rowsWith(kind, field, value),
    ],
    put(kind, id, row) {
      touched.set(`${kind}/${id}`, { kind, id });
      above.put(kind, id, row);
    },
    writes() {
      return [...touched.values()]
        .map(({ kind, id }) => ({ kind, id, before: book.row(kind, id) ?? null, after: above.row(kind, id) ?? null }))
        .filter((write) => write.before !== null || write.after !== null);
    },
  };
}
