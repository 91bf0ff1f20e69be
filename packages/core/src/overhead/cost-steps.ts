import type { RowOf } from '@nuvar/book';
import type { Figure } from '../figure/index.js';
import { type Decimal, decimal } from '../number/index.js';
import { costWithTax } from '../purchasing/index.js';
import { numberIn, type Sheet } from '../sheet/index.js';
import { inMonth, isOutsideItsTime } from './running-cost.js';
import { byLimit } from './step-limit.js';

/** A step of a running cost, brought to a month. */
export interface StepOfMonth {
  /** Up to so much of its driver a month, the limit included; null for the last step. */
  readonly upTo: Decimal | null;
  readonly perMonth: Figure;
}

/** The running costs that go in steps and count on the day of the evaluation. */
export const steppedCosts = (sheet: Sheet): readonly RowOf<'runningCost'>[] =>
  sheet.all('runningCost').filter((row) => row.behaviour === 'stepped' && !isOutsideItsTime(sheet, row));

/** All steps of a running cost in the order of their limits, each with what it is in a month. */
export function stepsOfMonth(sheet: Sheet, row: RowOf<'runningCost'>): readonly StepOfMonth[] {
  return [...sheet.rowsOf('costStep', 'runningCostId', row.id)].sort(byLimit).map((step) => {
    const limit = step.upTo === null ? 'its last step' : `up to ${numberIn(sheet, step.upTo)} ${row.driver}`;
    const called = { name: 'Per month', subject: `${row.name}, ${limit}` };
    const perMonth = inMonth(sheet, row, called, (of) => {
      const stated = sheet.input('costStep', step, 'amount', {
        name: 'Amount of the step',
        subject: row.name,
        unit: of,
      });
      return costWithTax(sheet, 'runningCost', row, stated);
    });
    return { upTo: step.upTo === null ? null : decimal(step.upTo), perMonth };
  });
}
