import { newId, type StoredRow } from '@nuvar/book';
import { VIEWS, type VolumesView } from '@nuvar/core';
import { beforeEach, describe, expect, it } from 'vitest';
import { model } from '../book/model.js';
import { changed, figuresNow, named, openDemo } from '../testing/open-demo.js';
import { isInput } from '../controls/grid/grid-model.js';
import { typed } from '../testing/typed.js';
import { activityColumns, activityWriter } from './activity-rows.js';
import { cellColumn, departmentColumns, departmentWriter } from './department-rows.js';
import { volumeColumns, volumeWriter } from './volume-rows.js';

beforeEach(openDemo);

const LOCALE = 'en-GB';
const all = <K extends 'product' | 'channel' | 'season' | 'costPool' | 'plannedVolume'>(kind: K) =>
  model.rows.all(kind);
const byName = (kind: 'department' | 'activity' | 'costPool' | 'season' | 'apportionmentBasis', name: string) => {
  const [found] = model.rows.rowsWith(kind, 'name', name);
  if (found === undefined) throw new RangeError(`The demo book has no ${kind} "${name}".`);
  return found;
};
const figure = (key: string) => Number(figuresNow().figure(key)?.amount);

describe('a planned volume', () => {
  const volumes = () => ({
    columns: volumeColumns(
      { products: all('product'), channels: all('channel'), seasons: all('season') },
      VIEWS.volumes(figuresNow(), 'book') as VolumesView,
      { locale: LOCALE, currency: 'EUR', rounding: 'half-even' },
    ),
    writer: volumeWriter,
    row: (id: string) => model.rows.row('plannedVolume', id),
  });
  const volumeOf = (product: string) => {
    const found = all('plannedVolume').find(({ productId }) => productId === named('product', product).id);
    if (found === undefined) throw new RangeError(`Nothing is planned of "${product}".`);
    return found;
  };
  const monthOf = ({ id }: StoredRow<'plannedVolume'>, month: number) => {
    const column = volumes().columns.find((each) => each.id === `month${month}`);
    const row = volumes().row(id);
    if (column === undefined || !isInput(column) || row === undefined) throw new RangeError('No such month.');
    return { typed: column.text(row), followed: column.emptyText?.(row) };
  };

  it('takes a month of its own, and follows the season again where that is emptied', () => {
    const teapots = volumeOf('Teapot with cane handle');
    const before = monthOf(teapots, 12);
    expect(before).toEqual({ typed: '', followed: '48' });
    const planned = figure('driverVolume/units|sold/planned');
    expect(typed(volumes, { month12: '60' }, teapots.id).refusal).toBeNull();
    expect(monthOf(teapots, 12).typed).toBe('60');
    // Twelve teapots more sold in one month of the year are one more in an average month; what is made is typed apart.
    expect(figure('driverVolume/units|sold/planned')).toBeCloseTo(planned + 1, 8);
    expect(typed(volumes, { month12: '72' }, teapots.id).refusal).toBeNull();
    expect(model.rows.rowsWith('plannedMonth', 'volumeId', teapots.id)).toHaveLength(1);
    expect(typed(volumes, { month12: '' }, teapots.id).refusal).toBeNull();
    expect(monthOf(teapots, 12)).toEqual(before);
    expect(figure('driverVolume/units|sold/planned')).toBeCloseTo(planned, 8);
  });

  it('needs a product first; what is typed before it waits for it', () => {
    const count = model.rows.count('plannedVolume');
    const id = newId();
    expect(typed(volumes, { unitsPerMonth: '12', month3: '20' }, id).refusal).toBeNull();
    expect(model.rows.count('plannedVolume')).toBe(count);
    const patch = {
      productId: named('product', 'Cobalt side plate').id,
      unitsPerMonth: '12',
      planned: { month: 3, units: '20' },
    };
    expect(changed(volumeWriter.create(id, patch, []) ?? [])).toEqual([]);
    expect(model.rows.row('plannedVolume', id)?.unitsPerMonth).toBe('12');
    expect(model.rows.rowsWith('plannedMonth', 'volumeId', id).map(({ month, units }) => [month, units])).toEqual([
      [3, '20'],
    ]);
  });

  it('refuses less than nothing, and a second row of the same product and channel', () => {
    const mugs = volumeOf('Everyday mug');
    expect(typed(volumes, { month1: '-4' }, mugs.id).refusal).toMatch(/Units cannot be less than 0/);
    const again = changed(
      volumeWriter.create(newId(), { productId: mugs.productId, channelId: mugs.channelId, unitsPerMonth: '3' }, []) ??
        [],
    );
    expect(again).toHaveLength(1);
  });
});

describe('what a department has of others', () => {
  const departments = () => {
    const floor = byName('apportionmentBasis', 'Floor area');
    const upkeep = byName('department', 'Studio upkeep');
    return {
      columns: [
        ...departmentColumns(LOCALE, 'EUR'),
        { ...cellColumn('departmentMeasure', floor.id, 'Floor area, m²', LOCALE), id: 'floor' },
        { ...cellColumn('serviceUse', upkeep.id, 'Studio upkeep', LOCALE), id: 'upkeep' },
      ],
      writer: departmentWriter,
      row: (id: string) => model.rows.row('department', id),
    };
  };
  const costOf = (name: string) => figure(`departmentCost/reciprocal@${byName('department', name).id}/total`);

  it('moves cost to the room that is made larger, and none is lost on the way', () => {
    const rooms = ['Throwing room', 'Kiln room', 'Glazing and packing'];
    const before = rooms.map(costOf);
    const kiln = byName('department', 'Kiln room');
    expect(typed(departments, { floor: '36' }, kiln.id).refusal).toBeNull();
    const after = rooms.map(costOf);
    expect(after[1]).toBeGreaterThan(before[1] ?? NaN);
    expect(after[0]).toBeLessThan(before[0] ?? NaN);
    const sum = (costs: readonly number[]) => costs.reduce((total, cost) => total + cost, 0);
    expect(sum(after)).toBeCloseTo(sum(before), 8);
  });

  it('comes with a new room in one go, and goes with an emptied cell', () => {
    const { id, refusal } = typed(departments, { name: 'Drying room', floor: '12', upkeep: '3' });
    expect(refusal).toBeNull();
    const uses = () => model.rows.rowsWith('serviceUse', 'departmentId', id).map(({ amount }) => amount);
    expect(uses()).toEqual(['3']);
    expect(typed(departments, { upkeep: '' }, id).refusal).toBeNull();
    expect(uses()).toEqual([]);
    expect(changed(departmentWriter.remove(model.rows.row('department', id) as StoredRow<'department'>))).toEqual([]);
    expect(model.rows.rowsWith('departmentMeasure', 'departmentId', id)).toEqual([]);
  });
});

describe('what an activity takes up of a pool', () => {
  const pool = () => byName('costPool', 'Selling and office');
  const activities = () => ({
    columns: activityColumns(all('costPool'), LOCALE, 'EUR').map((column) =>
      column.id === `pool-${pool().id}` ? { ...column, id: 'office' } : column,
    ),
    writer: activityWriter,
    row: (id: string) => model.rows.row('activity', id),
  });
  const costOf = (activityId: string) => {
    const methodId = model.rows.all('costingMethod').find(({ type }) => type === 'activities')?.id ?? '';
    return figure(`overheadLot/${methodId}@activity.${activityId}.other/cost`);
  };

  it('moves its cost in proportion, typed with or without the sign', () => {
    const orders = byName('activity', 'Handling orders');
    const before = costOf(orders.id);
    expect(typed(activities, { office: '25 %' }, orders.id).refusal).toBeNull();
    expect(costOf(orders.id)).toBeCloseTo(before / 2, 8);
    expect(typed(activities, { office: '' }, orders.id).refusal).toBeNull();
    expect(model.rows.rowsWith('poolActivity', 'activityId', orders.id)).toEqual([]);
  });

  it('is refused where the pool has not so much left', () => {
    const orders = byName('activity', 'Handling orders');
    expect(typed(activities, { office: '51' }, orders.id).refusal).toMatch(/101 % of Selling and office/);
    expect(costOf(orders.id)).toBeGreaterThan(0);
  });
});
