import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { model } from '../book/model.js';
import { nextPosition } from '../book/operations.js';
import { useAll, useRow, useSettings } from '../book/use-book.js';
import { Fields } from '../controls/fields/fields.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { figureColumn } from '../controls/grid/grid-model.js';
import { RowField } from '../controls/fields/row-field.js';
import { NamedList } from '../controls/grid/named-list.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { FigureLine } from '../figures/figure-line.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { RunPage } from './run-page.js';

type Rate = StoredRow<'chargeOutRate'>;

const writer = rowsWriter<Rate>('chargeOutRate', {
  needs: 'name',
  fixed: (before) => ({ position: nextPosition('chargeOutRate', model.rows.all('chargeOutRate'), before) }),
});

/** Run: what an hour has to be charged at by whoever sells hours. */
export function ChargeOutScreen() {
  const rates = useAll('chargeOutRate');
  const { locale, currency } = useSettings();
  const columns = useMemo(() => {
    const figure = (member: 'perHour' | 'perDay', header: string) =>
      figureColumn({
        id: member,
        header,
        view: 'chargeOut',
        of: ({ id }: Rate) => id,
        pick: (view) => view[member],
        digits: 2,
      });
    return [
      fieldColumn<Rate>('chargeOutRate', 'name', locale, { placeholder: 'Commissions, consulting' }),
      fieldColumn<Rate>('chargeOutRate', 'incomePerYear', locale, { header: `Income wanted a year, ${currency}` }),
      figure('perHour', `An hour, ${currency}`),
      figure('perDay', `A day, ${currency}`),
    ];
  }, [locale, currency]);
  return (
    <RunPage>
      <NamedList
        screen="chargeOut"
        title="Charge-out rates"
        rows={rates}
        columns={columns}
        writer={writer}
        narrow="27rem"
        wide="list"
        empty="For hours that you sell: repairs, commissions, teaching. Type a name, then the income that you want from these hours in a year."
        detail={(id) => <RateDetail key={id} id={id} />}
      />
    </RunPage>
  );
}

function RateDetail({ id }: { readonly id: string }) {
  const row = useRow('chargeOutRate', id);
  const view = useView('chargeOut', id);
  const { currency } = useSettings();
  if (row === undefined || view === undefined) return null;
  return (
    <section aria-label={row.name}>
      <h2 className="font-serif text-detail">{row.name}</h2>
      <LeadFigure figure={view.perHour} digits={2} unit={`${currency} an hour`} />
      <Fields>
        <RowField kind="chargeOutRate" id={id} field="incomePerYear" suffix={currency} placeholder="not yet" />
        <RowField kind="chargeOutRate" id={id} field="runningCostPercent" suffix="%" label="Running costs to carry" />
        <RowField kind="chargeOutRate" id={id} field="weeksPerYear" />
        <RowField kind="chargeOutRate" id={id} field="hoursPerWeek" />
        <RowField kind="chargeOutRate" id={id} field="hoursPerDay" />
        <RowField kind="chargeOutRate" id={id} field="billablePercent" suffix="%" label="Billable share" />
      </Fields>
      <table className="table">
        <tbody>
          <FigureLine
            label="Running costs to carry"
            unit={`${currency} a year`}
            figure={view.runningCosts}
            digits={2}
          />
          <FigureLine label="To be earned" unit={`${currency} a year`} figure={view.toEarn} digits={2} />
          <FigureLine label="Hours worked" unit="a year" figure={view.hoursWorked} digits={0} />
          <FigureLine label="Billable hours" unit="a year" figure={view.billableHours} digits={0} />
          <FigureLine label="Hour rate" unit={`${currency} an hour`} figure={view.perHour} digits={2} />
          <FigureLine label="Day rate" unit={`${currency} a day`} figure={view.perDay} digits={2} />
        </tbody>
      </table>
      <p className="mt-2">
        With one more day a month that nobody pays for, the hour has to be charged at{' '}
        <Amount figure={view.perHourOneDayLess} digits={2} withUnit inWords />,{' '}
        <Amount figure={view.moreForOneDay} digits={2} withUnit /> more. At the same rate a year brings{' '}
        <Amount figure={view.lostForOneDay} digits={2} withUnit /> less.
      </p>
    </section>
  );
}
