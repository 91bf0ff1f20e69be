import { ImportRefusal } from './import-refusal.js';
import { readFile } from './read-file.js';

/** The first table of a CSV file or an XLSX workbook. Throws `ImportRefusal` with a sentence where there is none to be read. */
export async function tableOfFile(file: File): Promise<string[][]> {
  const [first] = (await readFile(file)).tables;
  if (first === undefined || first.table.length === 0) throw new ImportRefusal(`${file.name} has no rows.`);
  return first.table;
}
