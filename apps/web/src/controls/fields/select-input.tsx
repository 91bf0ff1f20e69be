import { useId, useRef, useState } from 'react';
import { Hint } from '../dialogs/floating.js';
import { moveOn } from '../grid/move-on.js';

interface SelectInputProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
  /** Takes the choice; returns a sentence where it is refused. */
  readonly commit: (value: string) => string | null;
  readonly place?: string | undefined;
  readonly disabled?: boolean;
  readonly isCell?: boolean;
}

/** A list longer than this is drawn only when somebody comes near: a grid may hold hundreds of them. */
const MOST_DRAWN = 12;

/**
 * Keys by which one passes through a grid. A closed list would take another choice at each of them, and nobody would notice:
 * in a cell a choice is made by typing, or in the list, which Space and Alt with an arrow open.
 */
const PASSING = new Set(['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', 'PageUp', 'PageDown', 'Home', 'End']);

/** One of several choices, made where it stands. */
export function SelectInput({ label, value, options, commit, place, disabled, isCell }: SelectInputProps) {
  const [refusal, setRefusal] = useState<string | null>(null);
  const [isNear, setNear] = useState(false);
  const select = useRef<HTMLSelectElement>(null);
  const hintId = useId();
  const drawn = isNear || options.length <= MOST_DRAWN ? options : options.filter((option) => option.value === value);
  const comeNear = () => setNear(true);
  return (
    <>
      <select
        ref={select}
        className={isCell ? 'cell' : 'select'}
        aria-label={label}
        aria-invalid={refusal !== null}
        aria-describedby={refusal === null ? undefined : hintId}
        data-place={place}
        value={value}
        disabled={disabled}
        onFocus={comeNear}
        onPointerEnter={comeNear}
        onChange={(event) => setRefusal(commit(event.target.value))}
        onKeyDown={(event) => {
          if (event.key === 'Enter') moveOn(event.currentTarget);
          else if (!isCell || event.altKey || !PASSING.has(event.key)) return;
          event.preventDefault();
        }}
      >
        {drawn.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
      {refusal !== null && (
        <Hint id={hintId} field={select} isRefusal>
          {refusal}
        </Hint>
      )}
    </>
  );
}
