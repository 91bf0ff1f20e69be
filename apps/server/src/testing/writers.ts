import { newId, type Operation } from '@nuvar/book';
import { setTimeout as pause } from 'node:timers/promises';

export interface Session {
  readonly base: string;
  readonly cookie: string;
}

/** Asks a server; null where it does not answer, or is not well itself. */
export async function ask(
  { base, cookie }: Session,
  path: string,
  init: RequestInit = {},
): Promise<{ status: number; body: unknown } | null> {
  try {
    const headers = { cookie, 'content-type': 'application/json' };
    const answer = await fetch(`${base}${path}`, { ...init, headers, signal: AbortSignal.timeout(20_000) });
    const body: unknown = answer.status === 204 ? null : await answer.json();
    return answer.status >= 500 ? null : { status: answer.status, body };
  } catch {
    return null;
  }
}

/** Asks again and again until there is an answer. */
export async function askUntilAnswered(session: Session, path: string, init: RequestInit = {}) {
  for (;;) {
    const answer = await ask(session, path, init);
    if (answer !== null) return answer;
    await pause(60);
  }
}

/** A change that was sent until it was answered, and the revision that the answer gave. */
export interface Acknowledged {
  readonly changeId: string;
  readonly revision: number;
  /** The ids of the rows that it made: all of them are there, or none. */
  readonly rowIds: readonly string[];
}

const create = (name: string, id: string): Operation => ({ action: 'create', kind: 'material', row: { id, name } });

/**
 * Somebody who writes into a book until told to stop: changes that each make two rows and rename one of before. What is
 * not answered is sent again with the same id, as a page does.
 */
export async function write(session: Session, bookId: string, isOver: () => boolean): Promise<Acknowledged[]> {
  const acknowledged: Acknowledged[] = [];
  const who = newId().slice(-8);
  let last: { id: string; name: string } | null = null;
  for (let count = 0; !isOver(); count += 1) {
    const [first, second] = [newId(), newId()];
    const renamed = last && `${last.name} again`;
    const operations: Operation[] = [
      create(`${who} ${count} one`, first),
      create(`${who} ${count} two`, second),
      ...(last === null
        ? []
        : [
            {
              action: 'update',
              kind: 'material',
              id: last.id,
              before: { name: last.name },
              after: { name: renamed },
            } as const,
          ]),
    ];
    const id = newId();
    const body = JSON.stringify({ id, operations });
    const answer = await askUntilAnswered(session, `/api/books/${bookId}/changes`, { method: 'POST', body });
    if (answer.status !== 200) throw new Error(`A change was refused: ${JSON.stringify(answer)}`);
    const { revision } = answer.body as { revision: number };
    acknowledged.push({ changeId: id, revision, rowIds: [first, second] });
    last = { id: first, name: `${who} ${count} one` };
  }
  return acknowledged;
}

/** Hears the news of a person as a page does, connecting again whenever the stream ends; `heard` gives the revisions. */
export function listener({ base, cookie }: Session): {
  heard: ReadonlyMap<string, number>;
  streams(): number;
  stop(): void;
} {
  const heard = new Map<string, number>();
  const stopped = new AbortController();
  let streams = 0;
  const listen = async () => {
    const answer = await fetch(`${base}/api/events`, { headers: { cookie }, signal: stopped.signal });
    if (!answer.ok || answer.body === null) return;
    streams += 1;
    let rest = '';
    for await (const piece of answer.body.pipeThrough(new TextDecoderStream())) {
      const lines = (rest + piece).split('\n');
      rest = lines.pop() ?? '';
      for (const line of lines.filter((each) => each.startsWith('data: {'))) {
        const { revisions } = JSON.parse(line.slice(6)) as { revisions: Record<string, number> };
        for (const [bookId, revision] of Object.entries(revisions))
          heard.set(bookId, Math.max(heard.get(bookId) ?? 0, revision));
      }
    }
  };
  void (async () => {
    while (!stopped.signal.aborted) {
      await listen().catch(() => undefined);
      await pause(100);
    }
  })();
  return { heard, streams: () => streams, stop: () => stopped.abort() };
}

/** Makes an account at a server and gives its session. */
export async function newSession(base: string): Promise<Session> {
  const answer = await fetch(`${base}/api/accounts`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'Writer', email: `${newId()}@example.test`, password: 'a long enough password' }),
  });
  if (!answer.ok) throw new Error(await answer.text());
  return { base, cookie: (answer.headers.getSetCookie()[0] ?? '').split(';')[0] ?? '' };
}
