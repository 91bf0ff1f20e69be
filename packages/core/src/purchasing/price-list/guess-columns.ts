import { type DecimalSign, readNumber } from '../../number/index.js';
import { type ColumnMapping, fieldOfHeading, isHeading, type PriceListField } from './fields.js';
import { type DayOrder, readDay } from '../../calendar/index.js';

/** What was found out about a table: where its rows begin, what its columns hold, how its numbers are written. */
export interface GuessedTable {
  readonly firstRow: number;
  readonly mapping: ColumnMapping;
  readonly decimalSign: DecimalSign;
  readonly dayOrder: DayOrder;
}

const MOST_ROWS_LOOKED_AT = 200;
const MOST_ROWS_BEFORE_HEADINGS = 15;
/** Whatever is longer is no number, day or code. */
const MOST_LETTERS_LOOKED_AT = 250;

/**
 * Guesses the columns of a price list: by its headings where it has any (they may stand under an address) and their cells
 * bear them out, else by what the cells look like. A field is given to one column only.
 */
export function guessColumns(table: readonly (readonly string[])[], usualSign: DecimalSign): GuessedTable {
  const headingAt = table.slice(0, MOST_ROWS_BEFORE_HEADINGS).findIndex(isHeading);
  const firstRow = headingAt + 1;
  const sample = table.slice(firstRow, firstRow + MOST_ROWS_LOOKED_AT);
  const width = Math.max(0, ...sample.map((row) => row.length), headingAt < 0 ? 0 : (table[headingAt]?.length ?? 0));
  const columns = Array.from({ length: width }, (_each, index) =>
    sample.map((row) => (row[index] ?? '').slice(0, MOST_LETTERS_LOOKED_AT).trim()),
  );
  const decimalSign = guessDecimalSign(columns.flat(), usualSign);
  const headings = headingAt < 0 ? null : (table[headingAt] ?? []);
  const asked = columns.map((cells, index) =>
    headings === null
      ? fieldOfCells(cells, decimalSign)
      : settledField(fieldOfHeading(headings[index] ?? ''), cells, decimalSign),
  );
  const mapping = asked.map((field, index) =>
    field !== null && bestOf(field, asked, columns) === index ? field : null,
  );
  return { firstRow, mapping: withName(mapping, columns), decimalSign, dayOrder: guessDayOrder(columns.flat()) };
}

/** A list without a name is of no use: the column with the longest texts is taken for it. */
function withName(mapping: readonly (PriceListField | null)[], columns: readonly (readonly string[])[]): ColumnMapping {
  if (mapping.includes('name')) return mapping;
  const lengths = columns.map((cells, index) => (mapping[index] === null ? lettersIn(cells) : -1));
  const longest = lengths.indexOf(Math.max(...lengths));
  return mapping.map((field, index) => (index === longest && (lengths[index] ?? 0) > 0 ? 'name' : field));
}

const lettersIn = (cells: readonly string[]): number =>
  cells.reduce((sum, cell) => sum + cell.replace(/[^\p{L}]/gu, '').length, 0);

/** Of several columns that ask for one field the first; of those that ask for the name the one with most letters. */
function bestOf(
  field: PriceListField,
  asked: readonly (PriceListField | null)[],
  columns: readonly (readonly string[])[],
): number {
  const asking = asked.flatMap((each, index) => (each === field ? [index] : []));
  if (field !== 'name') return asking[0] ?? -1;
  return asking.reduce((best, index) =>
    lettersIn(columns[index] ?? []) > lettersIn(columns[best] ?? []) ? index : best,
  );
}

/**
 * What a column holds by its heading, where its cells bear that out: a column that is called "Article" and holds codes is
 * one of codes, and one that is called "Price" and holds words is none.
 */
function settledField(
  heading: PriceListField | null,
  cells: readonly string[],
  sign: DecimalSign,
): PriceListField | null {
  const most = mostOf(cells);
  switch (heading) {
    case 'name':
      return most(isCode) ? 'code' : most((cell) => readNumber(cell, sign) !== null) ? null : 'name';
    case 'price':
    case 'minimumOrder':
    case 'orderedPacks':
      return cells.every((cell) => cell === '') || most((cell) => /\d/.test(cell)) ? heading : null;
    default:
      return heading;
  }
}

const isCode = (cell: string) => /^(?=.*\d)[\w./-]{2,20}$/.test(cell);

/** True where a test holds for most of the cells that are filled. */
function mostOf(cells: readonly string[]): (test: (cell: string) => boolean) => boolean {
  const filled = cells.filter((cell) => cell !== '');
  return (test) => filled.length > 0 && filled.filter(test).length > filled.length * 0.7;
}

function fieldOfCells(cells: readonly string[], sign: DecimalSign): PriceListField | null {
  const most = mostOf(cells);
  if (most((cell) => readDay(cell, 'day first') !== null)) return 'validFrom';
  if (most((cell) => /^[A-Z]{3}$/.test(cell))) return 'currency';
  if (most((cell) => /\p{Sc}/u.test(cell) || /^-?\d+[.,]\d{2}$/.test(cell))) return 'price';
  if (most((cell) => readNumber(cell, sign)?.unit != null)) return 'pack';
  if (most((cell) => readNumber(`1 ${cell}`, sign)?.unit != null)) return 'unit';
  if (most((cell) => readNumber(cell, sign) !== null)) return 'pack';
  if (most(isCode)) return 'code';
  return null;
}

/**
 * The decimal sign of a list: the one that stands before one, two or four and more last digits, or after a sign of another
 * kind, more often than the other; the usual one where nothing tells.
 */
export function guessDecimalSign(cells: readonly string[], usual: DecimalSign): DecimalSign {
  const votes = { '.': 0, ',': 0 };
  for (const cell of cells) {
    if (readDay(cell, 'day first') !== null) continue;
    const [, sign] = /\d([.,])(?:\d{1,2}|\d{4,})(?:\D|$)/.exec(cell.replace(/\d[.,](?=\d{3}[.,])/g, '1')) ?? [];
    if (sign === '.' || sign === ',') votes[sign] += 1;
  }
  if (votes['.'] === votes[',']) return usual;
  return votes['.'] > votes[','] ? '.' : ',';
}

/** "25/12/2026" can only be the 25th of December: one such cell settles the order for the list. */
function guessDayOrder(cells: readonly string[]): DayOrder {
  const monthFirst = cells.some((cell) => {
    const [, first, second] = /^(\d{1,2})[/.-](\d{1,2})[/.-]\d{2,4}$/.exec(cell) ?? [];
    return Number(second) > 12 && Number(first) <= 12;
  });
  return monthFirst ? 'month first' : 'day first';
}
