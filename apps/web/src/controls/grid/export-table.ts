import { isDecimalText } from '@nuvar/book';
import { fixedDigits, readNumber, type FigureView } from '@nuvar/core';
import { engine } from '../../engine/engine.js';
import { decimalSign, digitsOf, typedText, unitWords, type Style } from '../../figures/format.js';
import {
  isInput,
  shownText,
  type Column,
  type FigureColumn,
  type InputColumn,
  type ShownColumn,
} from './grid-model.js';

/** A column of a table that is exported. */
export interface ExportedColumn {
  readonly header: string;
  /** Numbers are decimal strings, days are ISO days, all else is text as it stands on screen. */
  readonly type: 'text' | 'number' | 'day';
  /** With how many digits after the point its figures are shown; null for numbers that are shown as they were typed. */
  readonly digits: number | null;
  readonly cells: readonly string[];
}

/** A grid as columns for a file: what was typed as it is stored, figures exact, units in the header or beside. */
export type ExportedTable = readonly ExportedColumn[];

/**
 * The columns of a grid for a file. Where all cells of a column have one unit, its header says it; where they differ, a
 * column of units stands beside. Of what a grid only shows, names and other texts go out, strips do not. Rejected where
 * figures cannot be worked out.
 */
export async function exportedTable<Row, Patch>(
  columns: readonly Column<Row, Patch>[],
  rows: readonly Row[],
  style: Style,
): Promise<ExportedTable> {
  const parts = await Promise.all(
    columns.map(async (column) => {
      if (isInput(column)) return typedColumns(column, rows, style);
      return column.type === 'figure'
        ? figureColumns(column, await figuresOf(column, rows), style)
        : textColumns(column, rows);
    }),
  );
  return parts.flat();
}

/** The cells of a grid as they stand on screen, header first: what a spreadsheet, and a grid, takes when it is pasted. */
export async function copiedCells<Row, Patch>(
  columns: readonly Column<Row, Patch>[],
  rows: readonly Row[],
  style: Style,
): Promise<string[][]> {
  const kept = columns.filter((column) => column.type !== 'shown' || column.text !== undefined);
  const byColumn = await Promise.all(
    kept.map(async (column) => {
      if (isInput(column)) return rows.map((row) => shownText(column, row));
      if (column.type !== 'figure') return rows.map((row) => column.text?.(row) ?? '');
      const [figures] = figureColumns(column, await figuresOf(column, rows), style);
      return (figures?.cells ?? []).map((cell) =>
        cell === '' ? '' : typedText(fixedDigits(cell, figures?.digits ?? 2, style.rounding), style.locale),
      );
    }),
  );
  return [kept.map(({ header }) => header), ...rows.map((_row, index) => byColumn.map((cells) => cells[index] ?? ''))];
}

const figuresOf = async <Row>(column: FigureColumn<Row>, rows: readonly Row[]) => {
  const views = await engine.ask(column.view, rows.map(column.of));
  return rows.map((row, index) => column.pick(views[index], row));
};

function textColumns<Row>({ header, text }: ShownColumn<Row>, rows: readonly Row[]): ExportedColumn[] {
  return text === undefined ? [] : [{ header, type: 'text', digits: null, cells: rows.map(text) }];
}

function typedColumns<Row, Patch>(
  column: InputColumn<Row, Patch>,
  rows: readonly Row[],
  { locale }: Style,
): ExportedColumn[] {
  const { type, unit } = column;
  if (type !== 'number' && type !== 'day')
    return [{ header: column.header, type: 'text', digits: null, cells: rows.map(column.text) }];
  const sign = decimalSign(locale);
  const numberOf = (row: Row) => {
    const text = column.text(row);
    return readNumber(text, sign)?.value ?? text;
  };
  const cells = rows.map((row) => (column.text(row) === '' ? '' : (column.stored?.(row) ?? numberOf(row))));
  const isNumeric = type === 'number' && cells.every((cell) => cell === '' || isDecimalText(cell));
  const isMixed = unit !== undefined && rows.some((row) => column.text(row) !== '' && unit.of(row) !== unit.usual);
  const all: ExportedColumn = {
    header: isMixed ? unit.header : column.header,
    type: type === 'day' ? 'day' : isNumeric ? 'number' : 'text',
    digits: null,
    cells: type === 'number' && !isNumeric ? rows.map((row) => shownText(column, row)) : cells,
  };
  if (!isMixed) return [all];
  const units = rows.map((row) => (column.text(row) === '' ? '' : unit.of(row)));
  return [all, { header: unit.name, type: 'text', digits: null, cells: units }];
}

function figureColumns<Row>(
  column: FigureColumn<Row>,
  figures: readonly (FigureView | undefined)[],
  style: Style,
): ExportedColumn[] {
  const known = figures.flatMap((figure) => (figure?.amount == null ? [] : [{ ...figure, amount: figure.amount }]));
  const units = [...new Set(known.map(({ unit }) => unit))];
  const digits = column.digits ?? Math.max(0, ...known.map(({ amount, unit }) => digitsOf(amount, unit, style)));
  const [only = ''] = units;
  const isSaid = units.length !== 1 || only === '' || column.header.includes(only);
  const all: ExportedColumn = {
    header: isSaid ? column.header : `${column.header}, ${unitWords(only)}`,
    type: 'number',
    digits,
    cells: figures.map((figure) => figure?.amount ?? ''),
  };
  if (units.length < 2) return [all];
  const beside = figures.map((figure) => (figure?.amount == null ? '' : unitWords(figure.unit)));
  return [all, { header: `${column.header}, unit`, type: 'text', digits: null, cells: beside }];
}
