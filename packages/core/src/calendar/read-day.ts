import { isDay } from '@nuvar/book';
import { isShortText } from '../number/index.js';

export type DayOrder = 'day first' | 'month first';

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/**
 * Reads a day as people and lists write it: "2026-03-31", "2026/3/31", "31.03.2026", "31/3/26", "31 March 2026",
 * "Mar 31, 2026", or with the month first where the country writes it so. A year of two digits is of this century.
 * Without a year ("31/3", "31 March") it is a day of `year`, where that is given. Null where it is no day.
 *
 * @example readDay('31/3/26', 'day first') → "2026-03-31"
 */
export function readDay(text: string, order: DayOrder, year?: number): string | null {
  if (!isShortText(text)) return null;
  const [ofYear = year?.toString(), month, day] = partsOf(text.trim(), order);
  if (ofYear === undefined || month === undefined || day === undefined) return null;
  const full = `${ofYear.padStart(4, '20')}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  return isDay(full) ? full : null;
}

/** Year, month and day as they stand in a text; what it does not say is undefined. */
function partsOf(text: string, order: DayOrder): (string | undefined)[] {
  const yearFirst = /^(\d{4})([-/.])(\d{1,2})\2(\d{1,2})(?:T.*)?$/.exec(text);
  if (yearFirst !== null) return [yearFirst[1], yearFirst[3], yearFirst[4]];
  const numbers = /^(\d{1,2})[./-](\d{1,2})(?:[./-](\d{4}|\d{2})|\.)?$/.exec(text);
  if (numbers !== null) {
    const [, first, second, year] = numbers;
    return order === 'day first' ? [year, second, first] : [year, first, second];
  }
  const named =
    /^(\d{1,2})\.?\s+([a-z]{3,9})\.?,?(?:\s+(\d{4}|\d{2}))?$/i.exec(text) ??
    /^()([a-z]{3,9})\.?\s+(\d{1,2})(?:,?\s+(\d{4}|\d{2}))?$/i.exec(text);
  if (named === null) return [];
  const [day, year] = named[1] === '' ? [named[3], named[4]] : [named[1], named[3]];
  const month = MONTHS.findIndex((each) => named[2]?.toLowerCase().startsWith(each));
  return [year, month < 0 ? undefined : String(month + 1), day];
}
