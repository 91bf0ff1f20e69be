import { fieldValue, inOrder, type Kind, type Override, type RowOf, type Write } from '@nuvar/book';
import { emptyInput, type Figure, figureGap, input } from '../figure/index.js';
import { type Calculation, type InputLeaf, type Sheet, WHOLE_BOOK } from './calculation.js';
import type { Cell, Source } from './cell.js';
import { allRows, type Cells, contentsPointing, oneRow, rowsPointing, type Touched } from './cells.js';
import type { Graph } from './graph.js';
import type { RowName, RowsBelow } from './layer.js';
/** A state of a book that calculations are worked out on: the book itself, or a fork of it with overrides laid over it. */
export interface Ground {
  readonly rows: RowsBelow;
  readonly sheet: Sheet;
  /** The grounds of forks of this one. */
  readonly forks: Set<ForkGround>;
  /** The cell of a calculation that counts here, brought up to date; `before` is the one that it was, where that is known. */
  cellOf(calculation: Calculation<unknown>, id: string, before?: Cell | null): Cell;
  /** What a source says here; whoever reads it depends on it. */
  source<Value>(source: Source, id: string, fill: (rows: RowsBelow) => Value): Value;
  input(kind: Kind, row: { readonly id: string }, field: string, leaf: InputLeaf): Figure;
}

/** The ground of the book itself. */
export interface BookGround extends Ground {
  /** Applies writes to the rows; forks follow. */
  apply(writes: readonly Write[]): void;
}

/** The ground of a fork. */
export interface ForkGround extends Ground {
  /** Lays overrides in place of those that lie here. */
  lay(overrides: readonly Override[]): void;
  /** Follows changed rows of its parent, and the sources that are others there. */
  follow(rows: readonly RowName[], touched: readonly Touched[]): void;
  /** Lets go of everything: the book no longer knows that it was there. */
  end(): void;
}

/** The cell that the reader read at this place last time, where it is of what is asked for: mostly it is the one. */
export function lastRead(graph: Graph, what: Cell['of'], id: string): Cell | undefined {
  const reader = graph.readers.at(-1);
  const last = reader?.dependencies[reader.readAgain];
  return last !== undefined && last.of === what && last.id === id ? last : undefined;
}

/** The same, where it is a cell of this ground: then nothing is looked up. */
export function knownCell(graph: Graph, sheet: Sheet, what: Cell['of'], id: string): Cell | undefined {
  const last = lastRead(graph, what, id);
  return last?.sheet === sheet && !last.dropped ? last : undefined;
}

/** What a source says is remembered in its cell until the source is touched. */
export function sourceRead<Value>(
  graph: Graph,
  { rows, sheet }: Ground,
  cells: Cells,
  source: Source,
  id: string,
  fill: (rows: RowsBelow) => Value,
): Value {
  const cell = knownCell(graph, sheet, source, id) ?? cells.of(source, id);
  graph.dependOn(cell);
  return (cell.value ??= fill(rows)) as Value;
}

/** Says of sources that they have become others, where anyone ever read them here. */
export function touch(graph: Graph, cells: Cells, touched: readonly Touched[]): void {
  for (const { source, id } of touched) {
    const cell = cells.find(source, id);
    if (cell !== undefined) graph.touch(cell);
  }
}

/** The sheet of a ground: what calculations that are worked out on it read from. */
export function sheetOf(graph: Graph, ground: Ground, asOf: string): Sheet {
  const all = <K extends Kind>(kind: K): readonly RowOf<K>[] =>
    ground
      .source(allRows(kind), WHOLE_BOOK, (rows) => inOrder(rows.all(kind)).map(idOf))
      .map((id) => sheet.row(kind, id) as RowOf<K>);
  const sheet: Sheet = {
    asOf,
    row: (kind, id) => ground.source(oneRow(kind), id, (rows) => rows.row(kind, id)),
    rowsOf: (kind, field, id) =>
      ground.source(contentsPointing(kind, field), id, (rows) => inOrder(rows.rowsWith(kind, field, id))),
    idsOf: (kind, field, id) =>
      ground.source(rowsPointing(kind, field), id, (rows) => inOrder(rows.rowsWith(kind, field, id)).map(idOf)),
    all,
    settings: () => all('settings')[0] as RowOf<'settings'>,
    read<Result>(calculation: Calculation<Result>, id: string) {
      const cell = ground.cellOf(calculation, id);
      graph.dependOn(cell);
      return cell.value as Result;
    },
    input: (kind, row, field, leaf) => ground.input(kind, row, field, leaf),
    ...graph.operations,
  };
  return sheet;
}

const idOf = ({ id }: { readonly id: string }) => id;

/** A field as the row says it; where it is empty, the gap that asks for it. */
export function plainInput(kind: Kind, row: { readonly id: string }, field: string, leaf: InputLeaf): Figure {
  const place = { kind, id: row.id, field };
  const value = fieldValue(row, field) as string | number | null;
  if (value !== null) return input(leaf, place, value);
  return emptyInput(leaf, place, leaf.whenEmpty?.(place) ?? figureGap('row-missing', place, { subject: leaf.name }));
}
