import { rowsOfColumns, type RowColumns } from '@nuvar/book';
import { setTimeout as pause } from 'node:timers/promises';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { mortalCluster, type MortalCluster } from './testing/cluster.js';
import { serverProcess, type ServerProcess } from './testing/server-process.js';
import { askUntilAnswered, listener, newSession, write, type Acknowledged, type Session } from './testing/writers.js';

/** How often server and database are killed; more often in the long form of this test (`npm run soak`). */
const KILLS = Number(process.env.KILLS ?? 1);
const WRITERS = 4;

let cluster: MortalCluster;
let servers: readonly [ServerProcess, ServerProcess];
let sessions: readonly [Session, Session];
let bookId: string;

beforeAll(async () => {
  cluster = await mortalCluster();
  servers = [await serverProcess(cluster.url), await serverProcess(cluster.url)];
  const session = await newSession(servers[0].url);
  // Two servers on one database: whoever is signed in at one is signed in at the other.
  sessions = [session, { ...session, base: servers[1].url }];
  const made = await askUntilAnswered(session, '/api/books', {
    method: 'POST',
    body: JSON.stringify({ name: 'Tough' }),
  });
  bookId = (made.body as { id: string }).id;
}, 60_000);
afterAll(async () => {
  await Promise.all(servers.map((server) => server.stop()));
  cluster.remove();
});

/** Writes at both servers while something happens to them, and gives what was acknowledged. */
async function writingThrough(happen: () => Promise<void>): Promise<Acknowledged[]> {
  let isOver = false;
  const writing = Array.from({ length: WRITERS }, (_none, index) =>
    write(sessions[index % 2 === 0 ? 0 : 1], bookId, () => isOver),
  );
  await pause(400);
  await happen();
  await pause(400);
  isOver = true;
  return (await Promise.all(writing)).flat();
}

interface Entry {
  readonly revision: number;
  readonly change_id: string;
  readonly ids: readonly string[];
}

/** Every acknowledged change stands once, at its revision, with all of its rows; and nothing else stands there. */
async function expectNothingLost(acknowledged: readonly Acknowledged[], before: ReadonlySet<string>): Promise<void> {
  const client = new pg.Client(cluster.url);
  await client.connect();
  const journal: Entry[] = (
    await client.query<Entry>(
      `SELECT revision, change_id, ARRAY(SELECT jsonb_array_elements(writes) ->> 'id') AS ids FROM journal WHERE book_id = $1 ORDER BY revision`,
      [bookId],
    )
  ).rows;
  await client.end();
  expect(journal.map(({ revision }) => revision)).toEqual(journal.map((_entry, index) => index + 1));
  const byChange = new Map(journal.map((entry) => [entry.change_id, entry]));
  expect(byChange.size).toBe(journal.length);
  for (const { changeId, revision } of acknowledged) expect(byChange.get(changeId)?.revision).toBe(revision);
  const expected = new Set([...before, ...acknowledged.flatMap(({ rowIds }) => rowIds)]);
  const snapshot = (await askUntilAnswered(sessions[0], `/api/books/${bookId}`)).body as {
    revision: number;
    rows: RowColumns;
  };
  const ids = rowsOfColumns(snapshot.rows).material.map(({ id }) => id);
  expect(snapshot.revision).toBe(journal.length);
  expect(new Set(ids)).toEqual(expected);
  expect(ids).toHaveLength(expected.size);
}

const rowIds = async () => {
  const { rows } = (await askUntilAnswered(sessions[0], `/api/books/${bookId}`)).body as { rows: RowColumns };
  return new Set(rowsOfColumns(rows).material.map(({ id }) => id));
};

describe('under writing at two servers', () => {
  it.each([
    [
      'a server',
      async () => {
        await servers[0].stop('SIGKILL');
        await pause(300);
        await servers[0].start();
      },
    ],
    // Longer than any pause between two tries: who waits for news has to try more than once.
    ['the database', () => cluster.kill(3_000)],
  ])(
    `%s is killed ${KILLS} times: nothing is lost, doubled or half done, and news reach everybody again`,
    async (_what, kill) => {
      const listeners = sessions.map(listener);
      for (let kills = 0; kills < KILLS; kills += 1) {
        const before = await rowIds();
        const acknowledged = await writingThrough(kill);
        expect(acknowledged.length).toBeGreaterThan(WRITERS);
        await expectNothingLost(acknowledged, before);
        const last = Math.max(...acknowledged.map(({ revision }) => revision));
        await vi.waitFor(() => expect(listeners.map(({ heard }) => heard.get(bookId))).toEqual([last, last]), {
          timeout: 25_000,
          interval: 50,
        });
      }
      listeners.forEach(({ stop }) => stop());
    },
    60_000 + KILLS * 30_000,
  );

  it('a change at either server is told at both, and who was taken out of the book hears nothing more', async () => {
    const [owner] = sessions;
    const guest = await newSession(servers[1].url);
    const { body } = await askUntilAnswered(guest, '/api/session');
    const { email, id } = (body as { user: { email: string; id: string } }).user;
    const members = `/api/books/${bookId}/members`;
    await askUntilAnswered(owner, members, { method: 'PUT', body: JSON.stringify({ email, role: 'editor' }) });
    const [own, other] = [listener(owner), listener(guest)];
    await vi.waitFor(() => expect([own.streams(), other.streams()]).toEqual([1, 1]), 5_000);
    const [first] = await write(guest, bookId, onceOnly());
    await vi.waitFor(
      () => expect([own, other].map(({ heard }) => heard.get(bookId))).toEqual([first?.revision, first?.revision]),
      5_000,
    );
    await askUntilAnswered(owner, `${members}/${id}`, { method: 'DELETE' });
    const [second] = await write(owner, bookId, onceOnly());
    await vi.waitFor(() => expect(own.heard.get(bookId)).toBe(second?.revision), 5_000);
    await pause(300);
    expect(other.heard.get(bookId)).toBe(first?.revision);
    own.stop();
    other.stop();
  });

  it('a server that is asked to stop does so, although pages hang on it', async () => {
    const listeners = Array.from({ length: 6 }, () => listener(sessions[1]));
    await vi.waitFor(() => expect(listeners.every(({ streams }) => streams() === 1)).toBe(true), 5_000);
    const begun = performance.now();
    await servers[1].stop('SIGINT');
    expect(performance.now() - begun).toBeLessThan(3_000);
    listeners.forEach(({ stop }) => stop());
    await servers[1].start();
  });
});

/** Over after one change. */
function onceOnly(): () => boolean {
  let times = 0;
  return () => (times += 1) > 1;
}
