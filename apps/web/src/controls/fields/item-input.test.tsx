// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { draw, leaveBook, openBook } from '../../testing/in-book.js';
import { ItemInput } from './item-input.js';
import { TypedInput } from './typed-input.js';

beforeEach(() => openBook());
afterEach(leaveBook);

const CLAYS = ['White clay', 'Speckled clay', 'China clay', 'Moss glaze'].map((label) => ({ value: label, label }));

function Picker({ commit, offers }: { commit: (text: string) => string | null; offers?: boolean }) {
  const [value, setValue] = useState('');
  const take = (text: string) => {
    const refusal = commit(text);
    if (refusal === null) setValue(text);
    return refusal;
  };
  const make = (typed: string) => [
    ...CLAYS.filter(({ label }) => label.includes(typed)),
    { value: 'new', label: `New material "${typed}"`, typed: `+${typed}` },
  ];
  return <ItemInput label="Material" value={value} options={CLAYS} commit={take} offers={offers ? make : undefined} />;
}

const field = () => screen.getByRole<HTMLInputElement>('combobox', { name: 'Material' });
const offered = () => screen.queryAllByRole('option').map(({ textContent }) => textContent);

describe('picking one of many', () => {
  it('offers what fits, takes the marked one on Enter, and another by the arrows', async () => {
    const commit = vi.fn(() => null);
    const user = userEvent.setup();
    draw(<Picker commit={commit} />);
    await user.type(field(), 'cl');
    expect(offered()).toEqual(['White clay', 'Speckled clay', 'China clay']);
    await user.keyboard('{Enter}');
    expect(commit).toHaveBeenLastCalledWith('White clay');
    await user.clear(field());
    await user.type(field(), 'cl{ArrowDown}{ArrowDown}{Enter}');
    expect(commit).toHaveBeenLastCalledWith('China clay');
    expect(offered()).toEqual([]);
  });

  it('makes something new only where it was picked, and not by leaving the field', async () => {
    const commit = vi.fn(() => null);
    const user = userEvent.setup();
    draw(<Picker commit={commit} offers />);
    await user.type(field(), 'Porcelain{Enter}');
    expect(commit).toHaveBeenLastCalledWith('+Porcelain');
    await user.clear(field());
    await user.type(field(), 'Terracotta');
    await user.tab();
    expect(commit).toHaveBeenLastCalledWith('Terracotta');
  });

  it('keeps what is refused with the reason, and gives it back on Esc', async () => {
    const user = userEvent.setup();
    draw(<Picker commit={() => 'It cannot contain itself.'} />);
    await user.type(field(), 'Moss glaze{Enter}');
    expect(screen.getByRole('alert').textContent).toBe('It cannot contain itself.');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    expect(field().getAttribute('aria-describedby')).toBe(screen.getByRole('alert').id);
    await user.keyboard('{Escape}');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(field().value).toBe('');
  });
});

describe('typing into a field', () => {
  const amount = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'Price' });
  const show = (commit: (text: string) => string | null) =>
    draw(
      <>
        <TypedInput
          label="Price"
          value="12.50"
          commit={commit}
          preview={(text) => (text === '3/4' ? 'read as 0.75' : null)}
        />
        <input aria-label="next" />
      </>,
    );

  it('shows how it is read, and takes it when the field is left', async () => {
    const commit = vi.fn(() => null);
    const user = userEvent.setup();
    show(commit);
    await user.clear(amount());
    await user.type(amount(), '3/4');
    expect(screen.getByText('read as 0.75')).toBeDefined();
    expect(commit).not.toHaveBeenCalled();
    await user.tab();
    expect(commit).toHaveBeenCalledExactlyOnceWith('3/4');
  });

  it('takes nothing where nothing was changed, and gives back what was typed on Esc', async () => {
    const commit = vi.fn(() => null);
    const user = userEvent.setup();
    show(commit);
    await user.click(amount());
    await user.tab();
    await user.click(amount());
    await user.keyboard('99{Escape}');
    expect(amount().value).toBe('12.50');
    await user.tab();
    expect(commit).not.toHaveBeenCalled();
  });

  it('stays where it is while it is refused', async () => {
    const user = userEvent.setup();
    show(() => 'Price cannot be less than 0.');
    await user.clear(amount());
    await user.type(amount(), '-1{Enter}');
    expect(amount().value).toBe('-1');
    expect(screen.getByRole('alert').textContent).toBe('Price cannot be less than 0.');
    expect(document.activeElement).toBe(amount());
  });
});
