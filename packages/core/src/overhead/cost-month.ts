import type { RowOf } from '@nuvar/book';
import { addMonths, daysIn, monthNumber, weekdayOf } from '../calendar/index.js';
import { type CalledOf, choice, constant, type Figure, multiplied, ofMissingRow, sum } from '../figure/index.js';
import { NUMBER } from '../quantity/index.js';
import { type Calculation, DAY, dayIn, money, MONTH, type Sheet } from '../sheet/index.js';
import { amountPaid } from './amount-paid.js';
import { calendarMonth } from './open-days.js';
import { planningMonths } from './planning-year.js';
import { monthly, spanOf } from './running-cost.js';

/** One month of a running cost: the bills that come in it, and what to put aside for the bills of all months. */
export interface CostMonth {
  readonly bills: Figure;
  readonly putAside: Figure;
}

/**
 * A running cost in one month; the id is "cost@first day of the month". Bills fall in its rhythm: each open day, each week
 * on the weekday of its start (else Monday), each month, each quarter and year in the month that is due (else that of its
 * start, else January), a one-off in the month of its start. What is put aside is its monthly amount, by the amount that is in
 * force when the month begins; of a daily cost, by the open days of that month.
 */
export const costMonth: Calculation<CostMonth> = {
  name: 'costMonth',
  meanings: {
    bills: 'The bills of this running cost that come in this month.',
    putAside: 'What has to be put aside for this running cost in this month.',
  },
  work(sheet, id) {
    const [costId = '', month = ''] = id.split('@');
    const row = sheet.row('runningCost', costId);
    const perMonth = money(sheet).per(MONTH);
    if (row === undefined) {
      const gone = ofMissingRow({ name: 'Bills', unit: perMonth }, 'a running cost');
      return { bills: gone, putAside: gone };
    }
    return countsIn(row, month) ? monthOfCost(sheet, row, month) : outsideItsTime(row.name, perMonth);
  },
};

const EACH_MONTH = constant('Each month', '1', MONTH, 'definition');

/** The bills of all running costs in the twelve months of planning, and what is put aside for them. */
export const costYear: Calculation<CostMonth> = {
  name: 'costYear',
  meanings: {
    bills: 'The bills of all running costs in twelve months.',
    putAside: 'What is put aside for running costs in twelve months.',
  },
  work(sheet) {
    const perMonth = money(sheet).per(MONTH);
    const months = planningMonths(sheet);
    const year = (member: keyof CostMonth, name: string) => {
      const ofMonths = months.map((month) =>
        sum(
          { name: `${name} of a month`, subject: dayIn(sheet, month) },
          perMonth,
          sheet.all('runningCost').map(({ id }) => sheet.read(costMonth, `${id}@${month}`)[member]),
        ),
      );
      return multiplied(`${name} of the year`, sum(`${name} of all months`, perMonth, ofMonths), EACH_MONTH);
    };
    return { bills: year('bills', 'Bills'), putAside: year('putAside', 'Put aside') };
  },
};

function nothing(name: string, subject: string, perMonth: Figure['unit'], why: string): Figure {
  return choice({ name, subject }, constant('Nothing', '0', perMonth, 'definition'), why);
}

const outsideItsTime = (subject: string, perMonth: Figure['unit']): CostMonth => ({
  bills: nothing('Bills', subject, perMonth, 'outside its time'),
  putAside: nothing('Put aside', subject, perMonth, 'outside its time'),
});

function monthOfCost(sheet: Sheet, row: RowOf<'runningCost'>, month: string): CostMonth {
  const { name: subject, rhythm } = row;
  const perMonth = money(sheet).per(MONTH);
  const isVariable = row.behaviour === 'variable';
  const called = { name: 'Put aside', subject };
  const putAside =
    rhythm === 'day' && !isVariable ? daily(sheet, row, month, called) : monthly(sheet, row, month, called);
  const bills = { name: 'Bills', subject };
  if (isVariable || rhythm === 'day' || rhythm === 'month')
    return { bills: choice(bills, putAside, 'they come with the work of the month'), putAside };
  const count = billsIn(row, month);
  if (count === 0) return { bills: nothing('Bills', subject, perMonth, 'none is due in this month'), putAside };
  const times = constant('Bills in the month', String(count), NUMBER, 'the calendar');
  return { bills: multiplied(bills, amountPaid(sheet, row, month, perMonth), times), putAside };
}

function daily(sheet: Sheet, row: RowOf<'runningCost'>, month: string, called: CalledOf): Figure {
  const perDay = amountPaid(sheet, row, month, money(sheet).per(DAY));
  return multiplied(called, perDay, sheet.read(calendarMonth, month).days);
}

/** True where a cost counts on any day of the month that begins on that day. */
function countsIn(row: RowOf<'runningCost'>, month: string): boolean {
  const { from, until } = spanOf(row);
  return (from === null || from < addMonths(month, 1)) && (until === null || until > month);
}

/** How many bills of a cost that comes by the week, quarter, year or once fall in a month. */
function billsIn({ rhythm, startsOn, dueMonth, endsOn }: RowOf<'runningCost'>, month: string): number {
  if (rhythm === 'one-off') return startsOn !== null && startsOn.slice(0, 7) === month.slice(0, 7) ? 1 : 0;
  if (rhythm === 'week') {
    const weekday = startsOn === null ? 1 : weekdayOf(startsOn);
    return daysIn(month).filter(
      (day) => weekdayOf(day) === weekday && day >= (startsOn ?? day) && day <= (endsOn ?? day),
    ).length;
  }
  const due = dueMonth ?? (startsOn === null ? 1 : monthNumber(startsOn));
  const apart = (monthNumber(month) - due + 12) % 12;
  return apart % (rhythm === 'quarter' ? 3 : 12) === 0 ? 1 : 0;
}
