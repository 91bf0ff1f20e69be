import Papa from 'papaparse';
import { refuseExtent } from './import-refusal.js';

/** A text and the encoding in which it was read. */
export interface ReadText {
  readonly text: string;
  readonly encoding: string;
}

/**
 * Reads the bytes of a text file: by its byte order mark where it has one, as UTF-8 where that fits, else as Windows-1252,
 * in which older programs still write. The encoding is said beside the preview, so that odd letters can be traced.
 */
export function readText(bytes: Uint8Array): ReadText {
  const begins = (...mark: number[]) => mark.every((byte, index) => bytes[index] === byte);
  if (begins(0xff, 0xfe)) return { text: new TextDecoder('utf-16le').decode(bytes), encoding: 'UTF-16' };
  if (begins(0xfe, 0xff)) return { text: new TextDecoder('utf-16be').decode(bytes), encoding: 'UTF-16' };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' };
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'Windows-1252' };
  }
}

const SEPARATORS = ['\t', ';', '|', ','];
const ROWS_TRIED = 50;

/** Reads a table from text (RFC 4180), with whatever sign between its cells it was written. */
export function tableOfText(text: string): string[][] {
  const bare = text.replace(/^\ufeff/, '');
  const table = Papa.parse<string[]>(bare, { delimiter: separatorOf(bare) }).data;
  refuseExtent(
    table.length,
    table.reduce((widest, row) => Math.max(widest, row.length), 0),
  );
  return table;
}

/**
 * The sign that cuts most rows into the same number of cells. A comma may also stand inside numbers, so that the others
 * are preferred where they do as well.
 */
function separatorOf(text: string): string {
  const scores = SEPARATORS.map((delimiter) => {
    const rows = Papa.parse<string[]>(text, { delimiter, preview: ROWS_TRIED, skipEmptyLines: true }).data;
    const widths = rows.map((row) => row.length).filter((width) => width > 1);
    const alike = Math.max(0, ...widths.map((width) => widths.filter((other) => other === width).length));
    return { delimiter, alike };
  });
  return scores.reduce((best, each) => (each.alike > best.alike ? each : best)).delimiter;
}
