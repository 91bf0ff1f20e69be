import { CAUSE_WORDS, SUBSTITUTIONS, type BridgeView, type Substitution } from '@nuvar/core';
import { useState } from 'react';
import { useUnarchived, useAll } from '../book/use-book.js';
import { useParameter } from '../controls/layout/use-parameter.js';
import { useSideView } from '../engine/use-view.js';
import { written } from '../figures/format.js';
import { useFirstRows } from '../figures/first-rows.js';
import { useStyle } from '../figures/use-style.js';
import { BridgeOrder } from './bridge-order.js';
import { BridgeSteps } from './bridge-steps.js';
import type { Side } from './sides.js';

type Part = BridgeView['parts'][number];

/** From the profit of one side to that of another, in steps; a step opens what is in it. */
export function BridgeOfSides({ sides }: { readonly sides: readonly Side[] }) {
  const [of, chooseOf] = useParameter('of');
  const [order, chooseOrder] = useParameter('order');
  const [to, chooseTo] = useParameter('to');
  const [opened, setOpened] = useState<string | null>(null);
  const other = sides.find(({ name }, index) => index > 0 && name === to) ?? sides[1];
  const one = sides[0];
  const view = useSideView([one?.name ?? '', other?.name ?? ''], 'bridge', `${of ?? 'month'}@${order ?? ''}`);
  const products = useUnarchived('product');
  const channels = useAll('channel');
  if (one === undefined || other === undefined) return null;
  const inOrder = orderOf(order);
  return (
    <div className="mt-3">
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        <label className="flex items-center gap-1.5">
          <span className="text-soft">Of</span>
          <select className="select w-auto" value={of ?? 'month'} onChange={(event) => chooseOf(event.target.value)}>
            <option value="month">Profit of the month</option>
            <optgroup label="Contribution of a channel">
              {channels.map(({ id, name }) => (
                <option key={id} value={`channel/${id}`}>
                  {name}
                </option>
              ))}
            </optgroup>
            <optgroup label="Contribution of a product">
              {products.map(({ id, name }) => (
                <option key={id} value={`product/${id}`}>
                  {name}
                </option>
              ))}
            </optgroup>
          </select>
        </label>
        {sides.length > 2 && (
          <label className="flex items-center gap-1.5">
            <span className="text-soft">from {one.label} to</span>
            <select className="select w-auto" value={other.name} onChange={(event) => chooseTo(event.target.value)}>
              {sides.slice(1).map(({ name, label }) => (
                <option key={name} value={name}>
                  {label}
                </option>
              ))}
            </select>
          </label>
        )}
        <BridgeOrder order={inOrder} choose={(next) => chooseOrder(next.join(','))} />
      </div>
      {view == null ? (
        <p className="mt-3 text-soft">Working out the steps ...</p>
      ) : (
        <Bridge view={view} one={one} other={other} opened={opened} open={setOpened} />
      )}
    </div>
  );
}

const orderOf = (text: string | null): readonly Substitution[] => {
  const named = (text ?? '')
    .split(',')
    .filter((each): each is Substitution => (SUBSTITUTIONS as readonly string[]).includes(each));
  return [...new Set([...named, ...SUBSTITUTIONS])];
};

interface BridgeProps {
  readonly view: BridgeView;
  readonly one: Side;
  readonly other: Side;
  readonly opened: string | null;
  readonly open: (cause: string | null) => void;
}

function Bridge({ view, one, other, opened, open }: BridgeProps) {
  const part = view.parts.find(({ cause }) => cause === opened);
  if (view.from === null || view.to === null)
    return (
      <div className="mt-3">
        <p>There is no bridge yet: the result of {view.from === null ? one.label : other.label} is not known.</p>
        <ul className="list-disc pl-5">
          {view.gaps.map((gap) => (
            <li key={gap}>{gap}</li>
          ))}
        </ul>
      </div>
    );
  return (
    <div className="mt-3 grid gap-6 broad:grid-cols-[minmax(0,1fr)_26rem]">
      <div>
        <BridgeSteps view={view} from={one.label} to={other.label} opened={opened} open={open} />
        {view.gaps.length > 0 && (
          <p className="mt-2 text-note text-soft">
            Not all is known yet on one of the sides: {view.gaps.slice(0, 3).join('; ')}.
          </p>
        )}
      </div>
      {part !== undefined && <PartDetail part={part} />}
    </div>
  );
}

/** What is in a step: what it does to each price, and the inputs that differ. */
function PartDetail({ part }: { readonly part: Part }) {
  const style = useStyle();
  const lines = useFirstRows(
    [...part.lines].sort((left, right) => Math.abs(Number(right.amount)) - Math.abs(Number(left.amount))),
  );
  const inputs = useFirstRows(part.inputs);
  return (
    <aside className="max-w-2xl" aria-label={`In the step: ${CAUSE_WORDS[part.cause]}`}>
      <h2 className="font-semibold">{CAUSE_WORDS[part.cause]}</h2>
      <table className="table text-note">
        <tbody>
          {lines.rows.map(({ product, channel, amount }) => (
            <tr key={`${product}@${channel}`}>
              <td>{product === '' ? 'Fixed costs and period fees' : `${product}, ${channel}`}</td>
              <td className="figure text-right">{written(amount, 2, style)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {lines.more}
      {part.inputs.length > 0 && (
        <>
          <h3 className="mt-3 text-note font-semibold">Inputs that differ</h3>
          <table className="table text-note">
            <tbody>
              {inputs.rows.map((input) => (
                <tr key={`${input.id}.${input.field}`}>
                  <td>
                    {input.subject} ({input.kindLabel})
                    {input.fieldLabel !== '' && `: ${input.fieldLabel.toLowerCase()}`}
                  </td>
                  <td className="text-right">
                    {input.how === 'create'
                      ? 'added'
                      : input.how === 'remove'
                        ? 'removed'
                        : `${input.before} → ${input.after}`}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {inputs.more}
        </>
      )}
    </aside>
  );
}
