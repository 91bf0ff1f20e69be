import type { Operation, StoredRow } from '@nuvar/book';
import { takeOver } from '@nuvar/core';
import { edit } from '../book/edit.js';
import { model } from '../book/model.js';
import { openWhatIf } from '../book/open-what-if.js';
import { counted } from '../figures/format.js';
import { noticed } from '../state/notices-slice.js';
import { useAppDispatch, useAppSelector } from '../state/store.js';
import { useSettings } from '../book/use-book.js';

/** Takes chosen changes of a what-if over into the book, as one change with one undo, or drops them. */
export function useTakeOver(whatIfId: string) {
  const dispatch = useAppDispatch();
  const isOpen = useAppSelector(({ book }) => book.whatIf === whatIfId);
  const { locale } = useSettings();
  const rowsOf = (ids: readonly string[]) =>
    ids.flatMap((id) => model.book.row('whatIfChange', id) ?? []) as StoredRow<'whatIfChange'>[];
  const make = (operations: readonly Operation[], done: string) => {
    const problem = dispatch(edit(operations))[0];
    dispatch(noticed(problem === undefined ? { sentence: done } : { sentence: problem.sentence, tone: 'problem' }));
  };
  return {
    take(ids: readonly string[]) {
      const { operations, refusals } = takeOver(model.book, rowsOf(ids));
      // What is taken over is written into the book: there it must not be kept in the what-if again.
      if (isOpen) dispatch(openWhatIf(null));
      const taken = ids.length - refusals.size;
      const [refusal] = refusals.values();
      if (taken === 0) dispatch(noticed({ sentence: refusal ?? '', tone: 'problem' }));
      else
        make(
          operations,
          `${counted(taken, 'change', locale)} taken over into the book.${refusal === undefined ? '' : ` ${refusals.size} could not be: ${refusal}`}`,
        );
    },
    drop(ids: readonly string[]) {
      make(
        rowsOf(ids).map(({ id, version }) => ({ action: 'remove', kind: 'whatIfChange', id, version })),
        `${counted(ids.length, 'change', locale)} dropped.`,
      );
    },
  };
}
