import { RHYTHMS, type StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { model } from '../book/model.js';
import { today } from '../app/today.js';
import { nextPosition } from '../book/operations.js';
import { useAll, useBookPath, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid-model.js';
import { RowField } from '../controls/row-field.js';
import { rowsWriter } from '../controls/rows-writer.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { FigureLine } from '../figures/figure-line.js';

type Row = StoredRow<'runningCost'>;

const RHYTHM_WORDS = {
  day: 'open day',
  week: 'week',
  month: 'month',
  quarter: 'quarter',
  year: 'year',
  'one-off': 'one-off, spread',
} satisfies Record<(typeof RHYTHMS)[number], string>;

const plainWriter = rowsWriter<Row>('runningCost', {
  needs: 'name',
  fixed: (before) => ({ position: nextPosition('runningCost', model.rows.all('runningCost'), before) }),
});

const isOneOff = (row: Row | null) => row?.rhythm === 'one-off';

/** A cost that becomes a one-off starts today and is spread over a year until something else is typed. */
const writer: GridWriter<Row, Partial<Row>> = {
  ...plainWriter,
  update: (row, patch, before) => {
    const begins = patch.rhythm === 'one-off' ? { startsOn: row.startsOn ?? today(), months: row.months ?? 12 } : {};
    return plainWriter.update(row, { ...begins, ...patch }, before);
  },
};

/** Run: what the business costs whether or not anything is made, and how it is shared out over the products. */
export function RunScreen() {
  const costs = useAll('runningCost');
  const { locale, currency } = useSettings();
  const columns = useMemo((): Column<Row, Partial<Row>>[] => {
    const own = (field: keyof Row & string, width: string, header: string, words?: Record<string, string>) =>
      fieldColumn<Row>('runningCost', field, locale, { width, header, ...(words === undefined ? {} : { words }) });
    return [
      { ...own('name', 'auto', 'Running cost'), placeholder: 'Type a running cost' },
      own('amount', '6.5rem', `Amount, ${currency}`),
      own('rhythm', '8.5rem', 'Comes every', RHYTHM_WORDS),
      { ...own('months', '5.5rem', 'Months'), applies: isOneOff },
      { ...own('startsOn', '8.5rem', 'Starts on'), applies: isOneOff },
      figureColumn({
        id: 'perMonth',
        header: 'Per month',
        width: '6rem',
        view: 'overhead',
        of: () => 'book',
        pick: (view, row: Row) => view.costs[row.id]?.perMonth,
        digits: 2,
      }),
      figureColumn({
        id: 'perOpenDay',
        header: 'Per open day',
        width: '6.5rem',
        view: 'overhead',
        of: () => 'book',
        pick: (view, row: Row) => view.costs[row.id]?.perOpenDay,
        digits: 2,
      }),
    ];
  }, [locale, currency]);
  return (
    <div className="split split-run">
      <Grid
        title="Running costs"
        rows={costs}
        columns={columns}
        writer={writer}
        nameOf={({ name }) => name}
        empty="Rent, insurance, subscriptions, the accountant, the yearly bills: enter each in the rhythm in which it comes. A one-off is spread over its months from its start."
      />
      <SharedOut />
    </div>
  );
}

function SharedOut() {
  const view = useView('overhead');
  const settings = useSettings();
  const path = useBookPath();
  if (view === undefined) return <section className="detail" aria-label="How it is shared out" />;
  const { currency } = settings;
  return (
    <section className="detail" aria-label="How it is shared out">
      <h2 className="detail-heading">An open day costs</h2>
      <LeadFigure figure={view.perOpenDay} digits={2} unit={currency} />
      <table className="plain-table">
        <tbody>
          <FigureLine label="All running costs" unit={`${currency} a month`} figure={view.total} digits={2} />
          <FigureLine label="Open days" unit="a month" figure={view.openDays} digits={2} />
        </tbody>
      </table>
      <div className="fields">
        <RowField kind="settings" id={settings.id} field="openDaysPerWeek" suffix="a week" />
        <RowField kind="settings" id={settings.id} field="closedDaysPerYear" suffix="a year" />
        <RowField
          kind="settings"
          id={settings.id}
          field="openDaysPerMonth"
          label="Open days, as typed"
          suffix="a month"
          placeholder="from the week"
        />
      </div>
      <h2 className="detail-heading">Shared out by labour hours</h2>
      <div className="fields">
        <RowField
          kind="settings"
          id={settings.id}
          field="normalLabourHoursPerMonth"
          label="Normal labour hours"
          suffix="a month"
          placeholder="as planned"
        />
      </div>
      <table className="plain-table">
        <tbody>
          <FigureLine label="Hours that the plan needs" unit="a month" figure={view.plannedHours} digits={2} />
          <FigureLine label={`Shared over ${view.basisNote}`} unit="hours a month" figure={view.basis} digits={2} />
          <FigureLine
            label="On each labour hour"
            term="absorption rate"
            unit={`${currency} an hour`}
            figure={view.rate}
            digits={4}
          />
          <FigureLine label="Shared out" unit={`${currency} a month`} figure={view.sharedOut} digits={2} />
          <FigureLine
            label="Not shared out"
            term="idle capacity"
            unit={`${currency} a month`}
            figure={view.notSharedOut}
            digits={2}
          />
        </tbody>
      </table>
      <h3 className="detail-heading">What falls on each product</h3>
      <table className="plain-table">
        <thead>
          <tr>
            <th scope="col">Product</th>
            <th scope="col" className="text-right">
              hours
            </th>
            <th scope="col" className="text-right">
              {currency} a unit
            </th>
            <th scope="col" className="text-right">
              {currency} a month
            </th>
          </tr>
        </thead>
        <tbody>
          {view.products.map((product) => (
            <tr key={product.id}>
              <th scope="row">
                <Link className="link" to={`${path}/make/${product.id}`}>
                  {product.name}
                </Link>
              </th>
              <td className="text-right">
                <Amount figure={product.hours} digits={3} />
              </td>
              <td className="text-right">
                <Amount figure={product.perUnit} digits={2} />
              </td>
              <td className="text-right">
                <Amount figure={product.perMonth} digits={2} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
