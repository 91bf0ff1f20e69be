import type { Operation, StoredRow } from '@nuvar/book';
import { model } from '../book/model.js';
import { nextPosition } from '../book/operations.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid/grid-model.js';
import { readBetween, writeBetween } from '../controls/grid/number-between.js';
import { rowChoiceColumn } from '../controls/grid/row-choice-column.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { typedText } from '../figures/format.js';
import { ACTIVITY_DRIVER_WORDS, LEVEL_WORDS } from './method-words.js';

export type Activity = StoredRow<'activity'>;
type Pool = StoredRow<'costPool'>;
/** What is typed into the row of an activity; its share of a pool in percent. */
export type ActivityPatch = Partial<Activity> & {
  readonly share?: { readonly poolId: string; readonly percent: string | null };
};

const OF_A_POOL = { kind: 'poolActivity', field: 'percent' } as const;

const shareOf = (activityId: string, poolId: string) =>
  model.rows.rowsWith('poolActivity', 'activityId', activityId).find((row) => row.poolId === poolId);

const writeShare = (activityId: string, { poolId, percent }: NonNullable<ActivityPatch['share']>): Operation[] =>
  writeBetween(OF_A_POOL, shareOf(activityId, poolId), { activityId, poolId }, percent);

const plain = rowsWriter<Activity>('activity', {
  needs: 'name',
  fixed: (before) => ({ position: nextPosition('activity', model.rows.all('activity'), before) }),
});

export const activityWriter: GridWriter<Activity, ActivityPatch> = {
  ...plain,
  update: (row, { share, ...fields }, before) => [
    ...plain.update(row, fields, before),
    ...(share === undefined ? [] : writeShare(row.id, share)),
  ],
  create: (id, { share, ...fields }, before) => {
    const made = plain.create(id, fields, before);
    return made === null ? null : [...made, ...(share === undefined ? [] : writeShare(id, share))];
  },
};

/** What activities are, what of each pool they take up, and what one driver unit costs. */
export function activityColumns(
  pools: readonly Pool[],
  locale: string,
  currency: string,
): Column<Activity, ActivityPatch>[] {
  const rate = (member: 'cost' | 'rate' | 'unused', header: string, digits: number) =>
    figureColumn({
      id: member,
      header,
      view: 'activities',
      of: () => 'book',
      pick: (view, { id }: Activity) => view.rates[id]?.[0]?.[member],
      digits,
    });
  return [
    fieldColumn<Activity>('activity', 'name', locale, { placeholder: 'Setting up, inspecting' }),
    fieldColumn<Activity>('activity', 'level', locale, { words: LEVEL_WORDS }),
    fieldColumn<Activity>('activity', 'driver', locale, { words: ACTIVITY_DRIVER_WORDS }),
    fieldColumn<Activity>('activity', 'practicalVolume', locale, { header: 'Practical volume' }),
    fieldColumn<Activity>('activity', 'isCharged', locale, { header: 'Charged' }),
    ...pools.map((pool) => shareColumn(pool, locale)),
    figureColumn({
      id: 'planned',
      header: 'Planned',
      view: 'activities',
      of: () => 'book',
      pick: (view, { id }: Activity) => view.planned[id],
      digits: 1,
    }),
    rate('cost', `Cost, ${currency}`, 2),
    rate('rate', `Rate, ${currency}`, 4),
    rate('unused', `Unused, ${currency}`, 2),
  ];
}

function shareColumn({ id: poolId, name }: Pool, locale: string): Column<Activity, ActivityPatch> {
  return {
    id: `pool-${poolId}`,
    header: `${name}, %`,
    type: 'number',
    place: ({ id }) => `${id}.pool-${poolId}`,
    text: ({ id }) => typedText(shareOf(id, poolId)?.percent ?? '', locale),
    read: (text) =>
      readBetween(OF_A_POOL, text.replace('%', ''), { header: name, locale }, (percent) => ({
        share: { poolId, percent },
      })),
  };
}

/** Whose time activities take, and how much of it. */
export function timeColumns(pools: readonly Pool[], locale: string): Column<Activity, ActivityPatch>[] {
  return [
    { id: 'name', header: 'Activity', type: 'shown', text: ({ name }) => name, cell: ({ name }) => name },
    rowChoiceColumn<Activity>('resourcePoolId', pools, { header: 'Done by', none: 'not by time' }),
    fieldColumn<Activity>('activity', 'minutes', locale),
    figureColumn({
      id: 'plannedMinutes',
      header: 'Planned minutes',
      view: 'activities',
      of: () => 'book',
      pick: (view, { id }: Activity) => view.minutes[id],
      digits: 0,
    }),
  ];
}
