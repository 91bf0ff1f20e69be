import { newId, type StoredRow } from '@nuvar/book';
import { differenceWords, endWords, inGoal, type MixModel, type MixOutcomeView, type MixView } from '@nuvar/core';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { useAddress } from '../../book/place.js';
import { useEdit, useMayEdit } from '../../book/use-book.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { shapeOf, triedQuantities } from './best-quantities.js';
import { Contradiction } from './contradiction.js';
import { quantitiesTo, savedAs } from './mix-changes.js';
import { TakeOver } from './take-over.js';
import type { MixSearch, MixSearching } from './use-mix-search.js';
import { useLastFitted } from './use-last-fitted.js';
import { useMixWriting } from './use-mix-writing.js';

interface MixAnswerProps {
  readonly plan: StoredRow<'mixPlan'>;
  readonly view: MixView;
  readonly model: MixModel;
  readonly searching: MixSearching;
  readonly best: readonly string[] | null;
  readonly outcome: MixOutcomeView | undefined;
}

/** The search for the best mix: begun, under way, stopped; what it found, in words; used, saved, or gone back from. */
export function MixAnswerPart({ plan, view, model, searching, best, outcome }: MixAnswerProps) {
  const { search, find, stop } = searching;
  const mayEdit = useMayEdit();
  const edit = useEdit();
  const navigate = useNavigate();
  const address = useAddress();
  const [before, setBefore] = useState<readonly string[] | null>(null);
  const [takesOver, setTakesOver] = useState(false);
  const isStale = search.model !== null && shapeOf(search.model) !== shapeOf(model);
  const use = () => {
    if (best === null) return;
    setBefore(view.slots.map(({ quantity }) => quantity));
    edit(quantitiesTo(view.slots, best));
  };
  const save = () => {
    const id = newId();
    if (best !== null && edit(savedAs(plan, view.slots, best, id)).length === 0) void navigate(address('mix', id));
  };
  const isSame = best !== null && view.slots.every(({ quantity }, index) => Number(quantity) === Number(best[index]));
  return (
    <section className="mt-3" aria-label="Best mix">
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        {search.isUnderWay ? (
          <button type="button" className="btn" onClick={stop}>
            Stop
          </button>
        ) : (
          <button type="button" className="btn btn-primary" onClick={() => find(model, triedQuantities(model, view))}>
            {best === null ? 'Find the best mix' : 'Find again'}
          </button>
        )}
        {best !== null && mayEdit && !isSame && (
          <button type="button" className="btn" onClick={use}>
            Use the best mix
          </button>
        )}
        {best !== null && mayEdit && (
          <button type="button" className="btn" onClick={save}>
            Save as another plan
          </button>
        )}
        {before !== null && mayEdit && (
          <button
            type="button"
            className="btn"
            onClick={() => {
              edit(quantitiesTo(view.slots, before));
              setBefore(null);
            }}
          >
            Back to the quantities before
          </button>
        )}
        {mayEdit && (
          <button type="button" className="btn btn-ghost" onClick={() => setTakesOver(true)}>
            Take over as planned volumes
          </button>
        )}
      </div>
      <div role="status" className="mt-1">
        {search.isUnderWay && <UnderWay searching={searching} plan={plan} />}
        {search.failed !== null && (
          <p className="text-error">
            The solver failed: {search.failed} The quantities tried by hand are as they were.
          </p>
        )}
        {!search.isUnderWay && isStale && <p>Something has changed since this was found. Find it again.</p>}
        {!search.isUnderWay && <Outcome plan={plan} view={view} search={search} best={best} outcome={outcome} />}
      </div>
      {takesOver && <TakeOver plan={plan} view={view} onClose={() => setTakesOver(false)} />}
    </section>
  );
}

const EVERY = 200;

/** How long the search has gone on, what it has found so far, and what no mix can beat. */
function UnderWay({ searching: { search }, plan }: Pick<MixAnswerProps, 'searching' | 'plan'>) {
  const writing = useMixWriting();
  const [seconds, setSeconds] = useState(0);
  // The solver is silent for seconds at a time: the clock of the page goes on.
  useEffect(() => {
    const begun = performance.now();
    const timer = setInterval(() => setSeconds((performance.now() - begun) / 1000), EVERY);
    return () => clearInterval(timer);
  }, []);
  const { progress } = search;
  const limit = Number(plan.secondsAtMost);
  const said = (value: number) => inGoal(plan, value, writing);
  const bound = progress?.bound == null ? '' : `; no mix can beat ${said(progress.bound)}`;
  const found = progress?.goal == null ? 'Searching' : `Best so far ${said(progress.goal)}${bound}`;
  return (
    <p className="flex flex-wrap items-center gap-3">
      <progress
        className="progress w-40"
        value={Math.min(seconds, limit)}
        max={limit}
        aria-label="Time of the search"
      />
      {found}. {writing.amount(Math.round(seconds * 10) / 10)} s of at most {writing.amount(limit)} s.
    </p>
  );
}

interface OutcomeProps extends Pick<MixAnswerProps, 'plan' | 'view' | 'best' | 'outcome'> {
  readonly search: MixSearch;
}

/** What was found, in words: the goal, what changes against the mix by hand, and how the search ended. */
function Outcome({ plan, view, search: { findings }, best, outcome }: OutcomeProps) {
  const writing = useMixWriting();
  const lastFitted = useLastFitted(plan.id, view);
  if (findings === null) return null;
  const { answer, model: solved } = findings;
  const end = endWords(answer, solved, writing);
  if (answer.quantities.length === 0)
    return (
      <>
        <p>{end}</p>
        {answer.status === 'infeasible' && <Contradiction model={solved} limits={answer.contradiction} />}
      </>
    );
  if (best === null || outcome === undefined) return null;
  const digits = plan.goal === 'units' ? 0 : 2;
  return (
    <>
      <p>
        <span className="text-soft">Best mix: </span>
        <span className="font-serif text-lg">
          <Amount figure={outcome.outcome.goal} digits={digits} />
        </span>
        .{' '}
        {outcome.moved.length === 0 ? (
          'It is the mix tried by hand.'
        ) : (
          <>Against the mix tried by hand: {differenceWords(outcome, writing)}. </>
        )}
        {outcome.moved.length > 0 && outcome.gained !== null && (
          <>
            That changes the goal by <Amount figure={outcome.gained} digits={digits} />
            {view.fits ? '.' : ' against a mix that does not fit.'}
          </>
        )}
        {lastFitted !== null && (
          <>
            {' '}
            Against the last mix that fitted it changes the goal by{' '}
            <LastFitted planId={plan.id} best={best} fitted={lastFitted} />.
          </>
        )}
      </p>
      {end !== '' && <p>{end}</p>}
    </>
  );
}

interface LastFittedProps {
  readonly planId: string;
  readonly best: readonly string[];
  readonly fitted: readonly string[];
}

/** What the best mix gains on the last one tried that fitted. */
function LastFitted({ planId, best, fitted }: LastFittedProps) {
  return <Amount figure={useView('mixBeside', `${planId}@${best.join('|')}@${fitted.join('|')}`)} digits={2} />;
}
