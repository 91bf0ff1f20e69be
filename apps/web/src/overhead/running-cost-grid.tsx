import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import { runningCostColumns, runningCostWriter } from './running-cost-rows.js';

type Row = StoredRow<'runningCost'>;

/** The costs that come whether or not anything is made, each in the rhythm in which it comes. */
export function RunningCostGrid() {
  const costs = useAll('runningCost');
  const { locale, currency } = useSettings();
  const columns = useMemo(() => runningCostColumns(locale, currency), [locale, currency]);
  const moreColumns = useMemo(
    () => (['taxPercent', 'taxInside'] as const).map((field) => fieldColumn<Row>('runningCost', field, locale)),
    [locale],
  );
  return (
    <Grid
      title="Running costs"
      rows={costs}
      columns={columns}
      moreColumns={moreColumns}
      writer={runningCostWriter}
      nameOf={({ name }) => name}
      empty="Rent, insurance, subscriptions, the accountant, the yearly bills: enter each in the rhythm in which it comes. A one-off is spread over its months from its start."
    />
  );
}
