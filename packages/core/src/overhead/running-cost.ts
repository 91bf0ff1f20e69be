import type { RowOf } from '@nuvar/book';
import { addMonths } from '../calendar/index.js';
import {
  choice,
  constant,
  type Figure,
  type Gap,
  missing,
  multiplied,
  ofMissingRow,
  quotient,
} from '../figure/index.js';
import { costWithTax } from '../purchasing/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, DAY, money, MONTH, type Sheet, WEEK, WHOLE_BOOK, YEAR } from '../sheet/index.js';
import { overheadGap } from './gaps.js';
import { MONTHS_A_YEAR, openDays, WEEKS_A_YEAR } from './open-days.js';

const QUARTER = unit('quarter');
const MONTHS_A_QUARTER = constant('Months in a quarter', '3', MONTH.per(QUARTER), 'calendar');

/**
 * A running cost brought to a month and to an open day: day x open days, week x 52 / 12, quarter / 3, year / 12, one-off
 * / its months from its start on (and nothing before and after). Per open day = per month / open days per month.
 */
export const runningCost: Calculation<{ perMonth: Figure; perOpenDay: Figure }> = {
  name: 'runningCost',
  meanings: {
    perMonth: 'What this running cost is in a month.',
    perOpenDay: 'What this running cost is on each open day.',
  },
  work(sheet, id) {
    const row = sheet.row('runningCost', id);
    const subject = row?.name ?? '';
    const perMonth =
      row === undefined
        ? ofMissingRow({ name: 'Per month', unit: money(sheet).per(MONTH) }, 'a running cost')
        : monthly(sheet, row);
    return {
      perMonth,
      perOpenDay: quotient({ name: 'Per open day', subject }, perMonth, sheet.read(openDays, WHOLE_BOOK).perMonth),
    };
  },
};

function monthly(sheet: Sheet, row: RowOf<'runningCost'>): Figure {
  const called = { name: 'Per month', subject: row.name };
  const whenEmpty = () =>
    overheadGap('no-running-amount', { kind: 'runningCost', id: row.id, field: 'amount' }, { subject: row.name });
  const every = (period: typeof MONTH) => paid(sheet, row, money(sheet).per(period), whenEmpty);
  switch (row.rhythm) {
    case 'day':
      return multiplied(called, every(DAY), sheet.read(openDays, WHOLE_BOOK).perMonth);
    case 'week':
      return quotient(called, multiplied('Per year', every(WEEK), WEEKS_A_YEAR), MONTHS_A_YEAR);
    case 'month':
      return choice(called, every(MONTH), 'it comes every month');
    case 'quarter':
      return quotient(called, every(QUARTER), MONTHS_A_QUARTER);
    case 'year':
      return quotient(called, every(YEAR), MONTHS_A_YEAR);
    case 'one-off':
      return spread(sheet, row, whenEmpty);
  }
}

/** The amount of a running cost, with the tax on it that is not recovered. */
function paid(sheet: Sheet, row: RowOf<'runningCost'>, of: Figure['unit'], whenEmpty: () => Gap): Figure {
  const amount = sheet.input('runningCost', row, 'amount', { name: 'Amount', subject: row.name, unit: of, whenEmpty });
  return costWithTax(sheet, 'runningCost', row, amount);
}

function spread(sheet: Sheet, row: RowOf<'runningCost'>, whenEmpty: () => Gap): Figure {
  const called = { name: 'Per month', subject: row.name };
  const leaf = { ...called, unit: money(sheet).per(MONTH) };
  const place = { kind: 'runningCost', id: row.id, field: 'months' } as const;
  if (row.months === null) return missing(leaf, overheadGap('no-months', place, { subject: row.name }));
  if (row.startsOn === null)
    return missing(leaf, overheadGap('no-start', { ...place, field: 'startsOn' }, { subject: row.name }));
  const end = addMonths(row.startsOn, row.months);
  if (sheet.asOf < row.startsOn || sheet.asOf >= end) {
    return choice(
      called,
      constant('Not counted', '0', leaf.unit, 'outside its months'),
      `it counts from ${row.startsOn} to before ${end}`,
    );
  }
  const amount = paid(sheet, row, money(sheet), whenEmpty);
  const months = sheet.input('runningCost', row, 'months', { name: 'Months', subject: row.name, unit: MONTH });
  return quotient(called, amount, months);
}
