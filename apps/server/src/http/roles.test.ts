import { newId } from '@nuvar/book';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { material, signUp, testServer, type Person } from '../testing/client.js';
import { send, type RawAnswer } from '../testing/raw-request.js';

type Who = 'nobody' | 'stranger' | 'reader' | 'editor' | 'owner';
const EVERYBODY: readonly Who[] = ['nobody', 'stranger', 'reader', 'editor', 'owner'];
const MEMBERS: readonly Who[] = ['reader', 'editor', 'owner'];
const EDITORS: readonly Who[] = ['editor', 'owner'];
const OWNERS: readonly Who[] = ['owner'];

/** Who may do what with a book. Whatever the API offers under /api/books/{id} has its line here. */
const MAY: Readonly<Record<string, readonly Who[]>> = {
  'GET /api/books/{id}': MEMBERS,
  'DELETE /api/books/{id}': OWNERS,
  'GET /api/books/{id}/file': MEMBERS,
  'POST /api/books/{id}/changes': EDITORS,
  'GET /api/books/{id}/changes': MEMBERS,
  'GET /api/books/{id}/changes/{revision}/writes': MEMBERS,
  'GET /api/books/{id}/members': MEMBERS,
  'PUT /api/books/{id}/members': OWNERS,
  'DELETE /api/books/{id}/members/{userId}': OWNERS,
  'GET /api/books/{id}/baselines': MEMBERS,
  'POST /api/books/{id}/baselines': EDITORS,
  'GET /api/books/{id}/baselines/{baselineId}': MEMBERS,
  'DELETE /api/books/{id}/baselines/{baselineId}': EDITORS,
  'GET /api/books/{id}/ledgers': MEMBERS,
  'GET /api/books/{id}/ledgers/{ledger}/rows.csv': MEMBERS,
  'GET /api/books/{id}/ledgers/{ledger}/{group}': MEMBERS,
  'POST /api/books/{id}/documents': MEMBERS,
  'GET /api/books/{id}/documents/{jobId}': MEMBERS,
  'GET /api/books/{id}/documents/{jobId}/file': MEMBERS,
  'DELETE /api/books/{id}/documents/{jobId}': MEMBERS,
  'GET /api/books/{id}/figures': MEMBERS,
  'GET /api/books/{id}/figures/{view}/{of}': MEMBERS,
};

/** What else there is, and whether it takes somebody who is signed in. */
const ELSEWHERE: Readonly<Record<string, 'anybody' | 'signed in'>> = {
  'GET /api/health': 'anybody',
  'GET /api/session': 'anybody',
  'POST /api/session': 'anybody',
  'POST /api/session/demo': 'anybody',
  'DELETE /api/session': 'anybody',
  'POST /api/accounts': 'anybody',
  'GET /api/books': 'signed in',
  'POST /api/books': 'signed in',
  'POST /api/book-files': 'signed in',
  'GET /api/events': 'signed in',
  'GET /api/stand-ins/exchange-rates': 'signed in',
};

let app: NestExpressApplication;
let people: Readonly<Record<Exclude<Who, 'nobody'>, Person>>;
let bookId: string;
let offered: readonly string[];

beforeAll(async () => {
  app = await testServer();
  const [stranger, reader, editor, owner] = [
    await signUp(app),
    await signUp(app),
    await signUp(app),
    await signUp(app),
  ];
  people = { stranger, reader, editor, owner };
  bookId = await owner.makeBook('Who may what');
  for (const role of ['reader', 'editor'] as const)
    await owner.put(`/api/books/${bookId}/members`, { email: people[role].email, role }).expect(200);
  const { paths } = (await owner.get('/api/docs-json').expect(200)).body as { paths: Record<string, object> };
  offered = Object.entries(paths).flatMap(([path, methods]) =>
    Object.keys(methods).map((method) => `${method.toUpperCase()} ${path}`),
  );
});
afterAll(() => app.close());

/** A body that would do something, were it allowed. */
function bodyOf(what: string): object | undefined {
  if (what.startsWith('POST') && what.endsWith('/changes'))
    return { id: newId(), operations: [material(`Made ${newId()}`).operation] };
  if (what.startsWith('POST') && what.endsWith('/documents'))
    return { document: 'landed cost', of: newId(), format: 'pdf' };
  if (what.startsWith('POST') && what.endsWith('/baselines'))
    return { name: `Frozen ${newId()}`, note: '', day: '2026-11-25' };
  return what.startsWith('PUT') ? { email: people.reader.email, role: 'reader' } : undefined;
}

async function ask(who: Who, what: string, of: string): Promise<RawAnswer> {
  const [method = '', path = ''] = what.split(' ');
  const address = path
    .replace('{id}', of)
    .replace('{userId}', newId())
    .replace('{ledger}', 'stockMovement')
    .replace('{group}', newId())
    .replace('{jobId}', newId())
    .replace('{baselineId}', newId())
    .replace('{revision}', '1')
    .replace('{view}', 'overview')
    .replace('{of}', 'all');
  const body = bodyOf(what);
  const cookie = who === 'nobody' ? {} : { cookie: people[who].cookie };
  const headers = { ...cookie, 'accept-encoding': 'identity', 'content-type': 'application/json' };
  return send(await app.getUrl(), { method, path: address, headers, body: body && Buffer.from(JSON.stringify(body)) });
}

const withoutIds = ({ status, text }: RawAnswer) => ({ status, text });

describe('what may be done with a book', () => {
  it('is said here of everything that the API offers', () => {
    expect(offered.filter((each) => !(each in MAY) && !(each in ELSEWHERE))).toEqual([]);
    expect([...Object.keys(MAY), ...Object.keys(ELSEWHERE)].filter((each) => !offered.includes(each))).toEqual([]);
  });

  it.each(Object.keys(MAY))('%s: by role, and nobody else learns that there is such a book', async (what) => {
    for (const who of EVERYBODY.filter((each) => !MAY[what]?.includes(each))) {
      const [own, nowhere] = [await ask(who, what, bookId), await ask(who, what, newId())];
      expect(own.status, who).toBe(who === 'nobody' ? 401 : who === 'stranger' ? 404 : 403);
      expect(nowhere.status, who).toBe(who === 'nobody' ? 401 : 404);
      if (!MEMBERS.includes(who)) expect(withoutIds(own), who).toEqual(withoutIds(nowhere));
    }
    // Removing the book is left out: the others stand on it.
    for (const who of what === 'DELETE /api/books/{id}' ? [] : (MAY[what] ?? [])) {
      const { status, text } = await ask(who, what, bookId);
      const isNotThere = /\{(userId|jobId|baselineId)\}/.test(what);
      expect(status, `${who}: ${text.slice(0, 200)}`).toBe(isNotThere ? 404 : 200);
      if (isNotThere) expect(text).toMatch(/unknown-member|not-found/);
    }
  });

  it.each(Object.entries(ELSEWHERE).filter(([, who]) => who === 'signed in'))(
    '%s: takes somebody who is signed in',
    async (what) => {
      expect((await ask('nobody', what, bookId)).status).toBe(401);
    },
  );
});

describe('a role', () => {
  it('is read when the change is made: what was sent before it was taken is refused after', async () => {
    const leaver = await signUp(app);
    const give = (role: string) => people.owner.put(`/api/books/${bookId}/members`, { email: leaver.email, role });
    await give('editor').expect(200);
    const sent = Array.from({ length: 20 }, () => leaver.change(bookId, [material(`Late ${newId()}`).operation]));
    const [, ...answers] = await Promise.all([give('reader').expect(200), ...sent]);
    const members = (await people.owner.get(`/api/books/${bookId}/members`).expect(200)).body as {
      userId: string;
      role: string;
    }[];
    expect(members.find(({ userId }) => userId === leaver.id)?.role).toBe('reader');
    for (const { status } of answers) expect([200, 403]).toContain(status);
    await leaver.change(bookId, [material('Too late').operation]).expect(403);
    await people.owner.delete(`/api/books/${bookId}/members/${leaver.id}`).expect(200);
    await leaver.change(bookId, [material('Gone').operation]).expect(404);
    await people.owner.delete(`/api/books/${bookId}/members/${leaver.id}`).expect(404);
  });
});
