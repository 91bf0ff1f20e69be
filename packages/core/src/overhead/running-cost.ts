import type { RowOf } from '@nuvar/book';
import { addMonths, dayAfter } from '../calendar/index.js';
import {
  type CalledOf,
  choice,
  constant,
  type Figure,
  missing,
  multiplied,
  ofMissingRow,
  quotient,
} from '../figure/index.js';
import { unit, type Unit } from '../quantity/index.js';
import { type Calculation, DAY, dayIn, money, MONTH, type Sheet, WEEK, WHOLE_BOOK, YEAR } from '../sheet/index.js';
import { amountPaid } from './amount-paid.js';
import { driverVolume, volumeFor } from './driver-volume.js';
import { overheadGap } from './gaps.js';
import { MONTHS_A_YEAR, openDays, WEEKS_A_YEAR } from './open-days.js';

const QUARTER = unit('quarter');
const MONTHS_A_QUARTER = constant('Months in a quarter', '3', MONTH.per(QUARTER), 'calendar');

/**
 * A running cost brought to a month and to an open day: day x open days, week x 52 / 12, quarter / 3, year / 12, one-off
 * / its months from its start on; a variable cost x what the plan needs of its driver. Nothing before it begins and after
 * it ends. Per open day = per month / open days per month.
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
    const called = { name: 'Per month', subject };
    const perMonth =
      row === undefined
        ? ofMissingRow({ ...called, unit: money(sheet).per(MONTH) }, 'a running cost')
        : counted(sheet, row, called);
    const { perMonth: days } = sheet.read(openDays, WHOLE_BOOK);
    return { perMonth, perOpenDay: quotient({ name: 'Per open day', subject }, perMonth, days) };
  },
};

/** The first day and the day after the last on which a cost counts; null where it has none. */
export function spanOf({ startsOn, endsOn, rhythm, months }: RowOf<'runningCost'>): {
  readonly from: string | null;
  readonly until: string | null;
} {
  const spread = rhythm === 'one-off' && startsOn !== null && months !== null ? addMonths(startsOn, months) : null;
  const until = endsOn === null ? null : dayAfter(endsOn);
  return { from: startsOn, until: spread !== null && (until === null || spread < until) ? spread : until };
}

/** True where a running cost does not count on the day of the evaluation. */
export function isOutsideItsTime(sheet: Sheet, row: RowOf<'runningCost'>): boolean {
  const { from, until } = spanOf(row);
  return (from !== null && sheet.asOf < from) || (until !== null && sheet.asOf >= until);
}

function counted(sheet: Sheet, row: RowOf<'runningCost'>, called: CalledOf): Figure {
  const { from, until } = spanOf(row);
  if (!isOutsideItsTime(sheet, row) || lacksItsSpread(row)) return monthly(sheet, row, sheet.asOf, called);
  const nothing = constant('Not counted', '0', money(sheet).per(MONTH), 'outside its time');
  const begins = from === null ? '' : ` from ${dayIn(sheet, from)}`;
  const ends = until === null ? ' on' : ` to before ${dayIn(sheet, until)}`;
  return choice(called, nothing, `it counts${begins}${ends}`);
}

/** A one-off that does not say over which months it is spread counts nowhere, and asks for them. */
const lacksItsSpread = ({ rhythm, months, startsOn }: RowOf<'runningCost'>) =>
  rhythm === 'one-off' && (months === null || startsOn === null);

/** What a running cost is a month, with the amount that is in force on a day. */
export function monthly(sheet: Sheet, row: RowOf<'runningCost'>, day: string, called: CalledOf): Figure {
  if (row.behaviour === 'variable') {
    const { perUnit } = sheet.read(driverVolume, row.driver);
    const use = sheet.row('costPool', row.poolId ?? '')?.use ?? 'production';
    return multiplied(
      called,
      amountPaid(sheet, row, day, money(sheet).per(perUnit)),
      volumeFor(sheet, row.driver, use),
    );
  }
  return inMonth(sheet, row, called, (of) => amountPaid(sheet, row, day, of));
}

/** An amount that is paid in the rhythm of a running cost, brought to a month. */
export function inMonth(sheet: Sheet, row: RowOf<'runningCost'>, called: CalledOf, paid: (of: Unit) => Figure): Figure {
  const every = (period: Unit) => paid(money(sheet).per(period));
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
      return spread(sheet, row, paid, called);
  }
}

function spread(sheet: Sheet, row: RowOf<'runningCost'>, paid: (of: Unit) => Figure, called: CalledOf): Figure {
  const leaf = { ...called, unit: money(sheet).per(MONTH) };
  const place = { kind: 'runningCost', id: row.id, field: 'months' } as const;
  if (row.months === null) return missing(leaf, overheadGap('no-months', place, { subject: row.name }));
  if (row.startsOn === null)
    return missing(leaf, overheadGap('no-start', { ...place, field: 'startsOn' }, { subject: row.name }));
  const months = sheet.input('runningCost', row, 'months', { name: 'Months', subject: row.name, unit: MONTH });
  return quotient(called, paid(money(sheet)), months);
}
