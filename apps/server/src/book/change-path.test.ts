import { newId, rowsOfColumns, type Operation, type RowColumns, type RowsByKind, type Write } from '@nuvar/book';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { codesOf, material, signUp, testServer, type Person } from '../testing/client.js';

let app: NestExpressApplication;
let owner: Person;
let bookId: string;

beforeAll(async () => {
  app = await testServer();
  owner = await signUp(app);
  bookId = await owner.makeBook('Change Path');
});
afterAll(() => app.close());

interface Snapshot {
  readonly revision: number;
  readonly rows: RowsByKind;
}
const snapshot = async (of = bookId): Promise<Snapshot> => {
  const { revision, rows } = (await owner.get(`/api/books/${of}`).expect(200)).body as {
    revision: number;
    rows: RowColumns;
  };
  return { revision, rows: rowsOfColumns(rows) };
};
const rename = (id: string, before: string, after: string): Operation => ({
  action: 'update',
  kind: 'material',
  id,
  before: { name: before },
  after: { name: after },
});

describe('the one write path', () => {
  it("gives a person's own latest changes, without the making of the book", async () => {
    const rye = material('Own rye');
    const id = newId();
    await owner.change(bookId, [rye.operation], { id }).expect(200);
    const own = (await owner.get(`/api/books/${bookId}/changes?own=true`).expect(200)).body as { changeId: string }[];
    expect(own.map(({ changeId }) => changeId)).toContain(id);
    const other = await signUp(app);
    await owner.put(`/api/books/${bookId}/members`, { email: other.email, role: 'reader' }).expect(200);
    expect((await other.get(`/api/books/${bookId}/changes?own=true`).expect(200)).body).toEqual([]);
  });

  it('tells what was written to one row, newest first and nothing of others, and only in its own book', async () => {
    const [kamut, teff] = [material('Kamut'), material('Teff')];
    await owner.change(bookId, [kamut.operation, teff.operation]).expect(200);
    await owner.change(bookId, [rename(kamut.id, 'Kamut', 'Khorasan')]).expect(200);
    const told = async (book: string, row: string) =>
      (await owner.get(`/api/books/${book}/changes?row=${row}`).expect(200)).body as { writes: Write[] }[];
    const entries = await told(bookId, kamut.id);
    expect(entries.map(({ writes }) => writes.map(({ after }) => (after as { name?: string } | null)?.name))).toEqual([
      ['Khorasan'],
      ['Kamut'],
    ]);
    expect(await told(await owner.makeBook('Elsewhere'), kamut.id)).toEqual([]);
    await owner.get(`/api/books/${bookId}/changes?row=spelt`).expect(404);
  });

  it('applies a change once however often it is sent, with a row version and a journal entry', async () => {
    const oats = material('Oats');
    const id = newId();
    const first = await owner.change(bookId, [oats.operation], { id }).expect(200);
    const again = await owner.change(bookId, [oats.operation], { id }).expect(200);
    expect(again.body).toEqual(first.body);
    const other = await owner.change(bookId, [material('Barley').operation], { id }).expect(409);
    expect(codesOf(other)).toEqual(['change-id-reused']);
    const { rows, revision } = await snapshot();
    expect(rows.material.filter(({ name }) => name === 'Oats')).toEqual([
      expect.objectContaining({ id: oats.id, version: 1 }),
    ]);
    const journal = (await owner.get(`/api/books/${bookId}/changes?since=${revision - 1}`).expect(200)).body as {
      userName: string;
      writes: { before: unknown; after: { name: string } }[];
    }[];
    expect(journal).toHaveLength(1);
    expect(journal[0]).toMatchObject({ userName: 'Robin Tester', writes: [{ before: null, after: { name: 'Oats' } }] });
  });

  it('keeps every text as it was typed: quotes, backslashes, line ends, letters of all scripts, or none', async () => {
    const notes = [
      '',
      'said "so"',
      'C:\\kiln',
      'two\nlines\tand a tab',
      'café 粘土 🏺',
      "Rob'); --",
      '[1,2]',
      'null',
      '</p>',
    ];
    const rows = notes.map((note, index) => ({ id: newId(), name: `Text ${index}`, note }));
    const operations = rows.map((row): Operation => ({ action: 'create', kind: 'material', row }));
    await owner.change(bookId, operations).expect(200);
    const { rows: stored } = await snapshot();
    expect(rows.map(({ id }) => stored.material.find((row) => row.id === id)?.note)).toEqual(notes);
  });

  it('stores nothing of a change of which one row is wrong, and says which', async () => {
    const before = await snapshot();
    const good = material('Rye');
    const operations: Operation[] = [
      good.operation,
      {
        action: 'create',
        kind: 'supplierPrice',
        row: {
          id: newId(),
          materialId: good.id,
          packUnit: 'kg',
          packQuantity: '0',
          currency: 'EUR',
          validFrom: '2026-01-01',
        },
      },
    ];
    const answer = await owner.change(bookId, operations).expect(422);
    expect((answer.body as { problems: unknown[] }).problems).toEqual([
      expect.objectContaining({
        code: 'invalid-field',
        kind: 'supplierPrice',
        field: 'packQuantity',
        sentence: 'Pack quantity must be more than 0.',
      }),
    ]);
    expect(await snapshot()).toEqual(before);
  });

  it('lets two people edit different fields, and shows the newer row where they edit the same', async () => {
    const jam = material('Jam');
    await owner.change(bookId, [jam.operation]).expect(200);
    await owner.change(bookId, [rename(jam.id, 'Jam', 'Plum jam')]).expect(200);
    await owner
      .change(bookId, [
        { action: 'update', kind: 'material', id: jam.id, before: { note: '' }, after: { note: 'sweet' } },
      ])
      .expect(200);
    const late = await owner.change(bookId, [rename(jam.id, 'Jam', 'Fig jam')]).expect(409);
    expect(late.body).toMatchObject({
      problems: [{ code: 'changed-meanwhile', field: 'name', values: { theirs: 'Plum jam', yours: 'Fig jam' } }],
      rows: [{ row: { name: 'Plum jam', note: 'sweet', version: 3 } }],
    });
    const removed = await owner
      .change(bookId, [{ action: 'remove', kind: 'material', id: jam.id, version: 1 }])
      .expect(409);
    expect(codesOf(removed)).toEqual(['row-moved-on']);
  });

  it('takes a change back by its reverse, and leaves the history whole', async () => {
    const salt = material('Salt');
    await owner.change(bookId, [salt.operation]).expect(200);
    const id = newId();
    await owner.change(bookId, [rename(salt.id, 'Salt', 'Sea salt')], { id }).expect(200);
    await owner.change(bookId, [rename(salt.id, 'Sea salt', 'Salt')], { undoes: id }).expect(200);
    const { rows, revision } = await snapshot();
    expect(rows.material.find((row) => row.id === salt.id)).toMatchObject({ name: 'Salt', version: 3 });
    const [last] = (await owner.get(`/api/books/${bookId}/changes?before=${revision + 1}`)).body as {
      undoes: string;
    }[];
    expect(last?.undoes).toBe(id);
  });

  it('tells of a change of many rows the first ones, and how many there are', async () => {
    const { revision } = await snapshot();
    const many = Array.from({ length: 25 }, (_each, index) => material(`Spice ${index}`).operation);
    await owner.change(bookId, many).expect(200);
    const told = (await owner.get(`/api/books/${bookId}/changes`)).body as { writes: Write[]; writeCount: number }[];
    expect(told[0]?.writeCount).toBe(25);
    expect(told[0]?.writes.map(({ after }) => after)).toMatchObject([
      { name: 'Spice 0' },
      ...Array.from({ length: 9 }, (_each, index) => ({ name: `Spice ${index + 1}` })),
    ]);
    const whole = (await owner.get(`/api/books/${bookId}/changes?since=${revision}`)).body as { writes: Write[] }[];
    expect(whole.map(({ writes }) => writes.length)).toEqual([25]);
  });

  it.each<[what: string, status: number, code: string, operations: () => unknown[]]>([
    ['an empty name', 422, 'invalid-field', () => [material('').operation]],
    ['a name that is taken, capitals aside', 422, 'name-taken', () => [material('OATS').operation]],
    [
      'a text that is far too long',
      422,
      'invalid-field',
      () => [{ action: 'create', kind: 'material', row: { id: newId(), name: 'Long', note: 'x'.repeat(5000) } }],
    ],
    [
      'a wrong type',
      422,
      'invalid-field',
      () => [{ action: 'create', kind: 'material', row: { id: newId(), name: 7 } }],
    ],
    [
      'an unknown unit',
      422,
      'unknown-unit',
      () => [{ action: 'create', kind: 'material', row: { id: newId(), name: 'Odd', baseUnit: 'furlong' } }],
    ],
    [
      'an unknown field',
      422,
      'unknown-field',
      () => [{ action: 'create', kind: 'material', row: { id: newId(), name: 'Odd', colour: 'red' } }],
    ],
    ['an unknown kind', 422, 'unknown-kind', () => [{ action: 'create', kind: 'elephant', row: { id: newId() } }]],
    [
      'a yield of nothing',
      422,
      'invalid-field',
      () => [{ action: 'create', kind: 'product', row: { id: newId(), name: 'P', yieldPercent: '0' } }],
    ],
    [
      'a yield of pieces over 100',
      422,
      'yield-over-100',
      () => [{ action: 'create', kind: 'product', row: { id: newId(), name: 'P', yieldPercent: '101' } }],
    ],
    [
      'a negative quantity',
      422,
      'invalid-field',
      () => [{ action: 'create', kind: 'product', row: { id: newId(), name: 'P', batchSize: '-1' } }],
    ],
    [
      'an amount that is no plain decimal',
      422,
      'invalid-field',
      () => [{ action: 'create', kind: 'product', row: { id: newId(), name: 'P', batchSize: '1e9' } }],
    ],
    [
      'a reference to nowhere',
      422,
      'unknown-reference',
      () => [
        {
          action: 'create',
          kind: 'supplierPrice',
          row: { id: newId(), materialId: newId(), packUnit: 'kg', currency: 'EUR', validFrom: '2026-01-01' },
        },
      ],
    ],
    [
      'a row that is not there',
      422,
      'unknown-row',
      () => [{ action: 'remove', kind: 'material', id: newId(), version: 1 }],
    ],
    [
      'a second row of settings',
      422,
      'settings-stay',
      () => [{ action: 'create', kind: 'settings', row: { id: newId(), name: 'Second' } }],
    ],
    ['no operations', 400, 'malformed-change', () => []],
    ['an operation of no kind of action', 400, 'malformed-change', () => [{ action: 'explode', kind: 'material' }]],
  ])('refuses %s', async (_what, status, code, operations) => {
    const before = await snapshot();
    const answer = await owner.change(bookId, operations() as Operation[]).expect(status);
    expect(codesOf(answer)).toContain(code);
    expect(await snapshot()).toEqual(before);
  });

  it('refuses what is no JSON, and what is too large, without a stack trace', async () => {
    const post = () => owner.post(`/api/books/${bookId}/changes`).set('content-type', 'application/json');
    const broken = await post().send('{"id":').expect(400);
    expect(codesOf(broken)).toEqual(['malformed-request']);
    const large = await post()
      .send(JSON.stringify({ id: newId(), operations: [], padding: 'x'.repeat(17_000_000) }))
      .expect(413);
    expect(codesOf(large)).toEqual(['too-large']);
    expect(JSON.stringify([broken.body, large.body])).not.toMatch(/node_modules|at Object/);
  });

  it('refuses a product that contains itself, however deep, and names the loop', async () => {
    const [cup, set, crate] = [newId(), newId(), newId()];
    const product = (id: string, name: string): Operation => ({ action: 'create', kind: 'product', row: { id, name } });
    const line = (productId: string, componentId: string): Operation => ({
      action: 'create',
      kind: 'billLine',
      row: { id: newId(), productId, componentId, quantity: '1', unit: 'each' },
    });
    await owner
      .change(bookId, [
        product(cup, 'Cup'),
        product(set, 'Set'),
        product(crate, 'Crate'),
        line(set, cup),
        line(crate, set),
      ])
      .expect(200);
    const answer = await owner.change(bookId, [line(cup, crate)]).expect(422);
    expect((answer.body as { problems: { sentence: string }[] }).problems[0]?.sentence).toBe(
      'A product cannot contain itself: Cup → Crate → Set → Cup.',
    );
    const used = await owner.change(bookId, [{ action: 'remove', kind: 'product', id: cup, version: 1 }]).expect(422);
    expect((used.body as { problems: { sentence: string }[] }).problems[0]?.sentence).toBe(
      'Cup cannot be removed: it is still used in Set.',
    );
  });
});
