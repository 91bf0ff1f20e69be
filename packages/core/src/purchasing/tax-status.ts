import type { RowOf } from '@nuvar/book';
import { decimal } from '../number/index.js';

type Registration = RowOf<'taxRegistration'>;

/** Whether a business is registered for sales tax on a day, and the entry that says so; null where none of it is entered. */
export interface TaxStatus {
  readonly isRegistered: boolean;
  readonly entry: Registration | null;
}

/** True where one of the sales tax rates of a book, its own or that of a category, is above nothing. */
export const hasSalesTax = (percents: readonly string[]): boolean =>
  percents.some((percent) => !decimal(percent).isZero());

/**
 * The status on a day, for output and input tax alike: by the newest entry that has begun, the later entered of two of one
 * day. Before its first entry the business is not registered where that entry begins a registration, and registered where it
 * ends one. Without any entry it is registered where the book has a sales tax.
 */
export function taxStatusOn(entries: readonly Registration[], day: string, hasSalesTax: boolean): TaxStatus {
  const byDay = [...entries].sort((one, other) =>
    one.validFrom < other.validFrom ? -1 : Number(one.validFrom > other.validFrom),
  );
  const entry = byDay.findLast(({ validFrom }) => validFrom <= day);
  if (entry !== undefined) return { isRegistered: entry.registered, entry };
  const [first] = byDay;
  return { isRegistered: first === undefined ? hasSalesTax : !first.registered, entry: null };
}
