import { columnsOfRows, rowsByKind } from '@nuvar/book';
import { model } from '../book/model.js';
import type { store } from '../state/store.js';
import { engine } from './engine.js';
import { BASELINE, whatIfNamed } from './view-key.js';

/** Lets the engine follow the open book: its rows as they change, and what is tried on top of them. */
export function followBook(state: Pick<typeof store, 'getState' | 'subscribe'>, today: () => string): void {
  const openAgain = () => {
    const { asOf, trial, whatIf } = state.getState().book;
    engine.open(JSON.stringify({ rows: columnsOfRows(rowsByKind(model.book)) }), asOf ?? today());
    engine.show(evaluationOf(whatIf));
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
    else if (book.id === seen.id && book.whatIf !== seen.whatIf) {
      engine.override(book.trial);
      engine.show(evaluationOf(book.whatIf));
    } else if (book.trial !== seen.trial) engine.override(book.trial);
    if (book.id === null && seen.id !== null) engine.close();
    seen = book;
  });
}

const evaluationOf = (whatIf: string | null) => (whatIf === null ? BASELINE : whatIfNamed(whatIf));
