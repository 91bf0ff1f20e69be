import type { RHYTHMS, StoredRow } from '@nuvar/book';
import { today } from '../state/today.js';
import { model } from '../book/model.js';
import { nextPosition } from '../book/operations.js';
import { fieldColumn } from '../controls/field-column.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid-model.js';
import { rowsWriter } from '../controls/rows-writer.js';

type Row = StoredRow<'runningCost'>;

const RHYTHM_WORDS = {
  day: 'each open day',
  week: 'weekly',
  month: 'monthly',
  quarter: 'quarterly',
  year: 'yearly',
  'one-off': 'one-off, spread',
} satisfies Record<(typeof RHYTHMS)[number], string>;

const POOL_WORDS = { production: 'production', 'non-production': 'other' };

const plainWriter = rowsWriter<Row>('runningCost', {
  needs: 'name',
  fixed: (before) => ({ position: nextPosition('runningCost', model.rows.all('runningCost'), before) }),
});

const isOneOff = (row: Row | null) => row?.rhythm === 'one-off';

/** A one-off starts today and is spread over a year until something else is typed. */
const begun = (patch: Partial<Row>, row?: Row): Partial<Row> =>
  patch.rhythm === 'one-off' ? { startsOn: row?.startsOn ?? today(), months: row?.months ?? 12, ...patch } : patch;

export const runningCostWriter: GridWriter<Row, Partial<Row>> = {
  ...plainWriter,
  create: (id, patch, before) => plainWriter.create(id, begun(patch), before),
  update: (row, patch, before) => plainWriter.update(row, begun(patch, row), before),
};

/** The columns of the running costs: how each cell is read, and what it comes to a month and an open day. */
export function runningCostColumns(locale: string, currency: string): Column<Row, Partial<Row>>[] {
  const own = (field: keyof Row & string, header: string, words?: Record<string, string>) =>
    fieldColumn<Row>('runningCost', field, locale, { header, ...(words === undefined ? {} : { words }) });
  const comesTo = (id: 'perMonth' | 'perOpenDay', header: string) =>
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
    own('amount', `Amount, ${currency}`),
    own('rhythm', 'Frequency', RHYTHM_WORDS),
    own('pool', 'Used for', POOL_WORDS),
    { ...own('months', 'Months'), applies: isOneOff },
    { ...own('startsOn', 'Starts on'), applies: isOneOff },
    comesTo('perMonth', `A month, ${currency}`),
    comesTo('perOpenDay', `An open day, ${currency}`),
  ];
}
