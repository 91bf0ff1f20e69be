import type { RowOf } from '@nuvar/book';
import type { Calculation, Sheet } from '../../sheet/index.js';

type Row = RowOf<'mixProduct'>;

const saysSomething = ({ setUp, setUpCost, lot, openingStock, closingStock, keepsFor, storageCost }: Row): boolean =>
  setUp === 'once in the plan' ||
  [setUpCost, lot, closingStock, keepsFor].some((field) => field !== null) ||
  openingStock !== '0' ||
  storageCost !== '0';

/** The line that says the set-up of each product of a mix plan; by the id of the product. */
const headsOfPlan: Calculation<ReadonlyMap<string, string>> = {
  name: 'mixSetUpHeads',
  meanings: {},
  work(sheet, planId) {
    const rows = sheet.rowsOf('mixProduct', 'planId', planId);
    const heads = new Map<string, string>();
    for (const row of [...rows.filter(saysSomething), ...rows])
      if (row.productId !== null && !heads.has(row.productId)) heads.set(row.productId, row.id);
    return heads;
  },
};

/** The products of a mix plan that have several lines, and are made in whole batches in one of them. */
const batchedInPlan: Calculation<ReadonlySet<string>> = {
  name: 'mixBatchedProducts',
  meanings: {},
  work(sheet, planId) {
    const rows = sheet.rowsOf('mixProduct', 'planId', planId).filter(({ productId }) => productId !== null);
    const linesOf = (id: string | null) => rows.filter(({ productId }) => productId === id);
    const batched = rows.filter(
      ({ countedIn, productId }) => countedIn === 'whole batches' && linesOf(productId).length > 1,
    );
    return new Set(batched.map(({ productId }) => productId as string));
  },
};

const isLineBatched: Calculation<boolean> = {
  name: 'mixIsBatched',
  meanings: {},
  work(sheet, id) {
    const row = sheet.row('mixProduct', id);
    return row !== undefined && row.productId !== null && sheet.read(batchedInPlan, row.planId).has(row.productId);
  },
};

/** True of a line whose product is sold in several lines of the plan and made in whole batches for all of them together. */
export const isInSharedBatches = (sheet: Sheet, { id }: Pick<Row, 'id'>): boolean => sheet.read(isLineBatched, id);

/** The head of one line, by itself: a quantity that moves does not move it, nor what depends on it. */
const headOfLine: Calculation<string> = {
  name: 'mixSetUpHead',
  meanings: {},
  work(sheet, id) {
    const row = sheet.row('mixProduct', id);
    if (row === undefined || row.productId === null) return id;
    return sheet.read(headsOfPlan, row.planId).get(row.productId) ?? id;
  },
};

/**
 * The id of the line of a mix plan whose set-up, minimum lot and stock count for a product: a product that is sold in several
 * channels is set up once for all of them, and its lot is that of all together. It is the first of its lines that states a set-up,
 * a lot or a stock, else its first; a product that is not in the book stands for itself.
 */
export const setUpHead = (sheet: Sheet, { id }: Pick<Row, 'id'>): string => sheet.read(headOfLine, id);

/** True for a line that states a set-up, a lot or a stock of its own beside that of another line of its product: it does not count. */
export const isSetUpLeftOut = (sheet: Sheet, row: Row): boolean =>
  saysSomething(row) && setUpHead(sheet, row) !== row.id;

/** The lines whose set-up is paid: those of the products that are made in any of their lines. */
export const headsMade = (
  sheet: Sheet,
  rows: readonly Row[],
  isMade: (index: number) => boolean,
): ReadonlySet<string> => new Set(rows.flatMap((row, index) => (isMade(index) ? [setUpHead(sheet, row)] : [])));
