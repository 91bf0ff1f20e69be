import type { StoredRow } from '@nuvar/book';
import type { DecisionView, HoursWorth, MixModel } from '@nuvar/core';
import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { usePlaceHref } from '../book/place.js';
import { ScreenLink } from '../figures/screen-link.js';
import { updateOf } from '../book/operations.js';
import { useEdit, useMayEdit, useRow, useSettings } from '../book/use-book.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { typedText } from '../figures/format.js';
import { shapeOf } from './mix/best-quantities.js';
import { ask } from './mix/solver.js';

interface HoursWorthProps {
  readonly decision: StoredRow<'decision'>;
  readonly inPlan: NonNullable<DecisionView['inPlan']>;
}

const NOT_KNOWN = {
  'nothing fits': 'No mix of the plan fits without these hours, so they have no price.',
  'no money': 'Choose a plan whose goal is contribution or a profit: others do not say what an hour earns.',
  'not proven': 'The worth could not be proven in the time that the plan allows.',
};

/** What the hours of a decision are worth in a mix plan, worked out by its best mix with and without them. */
export function HoursInPlan({ decision, inPlan: { planId, hours, resourceId, areTaken } }: HoursWorthProps) {
  const plan = useRow('mixPlan', planId);
  const model = useView('mixModel', planId)?.model;
  const at = model?.resources.findIndex(({ id }) => id === resourceId) ?? -1;
  const worth = useWorth(model, at, (areTaken ? -1 : 1) * Number(hours.amount ?? 0));
  const hrefOf = usePlaceHref();
  if (plan === undefined) return null;
  if (model !== undefined && at < 0)
    return (
      <p>
        <Link to={hrefOf({ kind: 'mixPlan', id: planId, field: 'resources' })} className="link">
          {plan.name}
        </Link>{' '}
        {model.isInPeriods
          ? 'has several periods, and an hour earns something else in each of them: choose a plan of one.'
          : 'does not count this resource, so it does not say what an hour of it earns.'}
      </p>
    );
  if (worth === null) return <p className="text-soft">Working out what an hour earns in {plan.name}…</p>;
  if (worth.said !== 'worth') return <p>{NOT_KNOWN[worth.said]}</p>;
  return (
    <p aria-live="polite">
      In the best mix of{' '}
      <ScreenLink to="mix" row={planId}>
        {plan.name}
      </ScreenLink>
      , {areTaken ? 'taking' : 'freeing'} <Amount figure={hours} digits={2} /> h {areTaken ? 'loses' : 'earns'}{' '}
      <Money of={worth.perHour} /> an hour. <TakeOver decision={decision} perHour={worth.perHour} />
    </p>
  );
}

/** What the solver says of hours more or less of a resource; null until it has answered. */
function useWorth(model: MixModel | undefined, at: number, moved: number): HoursWorth | null {
  const [answered, setAnswered] = useState<{ readonly to: string; readonly worth: HoursWorth } | null>(null);
  const question = useMemo(() => (model === undefined ? '' : `${at} ${moved} ${shapeOf(model)}`), [model, at, moved]);
  useEffect(() => {
    if (model === undefined || at < 0) return undefined;
    const asked = ask({ of: 'hours', model, resource: at, hours: moved }, (reply) => {
      if (reply.said === 'hours') setAnswered({ to: question, worth: reply.worth });
    });
    return () => asked.stop();
    // The model is a new object with every change of the book; it is asked about only where it says something new.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [question]);
  return answered?.to === question ? answered.worth : null;
}

function Money({ of }: { readonly of: string }) {
  const { locale, currency } = useSettings();
  return (
    <>
      {typedText(of, locale)} {currency}
    </>
  );
}

function TakeOver({ decision, perHour }: { readonly decision: StoredRow<'decision'>; readonly perHour: string }) {
  const edit = useEdit();
  const mayEdit = useMayEdit();
  if (decision.hourEarns === perHour) return <span className="text-soft">The decision counts that.</span>;
  if (!mayEdit) return null;
  return (
    <button
      type="button"
      className="btn btn-sm"
      onClick={() => edit(updateOf('decision', decision, { hourEarns: perHour }))}
    >
      Count that
    </button>
  );
}
