import { nameKey } from '../fields/index.js';
import { comparesExactly, KIND_NAMES, type Kind } from '../kinds.js';
import { fieldValue, type BookReader, type StoredRow, type Write } from './stored-row.js';

/** All rows of a book by kind, as the snapshot and the book file carry them. */
export type RowsByKind = { readonly [K in Kind]: readonly StoredRow<K>[] };

/** The rows of a book in memory, found by id and by the value of any field. */
export interface BookRows extends BookReader {
  row<K extends Kind>(kind: K, id: string): StoredRow<K> | undefined;
  rowsWith<K extends Kind>(kind: K, field: string, value: string): readonly StoredRow<K>[];
  all<K extends Kind>(kind: K): readonly StoredRow<K>[];
  count(kind: Kind): number;
  put(kind: Kind, id: string, row: StoredRow | null): void;
  apply(writes: readonly Write[]): void;
}

/** What finds the rows of a kind by the value of a field. */
interface Index {
  readonly kind: Kind;
  readonly keyOf: (row: object) => string | undefined;
  readonly keyOfValue: (value: string) => string | undefined;
  readonly rows: Map<string, Map<string, StoredRow>>;
}

/** How the values of a field are compared: ids, units and the like as they are, names and other texts by their key. */
const keyMaker = (kind: Kind, field: string) => {
  const isExact = comparesExactly(kind, field);
  return (value: unknown) => (typeof value !== 'string' ? undefined : isExact ? value : nameKey(value));
};

/**
 * Keeps rows in memory. What finds them, by id or by the value of a field, is built when a kind is first looked up that
 * way, and kept up from then on: a large book is not sorted before anybody asks.
 */
export function bookRows(initial: Partial<RowsByKind> = {}): BookRows {
  const byId = new Map<Kind, Map<string, StoredRow>>();
  const indexes = new Map<string, Index>();
  const rowsOfKind = (kind: Kind): Map<string, StoredRow> => {
    const known = byId.get(kind);
    if (known !== undefined) return known;
    const ofKind = new Map<string, StoredRow>();
    for (const row of initial[kind] ?? []) ofKind.set(row.id, row);
    byId.set(kind, ofKind);
    return ofKind;
  };
  const valuesOf = (kind: Kind): Iterable<StoredRow> => byId.get(kind)?.values() ?? initial[kind] ?? [];

  const enter = ({ keyOf, rows }: Index, row: StoredRow) => {
    const key = keyOf(row);
    if (key === undefined) return;
    let bucket = rows.get(key);
    if (bucket === undefined) rows.set(key, (bucket = new Map<string, StoredRow>()));
    bucket.set(row.id, row);
  };
  const indexBy = (kind: Kind, field: string): Index => {
    const known = indexes.get(`${kind}/${field}`);
    if (known !== undefined) return known;
    const keyOfValue = keyMaker(kind, field);
    const index: Index = { kind, keyOf: (row) => keyOfValue(fieldValue(row, field)), keyOfValue, rows: new Map() };
    for (const row of valuesOf(kind)) enter(index, row);
    indexes.set(`${kind}/${field}`, index);
    return index;
  };
  const reindex = (kind: Kind, before: StoredRow | undefined, after: StoredRow | null) => {
    for (const index of indexes.values()) {
      if (index.kind !== kind) continue;
      const key = before && index.keyOf(before);
      if (before && key !== undefined) index.rows.get(key)?.delete(before.id);
      if (after !== null) enter(index, after);
    }
  };
  const put = (kind: Kind, id: string, row: StoredRow | null) => {
    const before = rowsOfKind(kind).get(id);
    if (row === null) rowsOfKind(kind).delete(id);
    else rowsOfKind(kind).set(id, row);
    reindex(kind, before, row);
  };

  return {
    row: <K extends Kind>(kind: K, id: string) => rowsOfKind(kind).get(id) as StoredRow<K> | undefined,
    rowsWith: <K extends Kind>(kind: K, field: string, value: string) => {
      if (field === 'id')
        return [rowsOfKind(kind).get(value)].filter((row) => row !== undefined) as unknown as StoredRow<K>[];
      const { keyOfValue, rows } = indexBy(kind, field);
      return [...(rows.get(keyOfValue(value) ?? '')?.values() ?? [])] as unknown as StoredRow<K>[];
    },
    all: <K extends Kind>(kind: K) => [...valuesOf(kind)] as unknown as StoredRow<K>[],
    count: (kind) => rowsOfKind(kind).size,
    put,
    apply: (writes) => writes.forEach((write) => put(write.kind, write.id, write.after)),
  };
}

/** All rows of a book by kind, as an evaluation takes them. */
export function rowsByKind(rows: Pick<BookRows, 'all'>): RowsByKind {
  return Object.fromEntries(KIND_NAMES.map((kind) => [kind, rows.all(kind)])) as unknown as RowsByKind;
}
