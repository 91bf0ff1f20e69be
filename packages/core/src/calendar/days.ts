import { daysOfMonth } from '@nuvar/book';
import { addMonths, requireDay } from './add-months.js';

/** Days before each month in a year that begins in March, so that a leap day is the last. */
const BEFORE_MONTH = [306, 337, 0, 31, 61, 92, 122, 153, 184, 214, 245, 275];

/**
 * The weekday of a day of the Gregorian calendar by ISO 8601: 1 is Monday, 7 is Sunday. Throws `not-a-day`.
 *
 * @example weekdayOf('2026-11-27') → 5
 */
export function weekdayOf(day: string): number {
  requireDay(day);
  const [year, month, ofMonth] = day.split('-').map(Number) as [number, number, number];
  const years = month < 3 ? year - 1 : year;
  const leapDays = Math.floor(years / 4) - Math.floor(years / 100) + Math.floor(years / 400);
  const days = years * 365 + leapDays + (BEFORE_MONTH[month - 1] ?? 0) + ofMonth;
  // The first of March of the year 0 was a Wednesday.
  return ((days + 1) % 7) + 1;
}

/** The day after a day. Throws `not-a-day`. */
export function dayAfter(day: string): string {
  requireDay(day);
  const [year, month, ofMonth] = day.split('-').map(Number) as [number, number, number];
  return ofMonth < daysOfMonth(year, month)
    ? `${day.slice(0, 8)}${String(ofMonth + 1).padStart(2, '0')}`
    : addMonths(`${day.slice(0, 8)}01`, 1);
}

/** The first day of the month of a day. */
export const monthOf = (day: string): string => `${day.slice(0, 7)}-01`;

/** All days of the month that begins on a day, in their order. */
export function daysIn(month: string): string[] {
  requireDay(month);
  const [year, ofYear] = month.split('-').map(Number) as [number, number];
  return Array.from(
    { length: daysOfMonth(year, ofYear) },
    (_none, index) => `${month.slice(0, 8)}${String(index + 1).padStart(2, '0')}`,
  );
}

/** The number of the month of a day, 1 to 12. */
export const monthNumber = (day: string): number => Number(day.slice(5, 7));
