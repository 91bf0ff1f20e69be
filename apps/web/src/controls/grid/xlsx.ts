import { fixedDigits } from '@nuvar/core';
import writeExcelFile, { type Cell } from 'write-excel-file/universal';
import { dayPattern } from '../../figures/format.js';
import { harmless } from './csv.js';
import type { ExportedColumn, ExportedTable } from './export-table.js';

export const XLSX_TYPE = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** A workbook keeps numbers as binary floats: what has more digits than those hold is written as text, exact. */
const MOST_DIGITS = 15;
/** A figure is kept with more digits than its format shows, for whoever goes on with it. */
const DIGITS_KEPT = 6;

/**
 * Writes a table as an XLSX workbook (ECMA-376) of one sheet: numbers as numbers in the format that they have on screen,
 * days as days in the form of the country, all else as text, and no formulas.
 */
export async function workbookOf(title: string, table: ExportedTable, locale: string): Promise<Blob> {
  const headings = table.map(({ header }): Cell => ({ value: header, type: String, fontWeight: 'bold' }));
  const pattern = dayPattern(locale);
  const columns = table.map((column) => {
    const format = numberFormat(column);
    return column.cells.map((cell) => cellOf(column, cell, format, pattern));
  });
  const rows = Array.from({ length: table[0]?.cells.length ?? 0 }, (_none, index) =>
    columns.map((cells) => cells[index] ?? null),
  );
  const widths = table.map(({ header, cells }) => ({
    width: Math.min(
      60,
      Math.max(header.length, 9, ...cells.slice(0, 400).map(({ length }) => Math.min(length, 40))) + 2,
    ),
  }));
  return writeExcelFile([headings, ...rows], {
    sheet: sheetName(title),
    stickyRowsCount: 1,
    columns: widths,
  }).toBlob();
}

function cellOf({ type, digits }: ExportedColumn, cell: string, format: string, dayFormat: string): Cell {
  if (cell === '') return null;
  if (type === 'day') return { value: new Date(`${cell}T00:00:00Z`), type: Date, format: dayFormat };
  if (type === 'text' || (digits === null && cell.replace(/[-.]|^0+/g, '').length > MOST_DIGITS))
    return { value: harmless(cell), type: String };
  const kept = digits === null ? cell : fixedDigits(cell, digits + DIGITS_KEPT, 'half-away-from-zero');
  return { value: Number(kept), type: Number, format };
}

/** The format of the numbers of a column: those that were typed with as many digits as the longest of them has. */
function numberFormat({ type, digits, cells }: ExportedColumn): string {
  if (type !== 'number') return '';
  const shown = digits ?? Math.max(0, ...cells.map((cell) => cell.split('.')[1]?.length ?? 0));
  return shown === 0 ? '#,##0' : `#,##0.${'0'.repeat(shown)}`;
}

/** Sheets have short names without some signs. */
const sheetName = (title: string) => title.replace(/[\\/?*[\]:]/g, ' ').slice(0, 31);
