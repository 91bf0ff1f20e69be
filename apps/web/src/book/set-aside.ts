import { openDB, type IDBPDatabase } from 'idb';
import type { SetAside } from '../state/book-slice.js';

/** The edits of a person in a book that were set aside. */
export interface AsideStore {
  all(): Promise<SetAside[]>;
  put(edits: readonly SetAside[]): Promise<void>;
  remove(changeIds: readonly string[]): Promise<void>;
}

const STORE = 'edits';
let opened: Promise<IDBPDatabase> | null = null;

function database(): Promise<IDBPDatabase> {
  opened ??= openDB('nuvar-set-aside', 1, { upgrade: (made) => void made.createObjectStore(STORE) });
  return opened;
}

/** Where a browser keeps nothing, they last as long as the page does. */
export function asideOf(personId: string, bookId: string): AsideStore {
  const key = (changeId: string) => `${personId}/${bookId}/${changeId}`;
  const nothing = () => undefined;
  const write = (act: (store: { put(edit: SetAside): void; remove(changeId: string): void }) => void) =>
    database()
      .then((opened) => {
        const { store, done } = opened.transaction(STORE, 'readwrite');
        act({
          put: (edit) => void store.put(edit, key(edit.change.id)),
          remove: (changeId) => void store.delete(key(changeId)),
        });
        return done;
      })
      .then(nothing, nothing);
  return {
    all: () =>
      database()
        .then((opened): Promise<SetAside[]> => opened.getAll(STORE, IDBKeyRange.bound(key(''), key('~'))))
        .catch(() => []),
    put: (edits) => write((store) => edits.forEach((edit) => store.put(edit))),
    remove: (changeIds) => write((store) => changeIds.forEach((id) => store.remove(id))),
  };
}

/** The edits as a file that a person keeps, or sends to whoever looks after the server. */
export function setAsideFile(book: string, edits: readonly SetAside[]): string {
  return JSON.stringify({ format: 'nuvar-set-aside', version: 1, book, edits }, null, 2);
}
