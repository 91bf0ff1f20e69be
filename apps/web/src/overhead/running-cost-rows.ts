import type { RHYTHMS, StoredRow, VolumeDriver } from '@nuvar/book';
import { today } from '../state/today.js';
import { model } from '../book/model.js';
import { nextPosition } from '../book/operations.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid/grid-model.js';
import { rowNamed, rowsWriter } from '../controls/grid/rows-writer.js';

type Row = StoredRow<'runningCost'>;
/** What is typed into a row; a pool by its name, which may be a new one. */
export type RunningCostPatch = Partial<Row> & { readonly pool?: string };

export const RHYTHM_WORDS = {
  day: 'each open day',
  week: 'weekly',
  month: 'monthly',
  quarter: 'quarterly',
  year: 'yearly',
  'one-off': 'one-off, spread',
} satisfies Record<(typeof RHYTHMS)[number], string>;

export const BEHAVIOUR_WORDS = { fixed: 'fixed', stepped: 'in steps', variable: 'variable' };

/** What a variable cost is for each of. */
export const DRIVER_WORDS: Readonly<Record<VolumeDriver, string>> = {
  units: 'unit sold',
  batches: 'batch',
  orders: 'order',
  'labour hours': 'labour hour',
  'machine hours': 'machine hour',
};

const plainWriter = rowsWriter<Row>('runningCost', {
  needs: 'name',
  fixed: (before) => ({ position: nextPosition('runningCost', model.rows.all('runningCost'), before) }),
});

const isOneOff = (row: Row | null) => row?.rhythm === 'one-off';

/** A one-off starts today and is spread over a year until something else is typed. */
const begun = (patch: Partial<Row>, row?: Row): Partial<Row> =>
  patch.rhythm === 'one-off' ? { startsOn: row?.startsOn ?? today(), months: row?.months ?? 12, ...patch } : patch;

export const runningCostWriter: GridWriter<Row, RunningCostPatch> = {
  ...plainWriter,
  create: (id, patch, before) => {
    const { fields, made } = withPool(patch, before);
    const created = plainWriter.create(id, begun(fields), before);
    return created === null ? null : [...made, ...created];
  },
  update: (row, patch, before) => {
    const { fields, made } = withPool(patch, before);
    return [...made, ...plainWriter.update(row, begun(fields, row), before)];
  },
};

/** The pool of that name, made where there is none yet. */
function withPool({ pool, ...fields }: RunningCostPatch, before: Parameters<typeof rowNamed>[2]) {
  if (pool === undefined) return { fields, made: [] };
  const { id, made } = rowNamed('costPool', pool, before);
  return { fields: { ...fields, poolId: id }, made };
}

/** The columns of the running costs: how each cell is read, and what it is a month and an open day. */
export function runningCostColumns(locale: string, currency: string): Column<Row, RunningCostPatch>[] {
  const own = (field: keyof Row & string, header: string, words?: Record<string, string>) =>
    fieldColumn<Row>('runningCost', field, locale, { header, ...(words === undefined ? {} : { words }) });
  const each = (id: 'perMonth' | 'perOpenDay', header: string) =>
    figureColumn({
      id,
      header,
      view: 'overhead',
      of: () => 'book',
      pick: (view, row: Row) => view.costs[row.id]?.[id],
      digits: 2,
    });
  return [
    { ...own('name', 'Running cost'), placeholder: 'Type a running cost' },
    { ...own('amount', `Amount, ${currency}`), applies: (row) => row?.behaviour !== 'stepped' },
    { ...own('rhythm', 'Frequency', RHYTHM_WORDS), applies: (row) => row?.behaviour !== 'variable' },
    poolColumn(),
    { ...own('months', 'Months'), applies: isOneOff },
    { ...own('startsOn', 'From') },
    each('perMonth', `A month, ${currency}`),
    each('perOpenDay', `An open day, ${currency}`),
  ];
}

function poolColumn(): Column<Row, RunningCostPatch> {
  const pools = () => model.rows.all('costPool');
  return {
    id: 'pool',
    header: 'Cost pool',
    type: 'item',
    place: ({ id }) => `${id}.poolId`,
    options: () => pools().map(({ id, name }) => ({ value: id, label: name })),
    text: ({ poolId }) => pools().find(({ id }) => id === poolId)?.name ?? '',
    read: (text) => ({ patch: { pool: text.trim() }, shown: text.trim() }),
  };
}

/** Columns that are shown on demand. */
export function moreRunningCostColumns(locale: string): Column<Row, RunningCostPatch>[] {
  const own = (field: keyof Row & string, words?: Record<string, string>) =>
    fieldColumn<Row>('runningCost', field, locale, words === undefined ? {} : { words });
  return [
    own('behaviour', BEHAVIOUR_WORDS),
    own('driver', DRIVER_WORDS),
    own('endsOn'),
    own('dueMonth'),
    { ...own('paidInCash'), applies: (row) => row?.behaviour !== 'variable' },
    own('accountCode'),
    own('taxPercent'),
    own('taxInside'),
  ];
}
