import { constant, type Figure, quotient } from '../../figure/index.js';
import { openDays } from '../../overhead/index.js';
import { type Calculation, DAY, MONTH, WHOLE_BOOK } from '../../sheet/index.js';

const A_MONTH = constant('Period', '1', MONTH, 'a month, where no open days are typed');

/** The period of a mix plan in months = its open days / open days per month; a month where no days are typed. */
export const mixPeriod: Calculation<{ months: Figure }> = {
  name: 'mixPeriod',
  meanings: { months: 'The period of the mix plan, in months.' },
  work(sheet, planId) {
    const plan = sheet.row('mixPlan', planId);
    if (plan === undefined || plan.openDays === null) return { months: A_MONTH };
    const days = sheet.input('mixPlan', plan, 'openDays', { name: 'Open days', subject: plan.name, unit: DAY });
    return { months: quotient('Period', days, sheet.read(openDays, WHOLE_BOOK).perMonth) };
  },
};
