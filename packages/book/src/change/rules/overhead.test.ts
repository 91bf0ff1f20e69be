import { describe, expect, it } from 'vitest';
import { bookBuilder, rowsOfFile } from '../../demo/index.js';
import { type Kind } from '../../kinds.js';
import { newId } from '../../new-id.js';
import { applyChange, type Operation } from '../index.js';

/** A workshop with a pool that is half taken up, two rooms, a service, a plan and two methods. */
function workshop() {
  const book = bookBuilder();
  book.add('settings', { name: 'Workshop' });
  const product = book.add('product', { name: 'Mug' });
  const shop = book.add('channel', { name: 'Shop' });
  const volume = book.add('plannedVolume', { productId: product, channelId: shop, unitsPerMonth: '10' });
  const pool = book.add('costPool', { name: 'Premises' });
  const firing = book.add('activity', { name: 'Firing' });
  const packing = book.add('activity', { name: 'Packing' });
  const half = book.add('poolActivity', { poolId: pool, activityId: firing, percent: '50' });
  const room = book.add('department', { name: 'Room' });
  const upkeep = book.add('department', { name: 'Upkeep', type: 'service' });
  const use = book.add('serviceUse', { serviceId: upkeep, departmentId: room, amount: '4' });
  const rent = book.add('runningCost', { name: 'Rent', amount: '100', startsOn: '2026-03-01' });
  const method = book.add('costingMethod', { name: 'One rate', role: 'book' });
  const other = book.add('costingMethod', { name: 'By activity', type: 'activities' });
  const ids = { product, shop, volume, pool, firing, packing, half, room, upkeep, use, rent, method, other };
  return { rows: rowsOfFile(book.file()), ids };
}

const { rows, ids } = workshop();
const create = (kind: Kind, row: Record<string, unknown>): Operation => ({
  action: 'create',
  kind,
  row: { id: newId(), ...row },
});
const update = (kind: Kind, id: string, before: object, after: object): Operation => ({
  action: 'update',
  kind,
  id,
  before: { ...before },
  after: { ...after },
});
const codes = (operations: readonly Operation[]): string[] => {
  const applied = applyChange(rows, { id: newId(), operations: [...operations] });
  return applied.ok ? [] : applied.problems.map(({ code }) => code);
};

describe('overhead is held against the book as a change would leave it', () => {
  it.each<[string, Operation[], string[]]>([
    [
      'a product planned twice in a channel',
      [create('plannedVolume', { productId: ids.product, channelId: ids.shop, unitsPerMonth: '5' })],
      ['entered-twice'],
    ],
    [
      'a product planned in the shop and wherever it is priced',
      [create('plannedVolume', { productId: ids.product, unitsPerMonth: '5' })],
      [],
    ],
    [
      'a month typed twice within one change',
      [3, 3].map((month) => create('plannedMonth', { volumeId: ids.volume, month, units: '4' })),
      ['entered-twice', 'entered-twice'],
    ],
    [
      'two steps without an end',
      [50, 80].map((amount) => create('costStep', { runningCostId: ids.rent, upTo: null, amount: String(amount) })),
      ['entered-twice', 'entered-twice'],
    ],
    [
      'shares of a pool of 100 % in all',
      [create('poolActivity', { poolId: ids.pool, activityId: ids.packing, percent: '50' })],
      [],
    ],
    [
      'shares of a pool of a hair more than 100 %',
      [create('poolActivity', { poolId: ids.pool, activityId: ids.packing, percent: '50.000001' })],
      ['pool-over-100'],
    ],
    [
      'a share that makes room for another in the same change',
      [
        update('poolActivity', ids.half, { percent: '50' }, { percent: '10' }),
        create('poolActivity', { poolId: ids.pool, activityId: ids.packing, percent: '90' }),
      ],
      [],
    ],
    [
      'a service used of a room that makes things',
      [create('serviceUse', { serviceId: ids.room, departmentId: ids.upkeep, amount: '1' })],
      ['not-a-service-department'],
    ],
    [
      'a service that is to make things while it is used',
      [update('department', ids.upkeep, { type: 'service' }, { type: 'production' })],
      ['not-a-service-department'],
    ],
    [
      'the same once nobody uses it any more',
      [
        { action: 'remove', kind: 'serviceUse', id: ids.use, version: 1 },
        update('department', ids.upkeep, { type: 'service' }, { type: 'production' }),
      ],
      [],
    ],
    [
      'a cost that ends before it begins',
      [update('runningCost', ids.rent, { endsOn: null }, { endsOn: '2026-02-28' })],
      ['ends-before-it-begins'],
    ],
    ['a cost of one day', [update('runningCost', ids.rent, { endsOn: null }, { endsOn: '2026-03-01' })], []],
    [
      'a second method of the book',
      [update('costingMethod', ids.other, { role: 'comparison' }, { role: 'book' })],
      ['two-methods-of-the-book'],
    ],
    [
      'another method of the book in place of the one before',
      [
        update('costingMethod', ids.method, { role: 'book' }, { role: 'comparison' }),
        update('costingMethod', ids.other, { role: 'comparison' }, { role: 'book' }),
      ],
      [],
    ],
  ])('%s', (_what, operations, expected) => {
    expect(codes(operations)).toEqual(expected);
  });
});
