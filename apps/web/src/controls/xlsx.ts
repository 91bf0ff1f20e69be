import { isDecimalText } from '@nuvar/book';
import writeExcelFile, { type Cell } from 'write-excel-file/universal';
import { harmless } from './csv.js';

export const XLSX_TYPE = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** A workbook keeps numbers as binary floats: what has more digits than those hold is written as text, exact. */
const MOST_DIGITS = 15;

/** Writes a table as an XLSX workbook (ECMA-376) of one sheet: numbers as numbers, all else as text, and no formulas. */
export async function workbookOf(
  title: string,
  header: readonly string[],
  cells: readonly (readonly string[])[],
): Promise<Blob> {
  const headings = header.map((text): Cell => ({ value: text, type: String, fontWeight: 'bold' }));
  const rows = cells.map((row) => row.map(cellOf));
  return writeExcelFile([headings, ...rows], { sheet: sheetName(title), stickyRowsCount: 1 }).toBlob();
}

function cellOf(text: string): Cell {
  if (text === '') return null;
  const isNumber = isDecimalText(text) && text.replace(/[-.]|^0+/g, '').length <= MOST_DIGITS;
  return isNumber ? { value: Number(text), type: Number } : { value: harmless(text), type: String };
}

/** Sheets have short names without some signs. */
const sheetName = (title: string) => title.replace(/[\\/?*[\]:]/g, ' ').slice(0, 31);
