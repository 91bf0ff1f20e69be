import type { RowOf } from '@nuvar/book';
import {
  choice,
  constant,
  difference,
  type Figure,
  isWhole,
  multiplied,
  ofMissingRow,
  percentOf,
  quotient,
  rounded,
  sum,
} from '../figure/index.js';
import { ONE } from '../number/index.js';
import {
  batch,
  floorOfAYear,
  isCommittedMachine,
  labourRate,
  otherCost,
  plannedOutput,
  wearsByYears,
  yearlyUpkeepOf,
} from '../production/index.js';
import { NUMBER } from '../quantity/index.js';
import { type Calculation, HOUR, money, MONTH, type Sheet, WHOLE_BOOK, YEAR } from '../sheet/index.js';
import { gradeDriver, machineDriver } from './driver.js';
import { driverVolume } from './driver-volume.js';
import { MONTHS_A_YEAR } from './open-days.js';
import { overhead } from './overhead.js';

/** Pay that comes whatever is made, and how much of it the plan uses. */
export interface CommittedPay {
  readonly perMonth: Figure;
  readonly used: Figure;
  readonly unused: Figure;
}

/**
 * The committed pay of a labour grade in a month: paid hours x pay per paid hour; in steps, as many steps of so many paid hours
 * as the plan needs, at least one; where no hours are entered, what the plan needs. Used = planned hours x labour rate.
 */
export const committedPay: Calculation<CommittedPay> = {
  name: 'committedPay',
  meanings: {
    perMonth: 'What this labour grade is paid in a month whatever is made.',
    used: 'How much of that the planned hours take up.',
    unused: 'What is paid and not used by the plan.',
  },
  work(sheet, gradeId) {
    const grade = sheet.row('labourGrade', gradeId);
    const perMonth = money(sheet).per(MONTH);
    if (grade === undefined) {
      const gone = ofMissingRow({ name: 'Committed pay', unit: perMonth }, 'a labour grade');
      return { perMonth: gone, used: gone, unused: gone };
    }
    const named = (name: string) => ({ name, subject: grade.name });
    const { perHour, perPaidHour } = sheet.read(labourRate, gradeId);
    const { planned } = sheet.read(driverVolume, gradeDriver(gradeId));
    const used = multiplied(named('Used by the plan'), perHour, planned);
    const paid = paidHours(sheet, grade, planned);
    const committed =
      paid === null
        ? choice(named('Committed pay'), used, 'no paid hours are entered: what the plan needs')
        : multiplied(named('Committed pay'), paid, perPaidHour);
    return { perMonth: committed, used, unused: difference(named('Not used by the plan'), committed, used) };
  },
};

/** The paid hours of a month; null where none are entered. */
function paidHours(sheet: Sheet, grade: RowOf<'labourGrade'>, planned: Figure): Figure | null {
  if (grade.paidHoursPerMonth === null) return null;
  const named = (name: string) => ({ name, subject: grade.name });
  const stated = sheet.input('labourGrade', grade, 'paidHoursPerMonth', {
    ...named('Paid hours'),
    unit: HOUR.per(MONTH),
  });
  if (grade.behaviour !== 'stepped') return stated;
  const { productiveShare } = sheet.read(labourRate, grade.id);
  const ofStep = percentOf(named('Productive hours of a step'), productiveShare, stated);
  const exact = quotient(named('Steps that the plan needs'), planned, ofStep);
  const one = constant('One step', '1', NUMBER, 'definition');
  const steps = isWhole(exact) && exact.amount.isZero() ? one : rounded(named('Steps'), exact, ONE, 'up');
  return multiplied(named('Paid hours'), stated, steps);
}

/**
 * What a machine costs in a month whatever it makes: what it loses over its life / its months, and a twelfth of the upkeep and
 * of the floor of a year. Idle = hours that it can run less those that the plan needs.
 */
export const committedEquipment: Calculation<{ perMonth: Figure; idleHours: Figure }> = {
  name: 'committedEquipment',
  meanings: {
    perMonth: 'What this machine costs in a month, whatever it makes: wear over years, upkeep of a year, floor.',
    idleHours: 'The hours of a month in which it could run and the plan does not need it.',
  },
  work(sheet, id) {
    const row = sheet.row('equipment', id);
    const perMonth = money(sheet).per(MONTH);
    if (row === undefined) {
      const gone = ofMissingRow({ name: 'Committed cost of equipment', unit: perMonth }, 'a machine');
      return { perMonth: gone, idleHours: gone };
    }
    const named = (name: string) => ({ name, subject: row.name });
    const aMonth = (name: string, ofAYear: Figure | null) =>
      ofAYear === null ? [] : [quotient(named(name), ofAYear, MONTHS_A_YEAR)];
    const hours = sheet.input('equipment', row, 'hoursPerYear', { ...named('Hours a year'), unit: HOUR.per(YEAR) });
    const canRun = quotient(named('Hours a month'), hours, MONTHS_A_YEAR);
    const { planned } = sheet.read(driverVolume, machineDriver(id));
    return {
      perMonth: sum(named('Committed cost of equipment'), perMonth, [
        ...wearOfAMonth(sheet, row),
        ...aMonth('Upkeep a month', yearlyUpkeepOf(sheet, row)),
        ...aMonth('Floor a month', floorOfAYear(sheet, row)),
      ]),
      idleHours: difference(named('Idle hours'), canRun, planned),
    };
  },
};

/** What a machine whose life is in years loses in a month; empty for any other, or without a purchase price. */
export function wearOfAMonth(sheet: Sheet, row: RowOf<'equipment'>): Figure[] {
  if (!wearsByYears(row) || row.purchasePrice === null) return [];
  const named = (name: string) => ({ name, subject: row.name });
  const price = sheet.input('equipment', row, 'purchasePrice', { ...named('Purchase price'), unit: money(sheet) });
  const residual = sheet.input('equipment', row, 'residualValue', { ...named('Renet proceeds'), unit: money(sheet) });
  const years = sheet.input('equipment', row, 'lifeYears', { ...named('Life'), unit: YEAR });
  const months = multiplied(named('Months of its life'), years, MONTHS_A_YEAR);
  return [quotient(named('Wear a month'), difference(named('Lost over its life'), price, residual), months)];
}

/** What comes in a month whatever is made and sold. */
export interface FixedCosts {
  readonly running: Figure;
  readonly committed: Figure;
  readonly total: Figure;
}

/** Labour grades and machines whose cost is committed or goes in steps. */
export const committedGrades = (sheet: Sheet) =>
  sheet.all('labourGrade').filter(({ behaviour }) => behaviour !== 'variable');
export const committedMachines = (sheet: Sheet) => sheet.all('equipment').filter(isCommittedMachine);

/**
 * The fixed costs of a month: running costs that are fixed or within their step, and what is committed to making: pay, wear
 * over years, upkeep and floor of a year, other committed costs as the plan needs them.
 */
export const fixedCosts: Calculation<FixedCosts> = {
  name: 'fixedCosts',
  meanings: {
    running: 'The running costs of a month that come whatever is made and sold.',
    committed: 'Pay, equipment and other costs of making that are committed for the month.',
    total: 'All that comes in a month whatever is made and sold (fixed cost).',
  },
  work(sheet) {
    const perMonth = money(sheet).per(MONTH);
    const { fixed } = sheet.read(overhead, WHOLE_BOOK);
    const committed = sum('Committed costs per month', perMonth, [
      ...committedGrades(sheet).map(({ id }) => sheet.read(committedPay, id).perMonth),
      ...committedMachines(sheet).map(({ id }) => sheet.read(committedEquipment, id).perMonth),
      ...otherCommitted(sheet),
    ]);
    return {
      running: fixed,
      committed,
      total: committed.parts.length === 0 ? fixed : sum('Fixed costs per month', perMonth, [fixed, committed]),
    };
  },
};

function otherCommitted(sheet: Sheet): Figure[] {
  return sheet
    .all('otherCost')
    .filter(({ behaviour }) => behaviour !== 'variable')
    .map(({ id, productId, name }) => {
      const perUnit = quotient(
        { name: 'Per unit', subject: name },
        sheet.read(otherCost, id).perBatch,
        sheet.read(batch, productId).good,
      );
      return multiplied(
        { name: 'Committed cost per month', subject: name },
        perUnit,
        sheet.read(plannedOutput, productId).units,
      );
    });
}
