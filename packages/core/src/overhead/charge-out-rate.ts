import {
  type CalledOf,
  constant,
  difference,
  type Figure,
  missing,
  multiplied,
  ofMissingRow,
  percentOf,
  quotient,
  sum,
} from '../figure/index.js';
import { PERCENT } from '../quantity/index.js';
import { type Calculation, DAY, HOUR, money, MONTH, type Sheet, WEEK, WHOLE_BOOK, YEAR } from '../sheet/index.js';
import { overheadGap } from './gaps.js';
import { MONTHS_A_YEAR } from './open-days.js';
import { overhead } from './overhead.js';

/** What an hour and a day have to be charged at. */
export interface ChargeOut {
  readonly runningCosts: Figure;
  readonly toEarn: Figure;
  readonly hoursWorked: Figure;
  readonly billableHours: Figure;
  readonly perHour: Figure;
  readonly perDay: Figure;
  /** With one more day a month for which nobody pays. */
  readonly perHourOneDayLess: Figure;
  readonly moreForOneDay: Figure;
  /** What is not earned where the rate stays. */
  readonly lostForOneDay: Figure;
}

const ONE_DAY = constant('More days that are not billed', '1', DAY.per(MONTH), 'one day a month');

/**
 * Charge-out rate: (income wanted + running costs of a year) / (weeks x hours a week x billable share), as hour and day rate;
 * with one more unbilled day a month, / the hours that are left. Gap: no income wanted yet, no hours left.
 */
export const chargeOut: Calculation<ChargeOut> = {
  name: 'chargeOut',
  meanings: {
    runningCosts: 'The running costs of a year that these hours have to carry.',
    toEarn: 'What has to be earned in a year.',
    hoursWorked: 'The hours worked in a year.',
    billableHours: 'The hours of a year that customers pay for.',
    perHour: 'What an hour has to be charged at (charge-out rate).',
    perDay: 'What a day has to be charged at.',
    perHourOneDayLess: 'What an hour has to be charged at with one more unbilled day a month.',
    moreForOneDay: 'How much more that is an hour.',
    lostForOneDay: 'What a year brings less with one more unbilled day a month at the same rate.',
  },
  work(sheet, id) {
    const row = sheet.row('chargeOutRate', id);
    const subject = row?.name ?? 'a charge-out rate';
    const named = (name: string) => ({ name, subject });
    if (row === undefined) return noRate(sheet);
    const field = (name: keyof typeof row & string, label: string, of: Figure['unit']) =>
      sheet.input('chargeOutRate', row, name, { ...named(label), unit: of });
    const income = sheet.input('chargeOutRate', row, 'incomePerYear', {
      ...named('Income wanted'),
      unit: money(sheet).per(YEAR),
      whenEmpty: (place) => overheadGap('no-income', place, { subject }),
    });
    const runningCosts = runningCostsAYear(
      sheet,
      field('runningCostPercent', 'Share of running costs', PERCENT),
      subject,
    );
    const toEarn = earnedInAll(named('To be earned in a year'), income, runningCosts);
    const hoursWorked = multiplied(
      named('Hours worked in a year'),
      field('weeksPerYear', 'Weeks worked', WEEK.per(YEAR)),
      field('hoursPerWeek', 'Hours a week', HOUR.per(WEEK)),
    );
    const billableHours = percentOf(
      named('Billable hours'),
      field('billablePercent', 'Billable share', PERCENT),
      hoursWorked,
    );
    const hoursPerDay = field('hoursPerDay', 'Hours a day', HOUR.per(DAY));
    const perHour = quotient(named('Hour rate'), toEarn, billableHours);
    const lostHours = multiplied(
      named('Hours not billed'),
      multiplied(named('Days not billed'), ONE_DAY, MONTHS_A_YEAR),
      hoursPerDay,
    );
    const left = difference(named('Billable hours that are left'), billableHours, lostHours);
    const place = { kind: 'chargeOutRate', id, field: 'billablePercent' } as const;
    const none = overheadGap('no-billable-hours', place, { subject });
    const perHourOneDayLess = rateOver(named('Hour rate with one more unbilled day a month'), toEarn, left, none);
    return {
      runningCosts,
      toEarn,
      hoursWorked,
      billableHours,
      perHour,
      perDay: multiplied(named('Day rate'), perHour, hoursPerDay),
      perHourOneDayLess,
      moreForOneDay: difference(named('More an hour'), perHourOneDayLess, perHour),
      lostForOneDay: multiplied(named('Not earned in a year'), lostHours, perHour),
    };
  },
};

function noRate(sheet: Sheet): ChargeOut {
  const gone = ofMissingRow({ name: 'Charge-out rate', unit: money(sheet).per(HOUR) }, 'a charge-out rate');
  return {
    runningCosts: gone,
    toEarn: gone,
    hoursWorked: gone,
    billableHours: gone,
    perHour: gone,
    perDay: gone,
    perHourOneDayLess: gone,
    moreForOneDay: gone,
    lostForOneDay: gone,
  };
}

/** Without an income there is no rate: the running costs alone would say too little. */
function earnedInAll(called: CalledOf, income: Figure, runningCosts: Figure): Figure {
  const [reason] = income.gaps;
  return reason === undefined
    ? sum(called, income.unit, [income, runningCosts])
    : missing({ ...called, unit: income.unit }, reason, [income, runningCosts]);
}

/** A rate over hours that have to be there. */
function rateOver(called: CalledOf, toEarn: Figure, hours: Figure, none: ReturnType<typeof overheadGap>): Figure {
  const isNone = hours.amount !== null && hours.amount.lte(0);
  const rate = quotient(called, toEarn, hours, none);
  return isNone ? { ...rate, amount: null, gaps: [none] } : rate;
}

function runningCostsAYear(sheet: Sheet, share: Figure, subject: string): Figure {
  const { total } = sheet.read(overhead, WHOLE_BOOK);
  const aYear = multiplied({ name: 'Running costs of a year', subject: '' }, total, MONTHS_A_YEAR);
  return percentOf({ name: 'Running costs to carry', subject }, share, aYear);
}
