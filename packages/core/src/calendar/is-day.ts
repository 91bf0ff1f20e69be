const DAYS_OF_MONTHS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/** True where the Gregorian calendar has that day. Months count from 1. */
export function isDay(year: number, month: number, day: number): boolean {
  const isLeap = (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
  const days = (DAYS_OF_MONTHS[month - 1] ?? 0) + (month === 2 && isLeap ? 1 : 0);
  return day >= 1 && day <= days;
}
