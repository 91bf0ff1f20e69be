import { strFromU8, unzipSync } from 'fflate';
import readWorkbook from 'read-excel-file/universal';
import { ImportRefusal, inMegabytes, refuseExtent } from './import-refusal.js';

/** A workbook that unpacks to more than this is refused unread, however small its file is. */
const MOST_UNPACKED = 120 * 1024 * 1024;
const MOST_PARTS = 2000;

/** A sheet of a workbook as a table of texts. */
export interface ReadSheet {
  readonly name: string;
  readonly table: string[][];
}

/**
 * Reads the sheets of an XLSX workbook (ECMA-376). Formulas are not worked out: the values that were saved with them are
 * taken. What the directory of the file says it unpacks to is held against a limit before anything is unpacked, and what
 * unpacks to more than it said is refused by the library.
 */
export async function readSheets(bytes: Uint8Array): Promise<ReadSheet[]> {
  refuseBombs(bytes);
  refuseFarCells(bytes);
  // As numbers are written: one that passed through a binary float may have grown digits.
  const sheets = await readWorkbook(new Blob([bytes as BlobPart]), { parseNumber: (text) => text }).catch(
    (error: unknown) => {
      const detail = error instanceof Error ? error.message : 'it is broken';
      throw new ImportRefusal(`This workbook could not be read: ${detail}. Save it again as XLSX, or as CSV.`);
    },
  );
  return sheets.map(({ sheet, data }) => ({ name: sheet, table: data.map((row) => row.map(textOf)) }));
}

function refuseBombs(bytes: Uint8Array): void {
  let [unpacked, parts] = [0, 0];
  try {
    // The filter is asked for every part before it is unpacked, and takes none.
    unzipSync(bytes, {
      filter: ({ originalSize }) => {
        unpacked += originalSize;
        parts += 1;
        return false;
      },
    });
  } catch {
    throw new ImportRefusal('This is not an XLSX workbook. Save it again as XLSX, or as CSV.');
  }
  if (unpacked > MOST_UNPACKED || parts > MOST_PARTS)
    throw new ImportRefusal(
      `This workbook would unpack to ${inMegabytes(unpacked)} in ${parts} parts, which is more than a price list needs. It was not opened.`,
    );
}

/** A cell or a row of a sheet with its place. An attribute ends before the next tag begins: no tag is looked at twice. */
const PLACED = /<(?:\w+:)?(?:c|row)\s[^<>]*?(?<![:\w])r\s*=\s*(?:"([^"<]*)"|'([^'<]*)')/g;

/** The table of a sheet reaches to its farthest cell, however few there are: that cell is looked for first. */
function refuseFarCells(bytes: Uint8Array): void {
  for (const part of Object.values(unzipSync(bytes))) {
    let [rows, columns] = [0, 0];
    for (const [, inDouble, inSingle] of strFromU8(part, true).matchAll(PLACED)) {
      const place = placeOf(inDouble ?? inSingle ?? '');
      rows = Math.max(rows, place.row);
      columns = Math.max(columns, place.column);
    }
    refuseExtent(rows, columns);
  }
}

/** "AB12" is row 12, column 28; a row alone has no column. What is no place is farther than any. */
function placeOf(reference: string): { readonly row: number; readonly column: number } {
  const [, letters = '', digits = ''] = /^([A-Z]{0,7})(\d{1,9})$/i.exec(reference) ?? [];
  if (digits === '') return { row: Infinity, column: Infinity };
  const column = [...letters.toUpperCase()].reduce((sum, letter) => sum * 26 + letter.charCodeAt(0) - 64, 0);
  return { row: Number(digits), column };
}

/** Numbers are rounded to the 15 digits that a workbook keeps; days become "2026-03-31". */
function textOf(cell: unknown): string {
  if (cell === null || cell === undefined) return '';
  if (cell instanceof Date) return cell.toISOString().slice(0, 10);
  const text = String(cell);
  return /^-?\d+\.\d{13,}$|e[-+]?\d+$/i.test(text) && !Number.isNaN(Number(text))
    ? Number(Number(text).toPrecision(15)).toString()
    : text;
}
