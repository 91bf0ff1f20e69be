import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { model } from '../book/model.js';
import { useRow, useRowsOf, useSettings, useUnarchived } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import { figureColumn } from '../controls/grid/grid-model.js';
import { rowChoiceColumn } from '../controls/grid/row-choice-column.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { type Activity } from './activity-rows.js';

type Use = StoredRow<'activityUse'>;
type Term = StoredRow<'timeTerm'>;

/** One activity: which products use it, and what its time equation says. */
export function ActivityDetail({ id }: { readonly id: string }) {
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
    () =>
      rowsWriter<Use>('activityUse', {
        needs: 'productId',
        isCopied: false,
        fixed: () => ({ activityId: activity.id }),
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
    () =>
      rowsWriter<Term>('timeTerm', {
        needs: ['name', 'minutes'],
        fixed: () => ({ activityId: activity.id, condition: 'all' }),
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
