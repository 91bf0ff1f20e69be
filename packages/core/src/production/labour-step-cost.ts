import type { RowOf } from '@nuvar/book';
import { type Figure, gap, missing, ofMissingRow, product, quotient, sum } from '../figure/index.js';
import { converted } from '../purchasing/index.js';
import { NUMBER, unit } from '../quantity/index.js';
import { BATCH, type Calculation, HOUR, MINUTE, money, type Sheet } from '../sheet/index.js';
import { batch } from './batch.js';
import { labourRate } from './labour-rate.js';

/** What a labour step takes for one batch. */
export interface LabourStepCost {
  readonly hours: Figure;
  readonly cost: Figure;
  /** The paid hours that a batch takes whatever its size, and their cost; null where there are none. */
  readonly fixedHours: Figure | null;
  readonly fixedCost: Figure | null;
}

/**
 * The paid hours of one labour step in a batch, and their cost. Hours = minutes per batch, or minutes per started unit
 * x units started, or units started / units per hour; and the set-up, once a batch; times the people at work. Cost = hours
 * x labour rate.
 */
export const labourStepCost: Calculation<LabourStepCost> = {
  name: 'labourStep',
  meanings: {
    hours: 'Paid hours that this step takes for one batch, all people together.',
    cost: 'What this step costs for one batch.',
  },
  work(sheet, stepId) {
    const step = sheet.row('labourStep', stepId);
    const costUnit = money(sheet).per(BATCH);
    if (step === undefined) {
      return {
        hours: ofMissingRow({ name: 'Hours', unit: HOUR.per(BATCH) }, 'a labour step'),
        cost: ofMissingRow({ name: 'Labour', unit: costUnit }, 'a labour step'),
        fixedHours: null,
        fixedCost: null,
      };
    }
    const subject = step.name;
    const people = sheet.input('labourStep', step, 'people', { name: 'People', subject, unit: NUMBER });
    const paid = (taken: Figure, name: string) =>
      step.people === '1' ? taken : product({ name, subject }, taken, people);
    const setUp = setUpHours(sheet, step);
    const running = teamHours(sheet, step);
    const taken =
      setUp === null ? running : sum({ name: 'Hours with set-up', subject }, running.unit, [setUp, running]);
    const hours = paid(taken, 'Paid hours per batch');
    const whateverItsSize = step.timeBasis === 'minutes per batch' ? taken : setUp;
    const fixedHours = whateverItsSize && paid(whateverItsSize, 'Paid hours of any batch');
    if (step.gradeId === null) {
      const owner = sheet.row('product', step.productId)?.name ?? 'a product';
      const reason = gap(
        'no-grade',
        { kind: 'labourStep', id: stepId, field: 'gradeId' },
        { step: subject, subject: owner },
      );
      const cost = missing({ name: 'Labour', subject, unit: costUnit }, reason, [hours]);
      return { hours, cost, fixedHours, fixedCost: fixedHours && cost };
    }
    const { perHour } = sheet.read(labourRate, step.gradeId);
    return {
      hours,
      cost: product({ name: 'Labour', subject }, hours, perHour),
      fixedHours,
      fixedCost: fixedHours && product({ name: 'Labour of any batch', subject }, fixedHours, perHour),
    };
  },
};

function setUpHours(sheet: Sheet, step: RowOf<'labourStep'>): Figure | null {
  if (step.setUpMinutes === '0') return null;
  const minutes = sheet.input('labourStep', step, 'setUpMinutes', {
    name: 'Set-up per batch',
    subject: step.name,
    unit: MINUTE.per(BATCH),
  });
  return converted(minutes, 'min', 'h');
}

function teamHours(sheet: Sheet, step: RowOf<'labourStep'>): Figure {
  const owner = sheet.row('product', step.productId);
  const output = unit(owner?.outputUnit ?? 'each');
  const subject = step.name;
  const place = { kind: 'labourStep', id: step.id, field: 'time' } as const;
  const whenEmpty = () => gap('no-time', place, { step: subject, subject: owner?.name ?? 'a product' });
  const time = (name: string, timeUnit: typeof HOUR) =>
    sheet.input('labourStep', step, 'time', { name, subject, unit: timeUnit, whenEmpty });
  const { started } = sheet.read(batch, step.productId);

  if (step.timeBasis === 'units per hour') {
    const perHour = time('Units per hour', output.per(HOUR));
    // None an hour is as little said as nothing.
    return quotient({ name: 'Hours per batch', subject }, started, perHour, whenEmpty());
  }
  const minutes =
    step.timeBasis === 'minutes per batch'
      ? time('Minutes per batch', MINUTE.per(BATCH))
      : product({ name: 'Minutes per batch', subject }, time('Minutes per unit', MINUTE.per(output)), started);
  return converted(minutes, 'min', 'h') as Figure;
}
