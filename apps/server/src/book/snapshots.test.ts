import { gzipSync } from 'node:zlib';
import { rowsOfColumns, type RowColumns, type StoredRow } from '@nuvar/book';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { afterAll, beforeAll, beforeEach, expect, it, vi } from 'vitest';
import { DataSource } from 'typeorm';
import { RemovalService } from './removal.service.js';
import { material, signUp, testServer, type Person } from '../testing/client.js';

let app: NestExpressApplication;
let owner: Person;
let bookId: string;
const sql = (text: string, values: unknown[] = []): Promise<Record<string, unknown>[]> =>
  app.get(DataSource).query(text, [bookId, ...values]);

beforeAll(async () => {
  app = await testServer();
  owner = await signUp(app);
});
afterAll(() => app.close());
beforeEach(async () => {
  bookId = await owner.makeBook('Kept');
  await owner.change(bookId, [material('Oats').operation]).expect(200);
});

const materials = async (who = owner) => {
  const { body } = await who.get(`/api/books/${bookId}`).expect(200);
  return rowsOfColumns((body as { rows: RowColumns }).rows).material.map(({ name }: StoredRow<'material'>) => name);
};
/** Puts something else in the place of the kept snapshot, so that it can be told from one that is put together anew. */
const pretend = (name: string) =>
  sql('UPDATE kept_snapshots SET packed = $2 WHERE book_id = $1', [
    gzipSync(JSON.stringify({ revision: 2, rows: { material: { fields: ['name'], rows: [[name]] } } })),
  ]);

it('is kept once it was put together, and serves until the book changes', async () => {
  expect(await sql('SELECT 1 FROM kept_snapshots WHERE book_id = $1')).toEqual([]);
  expect(await materials()).toEqual(['Oats']);
  await pretend('Kept oats');
  expect(await materials()).toEqual(['Kept oats']);
  await owner.change(bookId, [material('Rye').operation]).expect(200);
  expect(await materials()).toEqual(['Oats', 'Rye']);
  await pretend('Kept rye');
  expect(await materials()).toEqual(['Kept rye']);
});

it('is put together anew where it was read from tables of another layout', async () => {
  await materials();
  await pretend('Of old tables');
  await sql("UPDATE kept_snapshots SET layout = 'older' WHERE book_id = $1");
  expect(await materials()).toEqual(['Oats']);
  expect((await sql('SELECT layout FROM kept_snapshots WHERE book_id = $1'))[0]?.layout).not.toBe('older');
});

it('says each reader their own role, and nothing to anybody else', async () => {
  const other = await signUp(app);
  await owner.get(`/api/books/${bookId}`).expect('Book-Role', 'owner');
  await other.get(`/api/books/${bookId}`).expect(404);
  await owner.put(`/api/books/${bookId}/members`, { email: other.email, role: 'reader' }).expect(200);
  await other.get(`/api/books/${bookId}`).expect('Book-Role', 'reader');
  expect(await materials(other)).toEqual(['Oats']);
});

it('comes unpacked to whoever takes nothing packed, as it is put together and as it is kept', async () => {
  for (let times = 0; times < 2; times += 1) {
    const answer = await owner.get(`/api/books/${bookId}`).set('Accept-Encoding', 'identity').expect(200);
    expect(answer.headers['content-encoding']).toBeUndefined();
    expect((answer.body as { revision: number }).revision).toBe(2);
  }
});

it('is renewed some time after the last change of the book', async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  await owner.change(bookId, [material('Rye').operation]).expect(200);
  expect(await sql('SELECT 1 FROM kept_snapshots WHERE book_id = $1')).toEqual([]);
  vi.advanceTimersByTime(10_000);
  vi.useRealTimers();
  await vi.waitUntil(async () => (await sql('SELECT 1 FROM kept_snapshots WHERE book_id = $1')).length === 1);
  await pretend('Renewed oats');
  expect(await materials()).toEqual(['Renewed oats']);
});

it('goes with its book', async () => {
  await materials();
  await owner.delete(`/api/books/${bookId}`).expect(204);
  await app.get(RemovalService).finished();
  expect(await sql('SELECT 1 FROM kept_snapshots WHERE book_id = $1')).toEqual([]);
});
