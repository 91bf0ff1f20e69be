import { fieldsOf, type Kind } from '../kinds.js';
import type { Operation } from './change.js';
import { fieldValue, type BookReader, type StoredRow, type Write } from './stored-row.js';

/** The operations that take a change back: its writes, last first, each turned round. */
export function reverseOperations(writes: readonly Write[], book: BookReader): Operation[] {
  return [...writes].reverse().map((write) => reverse(write, book));
}

function reverse({ kind, id, before, after }: Write, book: BookReader): Operation {
  if (before === null)
    return { action: 'remove', kind, id, version: book.row(kind, id)?.version ?? (after as StoredRow).version };
  if (after === null) return { action: 'create', kind, row: knownFields(kind, before) };
  const changed = changedFields(kind, before, after);
  const pick = (row: StoredRow) => Object.fromEntries(changed.map((field) => [field, fieldValue(row, field)]));
  return { action: 'update', kind, id, before: pick(after), after: pick(before) };
}

/** The fields in which two rows of a kind differ. */
export function changedFields(kind: Kind, before: object, after: object): string[] {
  return fieldsOf(kind)
    .map((field) => field.name)
    .filter((field) => fieldValue(before, field) !== fieldValue(after, field));
}

/** The row as a create names it, without fields that an older version of Nuvar kept. */
function knownFields(kind: Kind, row: StoredRow): Record<string, unknown> & { id: string } {
  const known = fieldsOf(kind).filter(({ name }) => fieldValue(row, name) !== undefined);
  return { id: row.id, ...Object.fromEntries(known.map(({ name }) => [name, fieldValue(row, name)])) };
}

/** The fields of a stored row, as a create names them. */
export function withoutVersion(row: StoredRow): Record<string, unknown> & { id: string } {
  const { version: _version, ...fields } = row;
  return fields;
}
