import type { PoolUse, RowOf } from '@nuvar/book';
import { choice, constant, difference, type Figure, percentOf, sum } from '../../figure/index.js';
import { compared } from '../../number/index.js';
import { PERCENT } from '../../quantity/index.js';
import { money, MONTH, type Sheet } from '../../sheet/index.js';
import { type Driver, driverOfActivity, unitOfDriver } from '../driver.js';
import { volumeFor } from '../driver-volume.js';
import { overheadGap } from '../gaps.js';
import type { Lot, Unassigned } from '../lot.js';
import { lotRate } from '../lot-rate.js';
import { type Pool, poolCost, poolsOf } from '../pool-cost.js';
import type { OverheadMethod } from './method.js';

/**
 * Activity-based costing: pools are charged to activities by percentages, and each activity to products by its driver: rate =
 * cost of the activity / practical volume, or / what the plan needs where none is entered. What no activity takes up, and
 * activities that are not charged to products, are named as not shared out. Source: Horngren, Datar & Rajan, Cost Accounting.
 */
export const activities: OverheadMethod = {
  type: 'activities',
  shareOut(sheet) {
    const all = sheet.all('activity');
    const pools = poolsOf(sheet);
    const costs = all.flatMap((activity) => costsOf(sheet, activity, pools));
    return {
      lots: costs.filter(({ activity }) => activity.isCharged).map((each) => activityLot(sheet, each)),
      unassigned: [
        ...pools.flatMap((pool) => restOf(sheet, pool)),
        ...costs.filter(({ activity }) => !activity.isCharged).map(notCharged),
      ],
    };
  },
};

interface ActivityCost {
  readonly activity: RowOf<'activity'>;
  readonly use: PoolUse;
  readonly cost: Figure;
}

/** What an activity takes up of the pools, apart for production and for the rest. */
function costsOf(sheet: Sheet, activity: RowOf<'activity'>, pools: readonly Pool[]): ActivityCost[] {
  const shares = sheet.rowsOf('poolActivity', 'activityId', activity.id);
  return (['production', 'non-production'] as const).flatMap((use) => {
    const parts = shares.flatMap((share) => {
      const pool = pools.find(({ id }) => id === share.poolId);
      if (pool?.use !== use) return [];
      const percent = sheet.input('poolActivity', share, 'percent', {
        name: `Share of ${pool.name}`,
        subject: activity.name,
        unit: PERCENT,
      });
      return [
        percentOf(
          { name: `From ${pool.name}`, subject: activity.name },
          percent,
          sheet.read(poolCost, pool.id).toShareOut,
        ),
      ];
    });
    if (parts.length === 0) return [];
    const called = { name: 'Cost of the activity', subject: activity.name };
    return [{ activity, use, cost: sum(called, money(sheet).per(MONTH), parts) }];
  });
}

function activityLot(sheet: Sheet, { activity, use, cost }: ActivityCost): Lot {
  const driver = driverOfActivity(activity);
  const basis = volumeOf(sheet, activity, driver, use);
  const place = { kind: 'activity', id: activity.id, field: 'practicalVolume' } as const;
  const none = overheadGap('no-volume', place, { subject: activity.name });
  const rate = lotRate('Rate of the activity', activity.name, cost, basis, none);
  const id = `activity.${activity.id}${use === 'production' ? '' : '.other'}`;
  const bearings = [{ id, label: activity.name, driver }];
  return { id, label: activity.name, use, isVariable: false, cost, basis, rate, bearings };
}

/** Practical volume where it is entered; what the plan needs where it is not, or where the plan needs more. */
function volumeOf(sheet: Sheet, activity: RowOf<'activity'>, driver: Driver, use: Pool['use']): Figure {
  const planned = volumeFor(sheet, driver, use);
  const called = { name: 'Driver volume', subject: activity.name };
  if (activity.practicalVolume === null)
    return choice(called, planned, 'what the planned units need: unused capacity cannot be told');
  const practical = sheet.input('activity', activity, 'practicalVolume', {
    name: 'Practical volume',
    subject: activity.name,
    unit: unitOfDriver(sheet, driver).per(MONTH),
  });
  return planned.amount !== null && practical.amount !== null && compared(planned.amount, practical.amount) > 0
    ? choice(called, planned, 'what the planned units need, more than the practical volume')
    : choice(called, practical, 'practical volume as typed');
}

const ALL = constant('All of the pool', '100', PERCENT, 'definition');

/** What no activity takes up of a pool. */
function restOf(sheet: Sheet, { id, name }: Pool): Unassigned[] {
  const shares = sheet
    .rowsOf('poolActivity', 'poolId', id)
    .map((row) => sheet.input('poolActivity', row, 'percent', { name: 'Share', subject: name, unit: PERCENT }));
  const left = difference({ name: 'Left of the pool', subject: name }, ALL, sum('Taken up', PERCENT, shares));
  if (left.amount?.isZero()) return [];
  const cost = percentOf({ name: 'In no activity', subject: name }, left, sheet.read(poolCost, id).toShareOut);
  const place = { kind: 'costPool', id, field: 'activities' } as const;
  const gap = overheadGap('pool-without-activity', place, { subject: name });
  return [{ id: `pool.${id}`, label: name, cost, why: 'no activity takes it up', gap, lotId: null }];
}

const notCharged = ({ activity, use, cost }: ActivityCost): Unassigned => ({
  id: `activity.${activity.id}.${use}`,
  label: activity.name,
  cost,
  gap: null,
  lotId: null,
  why: `${activity.level} cost, not charged to products by choice`,
});
