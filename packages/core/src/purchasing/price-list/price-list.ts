import type { BookRows, RowOf } from '@nuvar/book';
import { Decimal, decimal } from '../../number/index.js';
import { factorThrough } from '../conversion-conflicts.js';
import { pricesByDay } from '../price-in-force.js';
import { isHeading } from './fields.js';
import { listNote } from './list-note.js';
import type { ListReading, ListRow } from './list-row.js';
import { readRow } from './read-row.js';

/**
 * Reads the rows of a price list against a book. A row is a price of the material that bears its code (the material's own,
 * or the supplier's on an earlier price), else its name; otherwise it is a new material. Empty rows and repeated headings
 * are passed over. Nothing is changed: what a row says that cannot be read is a reason, and the row is left out.
 */
export function readPriceList(
  table: readonly (readonly string[])[],
  reading: ListReading,
  book: BookRows,
  isUnit: (word: string) => string | undefined,
): ListRow[] {
  const found = materialFinder(book);
  const seen = new Map<string, number>();
  return table.slice(reading.firstRow).flatMap((cells, index): ListRow[] => {
    if (cells.every((cell) => cell.trim() === '') || isHeading(cells)) return [];
    const row = readRow(cells, reading.firstRow + index + 1, reading, isUnit);
    if (row.outcome === 'not understood') return [row];
    const key = [row.name, row.code, row.supplier, row.packQuantity, row.packUnit, row.validFrom]
      .join('|')
      .toLowerCase();
    const earlier = seen.get(key);
    if (earlier !== undefined)
      return [{ ...row, outcome: 'not understood', notes: [listNote('stands-already', { line: String(earlier) })] }];
    seen.set(key, row.line);
    const chosen = reading.linked[row.line];
    return [against(book, row, chosen === undefined ? found(row) : chosen)];
  });
}

/** Finds the material of a row: by its code, then by its name. */
function materialFinder(book: BookRows): (row: ListRow) => string | null {
  return ({ code, name, supplier }) => {
    if (code !== '') {
      const own = book.rowsWith('material', 'code', code)[0];
      if (own !== undefined) return own.id;
      const supplierId = supplier === '' ? undefined : book.rowsWith('supplier', 'name', supplier)[0]?.id;
      const asked = book
        .rowsWith('supplierPrice', 'supplierCode', code)
        .find((price) => supplierId === undefined || price.supplierId === supplierId);
      if (asked !== undefined) return asked.materialId;
    }
    return book.rowsWith('material', 'name', name)[0]?.id ?? null;
  };
}

/** Holds a row against the material that it is a price of. */
function against(book: BookRows, row: ListRow, materialId: string | null): ListRow {
  const material = materialId === null ? undefined : book.row('material', materialId);
  if (material === undefined) return { ...row, outcome: 'new material', materialId: null };
  const prices = book.rowsWith('supplierPrice', 'materialId', material.id);
  const supplierId =
    row.supplier === '' ? null : (book.rowsWith('supplier', 'name', row.supplier)[0]?.id ?? 'a new one');
  const same = prices.find(
    (price) =>
      price.validFrom === row.validFrom &&
      price.supplierId === supplierId &&
      price.currency === row.currency &&
      price.packUnit === row.packUnit &&
      decimal(price.packQuantity).eq(row.packQuantity) &&
      price.price !== null &&
      decimal(price.price).eq(row.price ?? 0),
  );
  if (same !== undefined) return { ...row, outcome: 'same price', materialId: material.id, changePercent: '0' };
  const own = book.rowsWith('itemConversion', 'materialId', material.id).filter((each) => each.equalQuantity !== null);
  const notes =
    factorThrough(row.packUnit, material.baseUnit, own) === null
      ? [listNote('no-way-between-units', { from: row.packUnit, to: material.baseUnit })]
      : [];
  return {
    ...row,
    outcome: 'new price',
    materialId: material.id,
    notes,
    ...effectOf(row, supplierId, material, prices, own),
  };
}

/**
 * What a price would do on its first day: whether it would be in force, and by how much it differs by the unit from the
 * one that is. Of prices from one day the cheaper is in force. The difference is null where they cannot be compared: in
 * another currency, or without a way between their units.
 */
function effectOf(
  row: ListRow,
  supplierId: string | null,
  { baseUnit, preferredSupplierId }: RowOf<'material'>,
  prices: readonly RowOf<'supplierPrice'>[],
  own: readonly RowOf<'itemConversion'>[],
): Pick<ListRow, 'changePercent' | 'isInForce'> {
  const known = prices.filter(({ price }) => price !== null);
  const before = pricesByDay(known, row.validFrom, preferredSupplierId).inForce;
  const perUnit = (each: Pick<ListRow, 'packUnit' | 'packQuantity' | 'price' | 'currency'>) => {
    const factor = each.currency === row.currency ? factorThrough(each.packUnit, baseUnit, own) : null;
    return factor === null ? null : decimal(each.price ?? '0').div(decimal(each.packQuantity).mul(factor));
  };
  const now = perUnit(row);
  const costs = before.flatMap((each) => perUnit(each) ?? []);
  const isComparable = now !== null && costs.length > 0 && costs.length === before.length;
  const then = isComparable ? Decimal.min(...costs) : null;
  const isOfOther = before.some((each) => each.supplierId !== null && each.supplierId === preferredSupplierId)
    ? supplierId !== preferredSupplierId
    : before.some((each) => each.validFrom === row.validFrom && each.supplierId !== supplierId) &&
      supplierId !== preferredSupplierId &&
      now?.gt(then ?? now) === true;
  return {
    changePercent:
      now === null || !then?.gt(0) ? null : now.minus(then).div(then).mul(100).toDecimalPlaces(2).toFixed(),
    isInForce: !isOfOther,
  };
}

/** The words for units that a list uses and that nobody knows yet, each once, as they are written. */
export function unknownUnitWords(rows: readonly ListRow[]): string[] {
  return [...new Set(rows.flatMap(({ unknownUnit }) => unknownUnit ?? []))];
}
