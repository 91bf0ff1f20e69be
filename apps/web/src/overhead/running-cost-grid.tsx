import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings, useVersion } from '../book/use-book.js';
import { Grid } from '../controls/grid/grid.js';
import { useListFilter } from '../controls/grid/use-filter.js';
import { holdsAll, wordsOf } from '../controls/fields/words.js';
import { model } from '../book/model.js';
import { moreRunningCostColumns, runningCostColumns, runningCostWriter } from './running-cost-rows.js';

type Row = StoredRow<'runningCost'>;

interface RunningCostGridProps {
  readonly chosen?: string | undefined;
  readonly onSelect?: (row: { readonly id: string }) => void;
}

const matches = ({ name, accountCode, poolId }: Row, words: string) =>
  holdsAll(`${name} ${accountCode} ${model.rows.row('costPool', poolId ?? '')?.name ?? ''}`, wordsOf(words));

/** The costs that no single product brings, each in the rhythm in which it comes. */
export function RunningCostGrid({ chosen, onSelect }: RunningCostGridProps) {
  const costs = useAll('runningCost');
  const pools = useVersion('costPool');
  const { locale, currency } = useSettings();
  const filter = useListFilter('Filter running costs', matches);
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the names of the pools are those of this version
  const columns = useMemo(() => runningCostColumns(locale, currency), [locale, currency, pools]);
  const moreColumns = useMemo(() => moreRunningCostColumns(locale), [locale]);
  return (
    <Grid
      title="Running costs"
      rows={costs}
      columns={columns}
      moreColumns={moreColumns}
      writer={runningCostWriter}
      nameOf={({ name }) => name}
      filter={filter}
      {...(chosen === undefined ? {} : { selected: chosen })}
      {...(onSelect === undefined ? {} : { onSelect })}
      empty="Rent, insurance, subscriptions, the accountant, the yearly bills: enter each in the rhythm in which it comes. A one-off is spread over its months from its start."
    />
  );
}
