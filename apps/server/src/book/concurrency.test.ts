import { newId, type Operation } from '@nuvar/book';
import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { codesOf, material, PASSWORD, signUp, testServer, type Person } from '../testing/client.js';

let app: NestExpressApplication;
let other: NestExpressApplication;
let owner: Person;
let bookId: string;

beforeAll(async () => {
  [app, other] = [await testServer(), await testServer()];
  owner = await signUp(app);
  bookId = await owner.makeBook('Crowded');
});
afterAll(() => Promise.all([app.close(), other.close()]));

const revisionOf = (answer: { body: unknown }) => (answer.body as { revision: number }).revision;

describe('changes that arrive at the same time', () => {
  it('get one revision each, without a gap', async () => {
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_none, index) => owner.change(bookId, [material(`Material ${index}`).operation])),
    );
    expect(answers.map(({ status }) => status)).toEqual(Array.from({ length: 12 }, () => 200));
    expect(answers.map(revisionOf).sort((one, next) => one - next)).toEqual(
      Array.from({ length: 12 }, (_none, index) => index + 2),
    );
  });

  it('to one field of one row: exactly one is taken, the other is told', async () => {
    const salt = material('Salt');
    await owner.change(bookId, [salt.operation]).expect(200);
    const rename = (name: string): Operation => ({
      action: 'update',
      kind: 'material',
      id: salt.id,
      before: { name: 'Salt' },
      after: { name },
    });
    const answers = await Promise.all(['Sea salt', 'Rock salt'].map((name) => owner.change(bookId, [rename(name)])));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
  });

  it('that close a loop between them: the second is refused', async () => {
    const [cup, set] = [newId(), newId()];
    const product = (id: string, name: string): Operation => ({ action: 'create', kind: 'product', row: { id, name } });
    await owner.change(bookId, [product(cup, 'Cup'), product(set, 'Set')]).expect(200);
    const line = (productId: string, componentId: string): Operation => ({
      action: 'create',
      kind: 'billLine',
      row: { id: newId(), productId, componentId, unit: 'each' },
    });
    const answers = await Promise.all([owner.change(bookId, [line(cup, set)]), owner.change(bookId, [line(set, cup)])]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 422]);
    expect(codesOf(answers.find(({ status }) => status === 422) ?? { body: {} })).toEqual(['component-loop']);
  });

  it('the same change sent twice at once is applied once', async () => {
    const id = newId();
    const { operation } = material('Twice');
    const answers = await Promise.all([
      owner.change(bookId, [operation], { id }),
      owner.change(bookId, [operation], { id }),
    ]);
    expect(answers.map(({ status }) => status)).toEqual([200, 200]);
    expect(new Set(answers.map(revisionOf)).size).toBe(1);
  });
});

it('a tab at one server is told of a change that another server has written', async () => {
  const signedIn = await request(other.getHttpServer())
    .post('/api/session')
    .send({ email: owner.email, password: PASSWORD })
    .expect(200);
  const cookie = String(signedIn.get('set-cookie')).split(';')[0] ?? '';
  const stop = new AbortController();
  const stream = await fetch(`${await other.getUrl()}/api/events`, {
    headers: { cookie },
    signal: stop.signal,
  });
  expect(stream.headers.get('content-type')).toContain('text/event-stream');
  const reader = stream.body?.getReader();
  const written = revisionOf(await owner.change(bookId, [material('News').operation]).expect(200));
  let heard = '';
  while (reader !== undefined && !heard.includes(`"${bookId}":${written}`)) {
    const { value, done } = await reader.read();
    if (done) break;
    heard += new TextDecoder().decode(value);
  }
  stop.abort();
  expect(heard).toContain(`"${bookId}":${written}`);
});
