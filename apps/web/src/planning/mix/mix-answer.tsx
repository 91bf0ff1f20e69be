import { newId, type Operation, type StoredRow } from '@nuvar/book';
import { copyOf } from '@nuvar/book';
import type { MixOutcomeView, MixView } from '@nuvar/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { model } from '../../book/model.js';
import { useAddress } from '../../book/place.js';
import { updateOf } from '../../book/operations.js';
import { useEdit, useMayEdit } from '../../book/use-book.js';
import { copiedName } from '../../controls/rows-writer.js';
import { Amount } from '../../figures/amount.js';
import { useStyle } from '../../figures/use-style.js';
import { shapeOf } from './best-quantities.js';
import { Contradiction } from './contradiction.js';
import { TakeOver } from './take-over.js';
import type { MixSearching } from './use-mix-search.js';
import { amountText, listed, moneyText } from './words.js';

interface MixAnswerProps {
  readonly plan: StoredRow<'mixPlan'>;
  readonly view: MixView;
  readonly searching: MixSearching;
  readonly best: readonly string[] | null;
  readonly outcome: MixOutcomeView | undefined;
}

/** The search for the best mix: begun, under way, stopped; what it found, in words; used, saved, or gone back from. */
export function MixAnswerPart({ plan, view, searching, best, outcome }: MixAnswerProps) {
  const { search, find, stop } = searching;
  const mayEdit = useMayEdit();
  const edit = useEdit();
  const navigate = useNavigate();
  const address = useAddress();
  const [before, setBefore] = useState<readonly string[] | null>(null);
  const [takesOver, setTakesOver] = useState(false);
  const isStale = search.model !== null && shapeOf(search.model) !== shapeOf(view.model);
  const rows = view.products.map(({ id }) => model.rows.row('mixProduct', id));
  const quantitiesTo = (quantities: readonly string[]): Operation[] =>
    rows.flatMap((row, index) =>
      row === undefined ? [] : updateOf('mixProduct', row, { quantity: quantities[index] ?? '0' }),
    );
  const use = () => {
    if (best === null) return;
    setBefore(view.products.map(({ quantity }) => quantity));
    edit(quantitiesTo(best));
  };
  const save = () => {
    if (best === null) return;
    const id = newId();
    const name = copiedName(
      `${plan.name}, best`,
      (wanted) => model.rows.rowsWith('mixPlan', 'name', wanted).length > 0,
    );
    const fresh = best.map((quantity) => quantity);
    const copies = copyOf(model.rows, 'mixPlan', plan, id, { name }, newId);
    let at = 0;
    const changed = copies.map((copy) =>
      copy.kind === 'mixProduct' ? { ...copy, row: { ...copy.row, quantity: fresh[at++] ?? '0' } } : copy,
    );
    if (edit(changed).length === 0) void navigate(address('mix', id));
  };
  const isSame =
    best !== null && view.products.every(({ quantity }, index) => Number(quantity) === Number(best[index]));
  return (
    <section className="mt-3" aria-label="Best mix">
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        {search.isUnderWay ? (
          <button type="button" className="btn" onClick={stop}>
            Stop
          </button>
        ) : (
          <button type="button" className="btn btn-primary" onClick={() => find(view.model)}>
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
              edit(quantitiesTo(before));
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
        {!search.isUnderWay && <Outcome plan={plan} view={view} searching={searching} best={best} outcome={outcome} />}
      </div>
      {takesOver && <TakeOver plan={plan} view={view} onClose={() => setTakesOver(false)} />}
    </section>
  );
}

function UnderWay({ searching: { search }, plan }: Pick<MixAnswerProps, 'searching' | 'plan'>) {
  const style = useStyle();
  const { progress } = search;
  const limit = Number(plan.secondsAtMost);
  const inGoal = (value: number) => (plan.goal === 'units' ? amountText(value, style) : moneyText(value, style));
  return (
    <p className="flex flex-wrap items-center gap-3">
      <progress
        className="progress w-40"
        value={Math.min(progress?.seconds ?? 0, limit)}
        max={limit}
        aria-label="Time of the search"
      />
      {progress?.goal == null
        ? 'Searching.'
        : `Best so far ${inGoal(progress.goal)}${
            progress.bound === null ? '' : `; no mix can beat ${inGoal(progress.bound)}`
          }. ${amountText(progress.seconds, style)} s of at most ${amountText(limit, style)} s.`}
    </p>
  );
}

function Outcome({ plan, view, searching: { search }, best, outcome }: MixAnswerProps) {
  const style = useStyle();
  const { answer, model: solved } = search;
  if (answer === null || solved === null) return null;
  const nameOf = (at: number) => solved.products[at]?.name ?? '';
  if (answer.status === 'no products')
    return <p>There is no product to search a mix of: one of which everything is known is needed.</p>;
  if (answer.status === 'unlimited')
    return (
      <p>
        Nothing limits {listed(answer.unlimited.map(nameOf))}: as much as one likes could be made, and each brings more.
        Enter how many can be sold at most, or what runs short.
      </p>
    );
  if (answer.status === 'infeasible') return <Contradiction view={view} model={solved} limits={answer.contradiction} />;
  if (answer.status === 'failed')
    return <p className="text-error">The solver gave no answer. The quantities tried by hand are as they were.</p>;
  if (best === null || outcome === undefined)
    return <p>Nothing was found in the time allowed. Give it more time under Products and limits.</p>;
  const isUnits = plan.goal === 'units';
  return (
    <>
      <p>
        <span className="text-soft">Best mix: </span>
        <span className="font-serif text-lg">
          <Amount figure={outcome.outcome.goal} digits={isUnits ? 0 : 2} />
        </span>
        .{' '}
        {outcome.moved.length === 0 ? (
          'It is the mix tried by hand.'
        ) : (
          <>Against the mix tried by hand: {differenceWords(outcome, style)}.</>
        )}{' '}
        {outcome.moved.length > 0 &&
          outcome.gained !== null &&
          (view.fits ? (
            <>
              That changes the goal by <Amount figure={outcome.gained} digits={isUnits ? 0 : 2} />.
            </>
          ) : (
            'The mix tried by hand does not fit, so the two cannot be compared in money.'
          ))}
      </p>
      {answer.status === 'time limit' && (
        <p>
          The search was ended before this was proven the best:{' '}
          {Number.isFinite(answer.gapPercent)
            ? `it can be at most ${amountText(answer.gapPercent, style)} % short of the best possible.`
            : 'how far it is from the best possible is not known.'}
        </p>
      )}
      {answer.status === 'best' && answer.gapPercent > 0.005 && (
        <p>Within {amountText(answer.gapPercent, style)} % of the best possible, as the plan allows.</p>
      )}
    </>
  );
}

type Style = Parameters<typeof moneyText>[1];

const MOST_NAMED = 6;

/** What the best mix does otherwise than the one tried by hand: "12 fewer of platter, 30 more of bowl". */
function differenceWords({ moved }: MixOutcomeView, style: Style): string {
  const said = moved
    .slice(0, MOST_NAMED)
    .map(
      ({ name, by }) =>
        `${amountText(Math.abs(Number(by)), style)} ${by.startsWith('-') ? 'fewer' : 'more'} of ${name}`,
    );
  const rest = moved.length > MOST_NAMED ? [`${moved.length - MOST_NAMED} more products otherwise`] : [];
  return [...said, ...rest].join(', ');
}
