import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { measured, sharedOut, type ColumnSize } from './column-sizes.js';
import type { Column } from './grid-model.js';

const text = (id: string, natural: number, least = 50): ColumnSize => ({ id, natural, least, grows: true });
const figure = (id: string, natural: number): ColumnSize => ({ id, natural, least: natural, grows: false });

describe('the widths of columns', () => {
  it('give what is over to the texts, in proportion', () => {
    expect(sharedOut([text('name', 200), text('supplier', 100), figure('price', 100)], 700)).toEqual({
      name: 400,
      supplier: 200,
      price: 100,
    });
  });

  it('take what is lacking from the texts, by what each can give, and from figures never', () => {
    expect(sharedOut([text('name', 250), text('supplier', 150), figure('price', 100)], 350)).toEqual({
      name: 150,
      supplier: 100,
      price: 100,
    });
    expect(sharedOut([text('name', 250), figure('price', 100)], 80)).toEqual({ name: 50, price: 100 });
  });

  it('shrink a choice to what is chosen before a text is cut', () => {
    const choice = { id: 'unit', natural: 100, least: 60, grows: false };
    expect(sharedOut([text('name', 250), choice, figure('price', 100)], 420)).toEqual({
      name: 250,
      unit: 70,
      price: 100,
    });
    expect(sharedOut([text('name', 250), choice, figure('price', 100)], 360)).toEqual({
      name: 200,
      unit: 60,
      price: 100,
    });
  });

  it('grow with the room where there is no text, and then no further', () => {
    expect(sharedOut([figure('price', 100), figure('units', 50)], 180)).toEqual({ price: 120, units: 60 });
    expect(sharedOut([figure('price', 100), figure('units', 50)], 900)).toEqual({ price: 150, units: 75 });
  });

  it('fill the room exactly wherever they can, and are never below their least', () => {
    const column = fc.record({
      id: fc.uuid(),
      natural: fc.integer({ min: 50, max: 400 }),
      least: fc.constant(50),
      grows: fc.boolean(),
    });
    fc.assert(
      fc.property(
        fc.array(column, { minLength: 1, maxLength: 9 }),
        fc.integer({ min: 100, max: 2000 }),
        (columns, room) => {
          const widths = columns.map(({ id }) => sharedOut(columns, room)[id] ?? 0);
          const total = widths.reduce((sum, width) => sum + width, 0);
          const floor = columns.reduce((sum, each) => sum + each.least, 0);
          if (columns.some(({ grows }) => grows)) expect(total).toBeCloseTo(Math.max(room, floor), 6);
          widths.forEach((width, index) => expect(width).toBeGreaterThanOrEqual((columns[index]?.least ?? 0) - 1e-9));
        },
      ),
    );
  });

  it('follow the longest text, the choices, and the words of the header', () => {
    const read = () => ({ patch: {}, shown: '' });
    const columns: Column<{ name: string }, object>[] = [
      { id: 'name', header: 'Name', type: 'text', text: ({ name }) => name, read },
      {
        id: 'kind',
        header: 'Kind',
        type: 'choice',
        text: () => 'a',
        options: () => [{ value: 'l', label: 'x'.repeat(30) }],
        read,
      },
      { id: 'much', header: 'Unpronounceable', type: 'number', text: () => '1', read },
    ];
    const rows = [{ name: 'Clay' }, { name: 'y'.repeat(40) }];
    const [name, kind, much] = measured(columns, rows, (words) => words.length * 7);
    expect(name?.natural).toBe(40 * 7 + 17);
    expect(kind?.natural).toBe(30 * 7 + 14 + 17);
    // Where room is short a choice shrinks to what is chosen, and nothing to less than 34 pixels.
    expect(kind?.least).toBe(34 + 17);
    expect(much?.natural).toBe(15 * 7 + 17);
    expect([name?.grows, kind?.grows, much?.grows]).toEqual([true, false, false]);
  });

  it('have room for what the empty row shows, where there is no row yet', () => {
    const day: Column<object, object> = {
      id: 'date',
      header: 'Date',
      type: 'day',
      blankText: '27/11/2026',
      text: () => '',
      read: () => ({ patch: {}, shown: '' }),
    };
    expect(measured([day], [], (words) => words.length * 7)[0]?.natural).toBe(10 * 7 + 22 + 17);
  });

  it('grow with the digits that their figures were seen with', () => {
    const figure: Column<object, object> = {
      id: 'cost',
      header: 'Cost',
      type: 'figure',
      view: 'product',
      digits: 2,
      of: () => '',
      pick: () => undefined,
    };
    const widthOf = (digits?: number) =>
      measured([figure], [], (words) => words.length, digits === undefined ? {} : { cost: digits })[0]?.natural;
    expect(widthOf()).toBe(34 + 17);
    const wide = (digits: number) => measured([figure], [], (words) => words.length * 10, { cost: digits })[0]?.natural;
    // 9,999.99 and 99,999,999.99.
    expect([wide(4), wide(8)]).toEqual([8 * 10 + 17, 13 * 10 + 17]);
  });
});
