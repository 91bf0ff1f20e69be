import { useId, useRef, useState, type KeyboardEvent } from 'react';
import { flushSync } from 'react-dom';
import { focusField, moveOn } from './move-on.js';

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
  readonly numeric?: boolean;
  readonly type?: 'text' | 'date';
  readonly suggestions?: string | undefined;
  readonly placeholder?: string | undefined;
  readonly readOnly?: boolean;
  readonly className?: string;
}

/**
 * A field that is edited where it stands. Leaving it or pressing Enter takes what was typed, Esc takes it back. What is
 * refused stays in the field with the sentence that says why.
 */
export function TypedInput(props: TypedInputProps) {
  const {
    label,
    value,
    commit,
    preview,
    place,
    numeric = false,
    type = 'text',
    suggestions,
    placeholder,
    readOnly,
    className = '',
  } = props;
  const [draft, setDraft] = useState<string | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const hintId = useId();
  const input = useRef<HTMLInputElement>(null);
  const take = (): boolean => {
    if (draft === null || draft === value) {
      setDraft(null);
      setRefusal(null);
      return true;
    }
    const sentence = commit(draft);
    setRefusal(sentence);
    if (sentence === null) setDraft(null);
    return sentence === null;
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
    } else if (event.key === 'Escape' && (draft !== null || refusal !== null)) {
      event.preventDefault();
      event.stopPropagation();
      setDraft(null);
      setRefusal(null);
    }
  };
  const read = draft !== null && refusal === null ? (preview?.(draft) ?? null) : null;
  const hint = refusal ?? read;
  return (
    <span className={`typed ${className}`}>
      <input
        ref={input}
        className={`input-line ${numeric ? 'input-number' : ''} ${refusal === null ? '' : 'input-refused'}`}
        aria-label={label}
        aria-invalid={refusal !== null}
        aria-describedby={hint === null ? undefined : hintId}
        data-place={place}
        type={type}
        inputMode={numeric ? 'decimal' : undefined}
        list={suggestions}
        data-half-typed={draft !== null}
        placeholder={placeholder}
        readOnly={readOnly}
        autoComplete="off"
        spellCheck={false}
        value={draft ?? value}
        onChange={(event) => setDraft(event.target.value)}
        onFocus={(event) => type === 'text' && event.target.select()}
        onBlur={take}
        onKeyDown={onKeyDown}
      />
      {hint !== null && (
        <span
          id={hintId}
          className={refusal === null ? 'hint' : 'hint hint-refused'}
          role={refusal === null ? undefined : 'alert'}
        >
          {hint}
        </span>
      )}
    </span>
  );
}
