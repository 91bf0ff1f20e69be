import { fieldsOf, type Kind, KIND_NAMES, KINDS } from '../kinds.js';
import type { CreateOperation } from './change.js';
import { withoutVersion } from './reverse-change.js';
import { type BookReader, fieldValue, type StoredRow } from './stored-row.js';

/**
 * The operations that duplicate a row under a new id, with other values for some fields, and with it all rows that its
 * kind says are copied along, each under an id from `newId`. What these point to among each other, the copies point to
 * among themselves. Fields that stand for one thing only (a GTIN) begin anew.
 */
export function copyOf(
  book: BookReader,
  kind: Kind,
  row: StoredRow,
  id: string,
  fields: Readonly<Record<string, unknown>>,
  newId: () => string,
): CreateOperation[] {
  const copyIds = new Map<string, string>();
  const copies = copiesOf(book, kind, row, id, fields, newId, copyIds);
  return copies.map((copy) => ({ ...copy, row: { ...copy.row, ...referencesAmong(copy, copyIds) } }));
}

function copiesOf(
  book: BookReader,
  kind: Kind,
  row: StoredRow,
  id: string,
  fields: Readonly<Record<string, unknown>>,
  newId: () => string,
  copyIds: Map<string, string>,
): CreateOperation[] {
  copyIds.set(row.id, id);
  const fresh = new KINDS[kind].rowClass();
  const anew = Object.fromEntries(KINDS[kind].notCopied.map((field) => [field, fieldValue(fresh, field)]));
  const copy: CreateOperation = {
    action: 'create',
    kind,
    row: { ...withoutVersion(row), ...anew, ...fields, id },
  };
  const parts = KIND_NAMES.flatMap((part) =>
    KINDS[part].copiedWith
      .filter((field) => pointsTo(part, field) === kind)
      .flatMap((field) =>
        book
          .rowsWith(part, field, row.id)
          .flatMap((each) => copiesOf(book, part, each, newId(), { [field]: id }, newId, copyIds)),
      ),
  );
  return [copy, ...parts];
}

/** The references of a copy to rows that were copied with it, as they are to be: to the copies. */
function referencesAmong({ kind, row }: CreateOperation, copyIds: ReadonlyMap<string, string>) {
  return Object.fromEntries(
    fieldsOf(kind)
      .filter(({ type }) => type === 'reference')
      .flatMap(({ name }) => {
        const copyId = copyIds.get(String(fieldValue(row, name)));
        return copyId === undefined ? [] : [[name, copyId] as const];
      }),
  );
}

const pointsTo = (kind: Kind, field: string) => fieldsOf(kind).find(({ name }) => name === field)?.target;
