import { fieldValue, type Kind, type Operation, type StoredRow } from '@nuvar/book';

/** The operation that brings fields of a row to new values; none where they stand there already. */
export function updateOf(kind: Kind, row: StoredRow, after: Readonly<Record<string, unknown>>): Operation[] {
  const moved = Object.keys(after).filter((field) => fieldValue(row, field) !== after[field]);
  if (moved.length === 0) return [];
  const pick = (values: object) => Object.fromEntries(moved.map((field) => [field, fieldValue(values, field)]));
  return [{ action: 'update', kind, id: row.id, before: pick(row), after: pick(after) }];
}

export function createOf(kind: Kind, id: string, fields: Readonly<Record<string, unknown>>): Operation {
  return { action: 'create', kind, row: { ...fields, id } };
}

/** The position after the last of these rows. */
export function nextPosition(rows: readonly { readonly position: number }[]): number {
  return Math.max(-1, ...rows.map((row) => row.position)) + 1;
}
