import { nameKey } from '@nuvar/book';
import { type DecimalSign, readNumber } from '../../number/index.js';

/** A product as a row of a table says it: its own figures by field, and what it takes of each resource, as decimals. */
export interface TableProduct {
  readonly name: string;
  readonly fields: Readonly<Partial<Record<TableField, string>>>;
  /** In the order of the resources; null where nothing stands. */
  readonly uses: readonly (string | null)[];
}

/** A mix as a table of products x resources. */
export interface MixTable {
  readonly products: readonly TableProduct[];
  readonly resources: readonly { readonly name: string; readonly available: string | null }[];
  /** What could not be read, in sentences, by its row and column as a spreadsheet counts them. */
  readonly refused: readonly string[];
}

const FIELDS = {
  contribution: ['contribution', 'leaves'],
  revenue: ['revenue', 'net revenue', 'price'],
  minimum: ['minimum', 'at least', 'min'],
  maximum: ['maximum', 'at most', 'max'],
  quantity: ['quantity', 'units'],
  setUpCost: ['set-up', 'set-up cost', 'setup', 'setup cost'],
} as const;
export type TableField = keyof typeof FIELDS;

const AVAILABLE = new Set(['available', 'availability', 'limit', 'capacity'].map(nameKey));
const MOST_ROWS = 5000;
const MOST_REFUSED = 20;

const fieldOf = (header: string): TableField | undefined =>
  (Object.keys(FIELDS) as TableField[]).find((field) =>
    FIELDS[field].some((word) => nameKey(word) === nameKey(header)),
  );

/**
 * Reads a mix of products x resources: the first row names the columns, the first column the products. Columns called
 * contribution, revenue, at least, at most, quantity or set-up cost are of the product, every other one is a resource; a row
 * called available says how much of each there is. What is no number, or below zero, is refused and left out.
 */
export function readMixTable(cells: readonly (readonly string[])[], sign: DecimalSign): MixTable {
  const [headers = [], ...rows] = cells.filter((row) => row.some((cell) => cell.trim() !== '')).slice(0, MOST_ROWS);
  const columns = headers
    .slice(1)
    .map((header, index) => ({ header: header.trim(), index: index + 1, field: fieldOf(header.trim()) }));
  const resourceColumns = columns.filter(({ header, field }) => field === undefined && header !== '');
  const refused: string[] = [];
  const numberAt = (
    row: readonly string[],
    rowIndex: number,
    { header, index, field }: (typeof columns)[number],
  ): string | null => {
    const text = (row[index] ?? '').trim();
    if (text === '') return null;
    const read = readNumber(text, sign);
    if (read === null || (read.value.startsWith('-') && field !== 'contribution')) {
      if (refused.length < MOST_REFUSED)
        refused.push(`Row ${rowIndex + 2}, ${header}: "${text}" is ${read === null ? 'no number' : 'below zero'}.`);
      return null;
    }
    return read.value;
  };
  const available = rows.findIndex(([name = '']) => AVAILABLE.has(nameKey(name.trim())));
  const products = rows.flatMap((row, rowIndex): TableProduct[] => {
    const name = (row[0] ?? '').trim().slice(0, 120);
    if (rowIndex === available || name === '') return [];
    const fields = columns.flatMap((column) => {
      const value = column.field === undefined ? null : numberAt(row, rowIndex, column);
      return value === null ? [] : [[column.field as TableField, value] as const];
    });
    return [
      {
        name,
        fields: Object.fromEntries(fields),
        uses: resourceColumns.map((column) => numberAt(row, rowIndex, column)),
      },
    ];
  });
  const ofAvailable = rows[available];
  return {
    products,
    resources: resourceColumns.map((column) => ({
      name: column.header.slice(0, 120),
      available: ofAvailable === undefined ? null : numberAt(ofAvailable, available, column),
    })),
    refused,
  };
}
