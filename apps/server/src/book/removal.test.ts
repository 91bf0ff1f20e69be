import { newId } from '@nuvar/book';
import { quillfernPottery } from '@nuvar/book/demo';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DataSource } from 'typeorm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { signUp, testServer, type Person } from '../testing/client.js';
import { RemovalService } from './removal.service.js';

let app: NestExpressApplication;
let owner: Person;

beforeAll(async () => {
  app = await testServer();
  owner = await signUp(app);
});
afterAll(() => app.close());

/** The tables in which something of a book is left. */
async function leftOf(bookId: string): Promise<string[]> {
  const database = app.get(DataSource);
  const tables: { name: string }[] = await database.query(
    `SELECT table_name AS name FROM information_schema.columns WHERE column_name = 'book_id' AND table_schema = current_schema()`,
  );
  const left = await Promise.all(
    tables.map(async ({ name }) => {
      const found: unknown[] = await database.query(`SELECT 1 FROM ${name} WHERE book_id = $1 LIMIT 1`, [bookId]);
      return found.length > 0 ? [name] : [];
    }),
  );
  return left.flat();
}

it('a removed book is nobody’s at once, and all of it goes; other books keep every row', async () => {
  const file = quillfernPottery();
  const make = async () => ((await owner.post('/api/book-files', file).expect(201)).body as { id: string }).id;
  const [gone, kept] = [await make(), await make()];
  // A ledger that points to itself: a receipt and what went back of it.
  const material = String(file.rows.material?.[0]?.id);
  const receipt = newId();
  const moved = { materialId: material, quantity: '2', unit: String(file.rows.material?.[0]?.baseUnit) };
  const row = { ...moved, id: receipt, date: '2026-10-01', type: 'receipt', cost: '4' };
  const back = {
    ...moved,
    id: newId(),
    date: '2026-10-02',
    type: 'return to supplier',
    quantity: '1',
    ofMovementId: receipt,
  };
  for (const each of [row, back])
    await owner.change(gone, [{ action: 'create', kind: 'stockMovement', row: each }]).expect(200);
  const before = (await owner.get(`/api/books/${kept}/file`).expect(200)).text;
  expect((await leftOf(gone)).length).toBeGreaterThan(30);
  await owner.delete(`/api/books/${gone}`).expect(204);
  await owner.get(`/api/books/${gone}`).expect(404);
  await owner.get(`/api/books/${gone}/changes`).expect(404);
  expect(((await owner.get('/api/books').expect(200)).body as { id: string }[]).map(({ id }) => id)).toEqual([kept]);
  await app.get(RemovalService).finished();
  expect(await leftOf(gone)).toEqual([]);
  expect((await owner.get(`/api/books/${kept}/file`).expect(200)).text).toBe(before);
});

it('what a server that ended had left is gone on with by the next', async () => {
  const bookId = await owner.makeBook('Half gone');
  await app.get(DataSource).query('DELETE FROM members WHERE book_id = $1', [bookId]);
  await app.get(DataSource).query('UPDATE books SET removed_at = now() WHERE id = $1', [bookId]);
  const next = await testServer();
  await next.get(RemovalService).finished();
  expect(await app.get(DataSource).query('SELECT 1 FROM books WHERE id = $1', [bookId])).toEqual([]);
  await next.close();
});
