import { isDay } from '@nuvar/book';
import { isShortText } from '../../number/index.js';

export type DayOrder = 'day first' | 'month first';

/** Reads a day as lists write it: "2026-03-31", "31.03.2026", "31/3/26", or with the month first; null where it is none. */
export function readDay(text: string, order: DayOrder): string | null {
  if (!isShortText(text)) return null;
  const [year, month, day] = partsOf(text.trim(), order);
  if (year === undefined || month === undefined || day === undefined) return null;
  const full = `${year.padStart(4, '20')}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  return isDay(full) ? full : null;
}

function partsOf(text: string, order: DayOrder): (string | undefined)[] {
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})(?:T.*)?$/.exec(text);
  if (iso !== null) return iso.slice(1);
  const [, first, second, year] = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4}|\d{2})$/.exec(text) ?? [];
  return order === 'day first' ? [year, second, first] : [year, first, second];
}
