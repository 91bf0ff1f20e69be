import { fieldValue } from './stored-row.js';

/** Rows in the order in which they are shown and worked through: by position where they have one, else as they were made. */
export function inOrder<Row extends { readonly id: string }>(rows: readonly Row[]): Row[] {
  const position = (row: Row) => (fieldValue(row, 'position') as number | undefined) ?? 0;
  return [...rows].sort((one, other) => position(one) - position(other) || (one.id < other.id ? -1 : 1));
}
