import {
  fieldsOf,
  fieldValue,
  type Kind,
  KIND_NAMES,
  type Override,
  type StoredRow,
  withoutVersion,
} from '@nuvar/book';
import type { RowsBelow } from '../sheet/index.js';

/** Kinds whose rows are no input of any figure by themselves. */
const LEFT_OUT: ReadonlySet<Kind> = new Set<Kind>(['whatIf', 'whatIfChange', 'stockMovement']);
/** What was in stock when a period begins, which only the ledger of that period reads, bears the id of its material and that day. */
const isOpening = (kind: Kind, id: string) => kind === 'stockPosition' && id.includes('@');

/**
 * What turns the rows of one side into those of another, as overrides: rows that are added, rows that are removed, and the
 * fields of common rows that differ, in the order of the kinds.
 */
export function differencesBetween(one: RowsBelow, other: RowsBelow): Override[] {
  return KIND_NAMES.filter((kind) => !LEFT_OUT.has(kind)).flatMap((kind) => [
    ...ofRows(kind, one.all(kind) as readonly unknown[] as readonly StoredRow[], other),
    ...added(kind, one, other.all(kind) as readonly unknown[] as readonly StoredRow[]),
  ]);
}

function ofRows(kind: Kind, rows: readonly StoredRow[], other: RowsBelow): Override[] {
  return rows.flatMap((row): Override[] => {
    if (isOpening(kind, row.id)) return [];
    const there = other.row(kind, row.id) as StoredRow | undefined;
    if (there === undefined) return [{ kind, id: row.id, how: 'remove' }];
    return there === row ? [] : ofFields(kind, row, there);
  });
}

const ofFields = (kind: Kind, row: StoredRow, there: StoredRow): Override[] =>
  fieldsOf(kind)
    .filter(({ name }) => fieldValue(row, name) !== fieldValue(there, name))
    .map(({ name }) => ({
      kind,
      id: row.id,
      field: name,
      how: 'set',
      value: fieldValue(there, name) as string | number | boolean | null,
    }));

const added = (kind: Kind, one: RowsBelow, rows: readonly StoredRow[]): Override[] =>
  rows
    .filter(({ id }) => one.row(kind, id) === undefined && !isOpening(kind, id))
    .map((row) => ({ kind, id: row.id, how: 'create', row: withoutVersion(row) }));
