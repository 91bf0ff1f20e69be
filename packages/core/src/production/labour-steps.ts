import type { RowOf } from '@nuvar/book';
import { type Figure, missing, multiplied, quotient } from '../figure/index.js';
import { converted } from '../purchasing/index.js';
import { NUMBER, type Unit, unit } from '../quantity/index.js';
import { BATCH, HOUR, MINUTE, money, type Sheet } from '../sheet/index.js';
import type { Batch } from './batch.js';
import { productionGap } from './gaps.js';
import { labourRate } from './labour-rate.js';
import { type CostItem, type CostRow, type ItemOf, itemOn, type Taking, type TakingBasis } from './taking.js';

type Step = RowOf<'labourStep'>;
type Grade = RowOf<'labourGrade'>;

const gradeOf = (sheet: Sheet, { gradeId }: Step): Grade | undefined =>
  gradeId === null ? undefined : sheet.row('labourGrade', gradeId);

/**
 * The work on a product. Productive hours of a batch = minutes per batch, minutes per started unit x units started,
 * minutes per good unit x good units, or units started / units per hour of the whole team; times the people at work.
 * Cost = hours x labour rate.
 */
export const labourSteps: CostRow = {
  kind: 'labourStep',
  takings: (sheet, productId, units) =>
    sheet.list(
      sheet.rowsOf('labourStep', 'productId', productId),
      units,
      (step) => gradeOf(sheet, step),
      (step, grade) => takingOf(sheet, step, grade, BASIS[step.timeBasis], teamHours(sheet, step, units)),
    ),
  priced: pricedByGrade,
  cost: costOfHours,
};

/** What each batch of a product takes of the same work once, whatever its size. */
export const labourSetUps: CostRow = {
  kind: 'labourStep',
  takings(sheet, productId) {
    const steps = sheet.rowsOf('labourStep', 'productId', productId);
    return sheet.list(
      steps.filter(({ setUpMinutes }) => setUpMinutes !== '0'),
      null,
      (step) => gradeOf(sheet, step),
      (step, grade) => takingOf(sheet, step, grade, 'batch', setUpHours(sheet, step)),
    );
  },
  priced: pricedByGrade,
  cost: costOfHours,
};

const BASIS: Readonly<Record<Step['timeBasis'], TakingBasis>> = {
  'minutes per batch': 'batch',
  'minutes per unit': 'started unit',
  'minutes per good unit': 'good unit',
  'units per hour': 'started unit',
};

function takingOf(sheet: Sheet, step: Step, grade: Grade | undefined, basis: TakingBasis, taken: Figure): Taking {
  const people = sheet.input('labourStep', step, 'people', { name: 'People', subject: step.name, unit: NUMBER });
  const called = { name: 'Productive hours per batch', subject: step.name };
  const hours = step.people === '1' ? taken : multiplied(called, taken, people);
  const of: ItemOf | null = grade === undefined ? null : { kind: 'labourGrade', id: grade.id, name: grade.name };
  return { kind: 'labourStep', id: step.id, of, basis, quantity: hours, hours };
}

function pricedByGrade(sheet: Sheet, { of }: Taking): object | null {
  return of === null ? null : sheet.read(labourRate, of.id).perHour;
}

function costOfHours(sheet: Sheet, taking: Taking, rate: object | null, { productName }: Batch): CostItem {
  const step = sheet.row('labourStep', taking.id) as Step;
  const called = { name: 'Labour', subject: step.name };
  if (rate !== null) {
    const perHour = rate as Figure;
    return itemOn('labour', taking, perHour, sheet.multiplied(called, taking.quantity, perHour));
  }
  const place = { kind: 'labourStep', id: step.id, field: 'gradeId' } as const;
  const reason = productionGap('no-grade', place, { step: step.name, subject: productName });
  const none = missing({ ...called, unit: money(sheet).per(BATCH) }, reason, [taking.quantity]);
  return itemOn('labour', taking, null, none);
}

/** The hours that each batch of a product takes once for a step, of all people at work in it. */
export function labourSetUpHours(sheet: Sheet, step: Step): Figure {
  return takingOf(sheet, step, gradeOf(sheet, step), 'batch', setUpHours(sheet, step)).quantity;
}

function setUpHours(sheet: Sheet, step: Step): Figure {
  const minutes = sheet.input('labourStep', step, 'setUpMinutes', {
    name: 'Set-up per batch',
    subject: step.name,
    unit: MINUTE.per(BATCH),
  });
  return converted(minutes, 'min', 'h') as Figure;
}

/** The hours of the whole team for one batch, before they are multiplied by its people. Gap: no time yet. */
function teamHours(sheet: Sheet, step: Step, { started, good, outputUnit, productName }: Batch): Figure {
  const output = unit(outputUnit);
  const subject = step.name;
  const place = { kind: 'labourStep', id: step.id, field: 'time' } as const;
  const whenEmpty = () => productionGap('no-time', place, { step: subject, subject: productName });
  const time = (name: string, timeUnit: Unit) =>
    sheet.input('labourStep', step, 'time', { name, subject, unit: timeUnit, whenEmpty });
  if (step.timeBasis === 'units per hour') {
    // None an hour is as little said as nothing.
    return quotient(
      { name: 'Hours per batch', subject },
      started,
      time('Units per hour', output.per(HOUR)),
      whenEmpty(),
    );
  }
  if (step.timeBasis === 'minutes per batch')
    return converted(time('Minutes per batch', MINUTE.per(BATCH)), 'min', 'h') as Figure;
  const isPerGood = step.timeBasis === 'minutes per good unit';
  const perUnit = time(isPerGood ? 'Minutes per good unit' : 'Minutes per unit', MINUTE.per(output));
  const minutes = multiplied({ name: 'Minutes per batch', subject }, perUnit, isPerGood ? good : started);
  return converted(minutes, 'min', 'h') as Figure;
}
