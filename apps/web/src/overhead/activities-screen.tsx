import type { ActivitiesView } from '@nuvar/core';
import { useMemo } from 'react';
import { useAll, useSettings, useVersion } from '../book/use-book.js';
import { Grid } from '../controls/grid/grid.js';
import { RowField } from '../controls/fields/row-field.js';
import { useChosenRow } from '../controls/layout/use-chosen-row.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { activityColumns, activityWriter, timeColumns } from './activity-rows.js';
import { RunPage } from './run-page.js';
import { ActivityDetail } from './activity-detail.js';

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
