import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { model } from '../../book/model.js';
import { useAll, useRowsOf, useSettings } from '../../book/use-book.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { Grid } from '../../controls/grid/grid.js';
import { rowChoiceColumn } from '../../controls/grid/row-choice-column.js';
import { rowsWriter } from '../../controls/grid/rows-writer.js';

type Use = StoredRow<'activityUse'>;

/** How often a job needs the activities whose use is typed for each product: what activity-based overhead goes by. */
export function DriverUnits({ productId }: { readonly productId: string }) {
  const uses = useRowsOf('activityUse', 'productId', productId);
  const all = useAll('activity');
  const { locale } = useSettings();
  const activities = useMemo(() => all.filter(({ driver }) => driver === 'typed'), [all]);
  const columns = useMemo(
    () => [
      rowChoiceColumn<Use>('activityId', activities, { header: 'Activity' }),
      fieldColumn<Use>('activityUse', 'amount', locale),
      fieldColumn<Use>('activityUse', 'per', locale),
    ],
    [activities, locale],
  );
  const writer = useMemo(
    () => rowsWriter<Use>('activityUse', { needs: 'activityId', isCopied: false, fixed: () => ({ productId }) }),
    [productId],
  );
  if (activities.length === 0) return null;
  return (
    <Grid
      title="Activities"
      rows={uses}
      columns={columns}
      writer={writer}
      nameOf={({ activityId }) => model.rows.row('activity', activityId)?.name ?? 'the activity'}
      empty="Overhead by activity counts these: how often each is done for a unit, a batch, an order or in a month."
    />
  );
}
