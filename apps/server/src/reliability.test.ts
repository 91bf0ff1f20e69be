import { rowsOfColumns, type RowColumns } from '@nuvar/book';
import { setTimeout as pause } from 'node:timers/promises';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { mortalCluster, type MortalCluster } from './testing/cluster.js';
import { serverProcess, type ServerProcess } from './testing/server-process.js';
import {
  ask,
  askUntilAnswered,
  listener,
  newSession,
  write,
  type Acknowledged,
  type Session,
} from './testing/writers.js';

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
}, 300_000);
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
async function expectNothingLost(
  session: Session,
  bookId: string,
  acknowledged: readonly Acknowledged[],
  before: ReadonlySet<string> = new Set(),
): Promise<void> {
  const client = new pg.Client(cluster.url);
  await client.connect();
  const journal: Entry[] = (
    await client.query<Entry>(`SELECT revision, change_id FROM journal WHERE book_id = $1 ORDER BY revision`, [bookId])
  ).rows;
  await client.end();
  expect(journal.map(({ revision }) => revision)).toEqual(journal.map((_entry, index) => index + 1));
  const byChange = new Map(journal.map((entry) => [entry.change_id, entry]));
  expect(byChange.size).toBe(journal.length);
  for (const { changeId, revision } of acknowledged) expect(byChange.get(changeId)?.revision).toBe(revision);
  const expected = new Set([...before, ...acknowledged.flatMap(({ rowIds }) => rowIds)]);
  const snapshot = (await askUntilAnswered(session, `/api/books/${bookId}`)).body as {
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
        await expectNothingLost(sessions[0], bookId, acknowledged, before);
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

/** How many people work for how many minutes; more of them in the long form of this test. */
const PEOPLE = Number(process.env.PEOPLE ?? 8);
const MINUTES = Number(process.env.MINUTES ?? 0.05);
const A_BOOK = 4;

describe(`${PEOPLE} people who work for ${MINUTES} minutes, ${A_BOOK} to a book`, () => {
  it(
    'are all answered, nothing of theirs is lost, and each hears the last of the others',
    async () => {
      const people = await Promise.all(
        Array.from({ length: PEOPLE }, (_none, index) => newSession(servers[index % 2 === 0 ? 0 : 1].url)),
      );
      const teams = await Promise.all(
        Array.from({ length: Math.ceil(PEOPLE / A_BOOK) }, (_none, index) =>
          team(people.slice(index * A_BOOK, (index + 1) * A_BOOK)),
        ),
      );
      const listeners = people.map(listener);
      const end = performance.now() + MINUTES * 60_000;
      const answers = await Promise.all(
        teams.flatMap(({ id, members }) => members.map(async (member) => ({ id, ...(await work(member, id, end)) }))),
      );
      for (const { id, members } of teams) {
        const ofTeam = answers.filter((each) => each.id === id).flatMap(({ acknowledged }) => acknowledged);
        await expectNothingLost(members[0] as Session, id, ofTeam);
        const last = Math.max(...ofTeam.map(({ revision }) => revision));
        const heard = listeners.filter((_listener, index) => members.includes(people[index] as Session));
        await vi.waitFor(() => expect(heard.map((each) => each.heard.get(id))).toEqual(heard.map(() => last)), 10_000);
      }
      listeners.forEach(({ stop }) => stop());
      expect(answers.reduce((sum, { unanswered }) => sum + unanswered, 0)).toBe(0);
      tell(answers.flatMap(({ times }) => times));
    },
    60_000 + MINUTES * 120_000,
  );
});

/** A book that the first of some people makes and the others edit with them. */
async function team(members: readonly Session[]): Promise<{ id: string; members: readonly Session[] }> {
  const [owner, ...others] = members as [Session, ...Session[]];
  const made = await askUntilAnswered(owner, '/api/books', { method: 'POST', body: JSON.stringify({ name: 'Team' }) });
  const { id } = made.body as { id: string };
  for (const other of others) {
    const { body } = await askUntilAnswered(other, '/api/session');
    const { email } = (body as { user: { email: string } }).user;
    const invitation = { method: 'PUT', body: JSON.stringify({ email, role: 'editor' }) };
    await askUntilAnswered(owner, `/api/books/${id}/members`, invitation);
  }
  return { id, members };
}

interface Work {
  readonly acknowledged: readonly Acknowledged[];
  readonly unanswered: number;
  readonly times: readonly { readonly what: string; readonly milliseconds: number }[];
}

/** Writes, opens the book, looks into its history and asks for figures, with short pauses, until the time is up. */
async function work(session: Session, bookId: string, end: number): Promise<Work> {
  const acknowledged: Acknowledged[] = [];
  const times: { what: string; milliseconds: number }[] = [];
  let unanswered = 0;
  const looks = ['', '/changes', '/figures/overview/all'];
  for (let turn = 0; performance.now() < end; turn += 1) {
    const begun = performance.now();
    acknowledged.push(...(await write(session, bookId, onceOnly())));
    times.push({ what: 'a change', milliseconds: performance.now() - begun });
    const look = looks[turn % looks.length] as string;
    const looked = performance.now();
    if ((await ask(session, `/api/books/${bookId}${look}`)) === null) unanswered += 1;
    times.push({
      what: look === '' ? 'the snapshot' : (look.slice(1).split('/')[0] ?? ''),
      milliseconds: performance.now() - looked,
    });
    await pause(Math.min(300, Math.max(0, end - performance.now())));
  }
  return { acknowledged, unanswered, times };
}

/** In the long form, how long the answers took. */
function tell(times: Work['times']): void {
  if (process.env.MINUTES === undefined) return;
  const kinds = [...new Set(times.map(({ what }) => what))];
  console.table(
    kinds.map((what) => {
      const sorted = times.filter((each) => each.what === what).map(({ milliseconds }) => Math.round(milliseconds));
      sorted.sort((one, other) => one - other);
      const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))];
      return { what, answers: sorted.length, median: at(0.5), '99 of 100': at(0.99), slowest: sorted.at(-1) };
    }),
  );
}

/** Over after one change. */
function onceOnly(): () => boolean {
  let times = 0;
  return () => (times += 1) > 1;
}
