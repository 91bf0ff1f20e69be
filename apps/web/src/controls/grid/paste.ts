import { newId, type Operation } from '@nuvar/book';
import type { GridWriter, InputColumn } from './grid-model.js';
import { createWith, updateWith } from './row-patches.js';

/** A block from a spreadsheet, the columns it falls on, and the rows that are there already. */
export interface PasteTarget<Row, Patch> {
  readonly block: readonly (readonly string[])[];
  readonly columns: readonly InputColumn<Row, Patch>[];
  readonly rows: readonly (Row | null)[];
  /** The names of rows that the grid does not have, by their place in the block. */
  readonly unknown?: ReadonlyMap<number, string>;
}

/** A row of a block as it was read: the row that it changes, or none where it makes one. */
export interface PastedRow<Row, Patch> {
  readonly row: Row | null;
  /** The name of a row that the grid does not have; such a row is refused. */
  readonly unknown?: string;
  /** Of each cell its own. */
  readonly patches: readonly Patch[];
  readonly cells: readonly { readonly shown: string; readonly refused: boolean }[];
  readonly refused: boolean;
}

/** Reads a pasted block cell by cell; a header that came with it is no row. */
export function readBlock<Row, Patch extends object>(target: PasteTarget<Row, Patch>): PastedRow<Row, Patch>[] {
  return withoutHeader(target).map((cells, index) => {
    const unknown = target.unknown?.get(index);
    if (unknown === undefined) return readRow(cells, target.columns, target.rows[index] ?? null);
    return {
      row: null,
      unknown,
      patches: [],
      cells: cells.map((shown) => ({ shown, refused: true })),
      refused: true,
    };
  });
}

/** What takes in all rows that could be read, as one change. */
export function operationsOf<Row, Patch extends object>(
  pasted: readonly PastedRow<Row, Patch>[],
  writer: GridWriter<Row, Patch>,
): Operation[] {
  const operations: Operation[] = [];
  for (const { row, patches, refused } of pasted)
    if (!refused)
      operations.push(
        ...(row === null
          ? (createWith(writer, newId(), patches, operations) ?? [])
          : updateWith(writer, row, patches, operations)),
      );
  return operations;
}

function readRow<Row, Patch extends object>(
  cells: readonly string[],
  columns: readonly InputColumn<Row, Patch>[],
  row: Row | null,
): PastedRow<Row, Patch> {
  const patches: Patch[] = [];
  const read = cells.slice(0, columns.length).map((text, index) => {
    if (text === '' && row === null) return { shown: '', refused: false };
    const reading = (columns[index] as InputColumn<Row, Patch>).read(text, row);
    if ('refusal' in reading) return { shown: reading.refusal, refused: true };
    patches.push(reading.patch);
    return { shown: reading.shown, refused: false };
  });
  return { row, patches, cells: read, refused: read.some((cell) => cell.refused) };
}

/** A block that was copied with its headers brings them along; they are no row. */
function withoutHeader<Row, Patch>({ block, columns }: PasteTarget<Row, Patch>): readonly (readonly string[])[] {
  const isHeader = block[0]?.every((cell, index) => cell.toLowerCase() === columns[index]?.header.toLowerCase());
  return isHeader ? block.slice(1) : block;
}
