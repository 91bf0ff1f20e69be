import { choice, constant, difference, type Figure, multiplied, quotient } from '../figure/index.js';
import { type Calculation, DAY, MONTH, WEEK, YEAR } from '../sheet/index.js';

export const MONTHS_A_YEAR = constant('Months in a year', '12', MONTH.per(YEAR), 'calendar');
export const WEEKS_A_YEAR = constant('Weeks in a year', '52', WEEK.per(YEAR), 'common practice');

/**
 * Open days per month: as typed, else open days per week x 52 / 12, less the closed days of a year / 12.
 */
export const openDays: Calculation<{ perMonth: Figure }> = {
  name: 'openDays',
  meanings: { perMonth: 'On how many days of a month the business is open.' },
  work(sheet) {
    const settings = sheet.settings();
    const name = 'Open days per month';
    if (settings.openDaysPerMonth !== null) {
      const typed = sheet.input('settings', settings, 'openDaysPerMonth', {
        name: 'Open days as typed',
        unit: DAY.per(MONTH),
      });
      return { perMonth: choice(name, typed, 'as typed in the settings') };
    }
    const perWeek = sheet.input('settings', settings, 'openDaysPerWeek', {
      name: 'Open days per week',
      unit: DAY.per(WEEK),
    });
    const closed = sheet.input('settings', settings, 'closedDaysPerYear', {
      name: 'Closed days per year',
      unit: DAY.per(YEAR),
    });
    const perYear = difference('Open days per year', multiplied('Weekdays per year', perWeek, WEEKS_A_YEAR), closed);
    return {
      perMonth: choice(
        name,
        quotient('Open days from the week', perYear, MONTHS_A_YEAR),
        'from the open days per week',
      ),
    };
  },
};
