import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings } from '../../book/use-book.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { NamedList } from '../../controls/grid/named-list.js';
import { rowsWriter } from '../../controls/grid/rows-writer.js';
import { PlanPage } from '../plan-page.js';
import { MixDetail } from './mix-detail.js';

type Plan = StoredRow<'mixPlan'>;

const WRITER = rowsWriter<Plan>('mixPlan', { needs: 'name' });

/** Plan: what to make when something runs short. */
export function MixScreen() {
  const plans = useAll('mixPlan');
  const { locale } = useSettings();
  const columns = useMemo(
    () => [fieldColumn<Plan>('mixPlan', 'name', locale, { placeholder: 'Short week before the fair' })],
    [locale],
  );
  return (
    <PlanPage>
      <NamedList
        screen="mix"
        title="Mix plans"
        rows={plans}
        columns={columns}
        writer={WRITER}
        narrow="15rem"
        empty="Something runs short: hours, kiln space, an imported part. Name the plan, say what there is, and see which products leave the most."
        detail={(id) => <MixDetail key={id} id={id} />}
      />
    </PlanPage>
  );
}
