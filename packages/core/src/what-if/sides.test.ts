import { bookRows, rowsByKind } from '@nuvar/book';
import { describe, expect, it } from 'vitest';
import { evaluated, workshop } from '../testing/evaluated.js';
import { compareSides, differenceWorking, MEASURES, twoInputs } from './index.js';

/** A shop that leaves 20.00 - 7.00 a unit, 100 a month, for a rent of 500.00. */
const shop = () => {
  const made = workshop();
  const evaluation = evaluated(made.rows);
  return { ...made, evaluation };
};

describe('sides beside each other', () => {
  it('differ in money, percent and points, for better or for worse', () => {
    const { evaluation, point, price } = shop();
    const dearer = evaluation.fork([{ kind: 'supplierPrice', id: price, field: 'price', how: 'scale', by: '1.5' }]);
    const higher = evaluation.fork([{ kind: 'pricePoint', id: point, field: 'price', how: 'set', value: '25' }]);
    const shown = Object.fromEntries(
      MEASURES.map((measure) => [
        measure,
        compareSides([evaluation, dearer, higher], measure).rows[0]?.cells.map(
          ({ amount, difference, percent, verdict }) =>
            [amount, difference, percent && Number(percent).toFixed(2), verdict].join(' '),
        ),
      ]),
    );
    expect(shown).toEqual({
      'contribution per month': ['1300   ', '1200 -100 -7.69 adverse', '1800 500 38.46 favourable'],
      price: ['20   ', '20 0 0.00 neither', '25 5 25.00 neither'],
      'full cost': ['12   ', '13 1 8.33 adverse', '12 0 0.00 neither'],
      contribution: ['13   ', '12 -1 -7.69 adverse', '18 5 38.46 favourable'],
      profit: ['8   ', '7 -1 -12.50 adverse', '13 5 62.50 favourable'],
      margin: ['40   ', '35 -5  adverse', '52 12  favourable'],
      'units per month': ['100   ', '100 0 0.00 neither', '100 0 0.00 neither'],
    });
    const { month } = compareSides([evaluation, dearer], 'price');
    expect(month.map(({ line, cells }) => [line, cells[0]?.amount, cells[1]?.difference, cells[1]?.verdict])).toEqual([
      ['contribution', '1300', '-100', 'adverse'],
      ['fixed costs', '500', '0', 'neither'],
      ['result', '800', '-100', 'adverse'],
      ['covered', '260', '-20', 'adverse'],
    ]);
  });

  it('put what is on one side only before all others, then what moves most', () => {
    const { rows, evaluation, channel, product, point } = shop();
    const id = '0199f000-0000-7000-8000-000000000001';
    const productId = '0199f000-0000-7000-8000-000000000002';
    const second = evaluation.fork([
      { kind: 'product', id: productId, how: 'create', row: { id: productId, name: 'Another' } },
      {
        kind: 'pricePoint',
        id,
        how: 'create',
        row: { id, productId, channelId: channel, price: '1', taxInside: false },
      },
      { kind: 'pricePoint', id: point, field: 'price', how: 'set', value: '90' },
    ]);
    const { rows: compared } = compareSides([evaluation, second], 'contribution');
    expect(compared.map(({ product: name, cells }) => [name, cells[0]?.gap])).toEqual([
      ['Another', 'not on this side'],
      ['Thing', ''],
    ]);
    // An archived product is on no side.
    const archived = bookRows(rowsByKind(rows));
    archived.put('product', product, { ...rows.row('product', product), archived: true } as never);
    expect(compareSides([evaluated(archived)], 'price').rows).toEqual([]);
  });
});

describe('the working of a difference', () => {
  it('tells what each input does by itself, those first that do most, and what they do together', () => {
    const { evaluation, price, line, product, point } = shop();
    const other = evaluation.fork([
      { kind: 'supplierPrice', id: price, field: 'price', how: 'set', value: '60' },
      { kind: 'billLine', id: line, field: 'quantity', how: 'set', value: '750' },
      { kind: 'pricePoint', id: point, field: 'price', how: 'set', value: '30' },
      { kind: 'supplierPrice', id: price, field: 'supplierCode', how: 'set', value: 'X' },
    ]);
    const working = differenceWorking(evaluation, other, `fullCost/${product}/fullCost`);
    expect([
      working.before?.amount?.toFixed(),
      working.after?.amount?.toFixed(),
      working.together?.toFixed(),
      working.more,
    ]).toEqual(['12', '14.5', '0.5', 0]);
    const told = working.inputs.map(({ difference, effect }) => [
      'field' in difference && difference.field,
      effect?.toFixed(),
    ]);
    expect(told).toEqual([
      ['price', '1'],
      ['quantity', '1'],
    ]);
  });

  it('knows no effect where the figure would not be known', () => {
    const { evaluation, price, product } = shop();
    const other = evaluation.fork([{ kind: 'supplierPrice', id: price, how: 'remove' }]);
    const working = differenceWorking(evaluation, other, `fullCost/${product}/fullCost`);
    expect([working.inputs.map(({ effect }) => effect), working.together]).toEqual([[null], null]);
  });
});

it('works a figure out over two inputs', () => {
  const { evaluation, point, price } = shop();
  const grid = twoInputs(
    evaluation,
    `pricePoint/${point}/contribution`,
    { kind: 'pricePoint', id: point, field: 'price', values: ['10', '20'] },
    { kind: 'supplierPrice', id: price, field: 'price', values: ['40', '100', '0'] },
  );
  expect(grid.map((row) => row.map((figure) => figure?.amount?.toFixed()))).toEqual([
    ['3', '0', '5'],
    ['13', '10', '15'],
  ]);
});
