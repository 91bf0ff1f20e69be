import type { Change, Problem, RowColumns, StoredRow, Write } from '@nuvar/book';
import type { Role } from './book-slice.js';

export interface Snapshot {
  readonly revision: number;
  readonly role: Role;
  readonly rows: RowColumns;
}

export interface HistoryEntry {
  readonly revision: number;
  readonly changeId: string;
  readonly userId: string;
  readonly userName: string;
  readonly at: string;
  readonly undoes: string | null;
  /** Where the history is told, no more than the first ones of them. */
  readonly writes: readonly Write[];
  readonly writeCount: number;
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
  return askText(path, init).then((answer) => (answer.ok ? parsed<Value>(answer.value) : answer));
}

/** An answer that is no JSON is none: something stands between the page and the server. */
function parsed<Value>(text: string): Answer<Value> {
  try {
    return { ok: true, value: JSON.parse(text) as Value };
  } catch {
    return NO_ANSWER;
  }
}

const NO_ANSWER = { ok: false, status: 0, problems: [], rows: [] } as const;

async function askText(path: string, init?: RequestInit): Promise<Answer<string>> {
  try {
    const response = await fetch(path, { credentials: 'same-origin', ...init });
    if (response.ok) return { ok: true, value: await response.text() };
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

/** A snapshot that was asked for before the page knew who is there. */
let early: { readonly bookId: string; readonly answer: Promise<Answer<string>> } | null = null;

async function snapshotOf(bookId: string): Promise<Answer<string>> {
  const known = early?.bookId === bookId ? await early.answer : null;
  early = null;
  return known?.ok ? known : askText(`/api/books/${bookId}`);
}

export const transport = {
  /** Asks for a snapshot at once: it is on its way while the page is still being put together. */
  expectSnapshot(bookId: string): void {
    early = { bookId, answer: askText(`/api/books/${bookId}`) };
  },
  /** The text of a `Snapshot`: page and worker each read it for themselves. */
  snapshot: snapshotOf,
  send: (bookId: string, change: Change) =>
    ask<{ revision: number }>(`/api/books/${bookId}/changes`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(change),
    }),
  since: (bookId: string, revision: number) => ask<HistoryEntry[]>(`/api/books/${bookId}/changes?since=${revision}`),
  latest: (bookId: string, before?: number) =>
    ask<HistoryEntry[]>(`/api/books/${bookId}/changes${before === undefined ? '' : `?before=${before}`}`),
  ownLatest: (bookId: string) => ask<HistoryEntry[]>(`/api/books/${bookId}/changes?own=true`),
  events: (bookId: string) => new EventSource(`/api/books/${bookId}/events`),
};
