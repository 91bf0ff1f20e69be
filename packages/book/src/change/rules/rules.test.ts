import { describe, expect, it } from 'vitest';
import { bookBuilder, rowsOfFile } from '../../demo/index.js';
import { readBookFile } from '../../file/index.js';
import { fieldsOf, type Kind, KIND_NAMES, KINDS } from '../../kinds.js';
import { newId } from '../../new-id.js';
import {
  applyChange,
  billLevels,
  columnsOfRows,
  type Operation,
  removalOf,
  rowsByKind,
  rowsOfColumns,
  type StoredRow,
  withoutVersion,
} from '../index.js';
import fc from 'fast-check';

/** A small workshop: clay by the kilo, a mug of it with a tray unit of its own, a kiln and a firing, a price in one shop. */
function workshop() {
  const book = bookBuilder();
  const ids: Record<string, string> = {};
  book.add('settings', { name: 'Workshop' });
  ids.tray = book.add('bookUnit', { name: 'tray' });
  ids.clay = book.add('material', { name: 'Clay', baseUnit: 'kg' });
  ids.mug = book.add('product', { name: 'Mug' });
  ids.shelf = book.add('product', { name: 'Shelf', outputUnit: 'tray' });
  ids.line = book.add('billLine', { productId: ids.shelf, componentId: ids.mug, quantity: '6', unit: 'each' });
  ids.kiln = book.add('equipment', { name: 'Kiln' });
  ids.firing = book.add('equipmentRun', { name: 'Firing', equipmentId: ids.kiln });
  ids.shop = book.add('channel', { name: 'Shop' });
  ids.price = book.add('pricePoint', { productId: ids.mug, channelId: ids.shop });
  return { rows: rowsOfFile(book.file()), ids };
}

const { rows, ids } = workshop();
const create = (kind: Kind, fields: Record<string, unknown>): Operation => ({
  action: 'create',
  kind,
  row: { id: newId(), ...fields },
});
const line = (fields: Record<string, unknown>) => create('billLine', { unit: 'each', ...fields });
const update = (kind: Kind, id: string | undefined, before: object, after: object): Operation => ({
  action: 'update',
  kind,
  id: id ?? '',
  before: { ...before },
  after: { ...after },
});
const codes = (...operations: Operation[]): string[] => {
  const applied = applyChange(rows, { id: newId(), operations });
  return applied.ok ? [] : applied.problems.map(({ code }) => code);
};

describe('a change is held against the book as it would leave it', () => {
  it.each<[string, Operation[], string[]]>([
    ['a product inside itself', [line({ productId: ids.mug, componentId: ids.shelf })], ['component-loop']],
    [
      'a line of two things',
      [line({ productId: ids.mug, materialId: ids.clay, text: 'clay' })],
      ['line-needs-one-item'],
    ],
    ['a line of nothing', [line({ productId: ids.mug })], ['line-needs-one-item']],
    ['a line kept as text', [line({ productId: ids.mug, text: 'white slip' })], []],
    [
      'a use on a machine and a run',
      [create('equipmentUse', { productId: ids.mug, equipmentId: ids.kiln, runId: ids.firing })],
      ['use-needs-one-machine'],
    ],
    [
      'space on a machine without a run',
      [create('equipmentUse', { productId: ids.mug, equipmentId: ids.kiln, basis: 'space per unit' })],
      ['space-needs-a-run'],
    ],
    [
      'space on a run',
      [create('equipmentUse', { productId: ids.mug, runId: ids.firing, basis: 'space per unit' })],
      [],
    ],
    [
      'a conversion of nothing',
      [create('itemConversion', { unit: 'each', equalUnit: 'kg' })],
      ['conversion-needs-one-item'],
    ],
    [
      'a kilo that is so many grams',
      [create('itemConversion', { materialId: ids.clay, unit: 'kg', equalUnit: 'g' })],
      ['conversion-has-a-fixed-way'],
    ],
    [
      'a tray that is so many pieces',
      [create('itemConversion', { productId: ids.mug, unit: 'tray', equalUnit: 'each', equalQuantity: '30' })],
      [],
    ],
    [
      'more pieces than were started',
      [update('product', ids.mug, { yieldPercent: '100' }, { yieldPercent: '101' })],
      ['yield-over-100'],
    ],
    [
      'a second price in one shop',
      [create('pricePoint', { productId: ids.mug, channelId: ids.shop })],
      ['price-exists'],
    ],
    ['a name that is taken, capitals or not', [create('material', { name: 'CLAY' })], ['name-taken']],
    [
      'a unit that nobody knows',
      [update('material', ids.clay, { baseUnit: 'kg' }, { baseUnit: 'firkin' })],
      ['unknown-unit'],
    ],
    [
      'a unit that is made in the same change',
      [
        create('bookUnit', { name: 'firkin' }),
        update('material', ids.clay, { baseUnit: 'kg' }, { baseUnit: 'firkin' }),
      ],
      [],
    ],
    ['a unit of the book that everybody knows', [create('bookUnit', { name: 'kg' })], ['unit-is-known']],
    [
      'a unit of the book by another name',
      [update('bookUnit', ids.tray, { name: 'tray' }, { name: 'board' })],
      ['unit-name-stays'],
    ],
    ['what a line still takes', [{ action: 'remove', kind: 'product', id: ids.mug ?? '', version: 1 }], ['still-used']],
    ['a unit that is still used', [...removalOf(rows, 'bookUnit', ids.tray ?? '')], ['still-used']],
    [
      'the settings',
      [{ action: 'remove', kind: 'settings', id: rows.all('settings')[0]?.id ?? '', version: 1 }],
      ['settings-stay'],
    ],
    ['a product that is not there', [line({ productId: newId(), materialId: ids.clay })], ['unknown-reference']],
  ])('%s', (_what, operations, expected) => {
    expect([...new Set(codes(...operations))]).toEqual(expected);
  });
});

it('rows come out of the columns of a snapshot as they went in', () => {
  const all = rowsByKind(rows);
  expect(rowsOfColumns(JSON.parse(JSON.stringify(columnsOfRows(all))) as ReturnType<typeof columnsOfRows>)).toEqual(
    all,
  );
});

/** Products of which each goes into the next, so many of them. */
function chain(length: number): ReturnType<typeof bookBuilder> & { readonly ids: string[] } {
  const book = bookBuilder();
  book.add('settings', { name: 'Chain' });
  const ids = Array.from({ length }, (_none, index) => book.add('product', { name: `Level ${index + 1}` }));
  ids
    .slice(1)
    .forEach((productId, index) =>
      book.add('billLine', { productId, componentId: ids[index], quantity: '1', unit: 'each' }),
    );
  return { ...book, ids };
}

describe('products inside products', () => {
  it('have at most 100 levels, at a change and in a file', () => {
    const { ids, file } = chain(100);
    const full = rowsOfFile(file());
    const onTop = (productId: string, componentId: string): Operation[] => [
      create('billLine', { productId, componentId, quantity: '1', unit: 'each' }),
    ];
    const another = newId();
    const grown = applyChange(full, {
      id: newId(),
      operations: [create('product', { id: another, name: 'One more' }), ...onTop(another, ids.at(-1) ?? '')],
    });
    expect(grown).toMatchObject({ ok: false, problems: [{ code: 'too-many-levels', values: { most: '100' } }] });
    // In the middle there is room to the side.
    const aside = newId();
    expect(
      applyChange(full, {
        id: newId(),
        operations: [create('product', { id: aside, name: 'Aside' }), ...onTop(aside, ids[50] ?? '')],
      }).ok,
    ).toBe(true);
    const deeper = readBookFile(chain(101).file());
    expect(deeper.ok ? [] : deeper.problems.map(({ code }) => code)).toContain('too-many-levels');
  });

  it('of an older book may be deeper: it opens, and can be edited elsewhere', () => {
    const { file, ids } = chain(130);
    const old = readBookFile({ ...file(), version: 1 });
    expect(old).toMatchObject({ ok: true, format: 1 });
    if (!old.ok) return;
    const [product] = old.rows.rowsWith('product', 'id', ids[3] ?? '');
    const [line] = old.rows.rowsWith('billLine', 'productId', ids[3] ?? '');
    const operations = [
      update('product', product?.id, { name: 'Level 4' }, { name: 'Renamed' }),
      update('billLine', line?.id, { quantity: '1' }, { quantity: '2' }),
    ];
    expect(applyChange(old.rows, { id: newId(), operations }).ok).toBe(true);
    const made = KIND_NAMES.flatMap((kind) =>
      old.rows.all(kind).map((row): Operation => ({ action: 'create', kind, row: withoutVersion(row as StoredRow) })),
    );
    const nothing = { row: () => undefined, rowsWith: () => [] };
    expect(applyChange(nothing, { id: newId(), operations: made }, { format: old.format }).ok).toBe(true);
    expect(applyChange(nothing, { id: newId(), operations: made }, { format: 3 }).ok).toBe(false);
  });

  it('are looked at line by line, however deep: 1,600 levels are refused and do not overflow', () => {
    const { file, ids } = chain(1600);
    const old = readBookFile({ ...file(), version: 1 });
    expect(old.ok).toBe(true);
    if (!old.ok) return;
    const closing = line({ productId: ids[0], componentId: ids.at(-1), quantity: '1' });
    const looped = applyChange(old.rows, { id: newId(), operations: [closing] });
    expect(looped.ok ? [] : looped.problems.map(({ code }) => code)).toEqual(['component-loop']);
  });

  it('have levels that are those of a search from each product downwards', () => {
    const lines = fc.array(fc.tuple(fc.nat({ max: 11 }), fc.nat({ max: 11 })), { maxLength: 24 });
    fc.assert(
      fc.property(lines, (pairs) => {
        const users = new Map<string, string[]>();
        for (const [product, component] of pairs)
          users.set(String(component), [...new Set([...(users.get(String(component)) ?? []), String(product)])]);
        const componentsOf = (product: string) => [...users].filter(([, of]) => of.includes(product)).map(([id]) => id);
        const depth = (product: string, above: readonly string[]): number => {
          if (above.includes(product)) return Number.POSITIVE_INFINITY;
          return 1 + Math.max(0, ...componentsOf(product).map((each) => depth(each, [...above, product])));
        };
        const { levels, looped } = billLevels(users);
        for (const id of new Set(pairs.flat().map(String))) {
          const expected = depth(id, []);
          expect(looped.has(id)).toBe(expected === Number.POSITIVE_INFINITY);
          expect(levels.get(id)).toBe(expected === Number.POSITIVE_INFINITY ? undefined : expected);
        }
      }),
    );
  });
});

it('waste of the input leaves something; waste on top may be more than was there', () => {
  const wasted = (fields: object) => codes(line({ productId: ids.mug, materialId: ids.clay, unit: 'kg', ...fields }));
  expect(wasted({ lossPercent: '100' })).toEqual(['all-of-the-input-lost']);
  expect(wasted({ lossPercent: '99.9' })).toEqual([]);
  expect(wasted({ lossPercent: '140', lossBasis: 'on top' })).toEqual([]);
});

it('every kind says what tells its rows apart, by fields that it has', () => {
  for (const kind of KIND_NAMES) {
    const names = fieldsOf(kind).map(({ name }) => name);
    const { toldBy, copiedWith, notCopied } = KINDS[kind];
    expect(names, kind).toEqual(expect.arrayContaining([...toldBy, ...copiedWith, ...notCopied]));
    expect(names.includes('name') || toldBy.length > 0, kind).toBe(true);
  }
});
