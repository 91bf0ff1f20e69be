import { CAUSE_WORDS, type BridgeView } from '@nuvar/core';
import { written } from '../figures/format.js';
import { useSettings } from '../book/use-book.js';
import { useStyle } from '../figures/use-style.js';

interface BridgeStepsProps {
  readonly view: BridgeView;
  readonly from: string;
  readonly to: string;
  readonly opened: string | null;
  readonly open: (cause: string | null) => void;
}

interface Step {
  readonly cause: string | null;
  readonly label: string;
  readonly amount: number;
  readonly text: string;
  readonly start: number;
  readonly end: number;
}

/** The steps of a bridge below each other, each as long as its part and where the ones before have led: a table that is its own picture. */
export function BridgeSteps({ view, from, to, opened, open }: BridgeStepsProps) {
  const style = useStyle();
  const { currency } = useSettings();
  const steps = stepsOf(view, from, to, (amount) => written(amount, 2, style));
  const { from: origin, to: most } = scaleOf(steps);
  const at = (value: number) => ((Math.max(value, origin) - origin) / (most - origin || 1)) * 100;
  return (
    <>
      <table className="w-full" aria-label={`From ${from} to ${to}, ${currency} a month`}>
        <tbody>
          {steps.map(({ cause, label, amount, text, start, end }, index) => (
            <tr key={`${label}${index}`} className={cause === null ? 'font-semibold' : ''}>
              <th scope="row" className="w-48 py-0.5 pr-3 text-left font-[inherit]">
                {cause === null ? (
                  label
                ) : (
                  <button
                    type="button"
                    className="underline decoration-dotted"
                    aria-expanded={cause === opened}
                    onClick={() => open(cause === opened ? null : cause)}
                  >
                    {label}
                  </button>
                )}
              </th>
              <td className="relative h-7 border-x border-base-300" aria-hidden="true">
                {origin < 0 && (
                  <span className="absolute inset-y-0 border-l border-rule" style={{ left: `${at(0)}%` }} />
                )}
                <span
                  className={`absolute inset-y-1 border border-base-content ${cause === null ? 'bg-base-300' : amount < 0 ? 'part-loss' : 'bg-primary'}`}
                  style={{
                    left: `${at(Math.min(start, end))}%`,
                    width: `${Math.max(0.3, at(Math.max(start, end)) - at(Math.min(start, end)))}%`,
                  }}
                />
              </td>
              <td className="figure w-32 py-0.5 pl-3 text-right">{text}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {origin > 0 && (
        <p className="text-note text-soft">The bars begin at {written(String(origin), 2, style)}, not at zero.</p>
      )}
    </>
  );
}

/** From zero on; where the steps are short beside what they lead between, from a round amount shortly below them. */
function scaleOf(steps: readonly Step[]): { readonly from: number; readonly to: number } {
  const reached = steps.slice(1, -1).flatMap(({ start, end }) => [start, end]);
  const [least, most] = [Math.min(...reached, Infinity), Math.max(...reached, -Infinity)];
  const height = most - least;
  if (!(least > 0) || height > most * 0.4) {
    const ends = steps.flatMap(({ start, end }) => [start, end]);
    return { from: Math.min(0, ...ends), to: Math.max(0, ...ends) };
  }
  const round = 10 ** Math.floor(Math.log10(height || 1));
  return { from: Math.max(0, Math.floor((least - height * 0.5) / round) * round), to: most };
}

function stepsOf(view: BridgeView, from: string, to: string, say: (amount: string) => string): Step[] {
  const [first, last] = [Number(view.from), Number(view.to)];
  let reached = first;
  const parts = view.parts.map(({ cause, amount }): Step => {
    const start = reached;
    reached += Number(amount);
    const text = say(amount);
    return {
      cause,
      label: CAUSE_WORDS[cause],
      amount: Number(amount),
      text: text.startsWith('−') ? text : `+${text}`,
      start,
      end: reached,
    };
  });
  const total = (label: string, amount: number, text: string): Step => ({
    cause: null,
    label,
    amount,
    text,
    start: 0,
    end: amount,
  });
  return [total(from, first, say(view.from ?? '0')), ...parts, total(to, last, say(view.to ?? '0'))];
}
