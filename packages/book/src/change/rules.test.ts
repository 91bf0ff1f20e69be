import { describe, expect, it } from 'vitest';
import { bookBuilder } from '../demo/index.js';
import { readBookFile } from '../file/index.js';
import type { Kind } from '../kinds.js';
import { newId } from '../new-id.js';
import {
  applyChange,
  columnsOfRows,
  removalOf,
  rowsByKind,
  rowsOfColumns,
  type BookRows,
  type Operation,
} from './index.js';

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
  const rows = readBookFile(book.file());
  if (Array.isArray(rows)) throw new RangeError(JSON.stringify(rows));
  return { rows: rows as BookRows, ids };
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
