import { type Change, isLedger, LEDGER_NAMES, type StoredRow } from '@nuvar/book';
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
export function learnLedgers(history: readonly Pick<HistoryEntry, 'writes'>[], pending: readonly Change[]): void {
  const latest = new Map<string, StoredRow | null>();
  for (const { writes } of [...history].reverse())
    for (const { kind, id, after } of writes) if (isLedger(kind)) latest.set(`${kind} ${id}`, after);
  for (const ledger of LEDGER_NAMES) {
    const rows = [...latest].flatMap(([key, row]) => (key.startsWith(`${ledger} `) ? (row ?? []) : []));
    model.learn(ledger, rows as StoredRow<typeof ledger>[], () => false, pending);
  }
}

/** Why the server did not give a book. */
export function openingOf(status: number): Opening {
  if (status === 401) return 'signed-out';
  return status === 404 ? 'not-found' : 'away';
}
