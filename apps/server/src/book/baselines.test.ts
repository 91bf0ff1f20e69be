import { gunzipSync, gzipSync } from 'node:zlib';
import { type LedgerStates, newId } from '@nuvar/book';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { material, signUp, testServer, type Person } from '../testing/client.js';

let app: NestExpressApplication;
let owner: Person;
beforeAll(async () => {
  app = await testServer();
  owner = await signUp(app);
});
afterAll(() => app.close());

const DAY = '2026-11-25';
const frozen = { name: 'Budget 2027', note: 'as decided', day: DAY };

interface Kept {
  readonly asOf: string;
  readonly rows: Readonly<
    Record<string, { readonly fields: readonly string[]; readonly rows: readonly (readonly unknown[])[] }>
  >;
}

describe('a baseline', () => {
  it('stays what the book was when it was frozen, stock included, and is removed for good', async () => {
    const bookId = await owner.makeBook('To be frozen');
    const { id, operation } = material('Clay');
    const movement = { materialId: id, date: '2026-11-01', type: 'opening', quantity: '20', unit: 'kg', cost: '40' };
    const operations = [operation, { action: 'create', kind: 'stockMovement', row: { id: newId(), ...movement } }];
    await owner.post(`/api/books/${bookId}/changes`, { id: newId(), operations }).expect(200);
    const list = (await owner.post(`/api/books/${bookId}/baselines`, frozen).expect(200)).body as { id: string }[];
    expect(list).toMatchObject([{ ...frozen, revision: 2, madeBy: expect.any(String) as string }]);
    const later = [{ action: 'update', kind: 'material', id, before: { name: 'Clay' }, after: { name: 'Other clay' } }];
    await owner.post(`/api/books/${bookId}/changes`, { id: newId(), operations: later }).expect(200);
    const path = `/api/books/${bookId}/baselines/${list[0]?.id ?? ''}`;
    const kept = (await owner.get(path).expect(200)).body as Kept;
    expect(kept.asOf).toBe(DAY);
    expect(JSON.stringify(kept.rows.material)).toContain('"Clay"');
    expect(JSON.stringify(kept.rows.stockPosition)).toContain('"20"');
    // A baseline of the time in which stock was the only ledger is read as well.
    const database = app.get(DataSource);
    const [stored]: { packed: Buffer }[] = await database.query('SELECT packed FROM baselines WHERE id = $1', [
      list[0]?.id,
    ]);
    const { file, states } = JSON.parse(gunzipSync(stored?.packed ?? '').toString()) as {
      file: object;
      states: LedgerStates;
    };
    const asBefore = gzipSync(JSON.stringify({ file, stock: states.stockPosition }));
    await database.query('UPDATE baselines SET packed = $2 WHERE id = $1', [list[0]?.id, asBefore]);
    expect((await owner.get(path).expect(200)).body).toEqual(kept);
    const bytesOf = async () => {
      const [held]: { bytes: string }[] = await database.query(
        'SELECT journal_bytes AS bytes FROM books WHERE id = $1',
        [bookId],
      );
      return Number(held?.bytes);
    };
    const before = await bytesOf();
    expect((await owner.delete(path).expect(200)).body).toEqual([]);
    // What it took of the room of the book is given back.
    expect(await bytesOf()).toBeLessThan(before);
    await owner.get(path).expect(404);
    await owner.delete(path).expect(404);
  });

  it('bears a name that no other has, and there are not too many', async () => {
    const bookId = await owner.makeBook('Frozen often');
    const freeze = (name: string, more: object = {}) =>
      owner.post(`/api/books/${bookId}/baselines`, { ...frozen, name, ...more });
    await freeze('First').expect(200);
    expect((await freeze('FIRST').expect(422)).body).toMatchObject({ problems: [{ code: 'name-taken' }] });
    await freeze(' ').expect(422);
    await freeze('Second', { day: '2026-02-30' }).expect(422);
    await freeze('Second', { note: 7 }).expect(422);
    for (let count = 2; count <= 30; count += 1) await freeze(`Number ${count}`).expect(200);
    expect((await freeze('One more').expect(422)).body).toMatchObject({ problems: [{ code: 'too-many-baselines' }] });
  });
});
