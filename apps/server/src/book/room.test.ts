import { newId, type Operation } from '@nuvar/book';
import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import { DataSource } from 'typeorm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { RoomOfBooks1767600000000 } from '../database/migrations/1767600000000-room-of-books.js';
import { BookEvents } from './book-events.service.js';
import { codesOf, material, signUp, testServer, type Person } from '../testing/client.js';

let app: NestExpressApplication;
let owner: Person;
let bookId: string;
const sql = (text: string, values: unknown[] = []): Promise<Record<string, unknown>[]> =>
  app.get(DataSource).query(text, [bookId, ...values]);
const held = async () =>
  (await sql('SELECT row_count AS rows, journal_bytes::integer AS bytes FROM books WHERE id = $1'))[0];
const pretend = (fields: string) => sql(`UPDATE books SET ${fields} WHERE id = $1`);

beforeAll(async () => {
  app = await testServer();
  owner = await signUp(app);
  bookId = await owner.makeBook('Room');
});
afterAll(() => app.close());

it('a book counts its rows and its journal with each change, as a count of all of them does', async () => {
  const made = [material('Oats'), material('Rye'), material('Malt')];
  await owner
    .change(
      bookId,
      made.map(({ operation }) => operation),
    )
    .expect(200);
  const first = made[0] as { id: string };
  const rename: Operation = {
    action: 'update',
    kind: 'material',
    id: first.id,
    before: { name: 'Oats' },
    after: { name: 'Wheat' },
  };
  await owner.change(bookId, [rename]).expect(200);
  await owner.change(bookId, [{ action: 'remove', kind: 'material', id: first.id, version: 2 }]).expect(200);
  // Its settings and two materials.
  expect(await held()).toMatchObject({ rows: 3 });
  const counted = await held();
  const runner = app.get(DataSource).createQueryRunner();
  await new RoomOfBooks1767600000000().down(runner);
  await new RoomOfBooks1767600000000().up(runner);
  await runner.release();
  expect(await held()).toEqual(counted);
});

it('a book is told to be nearly full, refuses what is too much, and takes a removal that makes room', async () => {
  const { id, operation } = material('Barley');
  await owner.change(bookId, [operation]).expect(200);
  await owner.get(`/api/books/${bookId}`).expect('Book-Filled', '0');
  const { rows } = (await held()) as { rows: number };
  await pretend('row_count = 950000');
  await owner.get(`/api/books/${bookId}`).expect('Book-Filled', '95');
  await pretend('row_count = 1000000');
  const before = await held();
  const refused = await owner.change(bookId, [material('Too much').operation]).expect(422);
  expect(codesOf(refused)).toEqual(['book-full']);
  expect(refused.text).toContain('1,000,000 rows');
  expect(await held()).toEqual(before);
  await owner.change(bookId, [{ action: 'remove', kind: 'material', id, version: 1 }]).expect(200);
  await owner.change(bookId, [material('Fits again').operation]).expect(200);
  await pretend(`row_count = ${rows}, journal_bytes = 4096 * 1024 * 1024::bigint`);
  expect(codesOf(await owner.change(bookId, [material('No room in the journal').operation]).expect(422))).toEqual([
    'book-full',
  ]);
  await pretend('journal_bytes = 0');
});

it('a guest has less room, and whoever signs up has that of a person from then on', async () => {
  const guest = request.agent(app.getHttpServer());
  await guest.post('/api/session/demo').expect(200);
  const [book] = (await guest.get('/api/books').expect(200)).body as { id: string }[];
  const change = (name: string) =>
    guest.post(`/api/books/${book?.id}/changes`).send({ id: newId(), operations: [material(name).operation] });
  await change('Fits').expect(200);
  await app.get(DataSource).query('UPDATE books SET row_count = 30000 WHERE id = $1', [book?.id]);
  expect(codesOf(await change('Too much').expect(422))).toEqual(['book-full']);
  await guest
    .post('/api/accounts')
    .send({ name: 'Keeper', email: `${newId()}@example.test`, password: 'a long enough password' })
    .expect(201);
  await change('Fits now').expect(200);
});

it('a person listens for news so many times at once, and again when one of them has ended', () => {
  const events = app.get(BookEvents);
  const listening = Array.from({ length: 20 }, (_none, index) =>
    events.listen(owner.id, `session ${index}`).subscribe(() => undefined),
  );
  expect(() => events.listen(owner.id, 'one more')).toThrow(/busy/);
  expect(() => events.listen(newId(), 'somebody else')).not.toThrow();
  listening[0]?.unsubscribe();
  expect(() => events.listen(owner.id, 'one more')).not.toThrow();
  listening.forEach((each) => each.unsubscribe());
});

it('a person has so many books, and the demo lets nobody in while the guests who are there hold too much', async () => {
  const other = await signUp(app);
  const own = await other.makeBook('First');
  await app.get(DataSource).query('UPDATE books SET row_count = 5000000 WHERE id = $1', [own]);
  expect(codesOf(await other.post('/api/books', { name: 'Second' }).expect(403))).toEqual(['too-many-books']);
  const guest = request.agent(app.getHttpServer());
  await guest.post('/api/session/demo').expect(200);
  const [book] = (await guest.get('/api/books').expect(200)).body as { id: string }[];
  const journal = (bytes: string) =>
    app.get(DataSource).query(`UPDATE books SET journal_bytes = ${bytes} WHERE id = $1`, [book?.id]);
  await journal('9000000000');
  expect(codesOf(await request(app.getHttpServer()).post('/api/session/demo').expect(503))).toEqual(['demo-full']);
  await journal('0');
});
