// @vitest-environment jsdom
import type { StoredRow } from '@nuvar/book';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import { useMemo } from 'react';
import { Provider } from 'react-redux';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { useAll } from '../book/use-book.js';
import { model } from '../book/model.js';
import { bookActions } from '../state/book-slice.js';
import { store } from '../state/store.js';
import { named, openDemo } from '../testing/open-demo.js';
import { fieldColumn } from './field-column.js';
import { Grid } from './grid.js';
import { rowsWriter } from './rows-writer.js';

type Row = StoredRow<'labourGrade'>;
const writer = rowsWriter<Row>('labourGrade', { needs: 'name' });

/** The labour grades of the demo book, as their screen lists them. */
function Grades() {
  const grades = useAll('labourGrade');
  const columns = useMemo(
    () => [
      fieldColumn<Row>('labourGrade', 'name', 'en-IE', { width: '10rem', header: 'Labour grade' }),
      fieldColumn<Row>('labourGrade', 'wagePerHour', 'en-IE', { width: '6rem', header: 'Wage' }),
      fieldColumn<Row>('labourGrade', 'onCostPercent', 'en-IE', { width: '6rem', header: 'On-costs' }),
    ],
    [],
  );
  return (
    <main>
      <Grid title="Labour grades" rows={grades} columns={columns} writer={writer} nameOf={({ name }) => name} />
    </main>
  );
}

const OPENED = { id: 'demo', revision: 1, pending: [], aside: [], undo: [], redo: [] } as const;
let user: UserEvent;

const show = (role: 'owner' | 'reader' = 'owner') => {
  openDemo();
  store.dispatch(bookActions.opened({ ...OPENED, role }));
  render(
    <Provider store={store}>
      <Grades />
    </Provider>,
  );
};
const cell = (column: string, row: string) => screen.getByLabelText<HTMLInputElement>(`${column}, ${row}`);
const names = () =>
  screen
    .getAllByLabelText<HTMLInputElement>(/^Labour grade, /)
    .map(({ value }) => value)
    .filter((value) => value !== '');
const grades = () => model.rows.all('labourGrade').map(({ name }) => name);

beforeEach(() => {
  user = userEvent.setup();
  // jsdom knows no modal dialogs.
  HTMLDialogElement.prototype.showModal = function () {
    this.open = true;
  };
});
afterEach(cleanup);

describe('a grid', () => {
  it('takes what is typed on Tab and on Enter, which goes down, and gives it back on Esc', async () => {
    show();
    const [top = '', below = ''] = names();
    await user.clear(cell('Wage', top));
    await user.type(cell('Wage', top), '23,50{Tab}');
    expect(named('labourGrade', top).wagePerHour).toBe('23.50');
    expect(document.activeElement).toBe(cell('On-costs', top));
    await user.clear(cell('On-costs', top));
    await user.type(cell('On-costs', top), '21%{Enter}');
    expect(named('labourGrade', top).onCostPercent).toBe('21');
    expect(document.activeElement).toBe(cell('On-costs', below));
    const before = cell('Wage', below).value;
    await user.clear(cell('Wage', below));
    await user.type(cell('Wage', below), '99{Escape}');
    expect(cell('Wage', below).value).toBe(before);
    expect(store.getState().book.pending).toHaveLength(2);
  });

  it('keeps what is refused in its cell with the reason, and stores nothing of it', async () => {
    show();
    const [top = '', below = ''] = names();
    await user.clear(cell('Wage', top));
    await user.type(cell('Wage', top), 'a lot{Enter}');
    expect(cell('Wage', top).value).toBe('a lot');
    expect(cell('Wage', top).getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByRole('alert').textContent).toContain('not a number that can be read');
    await user.clear(cell('Labour grade', top));
    await user.type(cell('Labour grade', top), `${below.toUpperCase()}{Enter}`);
    expect(screen.getAllByRole('alert').map(({ textContent }) => textContent)).toContainEqual(
      expect.stringContaining('There is already a labour grade'),
    );
    expect(grades()).toContain(top);
    expect(store.getState().book.pending).toEqual([]);
  });

  it('makes a row of what is typed into the empty one, and offers the next', async () => {
    show();
    // The wage comes before the name: it waits until there is one.
    await user.type(cell('Wage', 'new row'), '14{Tab}');
    expect(store.getState().book.pending).toEqual([]);
    await user.type(cell('Labour grade', 'new row'), 'Glazer{Tab}');
    expect(named('labourGrade', 'Glazer').wagePerHour).toBe('14');
    expect(cell('Labour grade', 'new row').value).toBe('');
    await user.type(cell('Labour grade', 'new row'), 'Packer{Enter}');
    expect(names()).toEqual(expect.arrayContaining(['Glazer', 'Packer']));
  });

  it('duplicates by Ctrl+D, removes by Ctrl+Delete or its button, and says why something stays', async () => {
    show();
    await user.type(cell('Labour grade', 'new row'), 'Glazer{Enter}');
    cell('Wage', 'Glazer').focus();
    await user.keyboard('{Control>}d{/Control}');
    expect(grades()).toContain('Glazer copy');
    cell('Wage', 'Glazer').focus();
    await user.keyboard('{Control>}{Delete}{/Control}');
    expect(grades()).not.toContain('Glazer');
    await user.click(screen.getByRole('button', { name: 'Remove Glazer copy' }));
    expect(grades()).not.toContain('Glazer copy');
    const [used = ''] = names();
    await user.click(screen.getByRole('button', { name: `Remove ${used}` }));
    expect(grades()).toContain(used);
    expect(store.getState().notices.list.at(-1)?.sentence).toMatch(/cannot be removed: it is still used in/);
  });

  it('shows how a pasted block was read, takes it in as one change, and leaves out what it did not understand', async () => {
    show();
    const block = 'Kiln watcher\t12.50\t20\nGlazer\tmuch\t20\nPacker\t11\t15';
    fireEvent.paste(cell('Labour grade', 'new row'), { clipboardData: { getData: () => block } });
    const dialog = within(screen.getByRole('dialog', { name: 'Paste 3 rows' }));
    expect(dialog.getByText('1 rows were not understood and would be left out.')).toBeDefined();
    expect(store.getState().book.pending).toEqual([]);
    await user.click(dialog.getByRole('button', { name: 'Take in 2 rows, leave out 1' }));
    expect(names()).toEqual(expect.arrayContaining(['Kiln watcher', 'Packer']));
    expect(store.getState().book.pending).toHaveLength(1);
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('sorts by a column when its heading is pressed: up, down, and as it was', async () => {
    show();
    const before = names();
    const heading = () => screen.getByRole('button', { name: /^Labour grade/ });
    await user.click(heading());
    const up = names();
    expect(up).toEqual([...before].sort((one, other) => one.localeCompare(other)));
    await user.click(heading());
    expect(names()).toEqual([...up].reverse());
    await user.click(heading());
    expect(names()).toEqual(before);
  });

  it('is read, and not written, by a reader', () => {
    show('reader');
    const [top = ''] = names();
    expect(cell('Wage', top).readOnly).toBe(true);
    expect(screen.queryByLabelText('Labour grade, new row')).toBeNull();
    expect(screen.queryByRole('button', { name: /^Remove/ })).toBeNull();
  });
});
