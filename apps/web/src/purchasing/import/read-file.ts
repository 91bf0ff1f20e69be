import { ImportRefusal, inMegabytes, MOST_BYTES } from './import-refusal.js';
import { readText, tableOfText } from './read-text.js';

/** What was read from a file or from pasted text: tables, of which one is taken in. */
export interface ReadSource {
  readonly name: string;
  /** How it was read, for the person to see. */
  readonly said: string;
  readonly tables: readonly { readonly name: string; readonly table: string[][] }[];
}

const ZIP = [0x50, 0x4b];

/** Reads a price list or an invoice: CSV and the like, XLSX, or a UBL 2.1 invoice. What it is shows in its first bytes. */
export async function readFile(file: File): Promise<ReadSource> {
  if (file.size > MOST_BYTES)
    throw new ImportRefusal(
      `${file.name} has ${inMegabytes(file.size)}; at most ${inMegabytes(MOST_BYTES)} are opened.`,
    );
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (bytes.length === 0) throw new ImportRefusal(`${file.name} is empty.`);
  if (ZIP.every((byte, index) => bytes[index] === byte)) {
    const { readSheets } = await import('./read-workbook.js');
    const sheets = (await readSheets(bytes)).filter(({ table }) => table.length > 0);
    if (sheets.length === 0) throw new ImportRefusal(`${file.name} has no rows.`);
    return { name: file.name, said: `XLSX workbook, ${sheets.length} sheets`, tables: sheets };
  }
  const { text, encoding } = readText(bytes);
  if (text.includes('\0')) throw new ImportRefusal(`${file.name} is neither text nor an XLSX workbook.`);
  if (/^\s*<\?xml|^\s*<[\w:]*Invoice/.test(text)) {
    const { linesOfInvoice } = await import('./ubl-invoice.js');
    return { name: file.name, said: 'UBL invoice', tables: [{ name: 'Invoice lines', table: linesOfInvoice(text) }] };
  }
  return { name: file.name, said: `text in ${encoding}`, tables: [{ name: file.name, table: tableOfText(text) }] };
}

/** Reads what was pasted. */
export function readPasted(text: string): ReadSource {
  return { name: 'Pasted rows', said: '', tables: [{ name: 'Pasted', table: tableOfText(text) }] };
}
