import { KIND_NAMES } from '../kinds.js';
import type { RowsByKind } from './book-rows.js';
import { fieldValue, storedFields } from './stored-row.js';

/** The rows of one kind with the names of their fields said once: the n-th value of a row is its n-th field. */
export interface KindColumns {
  readonly fields: readonly string[];
  readonly rows: readonly (readonly unknown[])[];
}

/** All rows of a book as a snapshot carries them: less than half as long as rows that each name their fields. */
export type RowColumns = Readonly<Record<string, KindColumns>>;

/** Puts the rows of a snapshot together. All rows of a kind get their fields in one order, and so one shape in memory. */
export function rowsOfColumns(columns: RowColumns): RowsByKind {
  return Object.fromEntries(
    KIND_NAMES.map((kind) => {
      const { fields, rows } = columns[kind] ?? { fields: [], rows: [] };
      return [kind, rows.map((values) => rowOf(fields, values))];
    }),
  ) as unknown as RowsByKind;
}

function rowOf(fields: readonly string[], values: readonly unknown[]): Record<string, unknown> {
  const row: Record<string, unknown> = {};
  for (let index = 0; index < fields.length; index += 1) row[fields[index] as string] = values[index];
  return row;
}

/** The columns of rows, as a snapshot carries them. */
export function columnsOfRows(rows: RowsByKind): RowColumns {
  return Object.fromEntries(
    KIND_NAMES.map((kind) => {
      const fields = storedFields(kind).map(({ name }) => name);
      return [kind, { fields, rows: rows[kind].map((row) => fields.map((field) => fieldValue(row, field))) }];
    }),
  );
}
