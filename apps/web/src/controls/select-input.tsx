import { useState } from 'react';

interface SelectInputProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
  /** Takes the choice; returns a sentence where it is refused. */
  readonly commit: (value: string) => string | null;
  readonly place?: string | undefined;
  readonly disabled?: boolean;
}

/** One of a few choices, made where it stands. */
export function SelectInput({ label, value, options, commit, place, disabled }: SelectInputProps) {
  const [refusal, setRefusal] = useState<string | null>(null);
  return (
    <span className="typed">
      <select
        className="input-line"
        aria-label={label}
        aria-invalid={refusal !== null}
        data-place={place}
        value={value}
        disabled={disabled}
        onChange={(event) => setRefusal(commit(event.target.value))}
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
      {refusal !== null && (
        <span className="hint hint-refused" role="alert">
          {refusal}
        </span>
      )}
    </span>
  );
}
