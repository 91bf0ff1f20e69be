import { newId, type StoredRow } from '@nuvar/book';
import { VIEWS, type VolumesView } from '@nuvar/core';
import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { model } from '../book/model.js';
import { createOf } from '../book/operations.js';
import { type Column, type GridWriter, isInput } from '../controls/grid/grid-model.js';
import { operationsOf, readBlock } from '../controls/grid/paste.js';
import { together } from '../controls/grid/row-patches.js';
import { activityColumns, activityWriter } from '../overhead/activity-rows.js';
import { cellColumn, departmentWriter } from '../overhead/department-rows.js';
import { volumeColumns, volumeWriter } from '../overhead/volume-rows.js';
import { usesColumns, usesWriter } from '../planning/mix/mix-rows.js';
import { periodColumns, periodWriter } from '../planning/mix/periods/period-columns.js';
import { boardColumns, boardWriter } from '../selling/board-rows.js';
import { changed, figuresNow, named, openDemo } from '../testing/open-demo.js';

beforeEach(openDemo);

const LOCALE = 'en-GB';

/** A grid of rows and columns of numbers: its rows, those of its columns that are numbers of another row, and how it writes. */
interface NumberGrid {
  readonly rows: () => readonly { readonly id: string }[];
  readonly columns: () => readonly Column<never, never>[];
  readonly writer: GridWriter<never, never>;
}

const grid = <Row extends { readonly id: string }, Patch extends object>(
  rows: () => readonly Row[],
  columns: () => readonly Column<Row, Patch>[],
  writer: GridWriter<Row, Patch>,
): NumberGrid => ({ rows, columns, writer }) as unknown as NumberGrid;

const periodsPlan = () => model.rows.all('mixPeriod')[0]?.planId ?? '';
const plan = () => model.rows.all('mixUse')[0]?.mixProductId ?? '';
const planOfUses = () => model.rows.row('mixProduct', plan())?.planId ?? periodsPlan();

const GRIDS: Readonly<Record<string, NumberGrid>> = {
  'months of planned volumes': grid(
    () => model.rows.all('plannedVolume'),
    () =>
      volumeColumns(
        { products: model.rows.all('product'), channels: model.rows.all('channel'), seasons: model.rows.all('season') },
        VIEWS.volumes(figuresNow(), 'book') as VolumesView,
        { locale: LOCALE, currency: 'EUR', rounding: 'half-even' },
      ).filter(({ id }) => id.startsWith('month')),
    volumeWriter,
  ),
  'the board of prices': grid(
    () => model.rows.all('product').filter(({ archived }) => !archived),
    () =>
      boardColumns(model.rows.all('channel'), { show: 'price', locale: LOCALE, scale: 1 }).filter(
        ({ id }) => id !== 'name',
      ),
    boardWriter(true),
  ),
  'shares of activities': grid(
    () => model.rows.all('activity'),
    () => activityColumns(model.rows.all('costPool'), LOCALE, 'EUR').filter(({ id }) => id.startsWith('pool-')),
    activityWriter,
  ),
  'what departments have': grid(
    () => model.rows.all('department').filter(({ type }) => type !== 'service'),
    () => [
      ...model.rows.all('apportionmentBasis').map(({ id, name }) => cellColumn('departmentMeasure', id, name, LOCALE)),
      ...model.rows
        .all('department')
        .filter(({ type }) => type === 'service')
        .flatMap(({ id, name }) => [
          cellColumn('serviceUse', id, name, LOCALE),
          cellColumn('serviceUse', id, `Actual ${name}`, LOCALE, 'actualAmount'),
        ]),
    ],
    departmentWriter,
  ),
  'uses of a mix': grid(
    () => model.rows.rowsWith('mixProduct', 'planId', planOfUses()),
    () => usesColumns(model.rows.rowsWith('mixResource', 'planId', planOfUses()), 'perUnit', LOCALE),
    usesWriter,
  ),
  'periods of a mix': grid(
    () => model.rows.rowsWith('mixProduct', 'planId', periodsPlan()),
    () =>
      periodColumns(
        model.rows.rowsWith('mixPeriod', 'planId', periodsPlan()),
        LOCALE,
        ({ id }: StoredRow<'mixProduct'>) => ({
          of: (periodId: string) => ({ kind: 'mixPeriodProduct', mixProductId: id, periodId }) as const,
          field: 'maximum',
        }),
      ),
    periodWriter(({ id }: StoredRow<'mixProduct'>) => ({
      of: (periodId: string) => ({ kind: 'mixPeriodProduct', mixProductId: id, periodId }) as const,
      field: 'maximum',
    })),
  ),
};

describe('a block that is pasted', () => {
  it.each(Object.keys(GRIDS))('into %s comes to stand cell by cell, and as another one over it', (name) => {
    const { rows, columns, writer } = GRIDS[name] as NumberGrid;
    const inputs = () => columns().filter(isInput);
    const [height, width] = [Math.min(rows().length, 4), inputs().length];
    expect([height >= 2, width >= 2]).toEqual([true, true]);
    const paste = (from: number) => {
      const block = rows()
        .slice(0, height)
        .map((_row, row) => inputs().map((_column, column) => String((from + row * width + column) / 100)));
      const pasted = readBlock({ block, columns: inputs() as never, rows: rows() as never });
      expect(pasted.flatMap(({ cells }) => cells.filter(({ refused }) => refused))).toEqual([]);
      expect(changed(operationsOf(pasted, writer as never))).toEqual([]);
      const texts = rows()
        .slice(0, height)
        .map((row) => inputs().map((column) => Number(column.text(row as never))));
      expect(texts).toEqual(block.map((line) => line.map(Number)));
    };
    paste(1);
    paste(31);
  });

  it('as a new row brings a month for each of its columns, in whatever order they come', () => {
    const { columns } = GRIDS['months of planned volumes'] as NumberGrid;
    const months = columns().filter(isInput);
    const product = named('product', 'Cobalt side plate');
    const choice = { ...months[0], id: 'product', read: () => ({ patch: { productId: product.id }, shown: '' }) };
    const before = new Set(model.rows.all('plannedVolume').map(({ id }) => id));
    const block = [[...months.map((_month, index) => String(index + 5)), product.name]];
    const pasted = readBlock({ block, columns: [...months, choice] as never, rows: [] });
    expect(changed(operationsOf(pasted, volumeWriter as never))).toEqual([]);
    const [made] = model.rows.all('plannedVolume').filter(({ id }) => !before.has(id));
    const typed = model.rows.rowsWith('plannedMonth', 'volumeId', made?.id ?? '');
    expect(
      typed.map(({ month, units }) => [month, Number(units)]).sort(([one = 0], [other = 0]) => one - other),
    ).toEqual(Array.from({ length: 12 }, (_none, index) => [index + 1, index + 5]));
  });

  it('leaves out a row of which a cell was refused, whole, and takes the others', () => {
    const { columns, writer, rows } = GRIDS['months of planned volumes'] as NumberGrid;
    const inputs = columns().filter(isInput).slice(0, 2);
    const pasted = readBlock({
      block: [
        ['0.7', 'much'],
        ['0.8', '0.9'],
      ],
      columns: inputs as never,
      rows: rows() as never,
    });
    expect(pasted.map(({ refused }) => refused)).toEqual([true, false]);
    const before = inputs.map((column) => column.text(rows()[0] as never));
    expect(changed(operationsOf(pasted, writer as never))).toEqual([]);
    expect(inputs.map((column) => column.text(rows()[0] as never))).toEqual(before);
    expect(inputs.map((column) => column.text(rows()[1] as never))).toEqual(['0.8', '0.9']);
  });

  it('into both uses of a service by a new department makes one row of them', () => {
    const id = newId();
    const service = model.rows.all('department').find(({ type }) => type === 'service');
    expect(changed([createOf('department', id, { name: 'Drying room' })])).toEqual([]);
    const columns = [
      cellColumn('serviceUse', service?.id ?? '', 'Use', LOCALE, 'actualAmount'),
      cellColumn('serviceUse', service?.id ?? '', 'Actual use', LOCALE),
    ];
    const rows = [model.rows.row('department', id)];
    const pasted = readBlock({ block: [['4', '3']], columns: columns as never, rows: rows as never });
    expect(changed(operationsOf(pasted, departmentWriter as never))).toEqual([]);
    const uses = model.rows.rowsWith('serviceUse', 'departmentId', id);
    expect(uses.map(({ amount, actualAmount }) => [amount, actualAmount])).toEqual([['3', '4']]);
  });
});

it('patches of a row lose no cell, keep the order in which cells of one sort came, and give a field its last value', () => {
  const patch = fc.oneof(
    fc.record({ cell: fc.record({ of: fc.nat({ max: 3 }), amount: fc.nat() }) }),
    fc.record({ quantity: fc.nat() }),
    fc.record({ quantity: fc.nat(), unit: fc.constantFrom('kg', 'g') }),
  );
  fc.assert(
    fc.property(fc.array(patch, { maxLength: 10 }), (patches: Record<string, unknown>[]) => {
      const groups = together(patches);
      const cells = (list: readonly Record<string, unknown>[]) => list.flatMap(({ cell }) => (cell ? [cell] : []));
      expect(cells(groups)).toEqual(cells(patches));
      const last = (list: readonly Record<string, unknown>[], key: string) =>
        list.flatMap((each) => (key in each ? [each[key]] : [])).at(-1);
      for (const key of ['quantity', 'unit']) {
        expect(last(groups, key)).toEqual(last(patches, key));
        expect(groups.filter((group) => key in group).length).toBeLessThanOrEqual(1);
      }
    }),
  );
});
