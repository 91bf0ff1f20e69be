import type { Problem, StoredRow } from '@nuvar/book';
import { useEffect, useState } from 'react';
import { useAppSelector, useAppStore, type store } from '../state/store.js';
import { model } from './model.js';
import { transport } from './transport.js';

type Handle = Pick<typeof store, 'getState' | 'subscribe'>;

/** A position at the beginning of a period bears the id of its material and that day; those of the day shown the material's. */
const isOfShownDay = ({ id }: StoredRow<'stockPosition'>) => !id.includes('@');

/**
 * Lets the open book know what is in stock on the day that is shown: the server works it out of the ledger, which is no
 * part of the snapshot. Fetched when the book is opened, when another day is chosen, and when the ledger has been written to.
 */
export function followStock({ getState, subscribe }: Handle, today: () => string): void {
  /** The book, day and state of the ledger that was fetched last. */
  let fetched = '';
  const look = () => {
    const { id, asOf, revision, pending } = getState().book;
    if (id === null || pending.length > 0) return;
    const wanted = `${id} ${asOf ?? today()} ${model.versionOf('stockMovement')}`;
    if (wanted === fetched) return;
    fetched = wanted;
    void refresh(id, asOf ?? today(), revision);
  };
  const refresh = async (bookId: string, asOf: string, revision: number) => {
    const answer = await transport.stock(bookId, asOf);
    const { book } = getState();
    if (book.id !== bookId) return;
    if (answer.ok) model.learn('stockPosition', answer.value, isOfShownDay, book.pending);
    // Somebody has written meanwhile, or the server was away: the next change of anything tries again.
    else if (fetched.startsWith(bookId) && book.revision >= revision) fetched = '';
  };
  subscribe(look);
}

/** The ledger of a material over a period, as far as it has been fetched. */
export interface FetchedLedger {
  /** The day from which on it has to be gone through; null while it is on its way. */
  readonly begun: string | null;
  readonly problems: readonly Problem[];
}

/** Fetches the ledger of a material over a period into the open book, and again whenever the book has come to another revision. */
export function useStockLedger(materialId: string, from: string, to: string): FetchedLedger {
  const { getState } = useAppStore();
  const bookId = useAppSelector(({ book }) => book.id);
  const revision = useAppSelector(({ book }) => book.revision);
  const key = `${materialId} ${from} ${to}`;
  const [ledger, setLedger] = useState<FetchedLedger & { readonly key: string }>({ key, begun: null, problems: [] });
  useEffect(() => {
    let isLeft = false;
    const fetchLedger = async () => {
      const answer = await transport.stockLedger(bookId ?? '', materialId, from, to);
      if (isLeft) return;
      if (!answer.ok) {
        setLedger({ key, begun: null, problems: answer.problems });
        return;
      }
      const { begun, opening, movements } = answer.value;
      const { pending } = getState().book;
      const openingId = `${materialId}@${begun}`;
      model.learn('stockPosition', opening === null ? [] : [opening], ({ id }) => id === openingId, pending);
      const isOfPeriod = (row: StoredRow<'stockMovement'>) =>
        row.materialId === materialId && row.date >= begun && row.date <= to;
      model.learn('stockMovement', movements, isOfPeriod, pending);
      setLedger({ key, begun, problems: [] });
    };
    void fetchLedger();
    return () => {
      isLeft = true;
    };
  }, [bookId, materialId, from, to, revision, key, getState]);
  return ledger.key === key ? ledger : { begun: null, problems: [] };
}
