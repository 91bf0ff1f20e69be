import {
  type Kind,
  type Ledger,
  LEDGER_NAMES,
  ledgerKind,
  type LedgerStates,
  type Problem,
  type StoredRow,
} from '@nuvar/book';
import { useEffect, useState } from 'react';
import { useAppSelector, useAppStore, type store } from '../state/store.js';
import { model } from './model.js';
import { type LedgerOfPeriod, transport } from './transport.js';

type Handle = Pick<typeof store, 'getState' | 'subscribe'>;

/** A state at the beginning of a period bears the id of its group and that day; those of the day shown the group's. */
const isOfShownDay = ({ id }: StoredRow) => !id.includes('@');

/**
 * Lets the open book know what its ledgers have come to on the day that is shown: the server works it out of their rows, which
 * are no part of the snapshot. Fetched when the book is opened, when another day is chosen, and when a ledger has been written to.
 */
export function followLedgers({ getState, subscribe }: Handle, today: () => string): void {
  /** The book, day and state of the ledgers that was fetched last. */
  let fetched = '';
  const look = () => {
    const { id, asOf, revision, pending } = getState().book;
    if (id === null || pending.length > 0) return;
    const wanted = [id, asOf ?? today(), ...LEDGER_NAMES.map((ledger) => model.versionOf(ledger))].join(' ');
    if (wanted === fetched) return;
    fetched = wanted;
    void refresh(id, asOf ?? today(), revision);
  };
  const refresh = async (bookId: string, asOf: string, revision: number) => {
    const answer = await transport.ledgerStates(bookId, asOf);
    const { book } = getState();
    if (book.id !== bookId) return;
    if (answer.ok) learnStates(answer.value, book.pending);
    // Somebody has written meanwhile, or the server was away: the next change of anything tries again.
    else if (fetched.startsWith(bookId) && book.revision >= revision) fetched = '';
  };
  subscribe(look);
}

type Pending = Parameters<typeof model.learn>[3];

function learnStates(states: LedgerStates, pending: Pending): void {
  for (const [kind, rows] of Object.entries(states)) model.learn(kind as Kind, rows as never, isOfShownDay, pending);
}

/** A ledger over a period, as far as it has been fetched. */
export interface FetchedLedger {
  /** The day from which on it has to be gone through; null while it is on its way. */
  readonly begun: string | null;
  readonly problems: readonly Problem[];
}

/** Fetches the ledger of a group over a period into the open book, and again whenever the book has come to another revision. */
export function useLedger(ledger: Ledger, group: string, from: string, to: string): FetchedLedger {
  const { getState } = useAppStore();
  const bookId = useAppSelector(({ book }) => book.id);
  const revision = useAppSelector(({ book }) => book.revision);
  const key = `${ledger} ${group} ${from} ${to}`;
  const [fetched, setFetched] = useState<FetchedLedger & { readonly key: string }>({ key, begun: null, problems: [] });
  useEffect(() => {
    let isLeft = false;
    const fetchLedger = async () => {
      const answer = await transport.ledger(bookId ?? '', ledger, group, from, to);
      if (isLeft) return;
      if (!answer.ok) {
        setFetched({ key, begun: null, problems: answer.problems });
        return;
      }
      learnPeriod(ledger, { group, to }, answer.value, getState().book.pending);
      setFetched({ key, begun: answer.value.begun, problems: [] });
    };
    void fetchLedger();
    return () => {
      isLeft = true;
    };
  }, [bookId, ledger, group, from, to, revision, key, getState]);
  return fetched.key === key ? fetched : { begun: null, problems: [] };
}

function learnPeriod<L extends Ledger>(
  ledger: L,
  { group, to }: { readonly group: string; readonly to: string },
  { begun, opening, rows }: LedgerOfPeriod<L>,
  pending: Pending,
): void {
  const { group: grouped, day, state } = ledgerKind(ledger);
  const openingId = `${group}@${begun}`;
  model.learn(state, opening === null ? [] : [opening as never], ({ id }) => id === openingId, pending);
  const isOfPeriod = (row: object) => {
    const fields = row as Record<string, string>;
    const ofDay = fields[day] ?? '';
    return fields[grouped] === group && ofDay >= begun && ofDay <= to;
  };
  model.learn(ledger as Kind, rows as never, isOfPeriod, pending);
}
