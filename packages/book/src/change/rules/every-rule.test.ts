import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { bookBuilder, type BookBuilder, rowsOfFile } from '../../demo/index.js';
import type { Kind } from '../../kinds.js';
import { newId } from '../../new-id.js';
import { PROBLEMS } from '../../problem/catalogue.js';
import { applyChange, type Operation } from '../index.js';

type Made = Readonly<Record<string, string>>;

const create = (kind: Kind, row: object): Operation => ({ action: 'create', kind, row: { id: newId(), ...row } });

/** The codes of a change that is tried on a book. */
function codesOf(build: (book: BookBuilder) => Made, change: (made: Made) => readonly Operation[]): string[] {
  const book = bookBuilder();
  book.add('settings', { name: 'Shop' });
  const made = build(book);
  const applied = applyChange(rowsOfFile(book.file()), { id: newId(), operations: [...change(made)] });
  return applied.ok ? [] : applied.problems.map(({ code }) => code);
}

const mixOf = (book: BookBuilder): Made => {
  const [planId, otherId] = ['Autumn', 'Spring'].map((name) => book.add('mixPlan', { name })) as [string, string];
  const productId = book.add('mixProduct', { planId, name: 'Cup' });
  return {
    planId,
    otherId,
    productId,
    grade: book.add('labourGrade', { name: 'Maker' }),
    machine: book.add('equipment', { name: 'Kiln' }),
    elsewhere: book.add('mixResource', { planId: otherId, name: 'Hours' }),
    here: book.add('mixResource', { planId, name: 'Shelves' }),
    total: book.add('mixTotal', { planId: otherId, name: 'All', units: '5' }),
  };
};

describe('a rule of mixes and decisions', () => {
  it.each([
    ['resource-needs-one-source', 'mixResource', ({ planId }: Made) => ({ planId })],
    [
      'resource-needs-one-source',
      'mixResource',
      ({ planId, grade }: Made) => ({ planId, name: 'Work', gradeId: grade }),
    ],
    ['mix-product-needs-a-name', 'mixProduct', ({ planId }: Made) => ({ planId })],
    ['least-above-most', 'mixProduct', ({ planId }: Made) => ({ planId, name: 'Jug', minimum: '5', maximum: '4.9' })],
    [
      'of-another-mix-plan',
      'mixUse',
      (made: Made) => ({ mixProductId: made.productId, resourceId: made.elsewhere, perUnit: '1' }),
    ],
    ['of-another-mix-plan', 'mixTotalProduct', (made: Made) => ({ mixProductId: made.productId, totalId: made.total })],
  ] as const)('%s', (code, kind, row) => {
    expect(codesOf(mixOf, (made) => [create(kind, row(made))])).toEqual([code]);
  });

  it.each([
    ['mixResource.name', 'mixResource', ({ planId }: Made) => ({ planId })],
    ['mixProduct.productId', 'mixProduct', ({ planId }: Made) => ({ planId })],
    ['mixProduct.maximum', 'mixProduct', ({ planId }: Made) => ({ planId, name: 'Jug', minimum: '5', maximum: '4' })],
    ['mixUse.mixProductId', 'mixUse', (made: Made) => ({ mixProductId: made.productId, resourceId: made.elsewhere })],
  ] as const)('is told at its field: %s', (place, kind, row) => {
    const book = bookBuilder();
    book.add('settings', { name: 'Shop' });
    const made = mixOf(book);
    const operation = create(kind, row(made));
    const applied = applyChange(rowsOfFile(book.file()), { id: newId(), operations: [operation] });
    const [problem] = applied.ok ? [] : applied.problems;
    expect(`${problem?.kind}.${problem?.field}`).toBe(place);
    expect(problem?.rowId).toBe(operation.action === 'create' ? operation.row.id : '');
  });

  it('is kept by what is just within it', () => {
    const within = (kind: Kind, row: (made: Made) => object) => codesOf(mixOf, (made) => [create(kind, row(made))]);
    expect(within('mixProduct', ({ planId }) => ({ planId, name: 'Jug', minimum: '5', maximum: '5' }))).toEqual([]);
    expect(within('mixResource', ({ planId, grade }) => ({ planId, gradeId: grade }))).toEqual([]);
    const use = (made: Made) => ({ mixProductId: made.productId, resourceId: made.here, perUnit: '1' });
    expect(within('mixUse', use)).toEqual([]);
  });

  it('names one thing that is scarce', () => {
    const decide = (fields: (made: Made) => object) =>
      codesOf(
        (book) => ({ ...mixOf(book), product: book.add('product', { name: 'Mug' }) }),
        (made) => [create('decision', { name: 'Buy in', productId: made.product, ...fields(made) })],
      );
    expect(decide(({ grade, machine }) => ({ gradeId: grade, equipmentId: machine }))).toEqual(['one-scarce-resource']);
    expect(decide(({ grade }) => ({ gradeId: grade }))).toEqual([]);
  });
});

describe('a rule of channels', () => {
  const shop = (book: BookBuilder): Made => {
    const first = book.add('channel', { name: 'Shop' });
    const tableId = book.add('carrierTable', { name: 'Post' });
    book.add('carrierRate', { tableId, zone: 'Home', upToKilograms: '2', amount: '4' });
    return {
      first,
      tableId,
      second: book.add('channel', { name: 'Store', fulfilledById: first }),
      material: book.add('material', { name: 'Box', baseUnit: 'each' }),
      grade: book.add('labourGrade', { name: 'Packer' }),
    };
  };

  it.each([
    [
      'least-above-most',
      'feeRule',
      ({ first }: Made) => ({ channelId: first, name: 'Fee', minimum: '2', maximum: '1' }),
    ],
    [
      'rate-entered-twice',
      'carrierRate',
      ({ tableId }: Made) => ({ tableId, zone: ' home', upToKilograms: '2.0', amount: '5' }),
    ],
    [
      'packing-of-two',
      'packingLine',
      ({ first, material, grade }: Made) => ({ channelId: first, materialId: material, gradeId: grade }),
    ],
  ] as const)('%s', (code, kind, row) => {
    expect(codesOf(shop, (made) => [create(kind, row(made))])).toEqual([code]);
  });

  it('fulfils no orders in a circle', () => {
    const fulfilled = (by: 'first' | 'second') =>
      codesOf(shop, (made) => [
        {
          action: 'update',
          kind: 'channel',
          id: made.first as string,
          before: { fulfilledById: null },
          after: { fulfilledById: made[by] },
        },
      ]);
    expect([fulfilled('second'), fulfilled('first')]).toEqual([['fulfilled-in-a-circle'], ['fulfilled-in-a-circle']]);
  });
});

describe('a rule of rows', () => {
  it('makes no row twice, and receives nothing that is only an estimate', () => {
    const id = newId();
    const unit = (symbol: string) => ({ action: 'create', kind: 'supplier', row: { id, name: symbol } }) as const;
    expect(
      codesOf(
        () => ({}),
        () => [unit('One'), unit('Two')],
      ),
    ).toEqual(['row-exists']);
    const received = (state: string, date: string) =>
      codesOf(
        (book) => {
          const shipmentId = book.add('shipment', { name: 'Lot', state, date: '2026-10-01', currency: 'EUR' });
          const materialId = book.add('material', { name: 'Clay', baseUnit: 'kg' });
          const lineId = book.add('shipmentLine', { shipmentId, materialId, quantity: '7', unit: 'kg', price: '3' });
          return { materialId, lineId };
        },
        ({ materialId, lineId }) => [
          create('stockMovement', {
            materialId,
            lineId,
            date,
            type: 'receipt',
            quantity: '7',
            ofLine: '7',
            cost: '21',
            unit: 'kg',
          }),
        ],
      );
    expect(received('estimate', '2026-10-02')).toEqual(['received-before-ordered']);
    // On the day of the shipment itself it is received; a day before it is not.
    expect([received('ordered', '2026-10-01'), received('ordered', '2026-09-30')]).toEqual([
      [],
      ['received-before-its-date'],
    ]);
  });
});

it('a quote that was sent stays as it was, but for what becomes of it', () => {
  const edited = (state: string, after: Record<string, unknown>) =>
    codesOf(
      (book) => ({ quote: book.add('quote', { name: 'Tiles', state, target: '30' }) }),
      ({ quote }) => [
        {
          action: 'update',
          kind: 'quote',
          id: quote as string,
          before: { state, target: '30' },
          after: { state, target: '30', ...after },
        },
      ],
    );
  expect(edited('sent', { target: '31' })).toEqual(['quote-sent']);
  expect([
    edited('draft', { target: '31' }),
    edited('sent', { state: 'won' }),
    edited('won', { state: 'lost' }),
  ]).toEqual([[], [], []]);
  expect(edited('sent', { state: 'draft', target: '31' })).toEqual([]);
});

it('every problem is named by a test', () => {
  const root = join(fileURLToPath(new URL('.', import.meta.url)), '../../../../..');
  const texts = ['packages', 'apps', 'e2e'].flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
      .filter((file) => /\.(test|spec)\.tsx?$/.test(file) && !/node_modules|dist/.test(file))
      .map((file) => readFileSync(join(root, folder, file), 'utf8')),
  );
  const all = texts.join('\n');
  const unnamed = Object.keys(PROBLEMS).filter((code) => !all.includes(`'${code}'`));
  expect(unnamed).toEqual([]);
});
