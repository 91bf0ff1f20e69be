import type { Change, StoredRow } from '@nuvar/book';
import type { HistoryEntry } from '../state/api.js';
import { noticed } from '../state/notices-slice.js';
import type { store } from '../state/store.js';
import { model } from './model.js';

/** What came of opening a book. */
export type Opening = 'opened' | 'not-found' | 'signed-out' | 'away';

/** From there on, in percent, whoever opens a book is told that it will soon be full. */
const NEARLY_FULL = 90;

/** Says of a book that is nearly full what to do before it is. */
export function sayHowFull({ dispatch }: Pick<typeof store, 'dispatch'>, filled: number): void {
  if (filled < NEARLY_FULL) return;
  const sentence = `This book is ${filled} % full. Before it is quite full, remove rows, or export it and take it in as a new book, which begins a new history.`;
  dispatch(noticed({ sentence, tone: 'problem' }));
}

/** What one could take back has to be there, also where it is of a ledger, which the snapshot does not hold. */
export function learnLedger(history: readonly Pick<HistoryEntry, 'writes'>[], pending: readonly Change[]): void {
  const latest = new Map<string, StoredRow<'stockMovement'> | null>();
  for (const { writes } of [...history].reverse())
    for (const { kind, id, after } of writes)
      if (kind === 'stockMovement') latest.set(id, after as StoredRow<'stockMovement'> | null);
  const rows = [...latest.values()].filter((row) => row !== null);
  model.learn('stockMovement', rows, () => false, pending);
}

/** Why the server did not give a book. */
export function openingOf(status: number): Opening {
  if (status === 401) return 'signed-out';
  return status === 404 ? 'not-found' : 'away';
}
