import {
  fieldsOf,
  fieldValue,
  isOfField,
  readValue,
  type Kind,
  type Operation,
  type Override,
  type RowOf,
  type StoredRow,
  withoutVersion,
  type Write,
  writtenOverride,
} from '@nuvar/book';
import type { RowsBelow } from '../sheet/index.js';

type Change = StoredRow<'whatIfChange'>;

/** Why a change of a what-if was made, and what it was made together with. */
export interface ChangeNotes {
  readonly bulk?: string;
  readonly note?: string;
}

/**
 * The operations that keep an edit in a what-if in place of the book. `writes` are what the edit does to the rows as the
 * what-if shows them. Each field that moves becomes one change of the what-if; one that goes back to what the book says is
 * a change no longer; a row that was added in the what-if is changed where it was added.
 */
export function whatIfOperations(
  book: RowsBelow,
  whatIfId: string,
  writes: readonly Write[],
  newId: () => string,
): Operation[] {
  const all = book.rowsWith('whatIfChange', 'whatIfId', whatIfId) as readonly Change[];
  const ofRow = byRow(all);
  let position = all.reduce((most, each) => Math.max(most, each.position + 1), 0);
  const add = (override: Override, was: string): Operation => ({
    action: 'create',
    kind: 'whatIfChange',
    row: { id: newId(), whatIfId, position: position++, ...writtenOverride(override), was },
  });
  return writes.flatMap((write) => ofWrite(book, write, ofRow.get(write.id) ?? [], add));
}

function byRow(changes: readonly Change[]): ReadonlyMap<string, readonly Change[]> {
  const rows = new Map<string, Change[]>();
  for (const change of changes) {
    const known = rows.get(change.rowId);
    if (known === undefined) rows.set(change.rowId, [change]);
    else known.push(change);
  }
  return rows;
}

type Add = (override: Override, was: string) => Operation;

function ofWrite(book: RowsBelow, { kind, id, before, after }: Write, known: readonly Change[], add: Add): Operation[] {
  const base = (book.row(kind, id) as StoredRow | undefined) ?? null;
  if (after === null) {
    const gone = known.filter(({ how }) => base === null || how !== 'remove').map(removed);
    return base === null || gone.length < known.length ? gone : [...gone, add({ kind, id, how: 'remove' }, '')];
  }
  if (base === null) return added(kind, id, after, known, add);
  const back = known.filter(({ field }) => field === '').map(removed);
  const moved = fieldsOf(kind).filter(({ name }) => fieldValue(before ?? base, name) !== fieldValue(after, name));
  return [...back, ...moved.flatMap(({ name }) => ofField({ kind, id, field: name }, base, after, known, add))];
}

/** A row that is not in the book: it is added whole. */
function added(kind: Kind, id: string, after: StoredRow, known: readonly Change[], add: Add): Operation[] {
  const override: Override = { kind, id, how: 'create', row: withoutVersion(after) };
  const creation = known.find(({ how }) => how === 'create');
  const others = known.filter((each) => each !== creation).map(removed);
  return [...others, creation === undefined ? add(override, '') : rewritten(creation, override)];
}

function ofField(
  at: { readonly kind: Kind; readonly id: string; readonly field: string },
  base: StoredRow,
  after: StoredRow,
  known: readonly Change[],
  add: Add,
): Operation[] {
  const value = fieldValue(after, at.field) as string | number | boolean | null;
  const was = fieldValue(base, at.field);
  const ofThis = known.filter(({ field }) => field === at.field);
  const single = ofThis.find(({ bulk }) => bulk === '');
  // What was changed together with others still stands below: then the value of the book has to be said over it.
  if (value === was && ofThis.every((each) => each === single)) return single === undefined ? [] : [removed(single)];
  const override: Override = { ...at, how: 'set', value };
  return [single === undefined ? add(override, JSON.stringify(was)) : rewritten(single, override)];
}

const removed = ({ id, version }: Change): Operation => ({ action: 'remove', kind: 'whatIfChange', id, version });

function rewritten(change: Change, override: Override): Operation {
  const { how, value } = writtenOverride(override);
  const before = { how: change.how, value: change.value };
  return { action: 'update', kind: 'whatIfChange', id: change.id, before, after: { how, value } };
}

/** The operations that put overrides into a what-if, each as a change of its own, behind those that are there. */
export function addToWhatIf(
  book: RowsBelow,
  whatIfId: string,
  overrides: readonly Override[],
  notes: ChangeNotes,
  newId: () => string,
): Operation[] {
  const all = book.rowsWith('whatIfChange', 'whatIfId', whatIfId) as readonly Change[];
  const first = all.reduce((most, each) => Math.max(most, each.position + 1), 0);
  return overrides.map((override, index) => {
    const base = book.row(override.kind, override.id) as StoredRow | undefined;
    const was = base !== undefined && isOfField(override) ? JSON.stringify(fieldValue(base, override.field)) : '';
    const row = { id: newId(), whatIfId, position: first + index, ...writtenOverride(override), was, ...notes };
    return { action: 'create', kind: 'whatIfChange', row };
  });
}

/** What a change says it was in the book when it was made, and what it is now; null where that has not moved. */
export function movedSince(book: RowsBelow, change: RowOf<'whatIfChange'>): { was: unknown; now: unknown } | null {
  const was = readValue(change.was);
  if (was === undefined) return null;
  const row = book.row(change.rowKind as Kind, change.rowId) as StoredRow | undefined;
  if (row === undefined) return null;
  const now = fieldValue(row, change.field);
  return was === now ? null : { was, now };
}
