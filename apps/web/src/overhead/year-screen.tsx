import { WEEKDAYS, fieldsOf, type Kind, type StoredRow } from '@nuvar/book';
import type { RunYearView } from '@nuvar/core';
import { useMemo } from 'react';
import { Bar, CartesianGrid, ComposedChart, Line, Tooltip, XAxis, YAxis } from 'recharts';
import { today } from '../state/today.js';
import { createOf } from '../book/operations.js';
import { useAll, useSettings } from '../book/use-book.js';
import { Field, Fields } from '../controls/fields.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import { ListAndDetail } from '../controls/list-and-detail.js';
import { RowField } from '../controls/row-field.js';
import { removalInBook, rowsWriter } from '../controls/rows-writer.js';
import { tableOfFile } from '../purchasing/import/table-of-file.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { ChartFrame, roundAxis, upAxis } from '../figures/chart-frame.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { dayText, written } from '../figures/format.js';
import { ScreenLink } from '../figures/screen-link.js';
import { useStyle } from '../figures/use-style.js';
import { monthShort } from './month-words.js';
import { RunPage } from './run-page.js';

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
        {say(view.bills)} <span className="text-base text-soft">{currency} of bills in twelve months</span>
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
          <Tooltip formatter={(value) => `${written(String(value), 2, style)} ${currency}`} />
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

const RULE_WORDS = { 'days a week': 'days a week', calendar: 'the calendar below' };

/** On which days the business is open. */
function OpenDays() {
  const settings = useSettings();
  const view = useView('overhead', 'book');
  const isCalendar = settings.openDayRule === 'calendar';
  return (
    <section aria-label="Open days">
      <DetailHeading as="h2">Open days</DetailHeading>
      <p>
        <Amount figure={view?.openDays} digits={2} inWords /> a month.
      </p>
      <Fields>
        <RowField kind="settings" id={settings.id} field="openDayRule" label="Counted by" words={RULE_WORDS} />
        {!isCalendar && <RowField kind="settings" id={settings.id} field="openDaysPerWeek" />}
        {!isCalendar && <RowField kind="settings" id={settings.id} field="closedDaysPerYear" />}
        <RowField
          kind="settings"
          id={settings.id}
          field="openDaysPerMonth"
          label="Open days a month"
          suffix="a month"
          placeholder="worked out"
        />
      </Fields>
      {isCalendar && (
        <>
          {settings.openDaysPerMonth !== null && (
            <p className="text-soft">The open days a month that are entered above take the place of the calendar.</p>
          )}
          <Fields>
            <Field label="Open on">
              <Weekdays kind="settings" id={settings.id} />
            </Field>
          </Fields>
          <Seasons />
          <ClosedDays />
        </>
      )}
    </section>
  );
}

const labelOf = (kind: Kind, day: string) => fieldsOf(kind).find(({ name }) => name === day)?.label ?? day;

function Weekdays({ kind, id }: { readonly kind: 'settings'; readonly id: string }) {
  return (
    <span className="flex flex-wrap gap-x-3">
      {WEEKDAYS.map((day) => (
        <RowField key={day} kind={kind} id={id} field={day} label={labelOf(kind, day)} isBare />
      ))}
    </span>
  );
}

type Season = StoredRow<'openSeason'>;
type ClosedDay = StoredRow<'closedDay'>;

const seasonWriter = rowsWriter<Season>('openSeason', {
  needs: 'name',
  fixed: () => ({ startsOn: today(), endsOn: today() }),
});

/** Parts of the year with open days of their own. */
function Seasons() {
  const rows = useAll('openSeason');
  const { locale } = useSettings();
  const columns = useMemo(
    () => [
      fieldColumn<Season>('openSeason', 'name', locale, { placeholder: 'Before Christmas' }),
      fieldColumn<Season>('openSeason', 'startsOn', locale),
      fieldColumn<Season>('openSeason', 'endsOn', locale),
      ...WEEKDAYS.map((day) => fieldColumn<Season>('openSeason', day, locale)),
      fieldColumn<Season>('openSeason', 'everyYear', locale),
    ],
    [locale],
  );
  return (
    <div className="mt-3">
      <Grid
        title="Seasons"
        rows={rows}
        columns={columns}
        writer={seasonWriter}
        nameOf={({ name }) => name}
        empty="Parts of the year with other opening days: Sundays before Christmas, a closed January."
      />
    </div>
  );
}

/** Days that are closed though their weekday is open: typed, or pasted from a list of public holidays. */
function ClosedDays() {
  const rows = useAll('closedDay');
  const { locale } = useSettings();
  const sorted = useMemo(() => [...rows].sort((one, other) => (one.date < other.date ? -1 : 1)), [rows]);
  const columns = useMemo(
    () => [
      fieldColumn<ClosedDay>('closedDay', 'date', locale, { placeholder: 'A day' }),
      fieldColumn<ClosedDay>('closedDay', 'occasion', locale),
      fieldColumn<ClosedDay>('closedDay', 'everyYear', locale),
    ],
    [locale],
  );
  const writer = useMemo(
    () => ({
      ...rowsWriter<ClosedDay>('closedDay', { needs: 'date' }),
      create: (id: string, patch: Partial<ClosedDay>) =>
        patch.date === undefined ? null : [createOf('closedDay', id, { ...patch })],
      remove: ({ id }: ClosedDay) => removalInBook('closedDay', id),
    }),
    [],
  );
  return (
    <div className="mt-3">
      <Grid
        title="Closed days"
        rows={sorted}
        columns={columns}
        writer={writer}
        fromFile={tableOfFile}
        nameOf={({ date }) => dayText(date, locale)}
        empty="Public holidays, stocktaking, the works holiday: type a day, or paste a list of days with their occasions."
      />
    </div>
  );
}
