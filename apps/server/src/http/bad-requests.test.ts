import { KIND_NAMES, newId, PROBLEMS, storedFields, type Kind, type Write } from '@nuvar/book';
import { quillfernPottery } from '@nuvar/book/demo';
import type { NestExpressApplication } from '@nestjs/platform-express';
import fc from 'fast-check';
import { request } from 'node:http';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { badRequests } from '../testing/bad-requests.js';
import { signUp, testServer, type Person } from '../testing/client.js';
import { databaseOfItsOwn } from '../testing/database.js';
import { send } from '../testing/raw-request.js';

let app: NestExpressApplication;
let base: string;
let database: Awaited<ReturnType<typeof databaseOfItsOwn>>;
let owner: Person;
let stranger: Person;
let bookId: string;
let foreignId: string;

beforeAll(async () => {
  // In a database of its own: so many wrong sign-ins would count against the other tests.
  database = await databaseOfItsOwn();
  app = await testServer({ databaseUrl: database.url });
  base = await app.getUrl();
  [owner, stranger] = [await signUp(app), await signUp(app)];
  bookId = ((await owner.post('/api/book-files', quillfernPottery()).expect(201)).body as { id: string }).id;
  foreignId = await stranger.makeBook('Not yours');
});
afterAll(async () => {
  await app.close();
  await database.remove();
});

/** How many requests are sent; more of them in the long form of this test. */
const RUNS = Number(process.env.BAD_REQUESTS ?? 2_000);
const SEED = Number(process.env.SEED ?? 20_261_126);

const MEGABYTE = 1024 * 1024;
const KNOWN_CODES = Object.keys(PROBLEMS);

describe('whatever is sent', () => {
  it(
    `is answered or refused in words, and never breaks anything: ${RUNS} requests made from the description of the API`,
    async () => {
      const description = (await owner.get('/api/docs-json').expect(200)).body as Parameters<typeof badRequests>[0];
      const rowIds = Object.values(quillfernPottery().rows).flatMap((rows) =>
        rows.slice(0, 2).map(({ id }) => String(id)),
      );
      const requests = badRequests(description, {
        ids: [bookId, bookId, foreignId, owner.id, stranger.id, newId()],
        rowIds,
        cookies: [owner.cookie, owner.cookie, owner.cookie, stranger.cookie, ''],
      });
      const seen = new Map<number, number>();
      await fc.assert(
        fc.asyncProperty(requests, async (request) => {
          const { status, text, contentType } = await send(base, request);
          seen.set(status, (seen.get(status) ?? 0) + 1);
          expect(status, `${request.method} ${request.path.slice(0, 200)}: ${text.slice(0, 400)}`).toBeLessThan(500);
          if (status < 400) return;
          expect(contentType).toContain('json');
          const { problems } = JSON.parse(text) as { problems: { code: string; sentence: string }[] };
          for (const { code, sentence } of problems) {
            expect(KNOWN_CODES).toContain(code);
            expect(sentence).not.toMatch(/\{\w+\}|undefined|\[object|node_modules/);
          }
        }),
        { numRuns: RUNS, seed: SEED, interruptAfterTimeLimit: 1_000_000 },
      );
      // Otherwise the property would say little: every way in which a request can end was met.
      expect([...seen.keys()]).toEqual(expect.arrayContaining([200, 400, 401, 404, 413, 422]));
    },
    60_000 + RUNS * 40,
  );

  it('has left a book that opens, whose figures are worked out, and a history of declared fields only', async () => {
    await owner.get(`/api/books/${bookId}`).expect(200);
    await owner.get(`/api/books/${bookId}/figures`).expect(200);
    const history = (await owner.get(`/api/books/${bookId}/changes?since=0`).expect(200)).body as { writes: Write[] }[];
    const declared = new Map(KIND_NAMES.map((kind) => [kind, storedFields(kind).map(({ name }) => name)]));
    for (const { kind, after } of history.flatMap(({ writes }) => writes))
      expect(Object.keys(after ?? {}).filter((field) => !declared.get(kind as Kind)?.includes(field))).toEqual([]);
  });
});

describe('the server', () => {
  it('reads nothing of what somebody sends who is not signed in, and little of what is too deep or too much', async () => {
    const [deep, wide] = ['['.repeat(38_000_000), `[${'[],'.repeat(12_000_000)}[]]`].map((text) => Buffer.from(text));
    const headers = { 'content-type': 'application/json' };
    const begun = process.cpuUsage();
    const post = (path: string, body: Buffer | undefined, cookie?: string) =>
      send(base, { method: 'POST', path, headers: cookie === undefined ? headers : { ...headers, cookie }, body });
    expect((await post('/api/book-files', deep)).status).toBe(401);
    expect((await post('/api/book-files', wide)).status).toBe(401);
    const { user, system } = process.cpuUsage(begun);
    // Parsing them took ten seconds; receiving them takes a fraction of one.
    expect((user + system) / 1_000_000).toBeLessThan(5);
    expect((await post('/api/book-files', deep, owner.cookie)).status).toBe(413);
    expect((await post('/api/session', wide)).status).toBe(413);
  });

  it('holds only so many bodies at a time, and takes more when they are answered', async () => {
    const headers = { 'content-type': 'application/json', cookie: owner.cookie };
    const path = '/api/book-files';
    // Three times 39 MB are more than it holds for one person; each has all but its end.
    const waiting = Array.from({ length: 3 }, () => {
      const outgoing = request(`${base}${path}`, {
        method: 'POST',
        headers: { ...headers, 'content-length': 40 * MEGABYTE },
        agent: false,
      });
      const answered = new Promise<number>((done) => {
        outgoing.on('response', ({ statusCode }) => done(statusCode ?? 0));
        outgoing.on('error', () => done(0));
      });
      outgoing.write(Buffer.alloc(39 * MEGABYTE, ' '));
      return { outgoing, answered };
    });
    expect(await Promise.race(waiting.map(({ answered }) => answered))).toBe(503);
    await stranger.makeBook('Meanwhile');
    waiting.forEach(({ outgoing }) => outgoing.destroy());
    await expect
      .poll(async () => (await send(base, { method: 'POST', path, headers, body: Buffer.from('{}') })).status)
      .toBe(422);
  });

  it('takes an id for the same in capitals, and never two ids for one', async () => {
    await owner.get(`/api/books/${bookId.toUpperCase()}`).expect(200);
    const id = newId();
    const operation = { action: 'create', kind: 'material', row: { id: id.toUpperCase(), name: 'Shouted' } } as const;
    await owner.change(bookId, [operation]).expect(400);
    await owner.change(bookId, [operation], { id: id.toUpperCase() }).expect(400);
  });

  it('lets one of several sign-ups of an address at once through, and tells the others', async () => {
    const given = { name: 'Six', email: `${newId()}@example.test`, password: 'a long enough password' };
    const answers = await Promise.all(
      Array.from({ length: 6 }, () =>
        send(base, {
          method: 'POST',
          path: '/api/accounts',
          headers: { 'content-type': 'application/json' },
          body: Buffer.from(JSON.stringify(given)),
        }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 422, 422, 422, 422, 422]);
  });

  it('knows no rate of a currency that is a word of its own language', async () => {
    for (const word of ['__proto__', 'constructor', 'toString'])
      await owner.get(`/api/stand-ins/exchange-rates?currency=${word}&base=EUR&day=2026-05-04`).expect(422);
  });
});
