import type { StoredRow } from '@nuvar/book';
import type { GridWriter, InputColumn } from '../../../controls/grid/grid-model.js';
import { readBetween } from '../../../controls/grid/number-between.js';
import { typedText } from '../../../figures/format.js';
import { type InPeriod, rowInPeriod, writeInPeriod } from './write-in-period.js';

export type PeriodRow = StoredRow<'mixPeriod'>;

/** What is typed into a row of periods: by the id of the period, as a decimal; null where it is emptied. */
export type PeriodPatch = Readonly<Record<string, string | null>>;

/** What the cells of a row are: of which row between a period and something else, and which field of it. */
export interface PeriodCell {
  readonly of: (periodId: string) => InPeriod;
  readonly field: string;
}

/** A column for each period of a plan; each cell is one number in it. */
export function periodColumns<Row extends { readonly id: string }>(
  periods: readonly PeriodRow[],
  locale: string,
  cellOf: (row: Row) => PeriodCell | null,
): InputColumn<Row, PeriodPatch>[] {
  return periods.map((period) => ({
    id: period.id,
    header: period.name,
    type: 'number' as const,
    place: (row: Row) => `${row.id}.${period.id}`,
    applies: (row: Row | null) => row === null || cellOf(row) !== null,
    text: (row: Row) => {
      const cell = cellOf(row);
      if (cell === null) return '';
      const known = rowInPeriod(cell.of(period.id)) as Readonly<Record<string, unknown>> | undefined;
      return typedText(String(known?.[cell.field] ?? ''), locale);
    },
    read: (text: string, row: Row | null) => {
      const cell = row === null ? null : cellOf(row);
      if (cell === null) return { refusal: 'Nothing is typed here.' };
      const { kind } = cell.of(period.id);
      return readBetween<PeriodPatch>({ kind, field: cell.field }, text, { header: period.name, locale }, (amount) => ({
        [period.id]: amount,
      }));
    },
  }));
}

/** Writes what is typed into such rows. */
export const periodWriter = <Row extends { readonly id: string }>(
  cellOf: (row: Row) => PeriodCell | null,
): GridWriter<Row, PeriodPatch> => ({
  update: (row, patch, before) => {
    const cell = cellOf(row);
    if (cell === null) return [];
    return Object.entries(patch).flatMap(([periodId, amount]) =>
      writeInPeriod(cell.of(periodId), cell.field, amount, before),
    );
  },
  create: () => null,
  remove: () => [],
});
