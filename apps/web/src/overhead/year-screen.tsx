import type { RunYearView } from '@nuvar/core';
import { Bar, CartesianGrid, ComposedChart, Line, Tooltip, XAxis, YAxis } from 'recharts';
import { useSettings } from '../book/use-book.js';
import { ListAndDetail } from '../controls/layout/list-and-detail.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { ChartFrame, roundAxis, upAxis } from '../figures/chart-frame.js';
import { written } from '../figures/format.js';
import { ScreenLink } from '../figures/screen-link.js';
import { useStyle } from '../figures/use-style.js';
import { monthShort } from './month-words.js';
import { RunPage } from './run-page.js';
import { OpenDays } from './open-days.js';

/** Run: a year at a glance, when the bills fall against what to put aside each month; and the days that are open. */
export function YearScreen() {
  const view = useView('runYear', 'book');
  return (
    <RunPage>
      <ListAndDetail
        wide="list"
        narrow="23rem"
        list={<div className="overflow-auto">{view && <Year view={view} />}</div>}
        detail={<OpenDays />}
      />
    </RunPage>
  );
}

function Year({ view }: { readonly view: RunYearView }) {
  const { currency, locale } = useSettings();
  const style = useStyle();
  const months = view.months.map(({ month, bills, putAside }) => ({
    name: monthShort(month, locale),
    bills: Number(bills),
    putAside: Number(putAside),
  }));
  const most = Math.max(1, ...months.flatMap(({ bills, putAside }) => [bills, putAside]));
  const dearest = view.months.reduce((so, each) => (Number(each.bills) > Number(so.bills) ? each : so));
  const say = (amount: string) => written(amount, 2, style);
  return (
    <section aria-label="The year">
      <p className="font-serif text-lead">
        <Amount figure={view.bills} digits={2} />{' '}
        <span className="text-base text-soft">{currency} of bills in twelve months</span>
      </p>
      {Number(view.neededAtStart) > 0 && (
        <p className="text-soft">
          Have {say(view.neededAtStart)} {currency} in hand before the first month, so that no bill finds too little put
          aside.
        </p>
      )}
      {view.isPartial && <p className="text-warning">Some amounts are not entered yet, and are not counted here.</p>}
      <ChartFrame
        title={`The bills are highest in ${monthShort(dearest.month, locale)}: ${say(dearest.bills)} ${currency}; the line is what to put aside each month`}
        height={230}
      >
        <ComposedChart data={months} margin={{ top: 8, right: 16, bottom: 4, left: 12 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--color-base-300)" vertical={false} />
          <XAxis dataKey="name" stroke="var(--soft)" fontSize={12} interval={0} />
          <YAxis {...upAxis(currency)} {...roundAxis(most, style)} />
          <Tooltip
            formatter={(value) => `${written(String(value), 2, style)} ${currency}`}
            contentStyle={{ background: 'var(--color-base-100)', borderColor: 'var(--rule)' }}
            itemStyle={{ color: 'var(--color-base-content)' }}
          />
          <Bar
            dataKey="bills"
            name="bills"
            fill="var(--color-base-300)"
            stroke="var(--soft)"
            isAnimationActive={false}
          />
          <Line
            dataKey="putAside"
            name="put aside"
            type="stepAfter"
            stroke="var(--color-primary)"
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
        </ComposedChart>
      </ChartFrame>
      <div className="overflow-x-auto">
        <YearTable view={view} />
      </div>
    </section>
  );
}

/** The same as a table: each bill in the month in which it falls, and below it what is put aside and left. */
function YearTable({ view }: { readonly view: RunYearView }) {
  const { currency, locale } = useSettings();
  const style = useStyle();
  const sums = [
    ['Bills', 'bills'],
    ['Put aside', 'putAside'],
    ['In hand at the end', 'inHand'],
  ] as const;
  return (
    <table className="table mt-2">
      <thead>
        <tr>
          <th scope="col">Bills, {currency}</th>
          {view.months.map(({ month }) => (
            <th key={month} scope="col" className="text-right">
              {monthShort(month, locale)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {view.costs.map(({ id, name, bills }) => (
          <tr key={id}>
            <th scope="row" className="font-normal whitespace-nowrap">
              <ScreenLink to="run" row={id}>
                {name}
              </ScreenLink>
            </th>
            {bills.map((figure, index) => (
              <td key={view.months[index]?.month} className="text-right">
                {figure.amount === '0' ? <span className="text-soft">–</span> : <Amount figure={figure} digits={0} />}
              </td>
            ))}
          </tr>
        ))}
        {sums.map(([label, member]) => (
          <tr key={member} className="font-semibold">
            <th scope="row">{label}</th>
            {view.months.map((month) => (
              <td key={month.month} className="figure-print text-right">
                {written(month[member], 0, style)}
              </td>
            ))}
          </tr>
        ))}
        <tr>
          <th scope="row" className="font-normal">
            Open days
          </th>
          {view.months.map(({ month, openDays }) => (
            <td key={month} className="text-right">
              <Amount figure={openDays} digits={1} />
            </td>
          ))}
        </tr>
      </tbody>
    </table>
  );
}
