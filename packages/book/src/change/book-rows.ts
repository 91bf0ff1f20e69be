import { KIND_NAMES, type Kind } from '../kinds.js';
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

type Index = Map<string, Map<string, StoredRow>>;

const keyOf = (value: unknown) => (typeof value === 'string' ? value.toLowerCase() : undefined);

/** Keeps rows in memory. An index by a field is built when that field is first asked for, and kept up from then on. */
export function bookRows(initial: Partial<RowsByKind> = {}): BookRows {
  const byId = new Map<Kind, Map<string, StoredRow>>();
  for (const kind of KIND_NAMES) {
    const ofKind = new Map<string, StoredRow>();
    for (const row of initial[kind] ?? []) ofKind.set(row.id, row);
    byId.set(kind, ofKind);
  }
  const indexes = new Map<string, Index>();
  const rowsOfKind = (kind: Kind) => byId.get(kind) as Map<string, StoredRow>;

  const enter = (index: Index, field: string, row: StoredRow) => {
    const key = keyOf(fieldValue(row, field));
    if (key === undefined) return;
    const bucket = index.get(key);
    if (bucket === undefined) index.set(key, new Map([[row.id, row]]));
    else bucket.set(row.id, row);
  };
  const indexBy = (kind: Kind, field: string): Index => {
    const known = indexes.get(`${kind}/${field}`);
    if (known !== undefined) return known;
    const index: Index = new Map();
    for (const row of rowsOfKind(kind).values()) enter(index, field, row);
    indexes.set(`${kind}/${field}`, index);
    return index;
  };
  const reindex = (kind: Kind, before: StoredRow | undefined, after: StoredRow | null) => {
    for (const [name, index] of indexes) {
      const [indexed = '', field = ''] = name.split('/');
      if (indexed !== kind) continue;
      const key = before && keyOf(fieldValue(before, field));
      if (before && key !== undefined) index.get(key)?.delete(before.id);
      if (after !== null) enter(index, field, after);
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
      return [...(indexBy(kind, field).get(value.toLowerCase())?.values() ?? [])] as unknown as StoredRow<K>[];
    },
    all: <K extends Kind>(kind: K) => [...rowsOfKind(kind).values()] as unknown as StoredRow<K>[],
    count: (kind) => rowsOfKind(kind).size,
    put,
    apply: (writes) => writes.forEach((write) => put(write.kind, write.id, write.after)),
  };
}

/** All rows of a book by kind, as an evaluation takes them. */
export function rowsByKind(rows: Pick<BookRows, 'all'>): RowsByKind {
  return Object.fromEntries(KIND_NAMES.map((kind) => [kind, rows.all(kind)])) as unknown as RowsByKind;
}
