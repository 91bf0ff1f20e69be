import type { LedgerStates } from '@nuvar/book';
import { useEffect, useState } from 'react';
import { engine } from '../engine/engine.js';
import { useAppSelector } from '../state/store.js';

/** What the server has of some sides: baselines, and what ledgers had come to on other days. */
interface KeptSides {
  readonly isThere: boolean;
  /** Why one of them is not, in a sentence. */
  readonly problem: string | null;
}

/** Fetches what the page does not hold of some sides, and gives it to the worker. */
export function useKeptSides(sides: readonly string[]): KeptSides {
  const bookId = useAppSelector(({ book }) => book.id) ?? '';
  const wanted = sides.filter((each) => /^(frozen|day)\//.test(each)).join(',');
  const [fetched, setFetched] = useState<ReadonlySet<string>>(new Set());
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    let isLeft = false;
    const fetchAll = async () => {
      for (const name of listOf(wanted)) {
        const text = await textOf(addressOf(bookId, name));
        if (isLeft) return;
        if (text === null) {
          setProblem('A side could not be fetched. It may have been removed, or the server does not answer.');
          return;
        }
        keep(name, text);
        setFetched((known) => new Set([...known, name]));
      }
      setProblem(null);
    };
    void fetchAll();
    return () => {
      isLeft = true;
    };
  }, [wanted, bookId]);
  return { isThere: listOf(wanted).every((each) => fetched.has(each)), problem };
}

const listOf = (wanted: string) => wanted.split(',').filter((each) => each !== '');

function addressOf(bookId: string, name: string): string {
  const [type = '', id = ''] = name.split('/');
  return type === 'frozen' ? `/api/books/${bookId}/baselines/${id}` : `/api/books/${bookId}/ledgers?asOf=${id}`;
}

async function textOf(address: string): Promise<string | null> {
  const answer = await fetch(address).catch(() => null);
  return answer?.ok === true ? answer.text() : null;
}

function keep(name: string, text: string): void {
  const [type = '', id = ''] = name.split('/');
  if (type === 'frozen') engine.keep(name, text, (JSON.parse(text) as { asOf: string }).asOf);
  else engine.keepStates(id, JSON.parse(text) as LedgerStates);
}
