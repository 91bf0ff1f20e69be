import { applyChange, bookRows, columnsOfRows, rowsByKind, type Change, type Write } from '@nuvar/book';
import { quillfernPottery, rowsOfFile } from '@nuvar/book/demo';
import { vi } from 'vitest';

interface Entry {
  readonly revision: number;
  readonly changeId: string;
  readonly userId: string;
  readonly undoes: null;
  readonly writes: readonly Write[];
  readonly writeCount: number;
}

/** Stands in for the server where what counts is what the page makes of its answers: the demo book, and a journal. */
export interface StubServer {
  /** The changes that were sent, in their order, as often as they were. */
  readonly sent: Change[];
  /** What is answered to the next change that is sent, in place of storing it; asked again each time. */
  refuse: (change: Change) => Response | null;
  /** Somebody else makes a change; the page is told of it. */
  changeByOthers(change: Change): void;
  revision(): number;
}

const refusalOf = (status: number, body: object) => Response.json(body, { status });

/** An answer that refuses with one problem. */
export const refusal = (status: number, code: string, more: object = {}) =>
  refusalOf(status, { problems: [{ code, sentence: `Refused: ${code}.`, ...more }] });

/** Puts a server in the place of the one that the page asks; undone by `vi.unstubAllGlobals`. */
export function stubServer(): StubServer {
  const rows = rowsOfFile(quillfernPottery());
  const journal: Entry[] = [];
  let told: ((message: { data: string }) => void) | null = null;
  const revision = () => journal.length + 1;
  const store = (change: Change, userId: string): Response => {
    const known = journal.find(({ changeId }) => changeId === change.id);
    if (known !== undefined) return Response.json({ revision: known.revision });
    const applied = applyChange(rows, change);
    if (!applied.ok) {
      const [first] = applied.problems;
      const row = first?.kind === undefined ? null : rows.row(first.kind as never, first.rowId ?? '');
      const isConflict = first?.code === 'changed-meanwhile';
      return refusalOf(isConflict ? 409 : 422, {
        problems: applied.problems,
        ...(isConflict ? { rows: [{ kind: first.kind, row }] } : {}),
      });
    }
    rows.apply(applied.writes);
    const { writes } = applied;
    journal.push({
      revision: revision() + 1,
      changeId: change.id,
      userId,
      undoes: null,
      writes,
      writeCount: writes.length,
    });
    return Response.json({ revision: revision() });
  };
  const server: StubServer = {
    sent: [],
    refuse: () => null,
    changeByOthers(change) {
      store(change, 'other');
      told?.({ data: JSON.stringify({ revisions: { book: revision() } }) });
    },
    revision,
  };
  const answer = (path: string, init?: RequestInit): Response => {
    if (init?.method === 'POST') {
      const change = JSON.parse(init.body as string) as Change;
      server.sent.push(change);
      return server.refuse(change) ?? store(change, 'me');
    }
    const since = /since=(\d+)/.exec(path)?.[1];
    if (since !== undefined) return Response.json(journal.filter((entry) => entry.revision > Number(since)));
    if (path.includes('/changes')) return Response.json([]);
    const columns = columnsOfRows(rowsByKind(bookRows(rowsByKind(rows))));
    return Response.json({ revision: revision(), rows: columns }, { headers: { 'Book-Role': 'owner' } });
  };
  vi.stubGlobal('fetch', (path: string, init?: RequestInit) => Promise.resolve(answer(path, init)));
  vi.stubGlobal(
    'EventSource',
    class {
      set onmessage(handler: typeof told) {
        told = handler;
      }
      close() {
        told = null;
      }
    },
  );
  return server;
}
