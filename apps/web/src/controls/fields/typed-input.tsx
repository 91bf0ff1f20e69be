import { useId, useRef, useState, type KeyboardEvent } from 'react';
import { flushSync } from 'react-dom';
import { Hint } from '../dialogs/floating.js';
import { focusField, moveOn } from '../grid/move-on.js';
import { useUnitOffer } from './use-unit-offer.js';
import { useRefusal, type Refusal } from './use-refusal.js';

export interface TypedInputProps {
  readonly label: string;
  /** The value as it is typed. */
  readonly value: string;
  /** Takes what was typed; returns a sentence where it is refused. */
  readonly commit: (text: string) => string | null;
  /** How the text would be read, shown while it is typed. */
  readonly preview?: ((text: string) => string | null) | undefined;
  /** Names the field of the row, so that it can be gone to: "id.field". */
  readonly place?: string | undefined;
  /** Under what a refused text is kept; the place of the field unless said. */
  readonly keptAs?: string | undefined;
  readonly numeric?: boolean;
  /** Stands behind what is typed, and stays there while it is: the unit in which a bare number is read. */
  readonly unit?: string;
  readonly suggestions?: string | undefined;
  readonly placeholder?: string | undefined;
  readonly readOnly?: boolean;
  readonly autoFocus?: boolean;
  /** A cell of a grid is drawn without a line of its own. */
  readonly isCell?: boolean;
}

/**
 * A field that is edited where it stands. Leaving it or pressing Enter takes what was typed, Esc takes it back. What is
 * refused stays in the field with the sentence that says why.
 */
export function TypedInput(props: TypedInputProps) {
  return <TypedField {...props} refusal={useRefusal(props.keptAs ?? props.place, props.label)} />;
}

/** The same, where something beside the field takes values too, and so has to know what was refused. */
export function TypedField({ refusal, ...props }: TypedInputProps & { readonly refusal: Refusal }) {
  const {
    label,
    value,
    commit,
    preview,
    place,
    numeric = false,
    unit = '',
    suggestions,
    placeholder,
    readOnly,
    isCell,
  } = props;
  const [draft, setDraft] = useState<string | null>(null);
  const { refused, isSaid, setFocus, clear } = refusal;
  const hintId = useId();
  const input = useRef<HTMLInputElement>(null);
  const offer = useUnitOffer(refused);
  /** Adds the unit that was missing, and takes what was refused for it. */
  const addUnit = (): boolean => {
    const text = refused?.text ?? '';
    return refusal.take(text, () => offer?.add() ?? commit(text));
  };
  const take = (): boolean => {
    if (draft === null) return refused === null || (offer !== null && addUnit());
    setDraft(null);
    return refusal.take(draft, (text) => (text === value ? null : commit(text)));
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter' && !event.nativeEvent.isComposing) {
      event.preventDefault();
      // Drawn at once: what was typed may have made the row that is gone to, and the next key must not be lost.
      let isTaken = false;
      flushSync(() => {
        isTaken = take();
      });
      if (isTaken && input.current) moveOn(input.current);
      else if (isTaken) focusField(label);
    } else if (event.key === 'Escape' && (draft !== null || refused !== null)) {
      event.preventDefault();
      event.stopPropagation();
      setDraft(null);
      clear();
    }
  };
  const isRefused = refused !== null && draft === null;
  const hint = draft !== null ? (preview?.(draft) ?? null) : isSaid ? (refused?.sentence ?? null) : null;
  const field = (
    <input
      ref={input}
      className={`${isCell ? 'cell' : 'input'} ${numeric ? 'text-right' : ''}`}
      aria-label={label}
      aria-invalid={isRefused}
      aria-describedby={hint === null ? undefined : hintId}
      title={isRefused ? refused.sentence : undefined}
      data-place={place}
      inputMode={numeric ? 'decimal' : undefined}
      list={suggestions}
      data-half-typed={draft !== null}
      placeholder={placeholder}
      readOnly={readOnly}
      autoFocus={props.autoFocus}
      autoComplete="off"
      spellCheck={false}
      value={draft ?? refused?.text ?? value}
      onChange={(event) => setDraft(event.target.value)}
      onFocus={(event) => {
        setFocus(true);
        event.target.select();
      }}
      onBlur={() => {
        setFocus(false);
        take();
      }}
      onKeyDown={onKeyDown}
    />
  );
  return (
    <>
      {unit === '' ? (
        field
      ) : (
        <span className="flex items-baseline">
          {field}
          <span className="pl-1 text-note text-soft">{unit}</span>
        </span>
      )}
      {hint !== null && (
        <Hint id={hintId} field={input} isRefusal={isRefused}>
          {hint}
          {isRefused && offer !== null && (
            // The field keeps the focus, and with it the hint.
            <button
              type="button"
              className="btn ml-2"
              onMouseDown={(event) => event.preventDefault()}
              onClick={addUnit}
            >
              Add {offer.unit} (Enter)
            </button>
          )}
        </Hint>
      )}
    </>
  );
}
