import { X } from 'lucide-react';
import { useSideView } from '../engine/use-view.js';
import { digitsOf, unitWords, written } from '../figures/format.js';
import { GapList } from '../figures/gap-list.js';
import { useStyle } from '../figures/use-style.js';
import type { Side } from './sides.js';

interface DifferencePanelProps {
  readonly one: Side;
  readonly other: Side;
  /** The key of the figure. */
  readonly figure: string;
  readonly title: string;
  readonly onClose: () => void;
}

/** The working of a difference: this side, that side, and the inputs that explain it. */
export function DifferencePanel({ one, other, figure, title, onClose }: DifferencePanelProps) {
  const view = useSideView([one.name, other.name], 'difference', figure);
  const style = useStyle();
  const unit = view?.after?.unit ?? view?.before?.unit ?? '';
  const say = (amount: string | null | undefined) =>
    amount == null ? '?' : written(amount, digitsOf(amount, unit, style), style);
  const signed = (amount: string) => (amount.startsWith('-') ? say(amount) : `+${say(amount)}`);
  return (
    <aside className="border-l border-base-300 pl-4" aria-label={`Working of the difference: ${title}`}>
      <header className="flex items-start gap-1">
        <h2 className="grow font-semibold">{title}</h2>
        <button type="button" className="btn btn-ghost" onClick={onClose}>
          <X size={15} aria-hidden="true" />
          Close
        </button>
      </header>
      {view == null ? (
        <p className="text-soft">Working it out ...</p>
      ) : (
        <>
          <table className="table w-auto">
            <tbody>
              <tr>
                <th scope="row" className="font-normal">
                  {one.label}
                </th>
                <td className="figure text-right">{say(view.before?.amount)}</td>
              </tr>
              <tr>
                <th scope="row" className="font-normal">
                  {other.label}
                </th>
                <td className="figure text-right">{say(view.after?.amount)}</td>
              </tr>
              <tr className="font-semibold">
                <th scope="row">Difference, {unitWords(unit)}</th>
                <td className="figure text-right">{view.difference === null ? '?' : signed(view.difference)}</td>
              </tr>
            </tbody>
          </table>
          <GapList gaps={[...(view.before?.gaps ?? []), ...(view.after?.gaps ?? [])]} />
          <h3 className="mt-3 text-note font-semibold">What each changed input does by itself</h3>
          {view.inputs.length === 0 && <p className="text-soft">No changed input moves this figure by itself.</p>}
          <table className="table text-note">
            <tbody>
              {view.inputs.map((input) => (
                <tr key={`${input.id}.${input.field}`}>
                  <td>
                    {input.subject} ({input.kindLabel})
                    {input.fieldLabel !== '' && `: ${input.fieldLabel.toLowerCase()}`}
                    <span className="block text-soft">
                      {input.how === 'create'
                        ? 'added'
                        : input.how === 'remove'
                          ? 'removed'
                          : `${input.before} → ${input.after}`}
                    </span>
                  </td>
                  <td className="figure text-right align-top">
                    {input.effect === null ? 'not known' : signed(input.effect)}
                  </td>
                </tr>
              ))}
              {view.together !== null && Number(view.together) !== 0 && (
                <tr>
                  <td>Together, beyond that</td>
                  <td className="figure text-right">{signed(view.together)}</td>
                </tr>
              )}
            </tbody>
          </table>
          {view.more > 0 && (
            <p className="text-note text-soft">{view.more} more inputs differ and were not tried one by one.</p>
          )}
        </>
      )}
    </aside>
  );
}
