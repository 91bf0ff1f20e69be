import { describe, expect, it } from 'vitest';
import { quillfernPottery, rowsOfFile } from '../demo/index.js';
import { readBookFile, writeBookFile } from '../file/index.js';
import { newId } from '../new-id.js';
import {
  applyChange,
  type BookRows,
  type Change,
  describeWrites,
  readChange,
  removalOf,
  reverseOperations,
  type StoredRow,
  type Write,
} from './index.js';

const demo = (): BookRows => rowsOfFile(quillfernPottery());

function carriedOut(rows: BookRows, change: Change): readonly Write[] {
  const applied = applyChange(rows, change);
  if (!applied.ok) throw new RangeError(applied.problems.map((each) => each.sentence).join(' '));
  rows.apply(applied.writes);
  return applied.writes;
}

const named = (rows: BookRows, name: string) => rows.rowsWith('product', 'name', name)[0] as StoredRow<'product'>;

describe('a change', () => {
  it('and its reverse leave the book as it was, also where a product went with all its lines', () => {
    const rows = demo();
    const before = writeBookFile(rows);
    const platter = named(rows, 'Serving platter');
    const writes = carriedOut(rows, { id: newId(), operations: removalOf(rows, 'product', platter.id) });
    expect(writes.length).toBeGreaterThan(10);
    expect(rows.rowsWith('billLine', 'productId', platter.id)).toEqual([]);
    carriedOut(rows, { id: newId(), operations: reverseOperations(writes, rows) });
    const after = writeBookFile(rows);
    const sorted = (file: typeof after) =>
      Object.fromEntries(
        Object.entries(file.rows).map(([kind, list]) => [
          kind,
          [...list].sort((one, other) => (String(one.id) < String(other.id) ? -1 : 1)),
        ]),
      );
    expect(sorted(after)).toEqual(sorted(before));
  });

  it('is said in words: what, from what, to what', () => {
    const rows = demo();
    const slip = rows.rowsWith('material', 'name', 'White slip')[0] as StoredRow<'material'>;
    const price = rows.rowsWith('supplierPrice', 'materialId', slip.id)[0] as StoredRow<'supplierPrice'>;
    const writes = carriedOut(rows, {
      id: newId(),
      operations: [
        {
          action: 'update',
          kind: 'supplierPrice',
          id: price.id,
          before: { price: '31.00' },
          after: { price: '33.50' },
        },
        { action: 'create', kind: 'material', row: { id: newId(), name: 'Black slip' } },
        {
          action: 'create',
          kind: 'exchangeRate',
          row: { id: newId(), currency: 'USD', validFrom: '2026-01-01', rate: '0.9' },
        },
      ],
    });
    const names = (id: string) => (id === slip.id ? slip.name : undefined);
    expect(describeWrites(writes, names, 'de-DE')).toEqual([
      'White slip (supplier price): pack price 31,00 → 33,50',
      'Black slip (material) added',
      'USD (exchange rate) added: from 01.01.2026, rate 0,9',
    ]);
  });

  it('that removes what is still used is refused by name', () => {
    const rows = demo();
    const mug = named(rows, 'Everyday mug');
    const refused = applyChange(rows, { id: newId(), operations: removalOf(rows, 'product', mug.id) });
    expect(refused.ok || refused.problems[0]?.sentence).toBe(
      'Everyday mug cannot be removed: it is still used in Gift set, two mugs.',
    );
  });

  it('is read only in the form that is documented', () => {
    const id = newId();
    const operation = { action: 'remove', kind: 'material', id, version: 1 };
    expect(readChange({ id, operations: [operation] })).toEqual({ id, operations: [operation] });
    const wrong = [
      null,
      [],
      { id },
      { id: 'x', operations: [operation] },
      { id, operations: [{ ...operation, version: '1' }] },
      { id, operations: [operation], by: 'me' },
      { id, operations: [{ action: 'update', kind: 'material', id, before: {}, after: { name: 'a' } }] },
    ];
    for (const input of wrong)
      expect(readChange(input)).toEqual([expect.objectContaining({ code: 'malformed-change' })]);
  });
});

describe('a book file', () => {
  it('reads back what it wrote, and the first problems of a broken one are all there', () => {
    const rows = demo();
    expect(readBookFile(JSON.parse(JSON.stringify(writeBookFile(rows))))).toHaveProperty('ok', true);
    const file = quillfernPottery();
    const twice = {
      ...file,
      rows: { ...file.rows, material: [...(file.rows.material ?? []), { ...file.rows.material?.[0], id: newId() }] },
    };
    expect(readBookFile(twice)).toMatchObject({
      ok: false,
      problems: expect.arrayContaining([expect.objectContaining({ code: 'name-taken' })]) as unknown,
    });
  });
});
