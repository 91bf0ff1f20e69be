import { type Column, type InputColumn, isInput } from './grid-model.js';
import type { PasteTarget } from './paste.js';

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
  const found = underHeadings(table, columns);
  return found.columns.length < 2 ? { block: table, columns } : found;
}

/** Those columns whose headings stand in the first row of a table, and the cells under them. */
function underHeadings<Headed extends { readonly header: string }>(
  table: readonly (readonly string[])[],
  columns: readonly Headed[],
): { readonly block: readonly (readonly string[])[]; readonly columns: readonly Headed[] } {
  const headings = (table[0] ?? []).map(plain);
  const found = columns.flatMap((column) => {
    const at = headings.indexOf(plain(column.header));
    return at < 0 ? [] : [{ column, at }];
  });
  const rows = table.slice(1).filter((cells) => cells.some((cell) => cell.trim() !== ''));
  return {
    block: rows.map((cells) => found.map(({ at }) => (cells[at] ?? '').trim())),
    columns: found.map(({ column }) => column),
  };
}

/** The cell of a grid into which something is pasted. */
interface PastePlace<Row, Patch> {
  /** All columns of the grid; copied are those too that are hidden. */
  readonly all: readonly Column<Row, Patch>[];
  /** Those that are in view. */
  readonly columns: readonly Column<Row, Patch>[];
  readonly rows: readonly Row[];
  /** The id of its column. */
  readonly column: string;
  /** The place of its row; below 0 for the row that is new. */
  readonly row: number;
}

/**
 * A block from the clipboard on the cells of a grid. One that brings headings, as the grid itself copies them, falls on the
 * columns that they name, and on the rows whose names stand in it: it may come back sorted, or in part. Any other falls on
 * the cells from that one on into which it is pasted.
 */
export function pastedAt<Row, Patch>(
  block: readonly (readonly string[])[],
  { all, columns, rows, column, row }: PastePlace<Row, Patch>,
): PasteTarget<Row, Patch> {
  const below = row < 0 ? [] : rows.slice(row);
  const found = underHeadings(block, all.filter(isInput));
  const names = underHeadings(
    block,
    all.flatMap((each) => (each.type === 'shown' && each.text !== undefined ? { ...each, text: each.text } : [])),
  );
  if (found.columns.length === 0 || found.columns.length + names.columns.length < 2) {
    const from = columns.findIndex(({ id }) => id === column);
    return { block, columns: columns.slice(from).filter(isInput), rows: below };
  }
  if (names.columns.length === 0) return { ...found, rows: below };
  const named = rowsNamed(rows, (each) => names.columns.map(({ text }) => text(each)), names.block);
  return {
    ...found,
    rows: named,
    unknown: new Map(named.flatMap((each, at) => (each === null ? [[at, (names.block[at] ?? []).join(', ')]] : []))),
  };
}

/** The row of each of some names, each row once: of two rows of one name the first comes first; null where none is left. */
function rowsNamed<Row>(
  rows: readonly Row[],
  namesOf: (row: Row) => readonly string[],
  wanted: readonly (readonly string[])[],
): (Row | null)[] {
  const key = (names: readonly string[]) => JSON.stringify(names.map(plain));
  const unused = new Map<string, Row[]>();
  for (const row of rows) {
    const known = unused.get(key(namesOf(row)));
    if (known === undefined) unused.set(key(namesOf(row)), [row]);
    else known.push(row);
  }
  return wanted.map((names) => unused.get(key(names))?.shift() ?? null);
}
