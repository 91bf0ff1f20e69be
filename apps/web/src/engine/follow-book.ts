import { columnsOfRows, rowsByKind } from '@nuvar/book';
import { model } from '../book/model.js';
import type { store } from '../state/store.js';
import { engine } from './engine.js';

/** Lets the engine follow the open book: its rows as they change, and what is tried on top of them. */
export function followBook(state: Pick<typeof store, 'getState' | 'subscribe'>, today: () => string): void {
  const openAgain = () => {
    const { asOf, trial } = state.getState().book;
    engine.open(JSON.stringify({ rows: columnsOfRows(rowsByKind(model.rows)) }), asOf ?? today());
    engine.override(trial);
  };
  engine.reopenBy(openAgain);
  model.follow({
    expected: () => engine.prepare(),
    opened: (snapshot) => engine.open(snapshot, today()),
    written: (writes) => engine.apply(writes),
  });
  let seen = state.getState().book;
  state.subscribe(() => {
    const { book } = state.getState();
    if (book.asOf !== seen.asOf && book.id !== null && book.id === seen.id) openAgain();
    else if (book.trial !== seen.trial) engine.override(book.trial);
    if (book.id === null && seen.id !== null) engine.close();
    seen = book;
  });
}
