import type { RunningCostPool } from '@nuvar/book';
import {
  type CalledOf,
  choice,
  constant,
  difference,
  type Figure,
  isWhole,
  multiplied,
  quotient,
  sum,
} from '../figure/index.js';
import { compared } from '../number/index.js';
import { labourHours, plannedUnits } from '../production/index.js';
import { type Calculation, HOUR, money, MONTH, type Sheet, WHOLE_BOOK } from '../sheet/index.js';
import { overheadGap } from './gaps.js';
import { openDays } from './open-days.js';
import { runningCost } from './running-cost.js';

/** The running costs of the book, and the single rate by which they are shared out. */
export interface Overhead {
  readonly total: Figure;
  readonly perOpenDay: Figure;
  readonly plannedHours: Figure;
  readonly basis: Figure;
  readonly rate: Figure;
  /** The parts of the rate that keep production going, and the rest. */
  readonly productionRate: Figure;
  readonly nonProductionRate: Figure;
  readonly sharedOut: Figure;
  readonly notSharedOut: Figure;
}

/**
 * Absorption by a single rate on labour hours: rate = running costs per month / normal labour hours where typed (normal
 * capacity, IAS 2 paragraph 13), else / the hours that the planned units need; where these are more than the normal ones,
 * they are the basis. What is not shared out = total - rate x planned hours: idle capacity, shown, never lost and never
 * below zero. Gap: no hours at all, unless there is nothing to share out.
 */
export const overhead: Calculation<Overhead> = {
  name: 'overhead',
  meanings: {
    total: 'All running costs of a month.',
    perOpenDay: 'What it costs to open the door for a day.',
    plannedHours:
      'Productive labour hours that the planned units of all products need in a month, including their components.',
    basis: 'The productive labour hours by which the running costs are shared.',
    rate: 'The running costs for each productive labour hour (overhead absorption rate).',
    productionRate: 'The production running costs for each productive labour hour.',
    nonProductionRate: 'The other running costs (selling, office) for each productive labour hour.',
    sharedOut: 'The running costs that the planned units of a month absorb.',
    notSharedOut: 'The running costs that no planned unit absorbs (idle capacity).',
  },
  work(sheet) {
    const ofPool = (name: string, pool: RunningCostPool) =>
      sum(
        name,
        money(sheet).per(MONTH),
        sheet
          .all('runningCost')
          .filter((row) => row.pool === pool)
          .map((row) => sheet.read(runningCost, row.id).perMonth),
      );
    const production = ofPool('Production overhead per month', 'production');
    const nonProduction = ofPool('Non-production overhead per month', 'non-production');
    const total = sum('Running costs per month', production.unit, [production, nonProduction]);
    const plannedHours = sum('Planned labour hours per month', HOUR.per(MONTH), plannedHoursByProduct(sheet));
    const basis = absorptionBasis(sheet, plannedHours);
    const rate = absorptionRate(sheet, 'Running costs per labour hour', total, basis);
    const sharedOut = shareOfRunningCosts(sheet, { name: 'Shared out per month', subject: '' }, rate, plannedHours);
    return {
      total,
      perOpenDay: quotient('Running costs per open day', total, sheet.read(openDays, WHOLE_BOOK).perMonth),
      plannedHours,
      basis,
      rate,
      productionRate: absorptionRate(sheet, 'Production overhead per labour hour', production, basis),
      nonProductionRate: absorptionRate(sheet, 'Non-production overhead per labour hour', nonProduction, basis),
      sharedOut,
      notSharedOut: difference('Unabsorbed per month', total, sharedOut),
    };
  },
};

function plannedHoursByProduct(sheet: Sheet): Figure[] {
  return sheet
    .all('product')
    .filter((row) => row.plannedUnitsPerMonth !== null && !row.archived)
    .map(({ id, name }) => {
      const hours = sheet.read(labourHours, id).perUnit;
      return multiplied({ name: 'Planned hours', subject: name }, hours, plannedUnits(sheet, id));
    });
}

/** Running costs per labour hour. Where there are none to share out, nothing falls on an hour, and no hours are asked for. */
function absorptionRate(sheet: Sheet, name: string, total: Figure, basis: Figure): Figure {
  if (isWhole(total) && total.amount.isZero()) {
    const nothing = constant('Nothing to share out', '0', total.unit.per(basis.unit), 'no running costs');
    return choice(name, nothing, 'there are no running costs to share out');
  }
  const place = { kind: 'settings', id: sheet.settings().id, field: 'normalLabourHoursPerMonth' } as const;
  return quotient(name, total, basis, overheadGap('no-labour-hours', place));
}

/**
 * The hours that the running costs are shared over: normal capacity where it is typed, else what the plan needs. A plan
 * that needs more than normal capacity is the basis itself, so that no more is shared out than there is (IAS 2.13).
 */
function absorptionBasis(sheet: Sheet, plannedHours: Figure): Figure {
  const settings = sheet.settings();
  if (settings.normalLabourHoursPerMonth === null)
    return choice('Hours shared over', plannedHours, 'the hours that the planned units need');
  const normal = sheet.input('settings', settings, 'normalLabourHoursPerMonth', {
    name: 'Normal productive hours',
    unit: HOUR.per(MONTH),
  });
  const planned = plannedHours.amount;
  return planned !== null && normal.amount !== null && compared(planned, normal.amount) > 0
    ? choice('Hours shared over', plannedHours, 'the hours that the planned units need, more than the normal hours')
    : choice('Hours shared over', normal, 'the normal productive hours as typed');
}

/**
 * What some hours carry of the running costs: rate x hours. Where there is nothing to share out it is nothing, whether
 * or not the hours are known.
 */
export function shareOfRunningCosts(sheet: Sheet, called: CalledOf, rate: Figure, hours: Figure): Figure {
  if (!isWhole(rate) || !rate.amount.isZero()) return sheet.multiplied(called, rate, hours);
  const nothing = constant('Nothing to share out', '0', rate.unit.times(hours.unit), 'no running costs');
  return choice(called, nothing, 'there are no running costs to share out');
}
