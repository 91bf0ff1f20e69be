import { isDecimalText, LIKE_A_FORMULA } from '@nuvar/book';
import Papa from 'papaparse';

/** Text that a spreadsheet would take for a formula is made harmless; numbers stay numbers. */
export const harmless = (text: string) => (LIKE_A_FORMULA.test(text) && !isDecimalText(text) ? `'${text}` : text);

/** Writes cells as CSV (RFC 4180, UTF-8 with a byte order mark, as spreadsheets expect it). */
export function csvOf(rows: readonly (readonly string[])[], delimiter: ',' | ';'): string {
  return `\ufeff${Papa.unparse(
    rows.map((row) => [...row]),
    { newline: '\r\n', delimiter },
  )}\r\n`;
}

/** Reads a block as a spreadsheet copies it: cells between tabs, rows between line breaks. */
export function blockOf(text: string): string[][] {
  return Papa.parse<string[]>(text.replace(/\r?\n$/, ''), { delimiter: '\t' }).data.map((row) =>
    row.map((cell) => cell.trim()),
  );
}

/** Writes a block as a spreadsheet takes it. */
export function textOfBlock(rows: readonly (readonly string[])[]): string {
  return rows.map((row) => row.map((cell) => cell.replace(/[\t\r\n]+/g, ' ')).join('\t')).join('\n');
}

/** Hands something to the person as a file. */
export function saveFile(name: string, content: string | Blob, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = Object.assign(document.createElement('a'), { href: url, download: name });
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}
