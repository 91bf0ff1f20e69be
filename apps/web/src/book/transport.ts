import type { Change, Ledger, LedgerStates, Problem, Role, RowColumns, StateOf, StoredRow, Write } from '@nuvar/book';
import type { HistoryEntry } from '../state/api.js';

export interface Snapshot {
  readonly revision: number;
  readonly rows: RowColumns;
}

/** The text of a `Snapshot`, which page and worker each read for themselves, and in which role it was read. */
export interface SnapshotText {
  readonly text: string;
  readonly role: Role;
  /** How much of the room of the book is taken, in percent; 0 while it is far from full. */
  readonly filled: number;
}

export interface LedgerOfPeriod<L extends Ledger> {
  readonly begun: string;
  readonly opening: StoredRow<StateOf<L>> | null;
  readonly rows: readonly StoredRow<L>[];
}

/** What the server answered: what was asked for, or why not. `status` 0 means that it did not answer. */
export type Answer<Value> =
  | { readonly ok: true; readonly value: Value }
  | {
      readonly ok: false;
      readonly status: number;
      readonly problems: readonly Problem[];
      readonly rows: readonly { kind: string; row: StoredRow | null }[];
    };

async function ask<Value>(path: string, init?: RequestInit): Promise<Answer<Value>> {
  return answerOf(path, init, async (response) => JSON.parse(await response.text()) as Value);
}

const NO_ANSWER = { ok: false, status: 0, problems: [], rows: [] } as const;

/** An answer that cannot be read is none: something stands between the page and the server. */
async function answerOf<Value>(
  path: string,
  init: RequestInit | undefined,
  read: (response: Response) => Promise<Value>,
): Promise<Answer<Value>> {
  try {
    const response = await fetch(path, { credentials: 'same-origin', ...init });
    if (response.ok) return { ok: true, value: await read(response) };
    const body: unknown = await response.json().catch(() => null);
    const refused = (body ?? {}) as { problems?: Problem[]; rows?: { kind: string; row: StoredRow | null }[] };
    return {
      ok: false,
      status: refused.problems ? response.status : 0,
      problems: refused.problems ?? [],
      rows: refused.rows ?? [],
    };
  } catch {
    return NO_ANSWER;
  }
}

/** It is read by page and worker, and so only looked at from outside here. */
async function snapshotText(response: Response): Promise<SnapshotText> {
  const role = response.headers.get('Book-Role');
  if (role === null) throw new TypeError('This is no snapshot.');
  return { text: await response.text(), role: role as Role, filled: Number(response.headers.get('Book-Filled') ?? 0) };
}

/** What it takes to open a book: its snapshot, and what one could take back. */
type OpeningAnswers = readonly [Answer<SnapshotText>, Answer<HistoryEntry[]>];

const askOpening = (bookId: string): Promise<OpeningAnswers> =>
  Promise.all([
    answerOf(`/api/books/${bookId}`, undefined, snapshotText),
    ask<HistoryEntry[]>(`/api/books/${bookId}/changes?own=true`),
  ]);

/** What was asked for before the page knew who is there. */
let early: { readonly bookId: string; readonly answers: Promise<OpeningAnswers> } | null = null;

export const transport = {
  /** Asks at once for what opens a book: it is on its way while the page is still being put together. */
  expect(bookId: string): void {
    early = { bookId, answers: askOpening(bookId) };
  },
  async opening(bookId: string): Promise<OpeningAnswers> {
    const known = early?.bookId === bookId ? await early.answers : null;
    early = null;
    return known?.[0].ok ? known : askOpening(bookId);
  },
  send: (bookId: string, change: Change) =>
    ask<{ revision: number }>(`/api/books/${bookId}/changes`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(change),
    }),
  /** What the ledgers have come to on a day. */
  ledgerStates: (bookId: string, asOf: string) => ask<LedgerStates>(`/api/books/${bookId}/ledgers?asOf=${asOf}`),
  /** The ledger of a group over a period, from the day on that it has to be gone through. */
  ledger: <L extends Ledger>(bookId: string, ledger: L, group: string, from: string, to: string) =>
    ask<LedgerOfPeriod<L>>(`/api/books/${bookId}/ledgers/${ledger}/${group}?from=${from}&to=${to}`),
  /** What others have written after a revision, or the first of it; entries come whole. */
  async since(bookId: string, revision: number): Promise<Answer<HistoryEntry[]>> {
    const answer = await ask<HistoryEntry[]>(`/api/books/${bookId}/changes?since=${revision}`);
    if (!answer.ok) return answer;
    const entries: HistoryEntry[] = [];
    for (const entry of answer.value) {
      if (entry.rest == null) entries.push(entry);
      else {
        const rest = await transport.restOf(bookId, entry.revision, entry.rest);
        if (!rest.ok) return rest;
        entries.push({ ...entry, writes: [...entry.writes, ...rest.value], rest: null });
      }
    }
    return { ok: true, value: entries };
  },
  /** What a change of many rows has written from a piece on. */
  async restOf(bookId: string, revision: number, from: number): Promise<Answer<Write[]>> {
    const writes: Write[] = [];
    for (let piece: number | null = from; piece !== null;) {
      const answer: Answer<{ writes: Write[]; rest: number | null }> = await ask(
        `/api/books/${bookId}/changes/${revision}/writes?piece=${piece}`,
      );
      if (!answer.ok) return answer;
      writes.push(...answer.value.writes);
      piece = answer.value.rest;
    }
    return { ok: true, value: writes };
  },
};
