import {
  fieldValue,
  KIND_NAMES,
  type BookReader,
  type Kind,
  type RowsByKind,
  type StoredRow,
  type Write,
} from '@nuvar/book';

/** The rows of one kind by their id. */
export type Table<K extends Kind = Kind> = Readonly<Record<string, StoredRow<K>>>;

/** All rows of a book, never changed in place: what is another object has changed. */
export type Tables = { readonly [K in Kind]: Table<K> };

export const NO_TABLES = tablesOf({});

export function tablesOf(rows: Readonly<Record<string, readonly StoredRow[]>>): Tables {
  const table = (kind: Kind) => Object.fromEntries((rows[kind] ?? []).map((row) => [row.id, row]));
  return Object.fromEntries(KIND_NAMES.map((kind) => [kind, table(kind)])) as unknown as Tables;
}

/** The tables as the evaluation and the book file take them. */
export function rowsOfTables(tables: Tables): RowsByKind {
  return Object.fromEntries(KIND_NAMES.map((kind) => [kind, Object.values(tables[kind])])) as unknown as RowsByKind;
}

export function withWrites(tables: Tables, writes: readonly Write[]): Tables {
  const touched: Partial<Record<Kind, Record<string, StoredRow>>> = {};
  for (const { kind, id, after } of writes) {
    const table = (touched[kind] ??= { ...tables[kind] } as Record<string, StoredRow>);
    if (after === null) delete table[id];
    else table[id] = after;
  }
  return { ...tables, ...touched } as Tables;
}

/** What has to be written to get from the one to the other. */
export function writesBetween(before: Tables, after: Tables): Write[] {
  return KIND_NAMES.filter((kind) => before[kind] !== after[kind]).flatMap((kind) => {
    const [old, now]: [Table, Table] = [before[kind], after[kind]];
    const put = Object.keys(now)
      .filter((id) => now[id] !== old[id])
      .map((id) => ({ kind, id, before: old[id] ?? null, after: now[id] ?? null }));
    const removed = Object.keys(old)
      .filter((id) => !(id in now))
      .map((id) => ({ kind, id, before: old[id] ?? null, after: null }));
    return [...put, ...removed];
  });
}

type Index = ReadonlyMap<string, readonly StoredRow[]>;
const INDEXES = new WeakMap<Table, Map<string, Index>>();

/** The rows of a table whose field has a value. An index is made when a field is first asked for, and kept with the table. */
export function rowsWith<K extends Kind>(table: Table<K>, field: string, value: string): readonly StoredRow<K>[] {
  return (indexOf(table as unknown as Table, field).get(value.toLowerCase()) ??
    NO_ROWS) as unknown as readonly StoredRow<K>[];
}

function indexOf(table: Table, field: string): Index {
  const indexes = INDEXES.get(table) ?? new Map<string, Index>();
  INDEXES.set(table, indexes);
  const known = indexes.get(field);
  if (known !== undefined) return known;
  const index = new Map<string, StoredRow[]>();
  for (const row of Object.values(table)) {
    const key = fieldValue(row, field);
    if (typeof key !== 'string') continue;
    const bucket = index.get(key.toLowerCase());
    if (bucket === undefined) index.set(key.toLowerCase(), [row]);
    else bucket.push(row);
  }
  indexes.set(field, index);
  return index;
}

const NO_ROWS: readonly StoredRow[] = [];

/** The book as the rules of a change read it. */
export function readerOf(tables: Tables): BookReader {
  return {
    row: (kind, id) => tables[kind][id],
    rowsWith: (kind, field, value) => rowsWith(tables[kind] as Table, field, value),
  };
}

/** The order in which rows are shown: by position where they have one, else as they were made. */
export function inOrder<Row extends { readonly id: string }>(rows: readonly Row[]): Row[] {
  const position = (row: Row) => (fieldValue(row, 'position') as number | undefined) ?? 0;
  return [...rows].sort((one, other) => position(one) - position(other) || (one.id < other.id ? -1 : 1));
}
