import type { Operation, StoredRow } from '@nuvar/book';
import type { RowsBelow } from '../sheet/index.js';

type Change = StoredRow<'whatIfChange'>;

/** Two what-ifs that say different things of the same field, or of the same row as a whole. */
export interface MergeConflict {
  readonly into: Change;
  readonly from: Change;
}

const saysTheSame = (one: Change, other: Change) =>
  one.field === other.field && one.how === other.how && one.value === other.value;
/** About the same field of a row, or one of them takes the whole row away. */
const isAboutTheSame = (one: Change, other: Change) =>
  one.rowId === other.rowId && (one.field === other.field || one.how === 'remove' || other.how === 'remove');
const changesOf = (rows: RowsBelow, whatIfId: string) =>
  rows.rowsWith('whatIfChange', 'whatIfId', whatIfId) as readonly Change[];

/** The changes in which two what-ifs differ about the same thing. */
export function mergeConflicts(rows: RowsBelow, intoId: string, fromId: string): MergeConflict[] {
  const known = changesOf(rows, intoId);
  return changesOf(rows, fromId).flatMap((from) =>
    known.filter((into) => isAboutTheSame(into, from) && !saysTheSame(into, from)).map((into) => ({ into, from })),
  );
}

/**
 * The operations that add the changes of one what-if to another. Where both say something of the same field, that of the
 * one that is added to stays, unless the id of the other's change is among `taken`.
 */
export function mergeOperations(
  rows: RowsBelow,
  intoId: string,
  fromId: string,
  taken: ReadonlySet<string>,
  newId: () => string,
): Operation[] {
  const known = changesOf(rows, intoId);
  const first = known.reduce((most, { position }) => Math.max(most, position + 1), 0);
  const gone = new Map<string, Operation>();
  const added = changesOf(rows, fromId).flatMap((from, index): Operation[] => {
    if (known.some((into) => saysTheSame(into, from) && into.rowId === from.rowId)) return [];
    const inTheWay = known.filter((into) => isAboutTheSame(into, from));
    if (inTheWay.length > 0 && !taken.has(from.id)) return [];
    for (const { id, version } of inTheWay) gone.set(id, { action: 'remove', kind: 'whatIfChange', id, version });
    const { version: _version, ...fields } = from;
    const row = { ...fields, id: newId(), whatIfId: intoId, position: first + index };
    return [{ action: 'create', kind: 'whatIfChange', row }];
  });
  return [...gone.values(), ...added];
}
