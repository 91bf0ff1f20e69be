import { choice, constant, type Figure, quotient, sum } from '../../../figure/index.js';
import { openDays } from '../../../overhead/index.js';
import { NUMBER } from '../../../quantity/index.js';
import { type Calculation, DAY, MONTH, type Sheet, WHOLE_BOOK } from '../../../sheet/index.js';

const A_MONTH = constant('Period', '1', MONTH, 'a month, where no open days are typed');

/** The periods of a mix plan in their order; none of a plan that is of one. */
export const periodsOfMix = (sheet: Sheet, planId: string): readonly string[] =>
  sheet.idsOf('mixPeriod', 'planId', planId);

/** True of a plan of several periods, with stock carried over. */
export const isInPeriods = (sheet: Sheet, planId: string): boolean => periodsOfMix(sheet, planId).length > 0;

/**
 * The period of a mix plan in months = its open days / open days per month; a month where no days are typed. Of a plan of several
 * periods, all of them together.
 */
export const mixPeriod: Calculation<{ months: Figure }> = {
  name: 'mixPeriod',
  meanings: { months: 'The period of the mix plan, in months.' },
  work(sheet, planId) {
    const periods = periodsOfMix(sheet, planId);
    if (periods.length === 0) return { months: typedMonths(sheet, planId) };
    return {
      months: sum(
        'Period',
        MONTH,
        periods.map((id) => sheet.read(mixPeriodLength, id).months),
      ),
    };
  },
};

/** One period of a plan of several, in months = its open days / open days per month; an equal part of the plan where none are typed. */
export const mixPeriodLength: Calculation<{ months: Figure }> = {
  name: 'mixPeriodLength',
  meanings: { months: 'One period of the mix plan, in months.' },
  work(sheet, id) {
    const row = sheet.row('mixPeriod', id);
    if (row === undefined) return { months: A_MONTH };
    if (row.openDays !== null) {
      const days = sheet.input('mixPeriod', row, 'openDays', { name: 'Open days', subject: row.name, unit: DAY });
      const months = quotient('Period', days, sheet.read(openDays, WHOLE_BOOK).perMonth);
      return { months: choice({ name: 'Period', subject: row.name }, months, 'its open days') };
    }
    const count = String(periodsOfMix(sheet, row.planId).length);
    const parts = constant('Periods', count, NUMBER, 'of the plan');
    return { months: quotient({ name: 'Period', subject: row.name }, typedMonths(sheet, row.planId), parts) };
  },
};

/** The open days of a plan in months, or a month. */
function typedMonths(sheet: Sheet, planId: string): Figure {
  const plan = sheet.row('mixPlan', planId);
  if (plan === undefined || plan.openDays === null) return A_MONTH;
  const days = sheet.input('mixPlan', plan, 'openDays', { name: 'Open days', subject: plan.name, unit: DAY });
  return quotient('Period', days, sheet.read(openDays, WHOLE_BOOK).perMonth);
}
