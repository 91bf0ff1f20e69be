import type { Operation, StoredRow } from '@nuvar/book';
import type { VolumesView } from '@nuvar/core';
import { model } from '../book/model.js';
import { createOf, updateOf } from '../book/operations.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid/grid-model.js';
import { readBetween, writeBetween } from '../controls/grid/number-between.js';
import { rowChoiceColumn } from '../controls/grid/row-choice-column.js';
import { removalInBook } from '../controls/grid/rows-writer.js';
import { typedText, written, type Style } from '../figures/format.js';
import { monthOfYear } from './month-words.js';

export type Volume = StoredRow<'plannedVolume'>;
/** What is typed into the row of a volume; a month by its number, empty where it is to follow the season again. */
export type VolumePatch = Partial<Volume> & { readonly planned?: PlannedCell };

/** What is typed for a month of the year; null where it is emptied. */
interface PlannedCell {
  readonly month: number;
  readonly units: string | null;
}

const IN_A_MONTH = { kind: 'plannedMonth', field: 'units' } as const;
const MONTHS = Array.from({ length: 12 }, (_none, index) => index + 1);

interface VolumeLists {
  readonly products: readonly StoredRow<'product'>[];
  readonly channels: readonly StoredRow<'channel'>[];
  readonly seasons: readonly StoredRow<'season'>[];
}

const typedMonth = (volumeId: string, month: number) =>
  model.rows.rowsWith('plannedMonth', 'volumeId', volumeId).find((row) => row.month === month);

/** The columns of the planned volumes: product, channel, average month, season, and each month of the year. */
export function volumeColumns(
  { products, channels, seasons }: VolumeLists,
  view: VolumesView | undefined,
  style: Style,
): Column<Volume, VolumePatch>[] {
  const { locale } = style;
  return [
    { ...rowChoiceColumn<Volume>('productId', products, { header: 'Product' }), placeholder: 'Plan a product' },
    rowChoiceColumn<Volume>('channelId', channels, { header: 'Channel', none: 'where it is priced' }),
    fieldColumn<Volume>('plannedVolume', 'unitsPerMonth', locale),
    rowChoiceColumn<Volume>('seasonId', seasons, { header: 'Season', none: 'even' }),
    ...MONTHS.map((month) => monthColumn(month, view, style)),
  ];
}

/** What the months come to in all, where single ones are typed. */
export const moreVolumeColumns: readonly Column<Volume, VolumePatch>[] = [
  figureColumn({
    id: 'average',
    header: 'Average',
    view: 'volumes',
    of: () => 'book',
    pick: (volumes, { id }: Volume) => volumes.volumes[id]?.average,
    digits: 1,
  }),
];

function monthColumn(month: number, view: VolumesView | undefined, style: Style): Column<Volume, VolumePatch> {
  const header = monthOfYear(month, style.locale);
  return {
    id: `month${month}`,
    header,
    type: 'number',
    text: ({ id }) => typedText(typedMonth(id, month)?.units ?? '', style.locale),
    emptyText: ({ id }) => {
      const amount = view?.volumes[id]?.months[month - 1]?.amount;
      return amount == null ? '' : written(amount, 0, style);
    },
    read: (text) =>
      readBetween(IN_A_MONTH, text, { header, locale: style.locale }, (units) => ({ planned: { month, units } })),
  };
}

export const volumeWriter: GridWriter<Volume, VolumePatch> = {
  update: (row, { planned, ...fields }) => [
    ...updateOf('plannedVolume', row, fields),
    ...(planned === undefined ? [] : writeMonth(row.id, planned)),
  ],
  create: (id, { planned, ...fields }) => {
    if (fields.productId == null) return null;
    return [createOf('plannedVolume', id, { ...fields }), ...(planned === undefined ? [] : writeMonth(id, planned))];
  },
  remove: ({ id }) => removalInBook('plannedVolume', id),
};

const writeMonth = (volumeId: string, { month, units }: PlannedCell): Operation[] =>
  writeBetween(IN_A_MONTH, typedMonth(volumeId, month), { volumeId, month }, units);
