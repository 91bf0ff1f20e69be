import type { RowOf } from '@nuvar/book';
import { choice, type Figure, missing } from '../figure/index.js';
import { compared, decimal } from '../number/index.js';
import { costWithTax } from '../purchasing/index.js';
import type { Unit } from '../quantity/index.js';
import { dayIn, numberIn, type Sheet } from '../sheet/index.js';
import { driverVolume } from './driver-volume.js';
import { overheadGap } from './gaps.js';
import { byLimit } from './step-limit.js';

/**
 * What a running cost is each time that it comes, on a day, with the tax on it that is not recovered: the newest amount
 * that is in force, or for a stepped cost the amount of the step in which the plan lies (limits included). Gaps: no amount
 * yet; no steps, or a plan beyond the last.
 */
export function amountPaid(sheet: Sheet, row: RowOf<'runningCost'>, day: string, of: Unit): Figure {
  const stated = row.behaviour === 'stepped' ? steppedAmount(sheet, row, of) : amountInForce(sheet, row, day, of);
  return costWithTax(sheet, 'runningCost', row, stated);
}

function amountInForce(sheet: Sheet, row: RowOf<'runningCost'>, day: string, of: Unit): Figure {
  const newest = sheet
    .rowsOf('costIncrease', 'runningCostId', row.id)
    .filter(({ validFrom }) => validFrom <= day)
    .reduce<RowOf<'costIncrease'> | null>(
      (so, each) => (so === null || each.validFrom >= so.validFrom ? each : so),
      null,
    );
  const leaf = { name: 'Amount', subject: row.name, unit: of };
  if (newest === null)
    return sheet.input('runningCost', row, 'amount', {
      ...leaf,
      whenEmpty: (place) => overheadGap('no-running-amount', place, { subject: row.name }),
    });
  const amount = sheet.input('costIncrease', newest, 'amount', { ...leaf, name: 'New amount' });
  return choice(leaf, amount, `from ${dayIn(sheet, newest.validFrom)}`);
}

function steppedAmount(sheet: Sheet, row: RowOf<'runningCost'>, of: Unit): Figure {
  const leaf = { name: 'Amount', subject: row.name, unit: of };
  const place = { kind: 'runningCost', id: row.id, field: 'steps' } as const;
  const steps = [...sheet.rowsOf('costStep', 'runningCostId', row.id)].sort(byLimit);
  if (steps.length === 0) return missing(leaf, overheadGap('no-steps', place, { subject: row.name }));
  const { planned } = sheet.read(driverVolume, row.driver);
  const { amount } = planned;
  if (amount === null || planned.gaps.length > 0)
    return missing(leaf, planned.gaps[0] ?? overheadGap('no-steps', place, { subject: row.name }), [planned]);
  const step = steps.find(({ upTo }) => upTo === null || compared(amount, decimal(upTo)) <= 0);
  if (step === undefined) {
    const last = numberIn(sheet, steps.at(-1)?.upTo ?? '');
    return missing(leaf, overheadGap('beyond-last-step', place, { subject: row.name, last, driver: row.driver }), [
      planned,
    ]);
  }
  const stated = sheet.input('costStep', step, 'amount', { ...leaf, name: 'Amount of the step' });
  const limit = step.upTo === null ? 'its last step' : `up to ${numberIn(sheet, step.upTo)}`;
  const needs = numberIn(sheet, amount.toSignificantDigits(6).toFixed());
  return choice(leaf, stated, `${limit}: the plan needs ${needs} ${row.driver} a month`);
}
