import { CoreError } from '../number/index.js';

/**
 * The day so many months after another: ("2026-01-31", 1) → "2026-02-28". Where the month is shorter, its last day.
 * Throws `not-a-day` for a text that is no day.
 */
export function addMonths(day: string, months: number): string {
  const match = /^(\d{4})-(\d{2})-(\d{2})$/.exec(day);
  if (!match) throw new CoreError('not-a-day', `"${day}" is not a day.`);
  const index = Number(match[1]) * 12 + Number(match[2]) - 1 + months;
  const [year, month] = [Math.floor(index / 12), (index % 12) + 1];
  const leap = (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
  const last = [31, leap ? 29 : 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][month - 1] as number;
  const two = (value: number) => String(value).padStart(2, '0');
  return `${String(year).padStart(4, '0')}-${two(month)}-${two(Math.min(Number(match[3]), last))}`;
}
