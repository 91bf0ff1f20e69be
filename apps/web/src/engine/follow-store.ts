import type { store } from '../app/store.js';
import { rowsOfTables, writesBetween } from '../book/tables.js';
import { engine } from './engine.js';

/** Lets the engine follow the open book: its rows as they change, and what is tried on top of them. */
export function followStore(from: Pick<typeof store, 'getState' | 'subscribe'>, today: () => string): void {
  let seen = from.getState().book;
  from.subscribe(() => {
    const { book } = from.getState();
    if (book === seen) return;
    const before = seen;
    seen = book;
    if (book.id === null) {
      if (before.id !== null) engine.close();
      return;
    }
    if (book.id !== before.id) {
      engine.open(rowsOfTables(book.rows), today());
      return;
    }
    const writes = book.rows === before.rows ? [] : writesBetween(before.rows, book.rows);
    if (writes.length > 0) engine.apply(writes);
    if (book.trial !== before.trial) engine.override(book.trial);
  });
}
