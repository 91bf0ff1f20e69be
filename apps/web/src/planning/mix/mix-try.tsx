import type { StoredRow } from '@nuvar/book';
import { type MixModelView, type MixView, shortageWords } from '@nuvar/core';
import { useSettings } from '../../book/use-book.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { LeadFigure } from '../../figures/lead-figure.js';
import { bestQuantities } from './best-quantities.js';
import { MixAnswerPart } from './mix-answer.js';
import { MixPictures } from './mix-pictures.js';
import { MixProducts } from './mix-products.js';
import { MixReasons } from './mix-reasons.js';
import { MixResources } from './mix-resources.js';
import { MixSchedule } from './periods/mix-schedule.js';
import type { MixSearching } from './use-mix-search.js';
import { useMixWriting } from './use-mix-writing.js';

interface MixTryProps {
  readonly plan: StoredRow<'mixPlan'>;
  readonly view: MixView;
  readonly modelView: MixModelView;
  readonly searching: MixSearching;
}

/** The mix tried by hand: what it reaches, what runs out; then the best one under it, and why. */
export function MixTry({ plan, view, modelView, searching }: MixTryProps) {
  const { search } = searching;
  const best = bestQuantities(search, view);
  const found = useView('mixOutcome', best === null ? plan.id : `${plan.id}@${best.join('|')}`);
  const outcome = best === null ? undefined : found;
  if (view.products.length === 0) return null;
  return (
    <>
      <Goal plan={plan} view={view} />
      <MixAnswerPart
        plan={plan}
        view={view}
        model={modelView.model}
        searching={searching}
        best={best}
        outcome={outcome}
      />
      {view.schedule === null ? (
        <div className="mt-3 grid items-start gap-x-10 gap-y-4 desk:grid-cols-2">
          <MixProducts view={view} rooms={modelView.rooms} best={best} goal={plan.goal} />
          <MixResources view={view} best={outcome} />
        </div>
      ) : (
        <>
          <MixSchedule planId={plan.id} schedule={view.schedule} best={outcome?.schedule ?? null} />
          <div className="mt-5 max-w-3xl">
            <MixResources view={view} best={outcome} />
          </div>
        </>
      )}
      {best !== null && <MixReasons planId={plan.id} view={view} search={search} best={best} />}
      {view.schedule === null && <MixPictures view={view} search={search} best={best} />}
    </>
  );
}

const WORDS: Readonly<Record<StoredRow<'mixPlan'>['goal'], string>> = {
  contribution: 'contribution, after what extra costs',
  'profit after set-up': 'left after set-ups and extra',
  'operating profit': 'left after set-ups, extra and fixed costs',
  revenue: 'net revenue',
  units: 'units in all',
  'least cost': 'cost of the mix',
};

/** The same of a plan of several periods, in which stock is held. */
const IN_PERIODS: typeof WORDS = {
  ...WORDS,
  contribution: 'contribution, after extra and holding',
  'profit after set-up': 'left after set-ups, extra and holding',
  'operating profit': 'left after set-ups, extra, holding and fixed costs',
};

/** What the mix reaches of the goal, against what is planned, and what runs out first. */
function Goal({ plan, view }: Pick<MixTryProps, 'plan' | 'view'>) {
  const { currency } = useSettings();
  const writing = useMixWriting();
  const { outcome, planned, ahead } = view;
  const isUnits = plan.goal === 'units';
  const digits = isUnits ? 0 : 2;
  return (
    <div className="mt-2 flex flex-wrap items-end gap-x-8">
      <div>
        <p className="text-soft">Mix tried by hand</p>
        <LeadFigure
          figure={outcome.goal}
          digits={digits}
          unit={
            isUnits ? WORDS.units : `${currency} ${view.schedule === null ? WORDS[plan.goal] : IN_PERIODS[plan.goal]}`
          }
          isLarge
        />
      </div>
      <div className="pb-1">
        {ahead !== null && planned !== null && !planned.goal.partial && (
          <p>
            Planned for such a period: <Amount figure={planned.goal} digits={digits} />; difference{' '}
            <Amount figure={ahead} digits={digits} />.
          </p>
        )}
        <p role="status">{shortageWords(view, writing)}</p>
      </div>
    </div>
  );
}
