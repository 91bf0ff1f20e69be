import { daysOfMonth, monthsAfter } from '../fields/index.js';
import type { BookFile } from '../file/index.js';
import { fieldsOf, type Kind } from '../kinds.js';

/** The whole months from one day to a later one, or minus those to an earlier one: from 25 November to 24 December none. */
export function wholeMonthsBetween(from: string, to: string): number {
  const [fromYear, fromMonth] = from.split('-').map(Number) as [number, number];
  const [toYear, toMonth] = to.split('-').map(Number) as [number, number];
  const months = (toYear - fromYear) * 12 + toMonth - fromMonth;
  return monthsAfter(from, months) > to ? months - 1 : months;
}

/** A book file with every day in it moved by so many months; the last day of a month stays the last. */
export function movedByMonths(file: BookFile, months: number): BookFile {
  const rows = Object.entries(file.rows).map(([kind, ofKind]) => {
    const days = fieldsOf(kind as Kind).filter(({ type }) => type === 'day');
    const moved = (row: Record<string, unknown>) =>
      Object.fromEntries(
        days.flatMap(({ name }) => (typeof row[name] === 'string' ? [[name, movedDay(row[name], months)]] : [])),
      );
    return [kind, ofKind.map((row) => ({ ...row, ...moved(row) }))];
  });
  return { ...file, rows: Object.fromEntries(rows) as BookFile['rows'] };
}

function movedDay(day: string, months: number): string {
  const moved = monthsAfter(day, months);
  const [year, month] = day.split('-').map(Number) as [number, number];
  if (Number(day.slice(8)) < daysOfMonth(year, month)) return moved;
  const [newYear, newMonth] = moved.split('-').map(Number) as [number, number];
  return `${moved.slice(0, 8)}${daysOfMonth(newYear, newMonth)}`;
}
