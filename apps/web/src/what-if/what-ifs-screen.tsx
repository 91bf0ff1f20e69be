import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { NamedList } from '../controls/grid/named-list.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { PlanPage } from '../planning/plan-page.js';
import { Baselines } from './baselines.js';
import { WhatIfDetail } from './what-if-detail.js';

type WhatIf = StoredRow<'whatIf'>;
const writer = rowsWriter<WhatIf>('whatIf', { needs: 'name' });

/** Plan: sets of changes to any inputs of the book, worked out beside it, and what the book was when it was frozen. */
export function WhatIfsScreen() {
  const whatIfs = useAll('whatIf');
  const { locale } = useSettings();
  const columns = useMemo(
    () => [fieldColumn<WhatIf>('whatIf', 'name', locale, { placeholder: 'Saturdays in the workshop' })],
    [locale],
  );
  return (
    <PlanPage>
      <NamedList
        screen="whatIfs"
        title="What-ifs"
        rows={whatIfs}
        columns={columns}
        writer={writer}
        narrow="22rem"
        tools={() => <Baselines />}
        empty="Name what may come: dearer clay, a second market day, another supplier. Then open it and change anything on any screen: the book itself stays as it is."
        detail={(id) => <WhatIfDetail key={id} id={id} />}
      />
    </PlanPage>
  );
}
