import type { StoredRow } from '@nuvar/book';
import type { AbsorbedView } from '@nuvar/core';
import { useMemo } from 'react';
import { createOf, updateOf } from '../book/operations.js';
import { useAll, useRow, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Fields } from '../controls/fields/fields.js';
import { Grid } from '../controls/grid/grid.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid/grid-model.js';
import { ListAndDetail } from '../controls/layout/list-and-detail.js';
import { removalInBook } from '../controls/grid/rows-writer.js';
import { RowField } from '../controls/fields/row-field.js';
import { rowChoiceColumn } from '../controls/grid/row-choice-column.js';
import { useChosenRow } from '../controls/layout/use-chosen-row.js';
import { useView } from '../engine/use-view.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { FigureLine } from '../figures/figure-line.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { monthText, unitWords } from '../figures/format.js';
import { today } from '../state/today.js';
import { RunPage } from './run-page.js';

type Actual = StoredRow<'overheadActual'>;

const monthOf = (day: string) => `${day.slice(0, 7)}-01`;

/** Run: what production overhead really came to, against what the work of the month absorbed. */
export function AbsorptionScreen() {
  const { chosen, choose, chooseById } = useChosenRow('absorption');
  const all = useAll('overheadActual');
  const departments = useAll('department');
  const { locale, currency } = useSettings();
  const rows = useMemo(() => [...all].sort((one, other) => (one.month < other.month ? 1 : -1)), [all]);
  const columns = useMemo((): Column<Actual, Partial<Actual>>[] => {
    const own = (field: keyof Actual & string, header?: string) =>
      fieldColumn<Actual>('overheadActual', field, locale, header === undefined ? {} : { header });
    const month = own('month');
    return [
      {
        ...month,
        text: (row) => monthText(row.month, locale),
        read: (text, row) => {
          const reading = month.read(text, row);
          return 'refusal' in reading || reading.patch.month == null
            ? reading
            : { ...reading, patch: { month: monthOf(reading.patch.month) } };
        },
        placeholder: 'A day of the month',
      },
      rowChoiceColumn<Actual>('departmentId', departments, { header: 'Department', none: 'whole business' }),
      own('amount', `Actual overhead, ${currency}`),
      own('basisQuantity', 'Basis worked'),
      own('standardQuantity', 'Standard for the output'),
      figureColumn({
        id: 'absorbed',
        header: `Absorbed, ${currency}`,
        view: 'absorbed',
        of: ({ id }: Actual) => id,
        pick: (view) => view.absorbed,
        digits: 2,
      }),
      figureColumn({
        id: 'difference',
        header: 'Over (+) or under (−)',
        view: 'absorbed',
        of: ({ id }: Actual) => id,
        pick: (view) => view.difference,
        digits: 2,
      }),
    ];
  }, [departments, locale, currency]);
  const moreColumns = useMemo(
    () =>
      (['budgetAmount', 'budgetQuantity', 'absorbedInProgress', 'absorbedInStock'] as const).map((field) =>
        fieldColumn<Actual>('overheadActual', field, locale),
      ),
    [locale],
  );
  const shown = chosen ?? rows[0]?.id;
  return (
    <RunPage>
      <ListAndDetail
        wide="list"
        narrow="25rem"
        list={
          <Grid
            title="Overhead of the months"
            rows={rows}
            columns={columns}
            moreColumns={moreColumns}
            writer={actualWriter}
            nameOf={({ month }) => monthText(month, locale)}
            selected={shown}
            onSelect={choose}
            onCreate={chooseById}
            empty="At the end of a month: what production overhead really came to, the hours really worked, and the hours that the output should have taken. Nuvar says what was over- or under-absorbed, and why."
          />
        }
        detail={shown === undefined ? null : <MonthDetail key={shown} id={shown} />}
      />
    </RunPage>
  );
}

const actualWriter: GridWriter<Actual, Partial<Actual>> = {
  update: (row, patch) => updateOf('overheadActual', row, patch),
  create: (id, patch) =>
    patch.month === undefined && patch.amount == null
      ? null
      : [createOf('overheadActual', id, { month: monthOf(today()), ...patch })],
  remove: ({ id }) => removalInBook('overheadActual', id),
};

function MonthDetail({ id }: { readonly id: string }) {
  const row = useRow('overheadActual', id);
  const department = useRow('department', row?.departmentId);
  const view = useView('absorbed', id);
  const { locale } = useSettings();
  if (row === undefined || view === undefined) return null;
  return (
    <section aria-label={monthText(row.month, locale)}>
      <h2 className="font-serif text-detail">
        {monthText(row.month, locale)}
        {department && `, ${department.name}`}
      </h2>
      <Split view={view} />
      <Proration id={id} view={view} />
    </section>
  );
}

/** The difference, and what it comes from. */
function Split({ view }: { readonly view: AbsorbedView }) {
  const { currency } = useSettings();
  const isUnder = view.difference.amount?.startsWith('-') ?? false;
  const basis = unitWords(view.budgetBasis.unit);
  return (
    <>
      <LeadFigure
        figure={view.difference}
        digits={2}
        unit={`${currency} ${isUnder ? 'under-absorbed' : 'over-absorbed'}`}
      />
      <table className="table">
        <tbody>
          <FigureLine label="Budgeted overhead" unit={currency} figure={view.budget} digits={2} />
          <FigureLine label="Budgeted basis" unit={basis} figure={view.budgetBasis} digits={2} />
          <FigureLine label="Absorption rate" unit={unitWords(view.rate.unit)} figure={view.rate} digits={4} />
          <FigureLine label="Absorbed" unit={currency} figure={view.absorbed} digits={2} />
          <FigureLine label="Actual overhead" unit={currency} figure={view.actual} digits={2} />
        </tbody>
      </table>
      <DetailHeading>Why, on the basis worked (normal costing)</DetailHeading>
      <table className="table">
        <tbody>
          <FigureLine label="Expenditure" unit={currency} figure={view.expenditure} digits={2} />
          <FigureLine label="Volume" unit={currency} figure={view.volume} digits={2} />
        </tbody>
      </table>
      {view.differenceStandard && view.capacity && view.efficiency && (
        <>
          <DetailHeading>On the standard for the output (standard costing)</DetailHeading>
          <table className="table">
            <tbody>
              <FigureLine label="Over (+) or under (−)" unit={currency} figure={view.differenceStandard} digits={2} />
              <FigureLine label="Expenditure" unit={currency} figure={view.expenditure} digits={2} />
              <FigureLine label="Capacity" unit={currency} figure={view.capacity} digits={2} />
              <FigureLine label="Efficiency" unit={currency} figure={view.efficiency} digits={2} />
            </tbody>
          </table>
        </>
      )}
    </>
  );
}

/** The difference shared over stock and cost of sales, by the absorbed overhead that lies in each. */
function Proration({ id, view }: { readonly id: string; readonly view: AbsorbedView }) {
  const { currency } = useSettings();
  return (
    <section aria-label="Shared over stock and cost of sales">
      <DetailHeading>Shared over stock and cost of sales</DetailHeading>
      <Fields>
        <RowField
          kind="overheadActual"
          id={id}
          field="absorbedInProgress"
          label="Absorbed, in work in progress"
          suffix={currency}
        />
        <RowField
          kind="overheadActual"
          id={id}
          field="absorbedInStock"
          label="Absorbed, in finished stock"
          suffix={currency}
        />
      </Fields>
      <table className="table">
        <tbody>
          <FigureLine
            label="Low production, to cost of sales whole"
            unit={currency}
            figure={view.toCostOfSalesWhole}
            digits={2}
          />
          <FigureLine label="The rest, to be shared" unit={currency} figure={view.shared} digits={2} />
          <FigureLine label="To work in progress" unit={currency} figure={view.toProgress} digits={2} />
          <FigureLine label="To finished stock" unit={currency} figure={view.toStock} digits={2} />
          <FigureLine label="To cost of sales in all" unit={currency} figure={view.toCostOfSales} digits={2} />
        </tbody>
      </table>
      <p className="text-soft">
        Above zero it is added, below zero taken off. What low production left unabsorbed is never put into stock (IAS
        2.13).
      </p>
    </section>
  );
}
