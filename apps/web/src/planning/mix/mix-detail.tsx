import { MIX_GOAL_WORDS } from '@nuvar/core';
import { useRow, useSettings } from '../../book/use-book.js';
import { DocumentLinks } from '../../controls/layout/document-links.js';
import { Fields } from '../../controls/fields/fields.js';
import { RowField } from '../../controls/fields/row-field.js';
import { Sides, useSide } from '../../controls/layout/sides.js';
import { useView } from '../../engine/use-view.js';
import { GapList } from '../../figures/gap-list.js';
import { MixCompare } from './mix-compare.js';
import { MixFiles } from './mix-files.js';
import { MixLimits } from './mix-limits.js';
import { MixNotes } from './mix-notes.js';
import { MixPeriods } from './periods/mix-periods.js';
import { MixTry } from './mix-try.js';
import { MixUses } from './mix-uses.js';
import { useMixSearch } from './use-mix-search.js';

const SIDES = {
  try: 'Mix',
  limits: 'Products and limits',
  uses: 'Resources and uses',
  periods: 'Periods',
  compare: 'Compare plans',
} as const;

/** A mix plan: tried by hand, searched for the best, explained; with its limits, its resources, and other plans beside it. */
export function MixDetail({ id }: { readonly id: string }) {
  const plan = useRow('mixPlan', id);
  const view = useView('mix', id);
  const modelView = useView('mixModel', id);
  const side = useSide(SIDES);
  const searching = useMixSearch(id);
  const { openDaysPerMonth } = useSettings();
  if (plan === undefined) return null;
  return (
    <section aria-label={plan.name}>
      <header className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="font-serif text-detail">{plan.name}</h2>
        <DocumentLinks label="report" document="mix" of={id} />
        {modelView && <MixFiles planId={id} model={modelView.model} />}
      </header>
      <div className="mt-1 mb-2">
        <Sides sides={SIDES} label="Mix plan" />
      </div>
      {side === 'try' && (
        <Fields inTwo>
          <RowField kind="mixPlan" id={id} field="goal" words={MIX_GOAL_WORDS} />
          <RowField
            kind="mixPlan"
            id={id}
            field="openDays"
            label="Period"
            suffix="open days"
            placeholder={openDaysPerMonth === null ? 'a month' : `a month of ${openDaysPerMonth}`}
          />
        </Fields>
      )}
      {view && <MixNotes view={view} />}
      {modelView && modelView.gaps.length > 0 && <GapList gaps={modelView.gaps} />}
      {view && modelView && side === 'try' && (
        <MixTry plan={plan} view={view} modelView={modelView} searching={searching} />
      )}
      {side === 'limits' && <MixLimits planId={id} />}
      {side === 'uses' && <MixUses planId={id} />}
      {side === 'periods' && <MixPeriods planId={id} />}
      {side === 'compare' && <MixCompare planId={id} />}
    </section>
  );
}
