import type { RowOf } from '@nuvar/book';
import { compared } from '../number/index.js';
import type { Calculation, Sheet } from '../sheet/index.js';
import { listedPrice } from './listed-price.js';

/**
 * The prices of a material that count on the day of the evaluation, newest first: those from a later day are left out,
 * and of two prices of one supplier from one day the later entered counts. Where the preferred supplier has any of them,
 * only that supplier's. Of prices of one day the cheaper by the base unit comes first, and one that is not known yet last.
 */
export function pricesOnTheDay(sheet: Sheet, material: RowOf<'material'>): RowOf<'supplierPrice'>[] {
  const started = sheet
    .rowsOf('supplierPrice', 'materialId', material.id)
    .filter((price) => price.validFrom <= sheet.asOf);
  const standing = new Map<string, RowOf<'supplierPrice'>>();
  for (const price of started) {
    const key = `${price.supplierId ?? ''}@${price.validFrom}`;
    const known = standing.get(key);
    // Ids are made in the order of time.
    if (known === undefined || price.id > known.id) standing.set(key, price);
  }
  const all = [...standing.values()].sort((one, other) => newestFirst(sheet, one, other));
  const preferred = all.filter(({ supplierId }) => supplierId !== null && supplierId === material.preferredSupplierId);
  return preferred.length > 0 ? preferred : all;
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
