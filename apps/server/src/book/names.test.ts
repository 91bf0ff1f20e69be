import { newId, type Operation } from '@nuvar/book';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DataSource } from 'typeorm';
import { quillfernPottery } from '@nuvar/book/demo';
import { codesOf, material, signUp, testServer, type Person } from '../testing/client.js';

let app: NestExpressApplication;
let owner: Person;
let bookId: string;

beforeAll(async () => {
  app = await testServer();
  owner = await signUp(app);
  bookId = await owner.makeBook('Names');
});
afterAll(() => app.close());

const rename = (id: string, before: string, after: string): Operation => ({
  action: 'update',
  kind: 'material',
  id,
  before: { name: before },
  after: { name: after },
});

describe('names', () => {
  it.each([
    ['ΟΔΟΣ', 'οδοσ'],
    ['Straße', 'STRASSE'],
    ['Café', 'CAFE\u0301'],
    ['ﬁne clay', 'Fine clay'],
    ['İzmir', 'i̇zmir'],
    ['Ångström', '\u212bngstro\u0308m'],
  ])('"%s" and "%s" are one: the second is refused with its row and field', async (first, second) => {
    await owner.change(bookId, [material(first).operation]).expect(200);
    const { id, operation } = material(second);
    const refused = await owner.change(bookId, [operation]).expect(422);
    expect(refused.body).toMatchObject({
      problems: [{ code: 'name-taken', kind: 'material', rowId: id, field: 'name' }],
    });
  });

  it('may be swapped by two rows in one change, and passed round by three', async () => {
    const [salt, rye, jam] = [material('Salt'), material('Rye'), material('Jam')];
    await owner.change(bookId, [salt.operation, rye.operation, jam.operation]).expect(200);
    await owner.change(bookId, [rename(salt.id, 'Salt', 'Rye'), rename(rye.id, 'Rye', 'Salt')]).expect(200);
    await owner
      .change(bookId, [rename(salt.id, 'Rye', 'Jam'), rename(rye.id, 'Salt', 'Rye'), rename(jam.id, 'Jam', 'Salt')])
      .expect(200);
  });

  it('of which a rule would miss that they are taken are refused by the database, in the same words', async () => {
    const tea = material('Tea');
    await owner.change(bookId, [tea.operation]).expect(200);
    // As if another way of writing had left a key that the name does not have.
    await app
      .get(DataSource)
      .query(`UPDATE row_material SET name = 'Something else' WHERE book_id = $1 AND id = $2`, [bookId, tea.id]);
    await app
      .get(DataSource)
      .query(`UPDATE row_material SET name_key = 'coffee' WHERE book_id = $1 AND id = $2`, [bookId, tea.id]);
    const coffee = material('Coffee');
    const twice = material('Coffee');
    const refused = await owner.change(bookId, [coffee.operation]).expect(422);
    expect(refused.body).toMatchObject({ problems: [{ code: 'name-taken', rowId: coffee.id, field: 'name' }] });
    expect(codesOf(await owner.change(bookId, [twice.operation]).expect(422))).toEqual(['name-taken']);
  });

  it('that are the same in an older book file stay as they are; in a new one they are refused', async () => {
    const file = quillfernPottery();
    const rows = { ...file.rows, supplier: [...(file.rows.supplier ?? []), ...['Rieß', 'RIESS'].map(named)] };
    const { id } = (await owner.post('/api/book-files', { ...file, version: 2, rows }).expect(201)).body as {
      id: string;
    };
    const out = (await owner.get(`/api/books/${id}/file`).expect(200)).body as typeof file;
    expect(out.rows.supplier?.map(({ name }) => name)).toEqual(expect.arrayContaining(['Rieß', 'RIESS']));
    expect(codesOf(await owner.post('/api/book-files', { ...file, rows }).expect(422))).toContain('name-taken');
    // A row that bears a name twice can still be edited, and gets a name of its own.
    const twin = out.rows.supplier?.find(({ name }) => name === 'RIESS') as { id: string };
    const update = { action: 'update', kind: 'supplier', id: twin.id } as const;
    await owner.change(id, [{ ...update, before: { name: 'RIESS' }, after: { name: 'Riess Brothers' } }]).expect(200);
  });
});

const named = (name: string) => ({ id: newId(), name });
