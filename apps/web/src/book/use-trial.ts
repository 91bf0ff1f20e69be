import type { Kind, Operation } from '@nuvar/book';
import { useCallback } from 'react';
import { noticed } from '../state/notices-slice.js';
import { useAppDispatch, useAppSelector, type AppThunk } from '../state/store.js';
import { bookActions, type Tried } from '../state/book-slice.js';
import { edit } from './edit.js';
import { model } from './model.js';
import { updateOf } from './operations.js';

/** Tries a value for one field of a row: everything follows it, and nothing is kept. */
export function useTry(): (kind: Kind, id: string, field: string, value: Tried['value']) => void {
  const dispatch = useAppDispatch();
  return useCallback(
    (kind, id, field, value) => dispatch(bookActions.tried({ kind, id, field, how: 'set', value })),
    [dispatch],
  );
}

/** The value that is tried for a field, or undefined where none is. */
export function useTried(id: string, field: string): Tried['value'] | undefined {
  return useAppSelector(({ book }) => book.trial.find((each) => each.id === id && each.field === field)?.value);
}

/** Takes what is tried into the book, as one change. */
export function useAcceptTrial(): () => void {
  const dispatch = useAppDispatch();
  return useCallback(() => dispatch(accept()), [dispatch]);
}

function accept(): AppThunk {
  return (dispatch, getState) => {
    const { trial } = getState().book;
    const operations = trial.flatMap((each): Operation[] => {
      const row = model.rows.row(each.kind, each.id);
      return row === undefined ? [] : updateOf(each.kind, row, { [each.field]: each.value });
    });
    const problem = dispatch(edit(operations))[0];
    if (problem) dispatch(noticed({ sentence: problem.sentence, tone: 'problem' }));
    else dispatch(bookActions.trialDropped());
  };
}
