import { useCombobox } from 'downshift';
import { useId, useMemo, useState } from 'react';
import { flushSync } from 'react-dom';
import { Hint, useFloatingBelow } from '../dialogs/floating.js';
import { moveAlong } from '../grid/move-on.js';
import { offersFor, type Offer } from './offers.js';
import { useRefusal } from './use-refusal.js';

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
  /** Under what a refused text is kept; the place of the field unless said. */
  readonly keptAs?: string | undefined;
  readonly readOnly?: boolean;
  readonly placeholder?: string | undefined;
  readonly isCell?: boolean;
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
    isCell = false,
  } = props;
  const [draft, setDraft] = useState<string | null>(null);
  const { refused, isSaid, setFocus, clear, ...refusal } = useRefusal(props.keptAs ?? place, label);
  const {
    refs: { reference, setReference, setFloating },
    floatingStyles,
  } = useFloatingBelow();
  const inputId = useId();
  const hintId = useId();
  const typed = draft ?? (awaitsPick ? value : null);
  const offered = useMemo(
    () => (typed === null ? [] : [...(offers?.(typed) ?? offersFor(options, typed))]),
    [options, offers, typed],
  );
  const shown = draft ?? refused?.text ?? value;
  const take = (text: string): boolean => {
    setDraft(null);
    return refusal.take(text, (taken) => (taken.trim() === '' || taken === value ? null : commit(taken)));
  };
  const { isOpen, getInputProps, getMenuProps, getItemProps, highlightedIndex, openMenu, closeMenu } = useCombobox({
    inputId,
    items: offered,
    inputValue: shown,
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
  const isListed = isOpen && draft !== null;
  const isRefused = refused !== null && draft === null;
  return (
    <>
      <input
        {...getInputProps({
          ref: setReference,
          readOnly,
          placeholder,
          'aria-label': label,
          'aria-labelledby': undefined,
          'aria-invalid': isRefused,
          'aria-describedby': isRefused && isSaid ? hintId : undefined,
          title: isRefused ? refused.sentence : undefined,
          className: isCell ? 'cell' : 'input',
          autoComplete: 'off',
          spellCheck: false,
          // Straight from the field: by way of the combobox fast typing would lose letters.
          onChange: (event) => setDraft((event.target as HTMLInputElement).value),
          onFocus: (event) => {
            setFocus(true);
            event.target.select();
            if (!awaitsPick || readOnly) return;
            setDraft(value);
            openMenu();
          },
          // A click on the field would close again what going to it has opened.
          onClick: (event) => Object.assign(event.nativeEvent, { preventDownshiftDefault: true }),
          onBlur: () => {
            setFocus(false);
            if (draft !== null) take(draft);
          },
          onKeyDown: (event) => {
            if (event.key === 'Escape') {
              setDraft(null);
              clear();
            } else if (event.key === 'Enter') {
              event.preventDefault();
              Object.assign(event.nativeEvent, { preventDownshiftDefault: true });
              const marked = isListed ? offered[highlightedIndex] : undefined;
              takeAndGoOn(marked === undefined ? shown : (marked.typed ?? marked.label));
            }
          },
        })}
        data-place={place}
      />
      <ul
        {...getMenuProps({
          ref: setFloating,
          'aria-label': `Choices for ${label}`,
          'aria-labelledby': undefined,
        })}
        style={floatingStyles}
        className={
          isListed ? 'menu z-20 w-max max-w-80 flex-nowrap overflow-auto border border-rule bg-base-100 p-1' : 'hidden'
        }
      >
        {isListed &&
          offered.map((item, index) => (
            <li key={item.value} {...getItemProps({ item, index })}>
              <span className={index === highlightedIndex ? 'menu-active' : ''}>{item.label}</span>
            </li>
          ))}
      </ul>
      {isRefused && isSaid && (
        <Hint id={hintId} field={reference} isRefusal>
          {refused.sentence}
        </Hint>
      )}
    </>
  );
}
