/** A file that is not taken, and why, in a sentence that a person can act on. */
export class ImportRefusal extends Error {}

/** Files larger than this are not opened. */
export const MOST_BYTES = 20 * 1024 * 1024;

/** A price list has some thousand rows and a dozen columns; a table that reaches farther is something else. */
const MOST_ROWS = 100_000;
const MOST_COLUMNS = 256;

/** Refuses a table that reaches too far, before it is laid out. */
export function refuseExtent(rows: number, columns: number): void {
  if (rows <= MOST_ROWS && columns <= MOST_COLUMNS) return;
  throw new ImportRefusal(
    `This table reaches over ${sayCount(rows)} rows and ${sayCount(columns)} columns, which is more than a price list has. Leave the rows and columns of the list, and try again.`,
  );
}

const sayCount = (count: number) => (Number.isFinite(count) ? count.toLocaleString('en') : 'no one knows how many');

export const inMegabytes = (bytes: number) => `${Math.round(bytes / 1024 / 1024)} MB`;
