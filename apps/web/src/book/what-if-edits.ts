import { isOpenToWhatIfs, labelOfKind, newId, type Operation, problem, type Problem, type Write } from '@nuvar/book';
import { whatIfOperations } from '@nuvar/core';
import { model } from './model.js';

/** Where an edit is kept: the operations that do so, or what stands against it. */
type Kept =
  | {
      readonly operations: readonly Operation[];
      /** What it does to the rows that are shown, where that says more than what is kept; null where it says the same. */
      readonly shown: readonly Write[] | null;
    }
  | { readonly problems: readonly Problem[] };

/** True where nothing else than what-ifs themselves was written. */
export const isOfWhatIfs = (writes: readonly Pick<Write, 'kind'>[]): boolean =>
  writes.every(({ kind }) => kind === 'whatIf' || kind === 'whatIfChange');

/**
 * While a what-if is open, an edit is kept in it and not in the book: it is held against the rules as if the book were as the
 * what-if has it, and becomes changes of the what-if. What-ifs themselves are edited as always.
 */
export function keptIn(whatIf: string | null, operations: readonly Operation[]): Kept {
  if (whatIf === null || isOfWhatIfs(operations)) return { operations, shown: null };
  const record = operations.find(({ kind }) => !isOpenToWhatIfs(kind));
  if (record !== undefined)
    return { problems: [problem('not-in-a-what-if', { values: { kind: labelOfKind(record.kind) } })] };
  const applied = model.foreseeShown({ id: newId(), operations });
  if (!applied.ok) return { problems: applied.problems };
  return { operations: whatIfOperations(model.book, whatIf, applied.writes, newId), shown: applied.writes };
}
