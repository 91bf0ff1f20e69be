import type { EffectView } from '@nuvar/core';
import { useSettings } from '../book/use-book.js';
import { written } from './format.js';
import { useStyle } from './use-style.js';

/** The full cost of products as it is, and as it would be. */
export function EffectsTable({ effects }: { readonly effects: readonly EffectView[] }) {
  const { currency } = useSettings();
  const style = useStyle();
  const say = (amount: string | null) => (amount === null ? 'not known yet' : written(amount, 4, style));
  return (
    <table className="table mt-2">
      <thead>
        <tr>
          <th scope="col">{currency}, full cost of one</th>
          {['now', 'then', '%'].map((label) => (
            <th key={label} scope="col" className="text-right">
              {label}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {effects.map(({ id, name, before, after, changePercent }) => (
          <tr key={id}>
            <th scope="row">{name}</th>
            <td className="text-right figure-print">{say(before)}</td>
            <td className="text-right figure-print">{say(after)}</td>
            <td className="text-right figure-print">
              {changePercent === null ? '' : written(changePercent, 1, style)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
