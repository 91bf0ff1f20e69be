import type { RowOf } from '@nuvar/book';
import { compared } from '../number/index.js';
import type { Calculation, Sheet } from '../sheet/index.js';
import { listedPrice } from './listed-price.js';

/**
 * The prices of a material that have begun on a day: of two prices of one supplier from one day only the later entered.
 * Where the preferred supplier has any of them, only that supplier's.
 */
function begunBy(prices: readonly RowOf<'supplierPrice'>[], day: string, preferredSupplierId: string | null) {
  const standing = new Map<string, RowOf<'supplierPrice'>>();
  for (const price of prices) {
    if (price.validFrom > day) continue;
    const key = `${price.supplierId ?? ''}@${price.validFrom}`;
    const known = standing.get(key);
    // Ids are made in the order of time.
    if (known === undefined || price.id > known.id) standing.set(key, price);
  }
  const all = [...standing.values()];
  const preferred = all.filter(({ supplierId }) => supplierId !== null && supplierId === preferredSupplierId);
  return preferred.length > 0 ? preferred : all;
}

/**
 * The prices of a material that count on the day of the evaluation, newest first: those from a later day are left out,
 * and of two prices of one supplier from one day the later entered counts. Where the preferred supplier has any of them,
 * only that supplier's. Of prices of one day the cheaper by the base unit comes first, and one that is not known yet last.
 */
export function pricesOnTheDay(sheet: Sheet, material: RowOf<'material'>): RowOf<'supplierPrice'>[] {
  const prices = sheet.rowsOf('supplierPrice', 'materialId', material.id);
  return begunBy(prices, sheet.asOf, material.preferredSupplierId).sort((one, other) => newestFirst(sheet, one, other));
}

/** What of the prices of one material is in force on a day, and what comes after it. */
export interface PricesByDay {
  /**
   * The newest that have begun: empty where none has. Where several suppliers' prices begin on one day, the cheaper by
   * the base unit is in force, and which that is takes the figures of the book to say: `priceInForce`.
   */
  readonly inForce: readonly RowOf<'supplierPrice'>[];
  /** The next that begins after the day: the later entered of one day. */
  readonly toCome: RowOf<'supplierPrice'> | null;
}

/** The prices of a material that are in force on a day and the next one to come, from its rows alone. */
export function pricesByDay(
  prices: readonly RowOf<'supplierPrice'>[],
  day: string,
  preferredSupplierId: string | null,
): PricesByDay {
  const begun = begunBy(prices, day, preferredSupplierId);
  const newest = begun.reduce((latest, { validFrom }) => (validFrom > latest ? validFrom : latest), '');
  const later = prices
    .filter(({ validFrom }) => validFrom > day)
    .sort((one, other) =>
      one.validFrom === other.validFrom ? (one.id < other.id ? 1 : -1) : one.validFrom < other.validFrom ? -1 : 1,
    );
  return { inForce: begun.filter(({ validFrom }) => validFrom === newest), toCome: later[0] ?? null };
}

function newestFirst(sheet: Sheet, one: RowOf<'supplierPrice'>, other: RowOf<'supplierPrice'>): number {
  if (one.validFrom !== other.validFrom) return one.validFrom < other.validFrom ? 1 : -1;
  const [mine, theirs] = [one, other].map(({ id }) => sheet.read(listedPrice, id).perBaseUnit.amount ?? null);
  if (mine == null || theirs == null) return Number(mine == null) - Number(theirs == null);
  return compared(mine, theirs);
}

/**
 * The price that each supplier asks on a day, among prices that are sorted newest first. Prices without a supplier are
 * counted as those of one.
 */
export function inForcePerSupplier(prices: readonly RowOf<'supplierPrice'>[], day: string): RowOf<'supplierPrice'>[] {
  const found = new Map<string | null, RowOf<'supplierPrice'>>();
  for (const price of prices)
    if (price.validFrom <= day && !found.has(price.supplierId)) found.set(price.supplierId, price);
  return [...found.values()];
}

/**
 * Which supplier price of a material is in force on the day: the newest one, of the preferred supplier where that one
 * has any. Null where no price has begun yet.
 */
export const priceInForce: Calculation<{ readonly priceId: string | null }> = {
  name: 'priceInForce',
  meanings: {},
  work(sheet, materialId) {
    const material = sheet.row('material', materialId);
    return { priceId: (material && pricesOnTheDay(sheet, material)[0]?.id) ?? null };
  },
};
