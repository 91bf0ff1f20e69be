import { type RowOf, WEEKDAYS, type Weekday } from '@nuvar/book';
import { daysIn, weekdayOf } from '../calendar/index.js';
import type { Sheet } from '../sheet/index.js';

/**
 * How many days of a month are open: the open weekdays of the settings, or those of the season that a day lies in, less
 * the closed days. Where two seasons hold a day, the one that was entered later counts.
 */
export function openDaysIn(sheet: Sheet, month: string): number {
  const settings = sheet.settings();
  const seasons = sheet.all('openSeason');
  const closed = sheet.all('closedDay');
  return daysIn(month).filter((day) => {
    if (closed.some((row) => (row.everyYear ? row.date.slice(5) === day.slice(5) : row.date === day))) return false;
    const rule = seasons.findLast((season) => isWithin(season, day)) ?? settings;
    return rule[WEEKDAYS[weekdayOf(day) - 1] as Weekday];
  }).length;
}

/** A season of every year may run over the turn of the year. */
function isWithin({ startsOn, endsOn, everyYear }: RowOf<'openSeason'>, day: string): boolean {
  if (!everyYear) return day >= startsOn && day <= endsOn;
  const [from, to, at] = [startsOn.slice(5), endsOn.slice(5), day.slice(5)];
  return from <= to ? at >= from && at <= to : at >= from || at <= to;
}
