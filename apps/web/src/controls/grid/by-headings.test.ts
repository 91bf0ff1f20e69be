import { describe, expect, it } from 'vitest';
import { byHeadings, pastedAt } from './by-headings.js';
import type { Column, InputColumn } from './grid-model.js';
import { readBlock } from './paste.js';

const columns = ['Date', 'Movement', 'Quantity', 'Cost, EUR'].map(
  (header) => ({ header }) as InputColumn<object, object>,
);
const headers = (placed: readonly { readonly header: string }[]) => placed.map(({ header }) => header);

describe('rows of a file', () => {
  it('fall on the columns that their headings name, in any order, beside columns that nobody knows', () => {
    const table = [
      ['In stock', 'quantity', ' DATE ', 'Cost, EUR'],
      ['162.5', '118', '2026-01-31', ''],
      ['', '', '', ''],
      ['419.5', '375', '2026-02-09', '387'],
    ];
    const { block, columns: placed } = byHeadings(table, columns);
    expect(headers(placed)).toEqual(['Date', 'Quantity', 'Cost, EUR']);
    expect(block).toEqual([
      ['2026-01-31', '118', ''],
      ['2026-02-09', '375', '387'],
    ]);
  });

  it('fall on one column after the other where there are no headings', () => {
    const table = [['2026-01-31', 'Issue', '118']];
    expect(byHeadings(table, columns)).toEqual({ block: table, columns });
  });
});

describe('a block that is pasted into a grid whose rows are named', () => {
  interface Priced {
    readonly id: string;
    readonly product: string;
    readonly price: string;
  }
  const rows = ['Mug', 'Bowl', 'Teapot'].map((product, at): Priced => ({ id: product, product, price: String(at) }));
  const price: Column<Priced, { price: string }> = {
    id: 'price',
    header: 'Price, EUR',
    type: 'text',
    text: (row) => row.price,
    read: (typed) => ({ patch: { price: typed }, shown: typed }),
  } as InputColumn<Priced, { price: string }>;
  const columns: Column<Priced, { price: string }>[] = [
    { id: 'name', header: 'Product', type: 'shown', text: ({ product }) => product, cell: ({ product }) => product },
    { id: 'strip', header: 'Strip', type: 'shown', cell: () => null },
    price,
  ];
  const pasted = (block: readonly (readonly string[])[], row = 0) =>
    readBlock(pastedAt(block, { all: columns, columns, rows, column: 'price', row })).map((each) => [
      each.row?.product ?? each.unknown ?? 'new',
      each.cells.map(({ shown }) => shown).join(),
      each.refused,
    ]);

  it('falls on the rows that it names, in whatever order; a name that is not there is refused', () => {
    const block = [
      ['price, eur', 'Product', 'Margin'],
      ['7', 'Teapot', '1'],
      ['8', 'Vase', '2'],
      ['9', 'mug', '3'],
    ];
    expect(pasted(block, 1)).toEqual([
      ['Teapot', '7', false],
      ['Vase', '8', true],
      ['Mug', '9', false],
    ]);
  });

  it('falls on each of two rows of one name once', () => {
    const twice = [...rows, { id: 'second', product: 'Mug', price: '4' }];
    const block = [
      ['Product', 'Price, EUR'],
      ['Mug', '7'],
      ['Mug', '8'],
      ['Mug', '9'],
    ];
    const target = pastedAt(block, { all: columns, columns, rows: twice, column: 'price', row: 0 });
    expect(target.rows.map((row) => row?.id ?? null)).toEqual(['Mug', 'second', null]);
  });

  it('goes by the names of a column that is hidden too, since that was copied with it', () => {
    const block = [
      ['Product', 'Price, EUR'],
      ['Teapot', '7'],
    ];
    const target = pastedAt(block, { all: columns, columns: [price], rows, column: 'price', row: 0 });
    expect(target.rows.map((row) => row?.id)).toEqual(['Teapot']);
  });

  it('falls on the cells from the one on into which it is pasted where it brings no headings', () => {
    expect(pasted([['5'], ['6'], ['7']], 1)).toEqual([
      ['Bowl', '5', false],
      ['Teapot', '6', false],
      ['new', '7', false],
    ]);
    expect(pasted([['5']], -1)).toEqual([['new', '5', false]]);
  });
});
