import type { Change } from '@nuvar/book';
import { openDB, type IDBPDatabase } from 'idb';

/** Changes that wait to be sent, kept per person and book: they outlive a reload, a sign-out and a dead server. */
export interface Outbox {
  waiting(): Promise<Change[]>;
  put(change: Change): Promise<void>;
  remove(changeId: string): Promise<void>;
}

const STORE = 'changes';
let opened: Promise<IDBPDatabase> | null = null;

function database(): Promise<IDBPDatabase> {
  opened ??= openDB('nuvar-outbox', 1, { upgrade: (made) => void made.createObjectStore(STORE) });
  return opened;
}

/**
 * The ids of changes sort by the time at which they were made, and so do the keys. A browser that keeps nothing (storage
 * is turned off, or full) has nothing waiting, and its edits are sent all the same.
 */
export function outboxOf(personId: string, bookId: string): Outbox {
  const key = (changeId: string) => `${personId}/${bookId}/${changeId}`;
  const nothing = () => undefined;
  return {
    waiting: () =>
      database()
        .then((opened): Promise<Change[]> => opened.getAll(STORE, IDBKeyRange.bound(key(''), key('~'))))
        .catch(() => []),
    put: (change) =>
      database()
        .then((opened) => opened.put(STORE, change, key(change.id)))
        .then(nothing, nothing),
    remove: (changeId) =>
      database()
        .then((opened) => opened.delete(STORE, key(changeId)))
        .then(nothing, nothing),
  };
}
