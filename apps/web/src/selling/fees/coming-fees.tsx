import type { ComingFees as Coming } from '@nuvar/core';
import { useSettings } from '../../book/use-book.js';
import { useView } from '../../engine/use-view.js';
import { useFirstRows } from '../../figures/first-rows.js';
import { dayText, written } from '../../figures/format.js';
import { ScreenLink } from '../../figures/screen-link.js';
import { useStyle } from '../../figures/use-style.js';

/** The changes of fees that are to come, each with what every product then leaves. */
export function ComingFees({ channelId }: { readonly channelId: string }) {
  const changes = useView('comingFees', channelId);
  return changes?.map((change) => <Change key={change.day} change={change} />) ?? null;
}

function Change({ change: { day, fees, rows } }: { readonly change: Coming }) {
  const { locale, currency } = useSettings();
  const style = useStyle();
  const moved = rows.filter(({ before, after }) => before !== after);
  const { rows: shown, more } = useFirstRows(moved);
  const say = (amount: string | null) => (amount === null ? 'not known yet' : written(amount, 2, style));
  return (
    <section className="mt-5 max-w-2xl" aria-label={`From ${dayText(day, locale)}`}>
      <h3 className="text-section">
        From {dayText(day, locale)}: {fees.join(', ')}
      </h3>
      {moved.length === 0 ? (
        <p className="text-soft">No product here leaves more or less by it.</p>
      ) : (
        <table className="table">
          <thead>
            <tr>
              <th scope="col">Each sale leaves, {currency}</th>
              <th scope="col" className="text-right">
                now
              </th>
              <th scope="col" className="text-right">
                then
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.map(({ pointId, product, before, after }) => (
              <tr key={pointId}>
                <th scope="row" className="font-normal">
                  <ScreenLink to="sell" row={pointId}>
                    {product}
                  </ScreenLink>
                </th>
                <td className="text-right">{say(before)}</td>
                <td className="text-right">{say(after)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {more}
    </section>
  );
}
