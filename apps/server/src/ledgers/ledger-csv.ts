// Raw SQL: a whole ledger goes out by pages, with the names of what its rows point to.
import { type Ledger, LIKE_A_FORMULA } from '@nuvar/book';
import Papa from 'papaparse';
import type { EntityManager } from 'typeorm';

/** So many rows are read from the database at a time: the whole ledger is never in memory. */
const AT_A_TIME = 5_000;

/** What of a ledger goes out: headings, and the statement that gives a page of rows after a day (`$2`) and an id (`$3`), which are first and last. */
interface LedgerFile {
  readonly headings: readonly string[];
  readonly page: string;
}

const FILES: Readonly<Record<Ledger, LedgerFile>> = {
  stockMovement: {
    headings: [
      'date',
      'material',
      'code',
      'movement',
      'quantity',
      'unit',
      'cost',
      'belongs to',
      'shipment',
      'remark',
      'id',
    ],
    page: `SELECT movement.date::text, material.name, material.code, movement.type, movement.quantity::text, movement.unit, movement.cost::text, movement.of_movement_id, shipment.name AS shipment, movement.remark, movement.id
      FROM row_stock_movement AS movement
      JOIN row_material AS material ON material.book_id = $1 AND material.id = movement.material_id
      LEFT JOIN row_shipment_line AS line ON line.book_id = $1 AND line.id = movement.line_id
      LEFT JOIN row_shipment AS shipment ON shipment.book_id = $1 AND shipment.id = line.shipment_id
      WHERE movement.book_id = $1 AND (movement.date, movement.id) > ($2::date, $3::uuid)
      ORDER BY movement.date, movement.id`,
  },
};

/** Text that a spreadsheet would take for a formula is made harmless; numbers stay numbers. */
const written = (rows: readonly (readonly (string | null)[])[]): string =>
  `${Papa.unparse(
    rows.map((row) => [...row]),
    { newline: '\r\n', escapeFormulae: LIKE_A_FORMULA },
  )}\r\n`;

/** A whole ledger of a book as CSV (RFC 4180), by day, piece by piece: decimals with a point, days as 2026-03-31. */
export async function* ledgerAsCsv(manager: EntityManager, bookId: string, ledger: Ledger): AsyncGenerator<string> {
  const { headings, page } = FILES[ledger];
  yield `\ufeff${written([headings])}`;
  let after: readonly [date: string, id: string] = ['0001-01-01', '00000000-0000-0000-0000-000000000000'];
  for (;;) {
    const found: string[][] = (await manager.query(`${page} LIMIT ${AT_A_TIME}`, [bookId, ...after])).map(
      (row: Record<string, string | null>) => Object.values(row).map((value) => value ?? ''),
    );
    if (found.length > 0) yield written(found);
    const last = found.at(-1);
    if (found.length < AT_A_TIME || last === undefined) return;
    after = [last[0] as string, last.at(-1) as string];
  }
}
