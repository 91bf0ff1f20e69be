import type { RowOf } from '@nuvar/book';
import { choice, constant, difference, type Figure, missing, multiplied, quotient, sum } from '../figure/index.js';
import { type Calculation, DAY, MONTH, type Sheet, WEEK, YEAR } from '../sheet/index.js';
import { openDaysIn } from './calendar-month.js';
import { overheadGap } from './gaps.js';
import { planningMonths } from './planning-year.js';

export const MONTHS_A_YEAR = constant('Months in a year', '12', MONTH.per(YEAR), 'calendar');
export const WEEKS_A_YEAR = constant('Weeks in a year', '52', WEEK.per(YEAR), 'common practice');

const CALLED = 'Open days per month';

/**
 * Open days per month: as typed, else by the calendar the open days of the twelve months from this one on / 12, else open
 * days per week x 52 / 12 less the closed days of a year / 12. Gap: a calendar without an open day.
 */
export const openDays: Calculation<{ perMonth: Figure }> = {
  name: 'openDays',
  meanings: { perMonth: 'On how many days of a month the business is open.' },
  work(sheet) {
    const settings = sheet.settings();
    if (settings.openDaysPerMonth !== null) {
      const typed = sheet.input('settings', settings, 'openDaysPerMonth', {
        name: 'Open days as typed',
        unit: DAY.per(MONTH),
      });
      return { perMonth: choice(CALLED, typed, 'as typed in the settings') };
    }
    return { perMonth: settings.openDayRule === 'calendar' ? byCalendar(sheet) : byWeek(sheet, settings) };
  },
};

function byWeek(sheet: Sheet, settings: RowOf<'settings'>): Figure {
  const perWeek = sheet.input('settings', settings, 'openDaysPerWeek', {
    name: 'Open days per week',
    unit: DAY.per(WEEK),
  });
  const closed = sheet.input('settings', settings, 'closedDaysPerYear', {
    name: 'Closed days per year',
    unit: DAY.per(YEAR),
  });
  const perYear = difference('Open days per year', multiplied('Weekdays per year', perWeek, WEEKS_A_YEAR), closed);
  return choice(CALLED, quotient('Open days from the week', perYear, MONTHS_A_YEAR), 'from the open days per week');
}

function byCalendar(sheet: Sheet): Figure {
  const months = planningMonths(sheet).map((month) => sheet.read(calendarMonth, month).days);
  const perYear = sum('Open days in twelve months', DAY.per(YEAR), months.map(ofYear));
  if (perYear.amount?.isZero()) {
    const place = { kind: 'settings', id: sheet.settings().id, field: 'openDayRule' } as const;
    return missing({ name: CALLED, unit: DAY.per(MONTH) }, overheadGap('no-open-day', place), [perYear]);
  }
  return choice(CALLED, quotient('Open days from the calendar', perYear, MONTHS_A_YEAR), 'from the calendar');
}

/** The days of one month, counted for the year that they are part of. */
const ofYear = (days: Figure): Figure => multiplied(days.name, days, ONCE_A_YEAR);
const ONCE_A_YEAR = constant('Once a year', '1', MONTH.per(YEAR), 'definition');

/** The open days of one month; the id is its first day. Without a calendar each month has the same. */
export const calendarMonth: Calculation<{ days: Figure }> = {
  name: 'calendarMonth',
  meanings: { days: 'On how many days of this month the business is open.' },
  work(sheet, month) {
    const settings = sheet.settings();
    if (settings.openDayRule !== 'calendar' || settings.openDaysPerMonth !== null)
      return { days: sheet.read(openDays, 'book').perMonth };
    const counted = openDaysIn(sheet, month);
    return { days: constant('Open days', String(counted), DAY.per(MONTH), 'the calendar of the book') };
  },
};
