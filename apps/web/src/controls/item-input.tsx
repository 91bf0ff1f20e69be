import { useCombobox } from 'downshift';
import { useId, useMemo, useState } from 'react';
import { flushSync } from 'react-dom';
import { moveAlong } from './move-on.js';
import { offersFor, type Offer } from './offers.js';

interface ItemInputProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly Offer[];
  /** Offers for what was typed, where they are more than the options that fit. */
  readonly offers?: ((typed: string) => readonly Offer[]) | undefined;
  /** Shows the offers for what stands there as soon as the field is gone to: one key picks the best. */
  readonly awaitsPick?: boolean;
  /** False where a pick is the end of it, and no next field follows. */
  readonly goesOn?: boolean;
  /** Takes the chosen label or what was typed; returns a sentence where it is refused. */
  readonly commit: (text: string) => string | null;
  readonly place?: string | undefined;
  readonly readOnly?: boolean;
  readonly placeholder?: string | undefined;
}

/** Picks one of many by typing a part of its name. */
export function ItemInput(props: ItemInputProps) {
  const {
    label,
    value,
    options,
    offers,
    awaitsPick = false,
    goesOn = true,
    commit,
    place,
    readOnly,
    placeholder,
  } = props;
  const [draft, setDraft] = useState<string | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const inputId = useId();
  const hintId = useId();
  const typed = draft ?? (awaitsPick ? value : null);
  const offered = useMemo(
    () => (typed === null ? [] : [...(offers?.(typed) ?? offersFor(options, typed))]),
    [options, offers, typed],
  );
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
  const { isOpen, getInputProps, getMenuProps, getItemProps, highlightedIndex, openMenu, closeMenu } = useCombobox({
    inputId,
    items: offered,
    inputValue: draft ?? value,
    selectedItem: null,
    itemToString: (item) => item?.label ?? '',
    defaultHighlightedIndex: 0,
    // Leaving the field picks the marked item, but makes nothing new: for that one has to say so.
    stateReducer: (state, { type, changes }) =>
      type === useCombobox.stateChangeTypes.InputBlur && changes.selectedItem?.typed !== undefined
        ? { ...changes, selectedItem: state.selectedItem }
        : changes,
    onSelectedItemChange: ({ selectedItem }) => {
      if (selectedItem) take(selectedItem.typed ?? selectedItem.label);
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
    if (isTaken && goesOn && input !== null) moveAlong(input);
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
          onFocus: (event) => {
            event.target.select();
            if (!awaitsPick || readOnly) return;
            setDraft(value);
            openMenu();
          },
          // A click on the field would close again what going to it has opened.
          onClick: (event) => Object.assign(event.nativeEvent, { preventDownshiftDefault: true }),
          onBlur: () => take(draft ?? value),
          onKeyDown: (event) => {
            if (event.key === 'Escape') {
              setDraft(null);
              setRefusal(null);
            } else if (event.key === 'Enter') {
              event.preventDefault();
              Object.assign(event.nativeEvent, { preventDownshiftDefault: true });
              const marked = isOpen && draft !== null ? offered[highlightedIndex] : undefined;
              takeAndGoOn(marked === undefined ? (draft ?? value) : (marked.typed ?? marked.label));
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
