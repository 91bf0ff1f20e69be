// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import { Download, History, LogOut } from 'lucide-react';
import { useLocation } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { draw, leaveBook, openBook } from '../../testing/in-book.js';
import { Menu } from './menu.js';

const leave = vi.fn();
let user: UserEvent;

const Address = () => <p data-testid="address">{useLocation().pathname}</p>;
const opener = () => screen.getByRole('button', { name: 'Maker' });
const choices = () => screen.queryAllByRole('menuitem').map(({ textContent }) => textContent);

beforeEach(() => {
  user = userEvent.setup();
  leave.mockReset();
  openBook();
  draw(
    <>
      <Menu
        label="Maker"
        icon={Download}
        choices={[
          { label: 'History', icon: History, to: '/history' },
          { label: 'Sign out', icon: LogOut, act: leave },
        ]}
      />
      <button type="button">Elsewhere</button>
      <Address />
    </>,
  );
});
afterEach(leaveBook);

describe('a menu', () => {
  it('closes on choosing, which does what it says', async () => {
    await user.click(opener());
    expect(choices()).toEqual(['History', 'Sign out']);
    await user.click(screen.getByRole('menuitem', { name: 'Sign out' }));
    expect(leave).toHaveBeenCalledOnce();
    expect(choices()).toEqual([]);
    await user.click(opener());
    await user.click(screen.getByRole('menuitem', { name: 'History' }));
    expect(screen.getByTestId('address').textContent).toBe('/history');
    expect(choices()).toEqual([]);
  });

  it('is worked by keys: down, Enter, and Esc, which gives the focus back', async () => {
    opener().focus();
    await user.keyboard('{Enter}{ArrowDown}{Enter}');
    expect(leave).toHaveBeenCalledOnce();
    await vi.waitFor(() => expect(document.activeElement).toBe(opener()));
    await user.keyboard('{Enter}');
    expect(choices()).toHaveLength(2);
    await user.keyboard('{Escape}');
    expect(choices()).toEqual([]);
    await vi.waitFor(() => expect(document.activeElement).toBe(opener()));
    expect(leave).toHaveBeenCalledOnce();
  });

  it('closes on a press outside of it', async () => {
    await user.click(opener());
    await user.click(screen.getByText('Elsewhere'));
    expect(choices()).toEqual([]);
    expect(leave).not.toHaveBeenCalled();
  });
});
