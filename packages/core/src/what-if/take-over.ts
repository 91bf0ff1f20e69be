import { fieldsOf, fieldValue, type Operation, type StoredRow, withoutVersion, type Write } from '@nuvar/book';
import type { RowsBelow } from '../sheet/index.js';
import { layChanges } from './lay-what-if.js';

type Change = StoredRow<'whatIfChange'>;

/** What taking changes of a what-if over into the book does. */
export interface TakeOver {
  /** One change of the book: what was chosen is written into it, and is no change of the what-if any more. */
  readonly operations: readonly Operation[];
  /** The changes that cannot be taken over, with why. They stay in the what-if. */
  readonly refusals: ReadonlyMap<string, string>;
}

/**
 * Takes chosen changes of a what-if over into the book, to the digit as the what-if shows them. What a taken change stood in
 * place of goes with it: it must not begin to count over the new value. A change in whose place another counts is not taken
 * over without that one.
 */
export function takeOver(book: RowsBelow, chosen: readonly Change[]): TakeOver {
  const all = book.rowsWith('whatIfChange', 'whatIfId', chosen[0]?.whatIfId ?? '') as readonly Change[];
  const { replacedBy } = layChanges(book, all);
  const ids = new Set(chosen.map(({ id }) => id));
  const isHidden = ({ id }: Change) => !ids.has(replacedBy.get(id) ?? id);
  const { writes, refusals } = layChanges(
    book,
    chosen.filter((change) => !isHidden(change)),
  );
  const refused = new Map([...refusals, ...chosen.filter(isHidden).map(({ id }) => [id, HIDDEN] as const)]);
  const isTaken = ({ id }: Change) => {
    const counting = replacedBy.get(id) ?? id;
    return ids.has(counting) && !refused.has(counting);
  };
  return {
    operations: [
      ...writes.flatMap(operationsOf),
      ...all
        .filter(isTaken)
        .map(({ id, version }): Operation => ({ action: 'remove', kind: 'whatIfChange', id, version })),
    ],
    refusals: refused,
  };
}

const HIDDEN = 'A later change of the same field counts in its place.';

/** The operation that makes a write. */
function operationsOf({ kind, id, before, after }: Write): Operation[] {
  if (before === null) return after === null ? [] : [{ action: 'create', kind, row: withoutVersion(after) }];
  if (after === null) return [{ action: 'remove', kind, id, version: before.version }];
  const moved = fieldsOf(kind).filter(({ name }) => fieldValue(before, name) !== fieldValue(after, name));
  const of = (row: StoredRow) => Object.fromEntries(moved.map(({ name }) => [name, fieldValue(row, name)]));
  return moved.length === 0 ? [] : [{ action: 'update', kind, id, before: of(before), after: of(after) }];
}
