import { describe, expect, it } from 'vitest';
import { byHeadings } from './by-headings.js';
import type { InputColumn } from './grid-model.js';

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
