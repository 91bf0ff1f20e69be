import type { InputColumn } from './grid-model.js';

/** Rows to be taken in, and the columns on which their cells fall. */
export interface PlacedRows<Row, Patch> {
  readonly block: readonly (readonly string[])[];
  readonly columns: readonly InputColumn<Row, Patch>[];
}

const plain = (text: string) => text.trim().toLowerCase();

/**
 * A table from a file, cell by cell on the columns of a grid: by its headings where at least two of them are those of
 * columns, whatever their order and whatever else is there; else one column after the other, as a block is pasted.
 */
export function byHeadings<Row, Patch>(
  table: readonly (readonly string[])[],
  columns: readonly InputColumn<Row, Patch>[],
): PlacedRows<Row, Patch> {
  const headings = (table[0] ?? []).map(plain);
  const found = columns.flatMap((column) => {
    const at = headings.indexOf(plain(column.header));
    return at < 0 ? [] : [{ column, at }];
  });
  if (found.length < 2) return { block: table, columns };
  const rows = table.slice(1).filter((cells) => cells.some((cell) => cell.trim() !== ''));
  return {
    block: rows.map((cells) => found.map(({ at }) => (cells[at] ?? '').trim())),
    columns: found.map(({ column }) => column),
  };
}
