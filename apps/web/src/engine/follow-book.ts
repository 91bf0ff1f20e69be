import { columnsOfRows, rowsByKind } from '@nuvar/book';
import type { store } from '../state/store.js';
import { model } from '../book/model.js';
import { engine } from './engine.js';

/** Lets the engine follow the open book: its rows as they change, and what is tried on top of them. */
export function followBook(state: Pick<typeof store, 'getState' | 'subscribe'>, today: () => string): void {
  model.follow({
    expected: () => engine.prepare(),
    opened: (snapshot) => engine.open(snapshot, today()),
    written: (writes) => engine.apply(writes),
  });
  let seen = state.getState().book;
  state.subscribe(() => {
    const { book } = state.getState();
    if (book.asOf !== seen.asOf && book.id !== null && book.id === seen.id) {
      engine.open(JSON.stringify({ rows: columnsOfRows(rowsByKind(model.rows)) }), book.asOf ?? today());
      engine.override(book.trial);
    } else if (book.trial !== seen.trial) {
      engine.override(book.trial);
    }
    if (book.id === null && seen.id !== null) engine.close();
    seen = book;
  });
}
