import { useCombobox } from 'downshift';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { redo, undo } from '../book/edit.js';
import { useAll, useBookPath } from '../book/use-book.js';
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

function useFindable(): Found[] {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const path = useBookPath();
  const products = useAll('product');
  const materials = useAll('material');
  const grades = useAll('labourGrade');
  const costs = useAll('runningCost');
  const channels = useAll('channel');
  return useMemo(() => {
    const go = (to: string) => () => void navigate(`${path}${to}`);
    const rows = <Row extends { id: string; name: string }>(
      list: readonly Row[],
      what: string,
      to: (row: Row) => string,
    ): Found[] => list.map((row) => ({ value: `${what}/${row.id}`, label: row.name, what, act: go(to(row)) }));
    const screens = [
      ['Overview', ''],
      ['Buy: materials', '/buy'],
      ['Make: products', '/make'],
      ['Labour grades', '/make/grades'],
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
    return [
      ...screens.map(([label, to]): Found => ({ value: `screen${to}`, label, what: 'screen', act: go(to) })),
      ...rows(products, 'product', (row) => `/make/${row.id}`),
      ...rows(products, 'price', (row) => `/sell/${row.id}`),
      ...rows(materials, 'material', (row) => `/buy/${row.id}`),
      ...rows(grades, 'labour grade', () => '/make/grades'),
      ...rows(costs, 'running cost', (row) => `/run?at=${row.id}.amount`),
      ...rows(channels, 'place to sell', () => '/sell/channels'),
      ...commands,
    ];
  }, [navigate, dispatch, path, products, materials, grades, costs, channels]);
}
