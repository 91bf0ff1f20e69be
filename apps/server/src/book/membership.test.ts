import { newId, rowsByKind, type Operation } from '@nuvar/book';
import { rowsOfFile } from '@nuvar/book/demo';
import { quillfernPottery } from '@nuvar/book/demo';
import { evaluate, reportOf } from '@nuvar/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { codesOf, material, signUp, testServer, type Person } from '../testing/client.js';

let app: NestExpressApplication;
let owner: Person;
let stranger: Person;
let bookId: string;

beforeAll(async () => {
  app = await testServer();
  [owner, stranger] = [await signUp(app), await signUp(app)];
  bookId = await owner.makeBook('Members Only');
});
afterAll(() => app.close());

describe('a book', () => {
  it('cannot be told from one that does not exist by those who are no members', async () => {
    const paths = ['', '/changes', '/file', '/members', '/figures', '/figures/overview/all'];
    for (const path of paths) {
      const foreign = await stranger.get(`/api/books/${bookId}${path}`).expect(404);
      const nowhere = await stranger.get(`/api/books/${newId()}${path}`).expect(404);
      expect(foreign.body).toEqual(nowhere.body);
    }
    const foreign = await stranger.change(bookId, [material('Spy').operation]).expect(404);
    expect(codesOf(foreign)).toEqual(['not-found']);
    expect((await stranger.get('/api/books')).body).toEqual([]);
    expect(codesOf(await stranger.get('/api/books/not-a-uuid').expect(404))).toEqual(['not-found']);
  });

  it("cannot point to another book's rows, nor take them", async () => {
    const secret = material('Secret');
    await owner.change(bookId, [secret.operation]).expect(200);
    const own = await stranger.makeBook('Elsewhere');
    const price: Operation = {
      action: 'create',
      kind: 'supplierPrice',
      row: { id: newId(), materialId: secret.id, packUnit: 'kg', currency: 'EUR', validFrom: '2026-01-01' },
    };
    expect(codesOf(await stranger.change(own, [price]).expect(422))).toEqual(['unknown-reference']);
    const rename: Operation = {
      action: 'update',
      kind: 'material',
      id: secret.id,
      before: { name: 'Secret' },
      after: { name: 'Mine' },
    };
    expect(codesOf(await stranger.change(own, [rename]).expect(422))).toEqual(['unknown-row']);
  });

  it('lets readers look, editors edit, and owners only give roles', async () => {
    const give = (role: string) => owner.put(`/api/books/${bookId}/members`, { email: stranger.email, role });
    await give('reader').expect(200);
    await stranger.get(`/api/books/${bookId}`).expect(200);
    expect(codesOf(await stranger.change(bookId, [material('Ink').operation]).expect(403))).toEqual(['not-allowed']);
    await give('editor').expect(200);
    await stranger.change(bookId, [material('Ink').operation]).expect(200);
    await stranger.put(`/api/books/${bookId}/members`, { email: stranger.email, role: 'owner' }).expect(403);
    await stranger.delete(`/api/books/${bookId}`).expect(403);
    expect(codesOf(await give('king').expect(422))).toEqual(['invalid-field']);
    expect(
      codesOf(await owner.put(`/api/books/${bookId}/members`, { email: owner.email, role: 'reader' }).expect(422)),
    ).toEqual(['last-owner']);
  });
});

describe('a book file', () => {
  it('comes in whole, goes out the same, and its figures are read over HTTP', async () => {
    const file = quillfernPottery();
    const { id } = (await owner.post('/api/book-files', file).expect(201)).body as { id: string };
    const out = (await owner.get(`/api/books/${id}/file`).expect(200)).body as typeof file;
    const names = (of: typeof file, kind: string) => of.rows[kind]?.map((row) => row.name).sort();
    for (const kind of ['material', 'product', 'runningCost', 'labourGrade'])
      expect(names(out, kind)).toEqual(names(file, kind));
    expect(out.rows.billLine).toHaveLength(file.rows.billLine?.length ?? 0);
    await owner.get(`/api/books/${id}/figures?asOf=2026-02-30`).expect(422);
    const figures = (await owner.get(`/api/books/${id}/figures?asOf=2026-11-25`).expect(200)).body as {
      products: { name: string; prices: { contribution: { amount: string } }[] }[];
    };
    const mug = figures.products.find(({ name }) => name === 'Everyday mug');
    // The rows have other ids now, and the figures are the same.
    const expected = reportOf(evaluate(rowsByKind(rowsOfFile(file)), '2026-11-25'));
    const same = expected.products.find(({ name }) => name === 'Everyday mug');
    expect(Number(same?.prices[0]?.contribution.amount)).toBeGreaterThan(5);
    expect(mug?.prices[0]?.contribution.amount).toBe(same?.prices[0]?.contribution.amount);
  });

  it('is refused whole where a row is wrong, with every sentence that helps', async () => {
    const file = quillfernPottery();
    const lines =
      file.rows.billLine?.map((line, index) => (index === 3 ? { ...line, quantity: '-4', lossPercent: '-1' } : line)) ??
      [];
    const answer = await owner
      .post('/api/book-files', { ...file, rows: { ...file.rows, billLine: lines } })
      .expect(422);
    expect(codesOf(answer)).toEqual(['invalid-field', 'invalid-field']);
    expect(codesOf(await owner.post('/api/book-files', { ...file, version: 99 }).expect(422))).toEqual([
      'newer-book-file',
    ]);
    expect(codesOf(await owner.post('/api/book-files', { hello: 'there' }).expect(422))).toEqual(['not-a-book-file']);
  });
});
