import {
  bookRows,
  fieldsOf,
  fieldValue,
  type BookRows,
  type Kind,
  type RowsByKind,
  type StoredRow,
  type Write,
} from '@nuvar/book';
import { contentsPointing, oneRow, rowsPointing, type Touched, touchedAll } from './cells.js';

/** Sets one field of one row to another value, in a what-if or a trial that is not kept. */
export interface Override {
  readonly kind: Kind;
  readonly id: string;
  readonly field: string;
  readonly value: string | number | boolean | null;
}

/** The rows of a book with overrides laid over them, and the names of what a write to a row touches. */
export interface Sources {
  readonly rows: BookRows;
  /** Applies writes to the book below and returns the sources that they touch. */
  apply(writes: readonly Write[]): Touched[];
  /** Lays these overrides over the book in place of those before, and returns the sources touched. */
  override(overrides: readonly Override[]): Touched[];
  /** The overrides that lie over the book. */
  overrides(): readonly Override[];
  /** The value of the book where an override stands in its place. */
  baseline(id: string, field: string): unknown;
}

export function sourcesOf(book: Partial<RowsByKind>): Sources {
  const rows = bookRows(book);
  let current: readonly Override[] = [];
  /** The rows of the book over which overrides lie, as they are without them. */
  const beneath = new Map<string, StoredRow>();

  const withoutOverrides = (kind: Kind, id: string) => beneath.get(`${kind}/${id}`) ?? rows.row(kind, id) ?? null;
  const touch = (touched: Touched[], kind: Kind, before: StoredRow | null, after: StoredRow | null) => {
    const id = (after ?? before)?.id ?? '';
    touched.push({ source: oneRow(kind), id });
    if (before === null || after === null) touched.push(touchedAll(kind));
    for (const { name, target } of fieldsOf(kind)) {
      const moved = before === null || after === null || fieldValue(before, name) !== fieldValue(after, name);
      if (name === 'position' && moved) touched.push(touchedAll(kind));
      if (target === undefined) continue;
      const reordered =
        before !== null && after !== null && fieldValue(before, 'position') !== fieldValue(after, 'position');
      for (const row of moved ? [before, after] : [after]) {
        const id = row && fieldValue(row, name);
        if (typeof id !== 'string') continue;
        touched.push({ source: contentsPointing(kind, name), id });
        if (moved || reordered) touched.push({ source: rowsPointing(kind, name), id });
      }
    }
  };
  /** Puts a row of the book in its place, with the overrides that are its own on top. */
  const put = (touched: Touched[], kind: Kind, id: string, row: StoredRow | null) => {
    const mine = current.filter((each) => each.kind === kind && each.id === id);
    const isOverridden = row !== null && mine.length > 0;
    if (isOverridden) beneath.set(`${kind}/${id}`, row);
    else if (beneath.size > 0) beneath.delete(`${kind}/${id}`);
    const before = rows.row(kind, id) ?? null;
    const after = isOverridden ? ({ ...row, ...Object.fromEntries(mine.map(fieldAndValue)) } as StoredRow) : row;
    rows.put(kind, id, after);
    touch(touched, kind, before, after);
  };

  return {
    rows,
    apply(writes) {
      const touched = [] as Touched[];
      for (const { kind, id, after } of writes) put(touched, kind, id, after);
      return touched;
    },
    override(overrides) {
      const touched = [] as Touched[];
      const affected = [...current, ...overrides];
      current = overrides;
      for (const { kind, id } of affected) {
        const row = withoutOverrides(kind, id);
        if (row !== null) put(touched, kind, id, row);
      }
      return touched;
    },
    overrides: () => current,
    baseline(id, field) {
      if (current.length === 0) return undefined;
      const mine = current.find((each) => each.id === id && each.field === field);
      const row = mine && withoutOverrides(mine.kind, id);
      return row && fieldValue(row, field);
    },
  };
}

const fieldAndValue = ({ field, value }: Override) => [field, value] as const;
