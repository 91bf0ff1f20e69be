// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { model } from '../../book/model.js';
import { store } from '../../state/store.js';
import { draw, leaveBook, openBook } from '../../testing/in-book.js';
import { RowField } from './row-field.js';

let user: UserEvent;
const rate = () =>
  model.rows.all('exchangeRate').toSorted((one, other) => (one.validFrom < other.validFrom ? -1 : 1))[0];
const field = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'From' });

beforeEach(() => {
  user = userEvent.setup();
  openBook();
  draw(<RowField kind="exchangeRate" id={rate()?.id ?? ''} field="validFrom" label="From" />);
});
afterEach(leaveBook);

describe('a day', () => {
  it('is written as the country writes it, and read as people type it', async () => {
    expect(rate()?.validFrom).toBe('2026-01-01');
    expect(field().value).toBe('01/01/2026');
    for (const [typed, day] of [
      ['15 Jan 2026', '2026-01-15'],
      ['3/2/26', '2026-02-03'],
      ['2026-01-09', '2026-01-09'],
    ] as const) {
      await user.clear(field());
      await user.type(field(), `${typed}{Enter}`);
      expect(rate()?.validFrom).toBe(day);
    }
    expect(field().value).toBe('09/01/2026');
  });

  it('that is none is refused with an example of the country', async () => {
    await user.clear(field());
    await user.type(field(), '31/2/2026{Enter}');
    expect(field().value).toBe('31/2/2026');
    expect(screen.getByRole('alert').textContent).toMatch(
      /^"31\/2\/2026" is not a day that can be read\. Type it as \d\d\/\d\d\/\d{4}\.$/,
    );
    expect(rate()?.validFrom).toBe('2026-01-01');
  });

  it('is picked from a calendar that opens at it, by the pointer or by Alt and the arrow down', async () => {
    await user.click(field());
    await user.keyboard('{Alt>}{ArrowDown}{/Alt}');
    await user.click(await screen.findByRole('button', { name: /January 20th, 2026/ }));
    expect(rate()?.validFrom).toBe('2026-01-20');
    expect(screen.queryByRole('grid')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Pick a day' }));
    expect(await screen.findByRole('grid', { name: 'January 2026' })).toBeDefined();
    await user.keyboard('{Escape}');
    expect(screen.queryByRole('grid')).toBeNull();
  });

  it('that is picked puts right what was refused before', async () => {
    await user.clear(field());
    await user.type(field(), 'soon{Enter}');
    expect(field().value).toBe('soon');
    await user.click(screen.getByRole('button', { name: 'Pick a day' }));
    await user.click(await screen.findByRole('button', { name: /January 20th, 2026/ }));
    expect(field().value).toBe('20/01/2026');
    expect(field().getAttribute('aria-invalid')).toBe('false');
    expect(store.getState().book.refused).toEqual({});
  });
});
