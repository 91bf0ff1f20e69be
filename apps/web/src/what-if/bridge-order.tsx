import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { CAUSE_WORDS, type Substitution } from '@nuvar/core';
import { ArrowDown, ArrowUp } from 'lucide-react';

interface BridgeOrderProps {
  readonly order: readonly Substitution[];
  readonly choose: (order: readonly Substitution[]) => void;
}

/** In which order causes are replaced. What two causes do together is counted with the later one. */
export function BridgeOrder({ order, choose }: BridgeOrderProps) {
  const move = (index: number, step: -1 | 1) => {
    const next = [...order];
    const [moved] = next.splice(index, 1);
    if (moved !== undefined) next.splice(index + step, 0, moved);
    choose(next);
  };
  return (
    <Popover>
      <PopoverButton className="link">Order of causes</PopoverButton>
      <PopoverPanel anchor="bottom start" className="z-30 w-80 border border-rule bg-base-100 p-3">
        <p className="mb-2 text-note text-soft">
          One cause after another is replaced, and all is worked out again: what two causes do together is counted with
          the later one.
        </p>
        <ol>
          {order.map((cause, index) => (
            <li key={cause} className="flex items-center gap-1">
              <span className="grow">
                {index + 1}. {CAUSE_WORDS[cause]}
              </span>
              <button
                type="button"
                className="btn btn-ghost btn-xs"
                disabled={index === 0}
                onClick={() => move(index, -1)}
              >
                <ArrowUp size={13} aria-hidden="true" />
                <span className="sr-only">{CAUSE_WORDS[cause]} earlier</span>
              </button>
              <button
                type="button"
                className="btn btn-ghost btn-xs"
                disabled={index === order.length - 1}
                onClick={() => move(index, 1)}
              >
                <ArrowDown size={13} aria-hidden="true" />
                <span className="sr-only">{CAUSE_WORDS[cause]} later</span>
              </button>
            </li>
          ))}
        </ol>
        <button type="button" className="link mt-2" onClick={() => choose([])}>
          Usual order
        </button>
      </PopoverPanel>
    </Popover>
  );
}
