import { type LedgerStates, newId, rowsByKind, type Operation } from '@nuvar/book';
import { quillfernPottery, rowsOfFile } from '@nuvar/book/demo';
import { evaluate, reportOf, VIEWS } from '@nuvar/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { codesOf, material, signUp, testServer, type Person } from '../testing/client.js';
import { Workers } from './workers.service.js';

let app: NestExpressApplication;
let owner: Person;

beforeAll(async () => {
  app = await testServer();
  owner = await signUp(app);
});
afterAll(() => app.close());

/** Materials enough that the change which makes them is read by a thread. */
const many = (word: string): { id: string; operation: Operation }[] =>
  Array.from({ length: 3_000 }, (_none, index) => material(`${word} number ${index} of so many`));

describe('a change of many rows', () => {
  it('goes the way of every change: applied once, refused whole, in its turn among the others', async () => {
    const bookId = await owner.makeBook('Many rows');
    const made = many('Bead');
    const operations = made.map(({ operation }) => operation);
    const id = newId();
    const [large, ...small] = await Promise.all([
      owner.change(bookId, operations, { id }),
      ...Array.from({ length: 5 }, (_none, index) => owner.change(bookId, [material(`Thread ${index}`).operation])),
    ]);
    expect([large, ...small].map(({ status }) => status)).toEqual([200, 200, 200, 200, 200, 200]);
    expect((await owner.change(bookId, operations, { id })).body).toEqual(large?.body);

    const wrong: Operation[] = [...many('Button').map(({ operation }) => operation), material('').operation];
    const refused = await owner.change(bookId, wrong).expect(422);
    expect(codesOf(refused)).toEqual(['invalid-field']);

    const rename = (before: string, after: string): Operation[] =>
      made.map(({ id: rowId }) => ({
        action: 'update',
        kind: 'material',
        id: rowId,
        before: { note: before },
        after: { note: after },
      }));
    await owner.change(bookId, rename('', 'glass')).expect(200);
    const late = await owner.change(bookId, rename('', 'wood').slice(0, 2_900)).expect(409);
    expect((late.body as { rows: { row: { note: string } }[] }).rows[0]?.row.note).toBe('glass');
    const removal = made.map(({ id: rowId }): Operation => ({
      action: 'remove',
      kind: 'material',
      id: rowId,
      version: 2,
    }));
    await owner.change(bookId, removal).expect(200);
    const file = (await owner.get(`/api/books/${bookId}/file`).expect(200)).body as { rows: { material: unknown[] } };
    expect(file.rows.material).toHaveLength(5);
  });

  it('is refused to whoever may not make it, and where it is no change at all', async () => {
    const bookId = await owner.makeBook('Not for all');
    const reader = await signUp(app);
    await owner.put(`/api/books/${bookId}/members`, { email: reader.email, role: 'reader' }).expect(200);
    const operations = many('Bead').map(({ operation }) => operation);
    await reader.change(bookId, operations).expect(403);
    const broken = await owner
      .post(`/api/books/${bookId}/changes`, { id: newId(), operations, padding: 'x' })
      .expect(400);
    expect(codesOf(broken)).toEqual(['malformed-change']);
    const text = `{"id":"${newId()}","operations":[${'{"action":'.repeat(60_000)}`;
    const deep = await owner.post(`/api/books/${bookId}/changes`).set('content-type', 'application/json').send(text);
    expect([deep.status, codesOf(deep)]).toEqual([413, ['too-large']]);
  });
});

describe('a book file of many rows', () => {
  it('makes a book, or tells the first of its problems and makes none', async () => {
    const file = quillfernPottery();
    const more = many('Bead').map(({ id }, index) => ({ id, name: `Bead ${index}` }));
    const rows = { ...file.rows, material: [...(file.rows.material ?? []), ...more] };
    const { id } = (await owner.post('/api/book-files', { ...file, rows }).expect(201)).body as { id: string };
    const out = (await owner.get(`/api/books/${id}/file`).expect(200)).body as typeof file;
    expect(out.rows.material).toHaveLength(rows.material.length);
    const before = ((await owner.get('/api/books').expect(200)).body as unknown[]).length;
    const wrong = { ...rows, material: [...rows.material, ...more.map((row) => ({ ...row, id: newId(), name: ' ' }))] };
    const refused = await owner.post('/api/book-files', { ...file, rows: wrong }).expect(422);
    expect(codesOf(refused)).toHaveLength(50);
    expect((await owner.get('/api/books').expect(200)).body).toHaveLength(before);
  });
});

describe('figures over HTTP', () => {
  it('are those of the core, of the revision that the book has come to', async () => {
    const file = quillfernPottery();
    const { id } = (await owner.post('/api/book-files', file).expect(201)).body as { id: string };
    const stored = (await owner.get(`/api/books/${id}/file`).expect(200)).body as typeof file;
    const stock = await owner.get(`/api/books/${id}/ledgers?asOf=2026-11-26`).expect(200);
    const rows = { ...rowsByKind(rowsOfFile(stored)), ...(stock.body as LedgerStates) };
    const expected = evaluate(rows, '2026-11-26');
    const ask = async (path: string) =>
      (await owner.get(`/api/books/${id}/figures${path}asOf=2026-11-26`).expect(200)).body as unknown;
    const plain = (value: unknown) => JSON.parse(JSON.stringify(value)) as unknown;
    expect(await ask('?')).toEqual(plain(reportOf(expected)));
    expect(await ask('/overhead/all?')).toEqual(plain(VIEWS.overhead(expected, 'book')));
    const mug = file.rows.product?.find(({ name }) => name === 'Everyday mug') as { id: string };
    const before = await ask(`/card/${mug.id}?`);
    const wage = file.rows.labourGrade?.find(({ name }) => name !== '') as { id: string; wagePerHour: string };
    await owner
      .change(id, [
        {
          action: 'update',
          kind: 'labourGrade',
          id: wage.id,
          before: { wagePerHour: wage.wagePerHour },
          after: { wagePerHour: '99' },
        },
      ])
      .expect(200);
    expect(await ask(`/card/${mug.id}?`)).not.toEqual(before);
    expect(codesOf(await owner.get(`/api/books/${id}/figures/nothing/all`).expect(404))).toEqual(['not-found']);
  });

  it('are given up when nobody waits for them any more, and the next ones are worked out all the same', async () => {
    const { id } = (await owner.post('/api/book-files', quillfernPottery()).expect(201)).body as { id: string };
    const left = new AbortController();
    const job = { job: 'figures' as const, bookId: id, day: '2026-11-26', view: null, of: 'all' };
    const figures = app.get(Workers).read(job, { id: owner.id, isGuest: false }, left.signal);
    left.abort();
    await expect(figures).rejects.toMatchObject({ problems: [{ code: 'took-too-much' }] });
    await owner.get(`/api/books/${id}/figures`).expect(200);
  });
});
