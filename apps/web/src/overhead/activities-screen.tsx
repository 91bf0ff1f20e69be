import type { StoredRow } from '@nuvar/book';
import type { ActivitiesView } from '@nuvar/core';
import { useMemo } from 'react';
import { model } from '../book/model.js';
import { createOf, updateOf } from '../book/operations.js';
import { useAll, useRow, useRowsOf, useSettings, useUnarchived, useVersion } from '../book/use-book.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import { figureColumn, type GridWriter } from '../controls/grid-model.js';
import { RowField } from '../controls/row-field.js';
import { rowChoiceColumn } from '../controls/row-choice-column.js';
import { removalInBook } from '../controls/rows-writer.js';
import { useChosenRow } from '../controls/use-chosen-row.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { activityColumns, activityWriter, timeColumns, type Activity } from './activity-rows.js';
import { RunPage } from './run-page.js';

type Use = StoredRow<'activityUse'>;
type Term = StoredRow<'timeTerm'>;

/** Run: what is done for products and costs overhead, by what it is counted, and how much of its capacity is used. */
export function ActivitiesScreen() {
  const { chosen, choose, chooseById } = useChosenRow('activities');
  const activities = useAll('activity');
  const pools = useAll('costPool');
  const shares = useVersion('poolActivity');
  const { locale, currency } = useSettings();
  const columns = useMemo(
    () => activityColumns(pools, locale, currency),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the shares are those of this version
    [pools, locale, currency, shares],
  );
  const shown = chosen ?? activities[0]?.id;
  return (
    <RunPage>
      <div className="h-full space-y-6 overflow-auto">
        <Grid
          title="Activities"
          rows={activities}
          columns={columns}
          writer={activityWriter}
          nameOf={({ name }) => name}
          selected={shown}
          onSelect={choose}
          onCreate={chooseById}
          empty="What is done for your products and costs overhead: setting up, taking orders, inspecting. Each takes up a share of some cost pools, and is charged by its driver."
        />
        <div className="grid items-start gap-6 desk:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
          {shown !== undefined && <ActivityDetail key={shown} id={shown} />}
          <div className="space-y-6">
            <NotShared />
            <Timed />
          </div>
        </div>
      </div>
    </RunPage>
  );
}

/** What no activity takes up, or is not charged: it cannot be hidden. */
function NotShared() {
  const view = useView('activities', 'book');
  if (view === undefined || view.unassigned.length === 0) return null;
  return (
    <section aria-label="Not shared out">
      <DetailHeading>Not shared out over products</DetailHeading>
      <table className="table mt-1 w-auto">
        <tbody>
          {view.unassigned.map(({ id, label, why, cost }) => (
            <tr key={id}>
              <th scope="row" className="font-normal">
                {label}
              </th>
              <td className="text-right">
                <Amount figure={cost} digits={2} />
              </td>
              <td className="text-soft">{why}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** Time-driven costing: minutes of activities, at the cost of a minute of the pool that does them. */
function Timed() {
  const activities = useAll('activity');
  const pools = useAll('costPool');
  const view = useView('activities', 'book');
  const { locale } = useSettings();
  const columns = useMemo(() => timeColumns(pools, locale), [pools, locale]);
  if (activities.length === 0) return null;
  return (
    <>
      <Grid
        title="Minutes of activities"
        rows={activities}
        columns={columns}
        writer={activityWriter}
        hasNewRow={false}
        nameOf={({ name }) => name}
      />
      <MinuteRates view={view} />
    </>
  );
}

function MinuteRates({ view }: { readonly view: ActivitiesView | undefined }) {
  const pools = useAll('costPool');
  const { currency } = useSettings();
  return (
    <section aria-label="Cost of a minute">
      <DetailHeading>Cost of a minute, by the pool that does the work</DetailHeading>
      <table className="table mt-1 w-auto">
        <thead>
          <tr>
            <th scope="col">Cost pool</th>
            <th scope="col">Practical minutes a month</th>
            {['Cost', 'a minute', 'Used minutes', 'Unused'].map((header, index) => (
              <th key={header} scope="col" className="text-right">
                {index === 2 ? header : `${header}, ${currency}`}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {pools.map(({ id, name }) => {
            const rate = view?.pools[id];
            return (
              <tr key={id}>
                <th scope="row" className="font-normal">
                  {name}
                </th>
                <td>
                  <RowField
                    kind="costPool"
                    id={id}
                    field="practicalMinutes"
                    label={`Practical minutes of ${name}`}
                    isNameless
                  />
                </td>
                <td className="text-right">
                  <Amount figure={rate?.cost} digits={2} />
                </td>
                <td className="text-right">
                  <Amount figure={rate?.rate} digits={4} />
                </td>
                <td className="text-right">
                  <Amount figure={rate?.used} digits={0} />
                </td>
                <td className="text-right">
                  <Amount figure={rate?.unused} digits={2} />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {view?.notTimed.map(({ id, label, cost }) => (
        <p key={id} className="text-soft">
          {label}, <Amount figure={cost} digits={2} withUnit />, is in no activity by time and is not shared out there.
        </p>
      ))}
    </section>
  );
}

/** One activity: which products use it, and what its time equation says. */
function ActivityDetail({ id }: { readonly id: string }) {
  const activity = useRow('activity', id);
  const view = useView('activities', 'book');
  if (activity === undefined) return null;
  const [production, other] = view?.rates[id] ?? [];
  return (
    <section aria-label={activity.name}>
      <h2 className="font-serif text-detail">{activity.name}</h2>
      {[production, other].map(
        (rate) =>
          rate !== undefined && (
            <p key={String(rate.isProduction)}>
              <Amount figure={rate.rate} digits={4} withUnit inWords />{' '}
              <span className="text-soft">
                {rate.isProduction ? 'of production overhead' : 'of selling and office'}, over {rate.basisNote}
              </span>
            </p>
          ),
      )}
      {activity.driver === 'typed' ? (
        <Uses activity={activity} />
      ) : (
        <p className="mt-2 text-soft">Each product uses it as its bill, its batches and its orders say.</p>
      )}
      <Terms activity={activity} />
    </section>
  );
}

const PER_WORDS = { unit: 'unit', batch: 'batch', order: 'order', month: 'month' };

/** How often an activity is done for each product. */
function Uses({ activity }: { readonly activity: Activity }) {
  const rows = useRowsOf('activityUse', 'activityId', activity.id);
  const products = useUnarchived('product');
  const { locale } = useSettings();
  const columns = useMemo(
    () => [
      rowChoiceColumn<Use>('productId', products, { header: 'Product' }),
      fieldColumn<Use>('activityUse', 'amount', locale),
      fieldColumn<Use>('activityUse', 'per', locale, { words: PER_WORDS }),
      figureColumn({
        id: 'perUnit',
        header: 'Per unit',
        view: 'driverUse',
        of: ({ productId }: Use) => `${productId}@activity@${activity.id}`,
        pick: (view) => view,
        digits: 4,
      }),
    ],
    [locale, products, activity.id],
  );
  const writer = useMemo(
    (): GridWriter<Use, Partial<Use>> => ({
      update: (row, patch) => updateOf('activityUse', row, patch),
      create: (id, patch) =>
        patch.productId === undefined ? null : [createOf('activityUse', id, { activityId: activity.id, ...patch })],
      remove: ({ id }) => removalInBook('activityUse', id),
    }),
    [activity.id],
  );
  return (
    <div className="mt-2">
      <Grid
        title="Used by products"
        rows={rows}
        columns={columns}
        writer={writer}
        nameOf={({ productId }) => `the use by ${model.rows.row('product', productId)?.name ?? 'a product'}`}
        empty="Choose a product and say how often the activity is done for a unit, a batch, an order, or in a month."
      />
    </div>
  );
}

const TIMES_WORDS = { occurrence: 'occurrence', 'bill line': 'line of the bill' };
const CONDITION_WORDS = { all: 'all products', category: 'category', tag: 'tag', product: 'one product' };

/** The terms that a product adds to the base minutes. */
function Terms({ activity }: { readonly activity: Activity }) {
  const rows = useRowsOf('timeTerm', 'activityId', activity.id);
  const products = useUnarchived('product');
  const { locale } = useSettings();
  const columns = useMemo(
    () => [
      fieldColumn<Term>('timeTerm', 'name', locale, { header: 'Time equation', placeholder: 'Wrapping a gift' }),
      fieldColumn<Term>('timeTerm', 'minutes', locale),
      fieldColumn<Term>('timeTerm', 'times', locale, { words: TIMES_WORDS }),
      fieldColumn<Term>('timeTerm', 'condition', locale, { header: 'Where', words: CONDITION_WORDS }),
      {
        ...fieldColumn<Term>('timeTerm', 'matches', locale, { header: 'is' }),
        applies: (row: Term | null) => row?.condition === 'category' || row?.condition === 'tag',
      },
      {
        ...rowChoiceColumn<Term>('productId', products, { header: 'Product', none: '' }),
        applies: (row: Term | null) => row?.condition === 'product',
      },
    ],
    [locale, products],
  );
  const writer = useMemo(
    (): GridWriter<Term, Partial<Term>> => ({
      update: (row, patch) => updateOf('timeTerm', row, patch),
      create: (id, patch) =>
        patch.name === undefined || patch.minutes === undefined
          ? null
          : [createOf('timeTerm', id, { activityId: activity.id, condition: 'all', ...patch })],
      remove: ({ id }) => removalInBook('timeTerm', id),
    }),
    [activity.id],
  );
  return (
    <div className="mt-3">
      <Grid
        title="Minutes more"
        rows={rows}
        columns={columns}
        writer={writer}
        nameOf={({ name }) => name}
        empty={`Each takes ${activity.minutes ?? 'its'} minutes. Add what a product adds to that: 4 more where the category is gifts, 2 for each line of the bill.`}
      />
    </div>
  );
}
