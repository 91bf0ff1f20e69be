import { openDB, type IDBPDatabase } from 'idb';

/** What is kept in the browser for a person and a book: it outlives a reload, a sign-out and a dead server. */
export interface KeptOnMachine<Value> {
  /** In the order of their ids, which is that in which they were made. */
  all(): Promise<Value[]>;
  put(...values: readonly Value[]): Promise<void>;
  remove(...ids: readonly string[]): Promise<void>;
}

/**
 * Keeps values of one sort in a database of the browser (IndexedDB), under person, book and their own id. A browser that
 * keeps nothing (storage is turned off, or full) has none: what is put there lasts as long as the page does.
 */
export function keptOnMachine<Value>(
  database: string,
  table: string,
  idOf: (value: Value) => string,
): (personId: string, bookId: string) => KeptOnMachine<Value> {
  let opened: Promise<IDBPDatabase> | null = null;
  // Asynchronous, so that a browser without such databases is one that keeps nothing.
  const open = async () => {
    opened ??= openDB(database, 1, { upgrade: (made) => void made.createObjectStore(table) });
    return opened;
  };
  const quietly = (act: (store: IDBPDatabase) => Promise<unknown>) => open().then(act).then(nothing, nothing);
  return (personId, bookId) => {
    const key = (id: string) => `${personId}/${bookId}/${id}`;
    return {
      all: () =>
        open()
          .then((store): Promise<Value[]> => store.getAll(table, IDBKeyRange.bound(key(''), key('~'))))
          .catch(() => []),
      put: (...values) =>
        quietly((store) => Promise.all(values.map((value) => store.put(table, value, key(idOf(value)))))),
      remove: (...ids) => quietly((store) => Promise.all(ids.map((id) => store.delete(table, key(id))))),
    };
  };
}

const nothing = () => undefined;
