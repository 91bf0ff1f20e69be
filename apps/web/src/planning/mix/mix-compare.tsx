import { MIX_GOAL_WORDS, MIX_OUTCOME_WORDS, shortageWords } from '@nuvar/core';
import { useAll, useSettings } from '../../book/use-book.js';
import { ScreenLink } from '../../figures/screen-link.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { useMixWriting } from './use-mix-writing.js';

/** All mix plans beside this one, by the quantities that each holds. */
export function MixCompare({ planId }: { readonly planId: string }) {
  const plans = useAll('mixPlan');
  const { currency } = useSettings();
  return (
    <table className="table w-auto" aria-label="Mix plans beside each other">
      <thead>
        <tr>
          <th scope="col">Mix plan</th>
          <th scope="col">Goal</th>
          {MIX_OUTCOME_WORDS.map(([id, label]) => (
            <th key={id} scope="col" className="text-right">
              {label}
              {id === 'units' ? '' : `, ${currency}`}
            </th>
          ))}
          <th scope="col" className="text-right">
            Against this plan
          </th>
          <th scope="col">Limits</th>
        </tr>
      </thead>
      <tbody>
        {plans.map(({ id, name, goal }) => (
          <tr key={id} className={id === planId ? 'font-semibold' : ''}>
            <th scope="row" className="font-normal">
              {id === planId ? (
                name
              ) : (
                <ScreenLink to="mix" row={id}>
                  {name}
                </ScreenLink>
              )}
            </th>
            <td>{MIX_GOAL_WORDS[goal]}</td>
            <Figures planId={id} against={planId} />
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Figures({ planId, against }: { readonly planId: string; readonly against: string }) {
  const view = useView('mix', planId);
  const apart = useView('mixApart', `${planId}@${against}`);
  const writing = useMixWriting();
  return (
    <>
      {MIX_OUTCOME_WORDS.map(([id]) => (
        <td key={id} className="text-right">
          <Amount figure={view?.outcome[id]} digits={id === 'units' ? 1 : 2} />
        </td>
      ))}
      <td className="text-right">{planId === against ? '' : <Amount figure={apart} digits={2} />}</td>
      <td>{view === undefined ? '' : shortageWords(view, writing)}</td>
    </>
  );
}
