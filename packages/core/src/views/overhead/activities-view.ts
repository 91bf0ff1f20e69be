import { driverOfActivity, driverVolume, lotUse, minutesOf, overheadLot, sharedOut } from '../../overhead/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';
import { type UnassignedView, unassignedViews } from './overhead-view.js';

type RateFigures = Readonly<Record<'cost' | 'basis' | 'rate' | 'used' | 'assigned' | 'unused', FigureView>>;

export interface ActivitiesView {
  /** By the id of the activity: its rates, one for production and one for the rest. */
  readonly rates: Readonly<
    Record<string, readonly (RateFigures & { readonly basisNote: string; readonly isProduction: boolean })[]>
  >;
  /** How often the plan needs it, by the id of the activity. */
  readonly planned: Readonly<Record<string, FigureView>>;
  /** How often a unit of each product needs it, for activities that are typed: by "product@activity". */
  readonly unassigned: readonly UnassignedView[];
  /** For time-driven costing, by the id of the pool. */
  readonly pools: Readonly<Record<string, RateFigures & { readonly basisNote: string }>>;
  /** The minutes of each activity that the plan needs, by the id of the activity. */
  readonly minutes: Readonly<Record<string, FigureView>>;
  readonly notTimed: readonly UnassignedView[];
}

const ACTIVITIES = 'activities';
const TIMED = 'time-driven activities';

/** Activities with their rates and what of their capacity is not used, and the same by time. */
export function activitiesView(evaluation: Evaluation): ActivitiesView {
  const { sheet } = evaluation;
  const all = sheet.all('activity');
  const ratesOf = (method: string, id: string): RateFigures => ({
    ...shownAll(evaluation, overheadLot, `${method}@${id}`, ['cost', 'basis', 'rate']),
    ...shownAll(evaluation, lotUse, `${method}@${id}`, ['used', 'assigned', 'unused']),
  });
  const { lots } = evaluation.read(sharedOut, ACTIVITIES);
  const timed = evaluation.read(sharedOut, TIMED).lots.filter(({ id }) => id.startsWith('pool.'));
  return {
    rates: Object.fromEntries(
      all.map(({ id }) => [
        id,
        lots
          .filter((lot) => lot.id === `activity.${id}` || lot.id === `activity.${id}.other`)
          .map((lot) => ({
            ...ratesOf(ACTIVITIES, lot.id),
            basisNote: lot.basis.note,
            isProduction: lot.use === 'production',
          })),
      ]),
    ),
    planned: Object.fromEntries(
      all.map((row) => [row.id, shown(evaluation, driverVolume, driverOfActivity(row), 'planned')]),
    ),
    unassigned: unassignedViews(evaluation, ACTIVITIES),
    pools: Object.fromEntries(
      timed.map((lot) => [lot.id.slice('pool.'.length), { ...ratesOf(TIMED, lot.id), basisNote: lot.basis.note }]),
    ),
    minutes: Object.fromEntries(all.map(({ id }) => [id, shown(evaluation, driverVolume, minutesOf(id), 'planned')])),
    notTimed: unassignedViews(evaluation, TIMED),
  };
}
