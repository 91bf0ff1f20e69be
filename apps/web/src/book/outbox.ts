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

/** The ids of changes sort by the time at which they were made, and so do the keys. */
export function outboxOf(personId: string, bookId: string): Outbox {
  const key = (changeId: string) => `${personId}/${bookId}/${changeId}`;
  return {
    waiting: async () => (await database()).getAll(STORE, IDBKeyRange.bound(key(''), key('~'))),
    put: async (change) => void (await (await database()).put(STORE, change, key(change.id))),
    remove: async (changeId) => (await database()).delete(STORE, key(changeId)),
  };
}
