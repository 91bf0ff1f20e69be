// @vitest-environment jsdom
import type { StoredRow } from '@nuvar/book';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import { useMemo } from 'react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { useAll } from '../../book/use-book.js';
import { model } from '../../book/model.js';
import { store } from '../../state/store.js';
import { draw, drawInDemo, leaveBook } from '../../testing/in-book.js';
import { named } from '../../testing/open-demo.js';
import { fieldColumn } from './field-column.js';
import { Grid } from './grid.js';
import { figureColumn, type Column } from './grid-model.js';
import { rowsWriter } from './rows-writer.js';

type Row = StoredRow<'labourGrade'>;
const writer = rowsWriter<Row>('labourGrade', { needs: 'name' });

/** The labour grades of the demo book, as their screen lists them. */
function Grades() {
  const grades = useAll('labourGrade');
  const columns = useMemo(
    (): Column<Row, Partial<Row>>[] => [
      fieldColumn<Row>('labourGrade', 'name', 'en-IE', { header: 'Labour grade' }),
      fieldColumn<Row>('labourGrade', 'wagePerHour', 'en-IE', { header: 'Wage' }),
      fieldColumn<Row>('labourGrade', 'onCostPercent', 'en-IE', { header: 'On-costs' }),
      figureColumn({
        id: 'rate',
        header: 'Rate',
        view: 'labourRate',
        of: ({ id }: Row) => id,
        pick: (view) => view,
        digits: 2,
      }),
    ],
    [],
  );
  return <Grid title="Labour grades" rows={grades} columns={columns} writer={writer} nameOf={({ name }) => name} />;
}

let user: UserEvent;

const show = (role: 'owner' | 'reader' = 'owner') => drawInDemo(<Grades />, { role });
const cell = (column: string, row: string) => screen.getByLabelText<HTMLInputElement>(`${column}, ${row}`);
const names = () =>
  screen
    .getAllByLabelText<HTMLInputElement>(/^Labour grade, /)
    .map(({ value }) => value)
    .filter((value) => value !== '');
const grades = () => model.rows.all('labourGrade').map(({ name }) => name);

beforeEach(() => {
  user = userEvent.setup();
});
afterEach(leaveBook);

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
    expect(document.activeElement).toBe(cell('Wage', 'Glazer copy'));
    expect(store.getState().notices.list.at(-1)?.sentence).toBe('Duplicated as Glazer copy.');
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
    expect(dialog.getByText('1 row was not understood and will be left out.')).toBeDefined();
    expect(store.getState().book.pending).toEqual([]);
    await user.click(dialog.getByRole('button', { name: 'Paste 2 rows, leave out 1' }));
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

  it('starts the next row at its first cell on Enter in the last one', async () => {
    show();
    await user.type(cell('Labour grade', 'new row'), 'Glazer{Tab}14{Tab}20{Enter}');
    expect(named('labourGrade', 'Glazer')).toMatchObject({ wagePerHour: '14', onCostPercent: '20' });
    expect(document.activeElement).toBe(cell('Labour grade', 'new row'));
    // In the middle of a column Enter goes on down.
    await user.type(cell('Wage', 'Glazer'), '15{Enter}');
    expect(document.activeElement).toBe(cell('Wage', 'new row'));
  });

  it('keeps a refused text while its screen is left, until it is put right', async () => {
    const { unmount } = show();
    const [top = ''] = names();
    await user.clear(cell('Wage', top));
    await user.type(cell('Wage', top), 'a lot{Enter}');
    unmount();
    draw(<Grades />);
    expect(cell('Wage', top).value).toBe('a lot');
    expect(cell('Wage', top).getAttribute('aria-invalid')).toBe('true');
    expect(cell('Wage', top).title).toContain('not a number that can be read');
    await user.click(cell('Wage', top));
    expect(screen.getByRole('alert').textContent).toContain('"a lot" is not a number');
    await user.keyboard('{Escape}');
    expect(cell('Wage', top).value).toBe(named('labourGrade', top).wagePerHour);
    expect(store.getState().book.refused).toEqual({});
    await user.clear(cell('Wage', top));
    await user.type(cell('Wage', top), 'nothing{Enter}');
    await user.clear(cell('Wage', top));
    await user.type(cell('Wage', top), '19{Enter}');
    expect(named('labourGrade', top).wagePerHour).toBe('19');
    expect(store.getState().book.refused).toEqual({});
  });

  it('keeps a refused text in the empty row too', async () => {
    const { unmount } = show();
    await user.type(cell('Wage', 'new row'), 'a lot{Enter}');
    unmount();
    draw(<Grades />);
    expect(cell('Wage', 'new row').value).toBe('a lot');
    await user.clear(cell('Wage', 'new row'));
    await user.type(cell('Wage', 'new row'), '14{Tab}');
    await user.type(cell('Labour grade', 'new row'), 'Glazer{Tab}');
    expect(named('labourGrade', 'Glazer').wagePerHour).toBe('14');
    expect(store.getState().book.refused).toEqual({});
    expect(cell('Wage', 'new row').value).toBe('');
  });

  it('can be narrowed by words where its screen offers no filter and it has many rows', async () => {
    show();
    expect(screen.queryByLabelText('Filter Labour grades')).toBeNull();
    for (let count = 0; count < 16; count += 1)
      fireEvent.keyDown(cell('Wage', names()[0] ?? ''), { key: 'd', ctrlKey: true });
    await user.type(screen.getByLabelText('Filter Labour grades'), 'copy 7');
    expect(names()).toHaveLength(1);
    expect(names()[0]).toMatch(/copy 7$/);
    await user.clear(screen.getByLabelText('Filter Labour grades'));
    expect(names().length).toBeGreaterThan(16);
  });

  it('sorts by a computed column, by amount, and does not jump while it is typed into', async () => {
    show();
    await user.type(cell('Labour grade', 'new row'), 'Apprentice{Tab}9{Tab}0{Enter}');
    await user.type(cell('Labour grade', 'new row'), 'Unpaid{Enter}');
    await user.click(screen.getByRole('button', { name: 'Rate' }));
    const rates = () => names().map((name) => Number(named('labourGrade', name).wagePerHour));
    await waitFor(() => expect(names()[0]).toBe('Apprentice'));
    // Without a figure there is nothing to sort by: it comes last, and does so the other way round too.
    expect(names().at(-1)).toBe('Unpaid');
    expect(rates().slice(0, -1)).toEqual([...rates().slice(0, -1)].sort((one, other) => one - other));
    await user.click(screen.getByRole('button', { name: 'Rate' }));
    await waitFor(() => expect(names().at(-2)).toBe('Apprentice'));
    expect(names().at(-1)).toBe('Unpaid');
    expect(screen.getByRole('columnheader', { name: 'Rate' }).getAttribute('aria-sort')).toBe('descending');
    await user.clear(cell('Wage', 'Apprentice'));
    await user.type(cell('Wage', 'Apprentice'), '900{Enter}');
    expect(names().at(-2)).toBe('Apprentice');
  });

  it('sorts numbers by amount: 0.45 is less than 0.5, and 9 less than 10', async () => {
    show();
    for (const [name, wage] of [
      ['Nine', '9'],
      ['Half', '0.5'],
      ['Less', '0.45'],
      ['Ten', '10'],
    ])
      await user.type(cell('Labour grade', 'new row'), `${name}{Tab}${wage}{Tab}0{Enter}`);
    await user.click(screen.getByRole('button', { name: 'Wage' }));
    await waitFor(() => expect(names().slice(0, 4)).toEqual(['Less', 'Half', 'Nine', 'Ten']));
  });

  it('hides a column for this person, and shows it again', async () => {
    const { unmount } = show();
    await user.click(screen.getByRole('button', { name: 'More: Labour grades' }));
    await user.click(screen.getByRole('checkbox', { name: 'On-costs' }));
    expect(screen.queryByRole('columnheader', { name: 'On-costs' })).toBeNull();
    unmount();
    draw(<Grades />);
    expect(screen.queryByRole('columnheader', { name: 'On-costs' })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'More: Labour grades' }));
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: 'Labour grade' }).disabled).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Reset columns' }));
    expect(screen.getByRole('columnheader', { name: 'On-costs' })).toBeDefined();
    expect(localStorage).toHaveLength(0);
  });

  it('is read, and not written, by a reader', () => {
    show('reader');
    const [top = ''] = names();
    expect(cell('Wage', top).readOnly).toBe(true);
    expect(screen.queryByLabelText('Labour grade, new row')).toBeNull();
    expect(screen.queryByRole('button', { name: /^Remove/ })).toBeNull();
  });
});
