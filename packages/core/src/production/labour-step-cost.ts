import type { RowOf } from '@nuvar/book';
import { BATCH, HOUR, MINUTE, money } from '../evaluate/units.js';
import type { Calculation, Sheet } from '../evaluate/calculation.js';
import { gap, missing, product, quotient, type Figure } from '../figure/index.js';
import { NUMBER, unit } from '../quantity/index.js';
import { converted } from '../purchasing/index.js';
import { batch } from './batch.js';
import { labourRate } from './labour-rate.js';

/**
 * The paid hours of one labour step in a batch, and their cost. Hours = minutes per batch, or minutes per started unit
 * x units started, or units started / units per hour; times the people at work. Cost = hours x labour rate.
 */
export const labourStepCost: Calculation<{ hours: Figure; cost: Figure }> = {
  name: 'labourStep',
  meanings: {
    hours: 'Paid hours that this step takes for one batch, all people together.',
    cost: 'What this step costs for one batch.',
  },
  work(sheet, stepId) {
    const step = sheet.row('labourStep', stepId);
    const costUnit = money(sheet).per(BATCH);
    if (step === undefined) {
      const gone = gap('row-missing', null, { subject: 'a labour step' });
      return {
        hours: missing({ name: 'Hours', unit: HOUR.per(BATCH) }, gone),
        cost: missing({ name: 'Labour', unit: costUnit }, gone),
      };
    }
    const subject = step.name;
    const people = sheet.input('labourStep', step, 'people', { name: 'People', subject, unit: NUMBER });
    const taken = teamHours(sheet, step);
    const hours = step.people === '1' ? taken : product({ name: 'Paid hours per batch', subject }, taken, people);
    if (step.gradeId === null) {
      const owner = sheet.row('product', step.productId)?.name ?? 'a product';
      const reason = gap(
        'no-grade',
        { kind: 'labourStep', id: stepId, field: 'gradeId' },
        { step: subject, subject: owner },
      );
      return { hours, cost: missing({ name: 'Labour', subject, unit: costUnit }, reason, [hours]) };
    }
    return { hours, cost: product({ name: 'Labour', subject }, hours, sheet.read(labourRate, step.gradeId).perHour) };
  },
};

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
    return quotient(
      { name: 'Hours per batch', subject },
      started,
      perHour,
      gap('no-time', place, { step: subject, subject: owner?.name ?? 'a product' }),
    );
  }
  const minutes =
    step.timeBasis === 'minutes per batch'
      ? time('Minutes per batch', MINUTE.per(BATCH))
      : product({ name: 'Minutes per batch', subject }, time('Minutes per unit', MINUTE.per(output)), started);
  return converted(minutes, 'min', 'h') as Figure;
}
