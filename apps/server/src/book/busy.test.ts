import type { NestExpressApplication } from '@nestjs/platform-express';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { codesOf, material, signUp, testServer, type Person } from '../testing/client.js';
import { testDatabaseUrl } from '../testing/database.js';

let app: NestExpressApplication;
let owner: Person;
let busy: string;
let quiet: string;
let holder: pg.Client;

beforeAll(async () => {
  app = await testServer();
  owner = await signUp(app);
  [busy, quiet] = [await owner.makeBook('Busy'), await owner.makeBook('Quiet')];
  holder = new pg.Client(testDatabaseUrl());
  await holder.connect();
});
afterAll(async () => {
  await holder.end();
  await app.close();
});

/** Holds a book as another server does that is in the middle of a change. */
async function hold(bookId: string): Promise<() => Promise<unknown>> {
  await holder.query('BEGIN');
  await holder.query('SELECT 1 FROM books WHERE id = $1 FOR NO KEY UPDATE', [bookId]);
  return () => holder.query('COMMIT');
}

describe('while a book is busy', () => {
  it('its changes wait in their order, and those of other books go through', async () => {
    const letGo = await hold(busy);
    const waiting = Array.from({ length: 40 }, (_none, index) =>
      owner.change(busy, [material(`Waiting ${index}`).operation]).then((answer) => answer),
    );
    // More wait than there are connections; none of them stands in the way of these.
    for (let times = 0; times < 5; times += 1) {
      await owner.change(quiet, [material(`Passing ${times}`).operation]).expect(200);
      await owner.get(`/api/books/${quiet}`).expect(200);
      await owner.get(`/api/books/${busy}`).expect(200);
    }
    await letGo();
    const answers = await Promise.all(waiting);
    expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([200]));
    const revisions = answers.map(({ body }) => (body as { revision: number }).revision);
    expect([...revisions].sort((one, other) => one - other)).toEqual(
      Array.from({ length: 40 }, (_none, index) => index + 2),
    );
  });

  it('a change that waits too long is sent back, to come again, and takes nothing with it', async () => {
    const letGo = await hold(busy);
    const [first, second] = await Promise.all([
      owner.change(busy, [material('Too long').operation]).then((answer) => answer),
      owner.change(quiet, [material('Meanwhile').operation]).expect(200),
    ]);
    await letGo();
    expect([first.status, codesOf(first)]).toEqual([503, ['book-busy']]);
    expect(second.status).toBe(200);
    await owner.change(busy, [material('Too long').operation]).expect(200);
  });
});
