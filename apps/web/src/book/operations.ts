import { nameKey, fieldValue, type CreateOperation, type Kind, type Operation, type StoredRow } from '@nuvar/book';

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

/** The id of the row of that name which the same change makes already, capital letters or not. */
export function madeWithin(before: readonly Operation[], kind: Kind, name: string): string | undefined {
  return createsOf(before, kind).find(({ row }) => nameKey(String(row.name)) === nameKey(name))?.row.id;
}

/** The position after the last of these rows, and after those of their kind that the same change makes already. */
export function nextPosition(
  kind: Kind,
  rows: readonly { readonly position: number }[],
  before: readonly Operation[],
): number {
  return Math.max(-1, ...rows.map((row) => row.position)) + 1 + createsOf(before, kind).length;
}

const createsOf = (operations: readonly Operation[], kind: Kind): CreateOperation[] =>
  operations.filter((each) => each.action === 'create').filter((each) => each.kind === kind);
