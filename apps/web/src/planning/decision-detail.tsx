import { FIXED_COST_FATES, type StoredRow } from '@nuvar/book';
import type { DecisionLine, DecisionView } from '@nuvar/core';
import { useMemo } from 'react';
import { model } from '../book/model.js';
import { nextPosition } from '../book/operations.js';
import { useAll, useRow, useRowsOf, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Fields } from '../controls/fields/fields.js';
import { Grid } from '../controls/grid/grid.js';
import { figureColumn } from '../controls/grid/grid-model.js';
import { rowChoiceColumn } from '../controls/grid/row-choice-column.js';
import { RowField } from '../controls/fields/row-field.js';
import { RowText } from '../controls/fields/row-text.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { GapList } from '../figures/gap-list.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { Alternatives, NeededIn } from './decision-alternatives.js';
import { HoursInPlan } from './hours-worth.js';

type Decision = StoredRow<'decision'>;
type Cost = StoredRow<'decisionCost'>;

/** A decision with what really changes, line by line, and what it comes to. */
export function DecisionDetail({ id }: { readonly id: string }) {
  const row = useRow('decision', id);
  const view = useView('decision', id);
  if (row === undefined) return null;
  return (
    <section aria-label={row.name}>
      <h2 className="font-serif text-detail">{row.name}</h2>
      <Inputs row={row} />
      {view?.inPlan && <HoursInPlan decision={row} inPlan={view.inPlan} />}
      {view && <Result row={row} view={view} />}
      {view && <NeededIn row={row} view={view} />}
      {view && view.alternatives.length > 1 && <Alternatives row={row} view={view} />}
      <FixedCosts decision={row} />
      <RowText kind="decision" id={id} field="note" placeholder="What else speaks for it or against it" />
    </section>
  );
}

const PRICE_LABELS: Readonly<Record<Decision['type'], string>> = {
  'buy in': 'Price quoted for a unit',
  'special order': 'Price offered for a unit, before tax',
  drop: '',
};

function Inputs({ row: { id, type } }: { readonly row: Decision }) {
  const { currency } = useSettings();
  const isOrder = type === 'special order';
  return (
    <div className="mt-2">
      <Fields inTwo>
        {type !== 'drop' && (
          <>
            <RowField
              kind="decision"
              id={id}
              field="units"
              label={isOrder ? 'Units ordered' : 'Units a month'}
              placeholder={isOrder ? 'not set yet' : 'as made in the plan'}
            />
            <RowField kind="decision" id={id} field="price" label={PRICE_LABELS[type]} suffix={currency} />
          </>
        )}
        {isOrder && (
          <>
            <RowField kind="decision" id={id} field="channelId" label="Sold through" placeholder="no channel" />
            <RowField kind="decision" id={id} field="ownBatches" />
          </>
        )}
        <RowField kind="decision" id={id} field="oneTimeCost" suffix={currency} />
        {!isOrder && <RowField kind="decision" id={id} field="months" suffix="months" />}
        <RowField kind="decision" id={id} field="gradeId" label="Scarce labour" />
        <RowField kind="decision" id={id} field="equipmentId" label="Scarce equipment" />
        <RowField
          kind="decision"
          id={id}
          field="hourEarns"
          label="An hour of it earns otherwise"
          suffix={currency}
          placeholder="not yet"
        />
        <RowField
          kind="decision"
          id={id}
          field="scarceHours"
          label="Of them scarce"
          suffix="hours"
          placeholder="all of them"
        />
        <RowField kind="decision" id={id} field="mixPlanId" label="Its worth by" placeholder="no mix plan" />
      </Fields>
    </div>
  );
}

const LINE_WORDS: Readonly<Record<Decision['type'], Readonly<Partial<Record<DecisionLine['id'], string>>>>> = {
  'buy in': {
    making: 'Saved: what changes with each unit made',
    purchase: 'Paid: the purchase',
    scarceWorth: 'Gained: scarce hours that are freed',
  },
  'special order': {
    orderContribution: 'Gained: contribution of the order',
    restOfBatch: 'Paid: the rest of its last batch',
    scarceWorth: 'Lost: scarce hours that the order takes',
  },
  drop: {
    lostContribution: 'Lost: contribution of the planned sales',
    scarceWorth: 'Gained: scarce hours that are freed',
  },
};
const SHARED_WORDS: Readonly<Partial<Record<DecisionLine['id'], string>>> = {
  fixedGone: 'Saved: fixed costs that go',
  fixedOnTop: 'Paid: fixed costs that come on top',
  oneTime: 'Paid: one-time cost',
  fixedStays: 'Counts for nothing: fixed costs that stay',
};
const VERDICTS: Readonly<Record<Decision['type'], Readonly<Record<NonNullable<DecisionView['verdict']>, string>>>> = {
  'buy in': {
    'do it': 'Buy it in: that leaves more.',
    'leave it': 'Make it: buying it in would cost more.',
    'no difference': 'Making it and buying it in come to the same.',
  },
  'special order': {
    'do it': 'Take the order: it leaves something.',
    'leave it': 'Do not take the order: it costs more than it brings.',
    'no difference': 'The order leaves nothing and costs nothing.',
  },
  drop: {
    'do it': 'Drop it: what goes with it is more than what it leaves.',
    'leave it': 'Keep it: dropping it would lose more than goes with it.',
    'no difference': 'Keeping it and dropping it come to the same.',
  },
};
const ROLE_SIGN: Readonly<Record<DecisionLine['role'], string>> = { for: '+', against: '−', 'for nothing': '' };

function Result({ row: { type }, view }: { readonly row: Decision; readonly view: DecisionView }) {
  const { currency } = useSettings();
  const period = type === 'special order' ? currency : `${currency} a month`;
  return (
    <div className="mt-4">
      <p className="text-soft">
        {type === 'buy in' ? 'Buying it in brings' : type === 'drop' ? 'Dropping it brings' : 'The order brings'}
      </p>
      <LeadFigure figure={view.advantage} digits={2} unit={period} isLarge />
      {view.verdict !== null && <p className="font-semibold">{VERDICTS[type][view.verdict]}</p>}
      {view.turningPrice !== null && (
        <p>
          It makes no difference at a price of <Amount figure={view.turningPrice} digits={2} /> {currency} a unit.
        </p>
      )}
      <table className="table mt-2 w-auto" aria-label="What really changes">
        <thead>
          <tr>
            <th scope="col">
              What changes for <Amount figure={view.units} digits={1} /> units
              {type === 'special order' ? '' : ' a month'}
            </th>
            <th />
            <th scope="col" className="text-right">
              {period}
            </th>
          </tr>
        </thead>
        <tbody>
          {view.lines.map(({ id, role, figure }) => (
            <tr key={id} className={role === 'for nothing' ? 'text-soft' : ''}>
              <th scope="row" className="font-normal">
                {LINE_WORDS[type][id] ?? SHARED_WORDS[id]}
                {id === 'scarceWorth' && <ScarceHours view={view} />}
              </th>
              <td>{ROLE_SIGN[role]}</td>
              <td className="text-right">
                <Amount figure={figure} digits={2} />
              </td>
            </tr>
          ))}
          <tr className="border-t border-base-content font-semibold">
            <th scope="row">In all</th>
            <td />
            <td className="text-right">
              <Amount figure={view.advantage} digits={2} />
            </td>
          </tr>
        </tbody>
      </table>
      <GapList gaps={view.advantage.gaps} />
    </div>
  );
}

/** The hours behind a worth: those that count, of all that are freed or taken. */
function ScarceHours({ view: { scarceHours, hoursThatCount } }: { readonly view: DecisionView }) {
  if (scarceHours === null || hoursThatCount === null) return null;
  const areAll = hoursThatCount.amount === scarceHours.amount;
  return (
    <>
      {' '}
      (<Amount figure={hoursThatCount} digits={2} />
      {!areAll && (
        <>
          {' '}
          of <Amount figure={scarceHours} digits={2} />
        </>
      )}{' '}
      h)
    </>
  );
}

const FATE_WORDS = Object.fromEntries(FIXED_COST_FATES.map((fate) => [fate, fate]));

/** What becomes of each fixed cost: it goes with the decision, stays, or comes on top. */
function FixedCosts({ decision: { id } }: { readonly decision: Decision }) {
  const rows = useRowsOf('decisionCost', 'decisionId', id);
  const costs = useAll('runningCost');
  const { locale, currency } = useSettings();
  const columns = useMemo(
    () => [
      fieldColumn<Cost>('decisionCost', 'name', locale, {
        header: 'Fixed cost',
        placeholder: 'Rent of the throwing room',
      }),
      rowChoiceColumn<Cost>('runningCostId', costs, { header: 'Running cost', none: 'none' }),
      {
        ...fieldColumn<Cost>('decisionCost', 'sharePercent', locale, { header: 'Share, %' }),
        applies: (row: Cost | null) => row?.amountPerMonth == null && row?.runningCostId != null,
      },
      fieldColumn<Cost>('decisionCost', 'amountPerMonth', locale, { header: `or a month, ${currency}` }),
      fieldColumn<Cost>('decisionCost', 'fate', locale, { header: 'With the decision it', words: FATE_WORDS }),
      figureColumn({
        id: 'amount',
        header: `Counts, ${currency}`,
        view: 'decision',
        digits: 2,
        of: () => id,
        pick: (view, row: Cost) => view.costs.find((each) => each.id === row.id)?.amount,
      }),
    ],
    [id, costs, locale, currency],
  );
  const writer = useMemo(
    () =>
      rowsWriter<Cost>('decisionCost', {
        needs: 'name',
        fixed: (before) => ({
          decisionId: id,
          position: nextPosition('decisionCost', model.rows.rowsWith('decisionCost', 'decisionId', id), before),
        }),
      }),
    [id],
  );
  return (
    <div className="mt-5">
      <Grid
        title="Fixed costs"
        rows={rows}
        columns={columns}
        writer={writer}
        nameOf={({ name }) => name}
        empty="Which fixed costs go with it, come on top, or stay? Overhead that is only shared out differently stays: it counts for nothing."
      />
    </div>
  );
}
