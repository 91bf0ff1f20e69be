import { WEEKDAYS, fieldsOf, type Kind, type StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { today } from '../state/today.js';
import { createOf } from '../book/operations.js';
import { useAll, useSettings } from '../book/use-book.js';
import { Field, Fields } from '../controls/fields/fields.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import { RowField } from '../controls/fields/row-field.js';
import { removalInBook, rowsWriter } from '../controls/grid/rows-writer.js';
import { tableOfFile } from '../purchasing/import/table-of-file.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { dayText } from '../figures/format.js';

const RULE_WORDS = { 'days a week': 'days a week', calendar: 'the calendar below' };

/** On which days the business is open. */
export function OpenDays() {
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
