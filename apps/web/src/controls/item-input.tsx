import { useCombobox } from 'downshift';
import { useId, useMemo, useState } from 'react';
import { flushSync } from 'react-dom';
import { moveAlong } from './move-on.js';
import { offersFor } from './offers.js';

interface ItemInputProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
  /** Takes the chosen label or what was typed; returns a sentence where it is refused. */
  readonly commit: (text: string) => string | null;
  readonly place?: string | undefined;
  readonly readOnly?: boolean;
  readonly placeholder?: string | undefined;
}

/** Picks one of many by typing a part of its name. */
export function ItemInput({ label, value, options, commit, place, readOnly, placeholder }: ItemInputProps) {
  const [draft, setDraft] = useState<string | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const inputId = useId();
  const hintId = useId();
  const offered = useMemo(() => offersFor(options, draft ?? ''), [options, draft]);
  const take = (text: string): boolean => {
    if (text.trim() === '' || text === value) {
      setDraft(null);
      setRefusal(null);
      return true;
    }
    const sentence = commit(text);
    setRefusal(sentence);
    setDraft(sentence === null ? null : text);
    return sentence === null;
  };
  const { isOpen, getInputProps, getMenuProps, getItemProps, highlightedIndex, closeMenu } = useCombobox({
    inputId,
    items: offered,
    inputValue: draft ?? value,
    selectedItem: null,
    itemToString: (item) => item?.label ?? '',
    defaultHighlightedIndex: 0,
    onSelectedItemChange: ({ selectedItem }) => {
      if (selectedItem) take(selectedItem.label);
    },
  });
  /** Drawn at once: what was picked may have made the row that is gone to, and the next key must not be lost. */
  const takeAndGoOn = (text: string) => {
    let isTaken = false;
    flushSync(() => {
      closeMenu();
      isTaken = take(text);
    });
    const input = document.getElementById(inputId);
    if (isTaken && input !== null) moveAlong(input);
  };
  return (
    <span className="typed">
      <input
        {...getInputProps({
          readOnly,
          placeholder,
          'aria-label': label,
          'aria-labelledby': undefined,
          'aria-invalid': refusal !== null,
          'aria-describedby': refusal === null ? undefined : hintId,
          className: `input-line ${refusal === null ? '' : 'input-refused'}`,
          autoComplete: 'off',
          spellCheck: false,
          // Straight from the field: by way of the combobox fast typing would lose letters.
          onChange: (event) => setDraft((event.target as HTMLInputElement).value),
          onFocus: (event) => event.target.select(),
          onBlur: () => take(draft ?? value),
          onKeyDown: (event) => {
            if (event.key === 'Escape') {
              setDraft(null);
              setRefusal(null);
            } else if (event.key === 'Enter') {
              event.preventDefault();
              Object.assign(event.nativeEvent, { preventDownshiftDefault: true });
              const marked = isOpen && draft !== null ? offered[highlightedIndex] : undefined;
              takeAndGoOn(marked?.label ?? draft ?? value);
            }
          },
        })}
        data-place={place}
      />
      <ul
        {...getMenuProps({ 'aria-label': `Choices for ${label}`, 'aria-labelledby': undefined })}
        className={isOpen && draft !== null ? 'offers' : 'hidden'}
      >
        {isOpen &&
          draft !== null &&
          offered.map((item, index) => (
            <li
              key={item.value}
              {...getItemProps({ item, index })}
              className={index === highlightedIndex ? 'offer offer-marked' : 'offer'}
            >
              {item.label}
            </li>
          ))}
      </ul>
      {refusal !== null && (
        <span id={hintId} className="hint hint-refused" role="alert">
          {refusal}
        </span>
      )}
    </span>
  );
}
