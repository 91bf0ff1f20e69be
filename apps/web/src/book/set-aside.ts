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

export function asideOf(personId: string, bookId: string): AsideStore {
  const key = (changeId: string) => `${personId}/${bookId}/${changeId}`;
  return {
    all: async () => (await database()).getAll(STORE, IDBKeyRange.bound(key(''), key('~'))) as Promise<SetAside[]>,
    put: async (edits) => {
      const transaction = (await database()).transaction(STORE, 'readwrite');
      await Promise.all(edits.map((edit) => transaction.store.put(edit, key(edit.change.id))));
      await transaction.done;
    },
    remove: async (changeIds) => {
      const transaction = (await database()).transaction(STORE, 'readwrite');
      await Promise.all(changeIds.map((id) => transaction.store.delete(key(id))));
      await transaction.done;
    },
  };
}

/** The edits as a file that a person keeps, or sends to whoever looks after the server. */
export function setAsideFile(book: string, edits: readonly SetAside[]): string {
  return JSON.stringify({ format: 'nuvar-set-aside', version: 1, book, edits }, null, 2);
}
