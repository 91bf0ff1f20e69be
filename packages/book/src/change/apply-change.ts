import { fieldsOf, type Kind, KINDS, labelOfKind } from '../kinds.js';
import { problem, type Problem } from '../problem/index.js';
import { completeRow, validateRow } from '../validate-row.js';
import type { Change, Operation, UpdateOperation } from './change.js';
import { type Overlay, overlayOn } from './overlay.js';
import { ruleProblems } from './rules/index.js';
import { type BookReader, fieldValue, type StoredRow, type Write } from './stored-row.js';

/** What a change comes to: the writes that carry it out, or all the problems that stand against it. */
export type Applied =
  | { readonly ok: true; readonly writes: readonly Write[] }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** A book that is made by a change, of rows in some format of book files. */
export interface NewBook {
  readonly format: number;
}

/**
 * Works out what a change does to a book, without doing it. Every row is held against its class, then every rule that
 * reaches beyond a row against the book as the change would leave it. One wrong row refuses the whole change. Only the
 * change that makes a new book may add its settings; where its rows come from a file, the rules of the file's format
 * are held against them (`newBook`).
 */
export function applyChange(book: BookReader, change: Change, newBook: NewBook | null = null): Applied {
  const overlay = overlayOn(book);
  const problems = change.operations.flatMap((operation) => applyOperation(overlay, operation));
  if (problems.length > 0) return { ok: false, problems };
  const writes = overlay.writes();
  const broken =
    newBook === null
      ? ruleProblems(overlay, writes)
      : ruleProblems(
          overlay,
          writes.filter(({ kind }) => kind !== 'settings'),
          newBook.format,
        );
  return broken.length > 0 ? { ok: false, problems: broken } : { ok: true, writes };
}

function applyOperation(overlay: Overlay, operation: Operation): Problem[] {
  const { kind } = operation;
  if (KINDS[kind].isDerived) return [problem('derived-row', { kind, values: { kind: labelOfKind(kind) } })];
  if (operation.action === 'create') {
    const { id } = operation.row;
    if (overlay.row(kind, id) !== undefined)
      return [problem('row-exists', { kind, rowId: id, values: { kind: labelOfKind(kind) } })];
    return put(overlay, kind, operation.row, 1);
  }
  const row = overlay.row(kind, operation.id);
  if (row === undefined)
    return [problem('unknown-row', { kind, rowId: operation.id, values: { kind: labelOfKind(kind) } })];
  if (operation.action === 'update') {
    const moved = movedFields(row, operation);
    return moved.length > 0
      ? moved
      : put(overlay, kind, { ...row, ...operation.after, id: operation.id }, row.version + 1);
  }
  if (row.version !== operation.version) {
    return [problem('row-moved-on', { kind, rowId: operation.id, values: { kind: labelOfKind(kind) } })];
  }
  overlay.put(kind, operation.id, null);
  return [];
}

function put(overlay: Overlay, kind: Kind, fields: object, version: number): Problem[] {
  const { version: _ignored, ...given } = fields as Record<string, unknown>;
  const complete = completeRow(kind, given) as StoredRow;
  const problems = validateRow(kind, complete);
  if (problems.length === 0) overlay.put(kind, complete.id, { ...complete, version });
  return problems;
}

/** The fields that somebody else has changed since: what the change says they were is not what they are. */
function movedFields(row: StoredRow, update: UpdateOperation): Problem[] {
  return Object.keys(update.after)
    .filter(
      (field) => fieldValue(row, field) !== update.before[field] && fieldValue(row, field) !== update.after[field],
    )
    .filter((field) => fieldsOf(update.kind).some((spec) => spec.name === field))
    .map((field) => {
      const label = fieldsOf(update.kind).find((spec) => spec.name === field)?.label ?? field;
      const theirs = fieldValue(row, field);
      return problem('changed-meanwhile', {
        kind: update.kind,
        rowId: update.id,
        field,
        values: {
          label,
          theirs: theirs === null ? 'empty' : String(theirs),
          yours: String(update.after[field] ?? 'empty'),
        },
      });
    });
}
