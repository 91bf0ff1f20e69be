import type { RowOf } from '@nuvar/book';
import { choice, emptyInput, type Figure, gapSentence, sum } from '../../figure/index.js';
import { compared } from '../../number/index.js';
import { MINUTE, MONTH, type Sheet } from '../../sheet/index.js';
import { minutesOf } from '../driver.js';
import { volumeFor } from '../driver-volume.js';
import { overheadGap } from '../gaps.js';
import type { Lot, Unassigned } from '../lot.js';
import { lotRate } from '../lot-rate.js';
import { type Pool, poolCost, poolsOf } from '../pool-cost.js';
import type { OverheadMethod } from './method.js';

/**
 * Time-driven activity-based costing: cost per minute of a pool = its cost / the practical minutes of its resources; a product
 * bears minutes of each activity x that rate. The minutes that nobody uses are unused capacity. Source: Kaplan and Anderson,
 * Time-Driven Activity-Based Costing.
 */
export const timeDriven: OverheadMethod = {
  type: 'time-driven activities',
  shareOut(sheet) {
    const pools = poolsOf(sheet).map((pool) => ({ pool, done: activitiesOf(sheet, pool) }));
    return {
      lots: pools.flatMap(({ pool, done }) => (done.length === 0 ? [] : [poolLot(sheet, pool, done)])),
      unassigned: pools.flatMap(({ pool, done }) => (done.length === 0 ? [withoutActivity(sheet, pool)] : [])),
    };
  },
};

const activitiesOf = (sheet: Sheet, { id }: Pool) =>
  sheet.rowsOf('activity', 'resourcePoolId', id).filter(({ isCharged }) => isCharged);

function poolLot(sheet: Sheet, pool: Pool, done: readonly RowOf<'activity'>[]): Lot {
  const cost = sheet.read(poolCost, pool.id).toShareOut;
  const basis = practicalMinutes(sheet, pool, done);
  const id = `pool.${pool.id}`;
  const place = { kind: 'costPool', id: pool.id, field: 'practicalMinutes' } as const;
  const none = overheadGap('no-practical-minutes', place, { subject: pool.name });
  return {
    id,
    label: pool.name,
    use: pool.use,
    isVariable: false,
    cost,
    basis,
    rate: lotRate('Cost per minute', pool.name, cost, basis, none),
    bearings: done.map(({ id: activityId, name }) => ({
      id: `activity.${activityId}`,
      label: name,
      driver: minutesOf(activityId),
    })),
  };
}

/** The practical minutes of a pool; what the plan needs where that is more. */
function practicalMinutes(sheet: Sheet, pool: Pool, done: readonly RowOf<'activity'>[]): Figure {
  const leaf = { name: 'Practical minutes', subject: pool.name, unit: MINUTE.per(MONTH) };
  const { row } = pool;
  if (row?.practicalMinutes == null) {
    const place = { kind: 'costPool', id: pool.id, field: 'practicalMinutes' } as const;
    return emptyInput(leaf, place, overheadGap('no-practical-minutes', place, { subject: pool.name }));
  }
  const practical = sheet.input('costPool', row, 'practicalMinutes', leaf);
  const planned = sum(
    { name: 'Minutes that the plan needs', subject: pool.name },
    leaf.unit,
    done.map(({ id }) => volumeFor(sheet, minutesOf(id), pool.use)),
  );
  const called = { name: 'Shared over', subject: pool.name };
  return planned.amount !== null && practical.amount !== null && compared(planned.amount, practical.amount) > 0
    ? choice(called, planned, 'what the planned units need, more than the practical minutes')
    : choice(called, practical, 'practical minutes as typed');
}

function withoutActivity(sheet: Sheet, { id, name }: Pool): Unassigned {
  const gap = overheadGap('pool-without-activity', { kind: 'costPool', id, field: 'activities' }, { subject: name });
  return {
    id: `pool.${id}`,
    label: name,
    cost: sheet.read(poolCost, id).toShareOut,
    why: gapSentence(gap),
    gap,
    lotId: null,
  };
}
