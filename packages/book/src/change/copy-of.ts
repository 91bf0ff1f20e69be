import { fieldsOf, type Kind, KIND_NAMES, KINDS } from '../kinds.js';
import type { CreateOperation } from './change.js';
import { withoutVersion } from './reverse-change.js';
import type { BookReader, StoredRow } from './stored-row.js';

/**
 * The operations that duplicate a row under a new id, with other values for some fields, and with it all rows that its
 * kind says are copied along, each under an id from `newId`. Fields that stand for one thing only (a GTIN) are emptied.
 */
export function copyOf(
  book: BookReader,
  kind: Kind,
  row: StoredRow,
  id: string,
  fields: Readonly<Record<string, unknown>>,
  newId: () => string,
): CreateOperation[] {
  const emptied = Object.fromEntries(KINDS[kind].notCopied.map((field) => [field, '']));
  const copy: CreateOperation = {
    action: 'create',
    kind,
    row: { ...withoutVersion(row), ...emptied, ...fields, id },
  };
  const parts = KIND_NAMES.flatMap((part) =>
    KINDS[part].copiedWith
      .filter((field) => pointsTo(part, field) === kind)
      .flatMap((field) =>
        book.rowsWith(part, field, row.id).flatMap((each) => copyOf(book, part, each, newId(), { [field]: id }, newId)),
      ),
  );
  return [copy, ...parts];
}

const pointsTo = (kind: Kind, field: string) => fieldsOf(kind).find(({ name }) => name === field)?.target;
