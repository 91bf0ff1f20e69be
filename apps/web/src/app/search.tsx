import { fieldValue, inOrder, KINDS, labelOfKind, NAMED_KINDS, type Kind } from '@nuvar/book';
import { useCombobox } from 'downshift';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { redo, undo } from '../book/edit.js';
import { model } from '../book/model.js';
import { usePlaceHref } from '../book/place.js';
import { useBookPath, useVersion } from '../book/use-book.js';
import { Dialog } from '../controls/dialog.js';
import { offersFor } from '../controls/offers.js';
import { applyTheme } from './theme.js';
import { useAppDispatch } from '../state/store.js';

interface Found {
  readonly value: string;
  readonly label: string;
  readonly what: string;
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
          className: 'input-box w-full',
          placeholder: 'A product, a material, a screen, a command',
          autoFocus: true,
          // Straight from the field: by way of the combobox fast typing would lose letters.
          onChange: (event) => setTyped((event.target as HTMLInputElement).value),
          onKeyDown: (event) => event.key === 'Escape' && onClose(),
        })}
      />
      <ul {...getMenuProps({ 'aria-label': 'Found', 'aria-labelledby': undefined })} className="found-list">
        {found.map((item, index) => (
          <li
            key={item.value}
            {...getItemProps({ item, index })}
            className={index === highlightedIndex ? 'found found-marked' : 'found'}
          >
            <span>{item.label}</span>
            <span className="text-soft text-sm">{item.what}</span>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="text-soft">Nothing in this book is called like that.</p>}
    </Dialog>
  );
}

/** What a row is called in the search beside its name, where it is another word than that of its kind. */
const WHAT: Partial<Readonly<Record<Kind, string>>> = { channel: 'place to sell' };

/** Where the search leads for named rows that have a screen of their own; else it leads to the field of their name. */
const LEADS_TO: Partial<Readonly<Record<Kind, (id: string) => string>>> = {
  product: (id) => `/make/${id}`,
  material: (id) => `/buy/${id}`,
  runningCost: (id) => `/run?at=${id}.amount`,
};

/** Named rows that have a line of their own in a list: parts of a product are found by the product. */
const FINDABLE = NAMED_KINDS.filter((kind) => kind !== 'settings' && KINDS[kind].copiedWith.length === 0);

function useFindable(): Found[] {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const path = useBookPath();
  const hrefOf = usePlaceHref();
  const version = useVersion(...FINDABLE);
  return useMemo(() => {
    const go = (to: string) => () => void navigate(`${path}${to}`);
    const rowsOf = (kind: Kind): Found[] =>
      inOrder(model.rows.all(kind)).map((row) => ({
        value: `${kind}/${row.id}`,
        label: String(fieldValue(row, 'name')),
        what: WHAT[kind] ?? labelOfKind(kind),
        act: () => {
          const own = LEADS_TO[kind]?.(row.id);
          void navigate(own === undefined ? hrefOf({ kind, id: row.id, field: 'name' }) : `${path}${own}`);
        },
      }));
    const prices = inOrder(model.rows.all('product')).map((row): Found => ({
      value: `price/${row.id}`,
      label: row.name,
      what: 'price',
      act: go(`/sell/${row.id}`),
    }));
    const screens = [
      ['Overview', ''],
      ['Buy: materials', '/buy'],
      ['Make: products', '/make'],
      ['Labour grades', '/make/grades'],
      ['Equipment', '/make/equipment'],
      ['Run: running costs', '/run'],
      ['Sell: prices', '/sell'],
      ['Places to sell', '/sell/channels'],
      ['Plan: break-even', '/plan'],
      ['Loose ends', '/loose-ends'],
      ['History', '/history'],
      ['Settings', '/settings'],
    ] as const;
    const commands: Found[] = [
      { value: 'undo', label: 'Undo', what: 'command', act: () => dispatch(undo()) },
      { value: 'redo', label: 'Redo', what: 'command', act: () => dispatch(redo()) },
      { value: 'light', label: 'Light colours', what: 'command', act: () => applyTheme('light') },
      { value: 'dark', label: 'Dark colours', what: 'command', act: () => applyTheme('dark') },
      { value: 'print', label: 'Print this screen', what: 'command', act: () => setTimeout(() => window.print(), 100) },
    ];
    const [materials, products, ...others] = [
      rowsOf('material'),
      rowsOf('product'),
      ...FINDABLE.filter((kind) => kind !== 'material' && kind !== 'product').map(rowsOf),
    ];
    return [
      ...screens.map(([label, to]): Found => ({ value: `screen${to}`, label, what: 'screen', act: go(to) })),
      ...(products ?? []),
      ...prices,
      ...(materials ?? []),
      ...others.flat(),
      ...commands,
    ];
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the rows are those of this version
  }, [navigate, dispatch, path, hrefOf, version]);
}
