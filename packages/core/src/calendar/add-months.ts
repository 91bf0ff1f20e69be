import { isDay, monthsAfter } from '@nuvar/book';
import { CoreError } from '../number/index.js';

/** Throws `not-a-day` for a text that is no day of the calendar: every door of core asks here. */
export function requireDay(text: string): void {
  if (!isDay(text)) throw new CoreError('not-a-day', `"${text}" is not a day such as 2026-03-31.`);
}

/**
 * The day so many months after another: ("2026-01-31", 1) → "2026-02-28". Where the month is shorter, its last day.
 * Throws `not-a-day` for a text that is no day.
 *
 * @example addMonths('2026-01-31', 1) → "2026-02-28"
 */
export function addMonths(day: string, months: number): string {
  requireDay(day);
  return monthsAfter(day, months);
}
