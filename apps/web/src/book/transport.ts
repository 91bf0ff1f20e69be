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
  readonly writes: readonly Write[];
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
  try {
    const response = await fetch(path, { credentials: 'same-origin', ...init });
    const body: unknown = await response.json().catch(() => null);
    if (response.ok && body !== null) return { ok: true, value: body as Value };
    const refused = (body ?? {}) as { problems?: Problem[]; rows?: { kind: string; row: StoredRow | null }[] };
    return {
      ok: false,
      status: refused.problems ? response.status : 0,
      problems: refused.problems ?? [],
      rows: refused.rows ?? [],
    };
  } catch {
    return { ok: false, status: 0, problems: [], rows: [] };
  }
}

export const transport = {
  snapshot: (bookId: string) => ask<Snapshot>(`/api/books/${bookId}`),
  send: (bookId: string, change: Change) =>
    ask<{ revision: number }>(`/api/books/${bookId}/changes`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(change),
    }),
  since: (bookId: string, revision: number) => ask<HistoryEntry[]>(`/api/books/${bookId}/changes?since=${revision}`),
  latest: (bookId: string, before?: number) =>
    ask<HistoryEntry[]>(`/api/books/${bookId}/changes${before === undefined ? '' : `?before=${before}`}`),
  events: (bookId: string) => new EventSource(`/api/books/${bookId}/events`),
};
