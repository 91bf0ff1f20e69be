import { isDay } from '@nuvar/book';

export type DayOrder = 'day first' | 'month first';

/** Reads a day as lists write it: "2026-03-31", "31.03.2026", "31/3/26", or with the month first; null where it is none. */
export function readDay(text: string, order: DayOrder): string | null {
  const tidy = text.trim();
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})(?:T.*)?$/.exec(tidy);
  const plain = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4}|\d{2})$/.exec(tidy);
  const [year, month, day] = iso
    ? [iso[1], iso[2], iso[3]]
    : order === 'day first'
      ? [plain?.[3], plain?.[2], plain?.[1]]
      : [plain?.[3], plain?.[1], plain?.[2]];
  if (year === undefined || month === undefined || day === undefined) return null;
  const full = `${year.padStart(4, '20')}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  return isDay(full) ? full : null;
}
