const DAYS_OF_MONTHS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/** The days of a month in the Gregorian calendar, 0 where there is no such month. Months count from 1. */
export function daysOfMonth(year: number, month: number): number {
  const isLeap = (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
  return (DAYS_OF_MONTHS[month - 1] ?? 0) + (month === 2 && isLeap ? 1 : 0);
}

/** True for a day of the calendar as rows and addresses write it: "2026-03-31", and neither "31.03.2026" nor "2026-02-30". */
export function isDay(text: unknown): text is string {
  const match = typeof text === 'string' ? /^(\d{4})-(\d{2})-(\d{2})$/.exec(text) : null;
  if (match === null) return false;
  const [year, month, day] = match.slice(1).map(Number) as [number, number, number];
  return year > 0 && day >= 1 && day <= daysOfMonth(year, month);
}

/**
 * The day so many months after another, both as rows write them: ("2026-01-31", 1) → "2026-02-28". Where the month is
 * shorter, its last day.
 */
export function monthsAfter(day: string, months: number): string {
  const [year, month, ofMonth] = day.split('-').map(Number) as [number, number, number];
  const index = year * 12 + month - 1 + months;
  const [newYear, newMonth] = [Math.floor(index / 12), (index % 12) + 1];
  const two = (value: number) => String(value).padStart(2, '0');
  const newDay = Math.min(ofMonth, daysOfMonth(newYear, newMonth));
  return `${String(newYear).padStart(4, '0')}-${two(newMonth)}-${two(newDay)}`;
}
