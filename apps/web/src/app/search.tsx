import { fieldValue, inOrder, KINDS, labelOfKind, NAMED_KINDS, type Kind } from '@nuvar/book';
import { useCombobox } from 'downshift';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { redo, undo } from '../book/edit.js';
import { model } from '../book/model.js';
import { useAddress, usePlaceHref, type ArrivalState } from '../book/place.js';
import { SCREEN_IDS, screenOf, type ScreenId } from '../book/screens.js';
import { useVersion } from '../book/use-book.js';
import { Dialog } from '../controls/dialogs/dialog.js';
import { offersFor } from '../controls/fields/offers.js';
import { applyTheme } from './theme.js';
import { useAppDispatch } from '../state/store.js';

interface Found {
  readonly value: string;
  readonly label: string;
  readonly what: string;
  /** The keys that do the same. */
  readonly keys?: string;
  readonly act: () => void;
}

/** Search over everything in the book, which also runs commands. */
export function Search({ onClose }: { onClose: () => void }) {
  const all = useFindable();
  const [typed, setTyped] = useState('');
  const found = useMemo(() => offersFor(all, typed), [all, typed]);
  const { getInputProps, getMenuProps, getItemProps, highlightedIndex } = useCombobox({
    items: found,
    isOpen: true,
    defaultHighlightedIndex: 0,
    inputValue: typed,
    itemToString: (item) => item?.label ?? '',
    onSelectedItemChange: ({ selectedItem }) => {
      onClose();
      selectedItem?.act();
    },
  });
  return (
    <Dialog title="Search" onClose={onClose}>
      <input
        {...getInputProps({
          'aria-label': 'Search the book or run a command',
          'aria-labelledby': undefined,
          className: 'input my-2',
          placeholder: 'A product, a material, a screen, a command',
          autoFocus: true,
          // Straight from the field: by way of the combobox fast typing would lose letters.
          onChange: (event) => setTyped((event.target as HTMLInputElement).value),
          onKeyDown: (event) => event.key === 'Escape' && onClose(),
        })}
      />
      <ul
        {...getMenuProps({ 'aria-label': 'Found', 'aria-labelledby': undefined })}
        className="menu max-h-88 min-h-24 w-full flex-nowrap overflow-auto p-0"
      >
        {found.map((item, index) => (
          <li key={item.value} {...getItemProps({ item, index })}>
            <span className={`flex gap-4 ${index === highlightedIndex ? 'menu-active' : ''}`}>
              <span className="grow">{item.label}</span>
              {item.keys !== undefined && (
                <kbd className="kbd kbd-sm bg-transparent font-sans text-inherit">{item.keys}</kbd>
              )}
              <span className={`text-note ${index === highlightedIndex ? '' : 'text-soft'}`}>{item.what}</span>
            </span>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="text-soft">No matches.</p>}
    </Dialog>
  );
}

/** Named rows that have a line of their own in a list: parts of a product are found by the product. */
const FINDABLE = NAMED_KINDS.filter((kind) => kind !== 'settings' && KINDS[kind].copiedWith.length === 0);
/** Kinds that a screen says it opens; the others are found by the field of their name. */
const OPENED = SCREEN_IDS.flatMap((screen) => (screenOf(screen).finds ?? []).map((entry) => ({ screen, ...entry })));
/** What is looked for most comes first. */
const FIRST: readonly Kind[] = ['product', 'material'];

function useFindable(): Found[] {
  const dispatch = useAppDispatch();
  const version = useVersion(...FINDABLE);
  const goTo = useGoTo();
  return useMemo(() => {
    const rowsOf = (kind: Kind, what: string, to: (id: string) => void): Found[] =>
      inOrder(model.rows.all(kind)).map((row) => ({
        value: `${what}/${row.id}`,
        label: String(fieldValue(row, 'name')),
        what,
        act: () => to(row.id),
      }));
    const opened = OPENED.map(({ kind, what, field, screen }) => ({
      kind,
      rows: rowsOf(kind, what, (id) => (field === undefined ? goTo.detail(screen, id) : goTo.field(kind, id, field))),
    }));
    const others = FINDABLE.filter((kind) => !OPENED.some((entry) => entry.kind === kind)).map((kind) => ({
      kind,
      rows: rowsOf(kind, labelOfKind(kind), (id) => goTo.field(kind, id, 'name')),
    }));
    const rank = ({ kind }: { kind: Kind }) => (FIRST.indexOf(kind) + FIRST.length + 1) % (FIRST.length + 1);
    const screens = SCREEN_IDS.map((id): Found => {
      const { name, letter } = screenOf(id);
      const keys = letter === undefined ? {} : { keys: `Alt Shift ${letter}` };
      return { value: `screen/${id}`, label: name, what: 'screen', ...keys, act: () => goTo.screen(id) };
    });
    const command = (label: string, act: () => void, keys?: string): Found => ({
      value: `command/${label}`,
      label,
      what: 'command',
      act,
      ...(keys === undefined ? {} : { keys }),
    });
    return [
      ...screens,
      ...[...opened, ...others].sort((one, other) => rank(one) - rank(other)).flatMap(({ rows }) => rows),
      command('Undo', () => dispatch(undo()), 'Ctrl Z'),
      command('Redo', () => dispatch(redo()), 'Ctrl Y'),
      command('Light colours', () => applyTheme('light')),
      command('Dark colours', () => applyTheme('dark')),
      command('Print this screen', () => setTimeout(() => window.print(), 100), 'Ctrl P'),
    ];
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the rows are those of this version
  }, [goTo, dispatch, version]);
}

/** Goes to a screen, to the detail of a row or to a field, each time with the cursor in a field. */
function useGoTo() {
  const navigate = useNavigate();
  const address = useAddress();
  const hrefOf = usePlaceHref();
  return useMemo(() => {
    const go = (to: string, state: ArrivalState) => void navigate(to, { state });
    return {
      screen: (screen: ScreenId) => go(address(screen), { arriveAt: 'screen' }),
      detail: (screen: ScreenId, id: string) => go(address(screen, id), { arriveAt: 'detail' }),
      field: (kind: Kind, id: string, field: string) => go(hrefOf({ kind, id, field }), {}),
    };
  }, [navigate, address, hrefOf]);
}
