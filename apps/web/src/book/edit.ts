import { newId, problem, reverseOperations, type Change, type Operation, type Problem } from '@nuvar/book';
import type { AppThunk } from '../state/store.js';
import { noticed } from '../state/notices-slice.js';
import { bookActions, type SetAside, type UndoEntry } from '../state/book-slice.js';
import { model } from './model.js';
import { sync } from './sync.js';
import { labelOf, stacked } from './undo-stacks.js';
import { isOfWhatIfs, keptIn } from './what-if-edits.js';

/**
 * The one way in: shows the edit at once and queues it for the server. Returns the problems that stand against it, and
 * then nothing was changed.
 */
export function edit(operations: readonly Operation[]): AppThunk<readonly Problem[]> {
  return (dispatch) => dispatch(make(operations, null));
}

function make(operations: readonly Operation[], undoes: string | null): AppThunk<readonly Problem[]> {
  return (dispatch, getState) => {
    const { book } = getState();
    if (operations.length === 0) return [];
    if (book.role === 'reader') return [problem('not-allowed', { values: { role: book.role } })];
    const kept = undoes === null ? keptIn(book.whatIf, operations) : { operations, shown: null };
    if ('problems' in kept) return kept.problems;
    if (kept.operations.length === 0) return [];
    const id = newId();
    const change: Change = { id, operations: kept.operations, ...(undoes === null ? {} : { undoes }) };
    const applied = model.edit(change);
    if (!applied.ok) return applied.problems;
    const entry: UndoEntry = {
      changeId: change.id,
      writes: applied.writes,
      label: labelOf(model.rows, kept.shown ?? applied.writes) + (kept.shown === null ? '' : ', in the what-if'),
    };
    dispatch(bookActions.edited(change));
    dispatch(bookActions.stacked(stacked(book, entry, undoes)));
    sync.queued(change);
    return [];
  };
}

/** Makes an edit again that was set aside; it is forgotten there once it is on its way. */
export function editAgain({ change }: SetAside): AppThunk<readonly Problem[]> {
  return (dispatch) => {
    const problems = dispatch(make(change.operations, null));
    if (problems.length === 0) void sync.forget([change.id]);
    return problems;
  };
}

/** Takes back one's own latest change, whatever screen it was made on, and says what it was. */
export const undo = (): AppThunk => takeBack('undo', 'Undone');

/** Does again what was taken back last. */
export const redo = (): AppThunk => takeBack('redo', 'Redone');

function takeBack(stack: 'undo' | 'redo', done: string): AppThunk {
  return (dispatch, getState) => {
    const { book } = getState();
    const entry = book[stack].at(-1);
    if (book.whatIf !== null && entry !== undefined && !isOfWhatIfs(entry.writes)) {
      const sentence = `The latest edit was made in the book: ${entry.label}. Leave the what-if to take it back.`;
      dispatch(noticed({ sentence, tone: 'problem' }));
      return;
    }
    if (entry === undefined) {
      dispatch(noticed({ sentence: stack === 'undo' ? 'Nothing to undo.' : 'Nothing to redo.' }));
      return;
    }
    if (entry.rest !== undefined) {
      void dispatch(fetchWhole(entry, () => takeBack(stack, done)));
      return;
    }
    const operations = reverseOperations(entry.writes, model.book);
    const problems = dispatch(make(operations, entry.changeId));
    if (problems.length === 0) {
      const label =
        stack === 'undo'
          ? entry.label
          : labelOf(
              model.rows,
              entry.writes.map(({ before, after, ...write }) => ({ ...write, before: after, after: before })),
            );
      dispatch(noticed({ sentence: `${done}: ${label}` }));
    } else if (problems.some((each) => each.code === 'changed-meanwhile')) {
      const sentence = `${problems.map((each) => each.sentence).join(' ')} Undo it anyway?`;
      dispatch(noticed({ sentence, question: { action: 'force', stack } }));
    } else {
      dispatch(noticed({ sentence: `That can no longer be undone. ${problems[0]?.sentence ?? ''}`, tone: 'problem' }));
    }
  };
}

/** Fetches the rest of what a change of many rows has written, and goes on. */
function fetchWhole(entry: UndoEntry, goOn: () => AppThunk): AppThunk<Promise<void>> {
  return async (dispatch) => {
    if ((await sync.whole(entry)) !== null) dispatch(goOn());
    else {
      const sentence = `What “${entry.label}” has written could not be fetched from the server. Try again in a moment.`;
      dispatch(noticed({ sentence, tone: 'problem' }));
    }
  };
}

/** Takes a change back although its fields have moved on since: what stands there now gives way. */
export function takeBackAllTheSame(stack: 'undo' | 'redo'): AppThunk {
  return (dispatch, getState) => {
    const { book } = getState();
    const entry = book[stack].at(-1);
    if (entry === undefined) return;
    const reader = model.book;
    const operations = reverseOperations(entry.writes, reader).map((operation): Operation => {
      if (operation.action !== 'update') return operation;
      const now = reader.row(operation.kind, operation.id) as object | undefined;
      const before = Object.fromEntries(
        Object.keys(operation.after).map((field) => [field, (now as Record<string, unknown> | undefined)?.[field]]),
      );
      return { ...operation, before };
    });
    const problems = dispatch(make(operations, entry.changeId));
    dispatch(
      noticed(
        problems[0] ? { sentence: problems[0].sentence, tone: 'problem' } : { sentence: `Undone: ${entry.label}` },
      ),
    );
  };
}
