import type { RowOf } from '@nuvar/book';
import {
  constant,
  difference,
  type Figure,
  missing,
  ofMissingRow,
  percentOf,
  quotient,
  shareOf,
  sum,
  wholeOf,
} from '../figure/index.js';
import { isPositive } from '../number/index.js';
import { PERCENT } from '../quantity/index.js';
import { type Calculation, HOUR, money, type Sheet, YEAR } from '../sheet/index.js';
import { productionGap } from './gaps.js';

/** What an hour of a labour grade costs, and from what that follows. */
export interface LabourRate {
  readonly perHour: Figure;
  readonly perPaidHour: Figure;
  readonly wage: Figure;
  readonly productiveShare: Figure;
  /** Null where the paid hours of a year are not entered. */
  readonly hoursAtWork: Figure | null;
}

/**
 * What an hour of making costs at a labour grade: wage x (100 % + on-costs) / productive share of paid time. The wage is typed,
 * or the pay of a year / its paid hours. Where the paid hours of a year are entered, the productive share is that of the time
 * at work x (paid hours - holidays - absences) / paid hours (common practice). Gaps: neither wage nor pay, no paid hours of a
 * year, holidays and absences of all of them.
 */
export const labourRate: Calculation<LabourRate> = {
  name: 'labourRate',
  meanings: {
    perHour: 'What one productive hour of this grade costs, with what the employer pays on top of the wage.',
    perPaidHour: 'What one paid hour of this grade costs, with what the employer pays on top of the wage.',
    wage: 'The wage of one paid hour, typed or worked out from the pay of a year.',
    productiveShare: 'The share of the paid time of this grade in which something is made.',
    hoursAtWork: 'The hours of a year in which this grade is at work: paid hours less holidays and absences.',
  },
  work(sheet, gradeId) {
    const grade = sheet.row('labourGrade', gradeId);
    const perHour = money(sheet).per(HOUR);
    if (grade === undefined) {
      const gone = ofMissingRow({ name: 'Labour rate', unit: perHour }, 'a labour step');
      return { perHour: gone, perPaidHour: gone, wage: gone, productiveShare: gone, hoursAtWork: null };
    }
    const subject = grade.name;
    const paidHours = paidHoursOf(sheet, grade);
    const wage = wageOf(sheet, grade, paidHours);
    const onCosts = sheet.input('labourGrade', grade, 'onCostPercent', { name: 'On-costs', subject, unit: PERCENT });
    const factor = sum('Wage with on-costs', PERCENT, [
      constant('The wage itself', '100', PERCENT, 'definition'),
      onCosts,
    ]);
    const perPaidHour = percentOf({ name: 'Pay per paid hour', subject }, factor, wage);
    const hoursAtWork = paidHours && hoursAtWorkOf(sheet, grade, paidHours);
    const productiveShare = productiveShareOf(sheet, grade, paidHours, hoursAtWork);
    return {
      perHour: wholeOf({ name: 'Labour rate', subject }, perPaidHour, productiveShare),
      perPaidHour,
      wage,
      productiveShare,
      hoursAtWork,
    };
  },
};

type Grade = RowOf<'labourGrade'>;

const HOURS_A_YEAR = HOUR.per(YEAR);

/** Null where nothing is said of a year. */
function paidHoursOf(sheet: Sheet, grade: Grade): Figure | null {
  const isOfAYear =
    grade.paidHoursPerYear !== null ||
    (grade.payPerYear !== null && grade.wagePerHour === null) ||
    grade.holidayHoursPerYear !== '0' ||
    grade.absenceHoursPerYear !== '0';
  if (!isOfAYear) return null;
  return sheet.input('labourGrade', grade, 'paidHoursPerYear', {
    name: 'Paid hours a year',
    subject: grade.name,
    unit: HOURS_A_YEAR,
    whenEmpty: (place) => productionGap('no-paid-hours', place, { subject: grade.name }),
  });
}

function wageOf(sheet: Sheet, grade: Grade, paidHours: Figure | null): Figure {
  const subject = grade.name;
  if (grade.wagePerHour !== null || grade.payPerYear === null || paidHours === null)
    return sheet.input('labourGrade', grade, 'wagePerHour', {
      name: 'Wage',
      subject,
      unit: money(sheet).per(HOUR),
      whenEmpty: (place) => productionGap('no-wage', place, { subject }),
    });
  const pay = sheet.input('labourGrade', grade, 'payPerYear', {
    name: 'Pay a year',
    subject,
    unit: money(sheet).per(YEAR),
  });
  return quotient({ name: 'Wage', subject }, pay, paidHours);
}

function hoursAtWorkOf(sheet: Sheet, grade: Grade, paidHours: Figure): Figure {
  const subject = grade.name;
  const away = sum({ name: 'Holidays and absences', subject }, HOURS_A_YEAR, [
    sheet.input('labourGrade', grade, 'holidayHoursPerYear', { name: 'Holidays', subject, unit: HOURS_A_YEAR }),
    sheet.input('labourGrade', grade, 'absenceHoursPerYear', { name: 'Absences', subject, unit: HOURS_A_YEAR }),
  ]);
  const called = { name: 'Hours at work', subject };
  const left = difference(called, paidHours, away);
  if (left.amount === null || isPositive(left.amount)) return left;
  const place = { kind: 'labourGrade', id: grade.id, field: 'paidHoursPerYear' } as const;
  return missing({ ...called, unit: HOURS_A_YEAR }, productionGap('no-hours-at-work', place, { subject }), [left]);
}

function productiveShareOf(sheet: Sheet, grade: Grade, paidHours: Figure | null, hoursAtWork: Figure | null): Figure {
  const called = { name: 'Productive share of paid time', subject: grade.name };
  const stated = (name: string) =>
    sheet.input('labourGrade', grade, 'productivePercent', { name, subject: grade.name, unit: PERCENT });
  if (paidHours === null || hoursAtWork === null) return stated(called.name);
  const making = percentOf(
    { ...called, name: 'Productive hours a year' },
    stated('Productive share of time at work'),
    hoursAtWork,
  );
  return shareOf(called, making, paidHours);
}
