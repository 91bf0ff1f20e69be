import type { Source } from './source-cells.js';
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
  apply(writes: readonly Write[]): Source[];
  /** Lays these overrides over the book in place of those before, and returns the sources touched. */
  override(overrides: readonly Override[]): Source[];
  /** The overrides that lie over the book. */
  overrides(): readonly Override[];
  /** The value of the book where an override stands in its place. */
  baseline(id: string, field: string): unknown;
}

export function sourcesOf(book: Partial<RowsByKind>): Sources {
  const base = bookRows(book);
  const rows = bookRows(book);
  let current: readonly Override[] = [];

  const layOver = (kind: Kind, id: string, row: StoredRow | null): StoredRow | null => {
    const mine = current.filter((each) => each.kind === kind && each.id === id);
    return row === null || mine.length === 0
      ? row
      : ({ ...row, ...Object.fromEntries(mine.map((each) => [each.field, each.value])) } as StoredRow);
  };
  const touch = (touched: Source[], kind: Kind, before: StoredRow | null, after: StoredRow | null) => {
    const id = (after ?? before)?.id ?? '';
    touched.push({ kind, field: null, id });
    if (before === null || after === null) touched.push({ kind, field: null, id: null });
    for (const { name, target } of fieldsOf(kind)) {
      const moved = before === null || after === null || fieldValue(before, name) !== fieldValue(after, name);
      if (name === 'position' && moved) touched.push({ kind, field: null, id: null });
      if (target === undefined) continue;
      const reordered =
        before !== null && after !== null && fieldValue(before, 'position') !== fieldValue(after, 'position');
      for (const row of moved || reordered ? [before, after] : []) {
        const pointsTo = row && fieldValue(row, name);
        if (typeof pointsTo === 'string') touched.push({ kind, field: name, id: pointsTo });
      }
    }
  };
  const put = (touched: Source[], kind: Kind, id: string) => {
    const before = rows.row(kind, id) ?? null;
    const after = layOver(kind, id, base.row(kind, id) ?? null);
    rows.put(kind, id, after);
    touch(touched, kind, before, after);
  };

  return {
    rows,
    apply(writes) {
      const touched = [] as Source[];
      base.apply(writes);
      for (const write of writes) put(touched, write.kind, write.id);
      return touched;
    },
    override(overrides) {
      const touched = [] as Source[];
      const affected = [...current, ...overrides];
      current = overrides;
      for (const each of affected) if (base.row(each.kind, each.id)) put(touched, each.kind, each.id);
      return touched;
    },
    overrides: () => current,
    baseline(id, field) {
      const mine = current.find((each) => each.id === id && each.field === field);
      const row = mine && base.row(mine.kind, id);
      return row && fieldValue(row, field);
    },
  };
}
