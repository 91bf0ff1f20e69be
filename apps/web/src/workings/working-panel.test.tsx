// @vitest-environment jsdom
import { screen, within } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { model } from '../book/model.js';
import { figureOpened } from '../state/panel-slice.js';
import { store } from '../state/store.js';
import { drawInDemo, leaveBook } from '../testing/in-book.js';
import { named } from '../testing/open-demo.js';
import { WorkingPanels } from './working-panel.js';

function Screens() {
  const [screen, setScreen] = useState('make');
  return (
    <>
      <button type="button" onClick={() => setScreen('sell')}>
        Another screen
      </button>
      <WorkingPanels screen={screen} />
    </>
  );
}

let user: UserEvent;
const panel = async (name: string | RegExp) =>
  within(await screen.findByRole('region', { name: name instanceof RegExp ? name : `Working of ${name}` }));
const open = (key: string) => store.dispatch(figureOpened(key));
const clay = () => named('material', 'White stoneware clay');

beforeEach(() => {
  user = userEvent.setup();
  drawInDemo(
    <>
      <button type="button">A figure</button>
      <WorkingPanels screen="make" />
    </>,
  );
});
afterEach(leaveBook);

describe('the working of a figure', () => {
  it('says what it is, how it was worked out, and opens its parts down to an input and back', async () => {
    open(`materialPrice/${clay().id}/perBaseUnit`);
    const top = await panel(/^Working of /);
    expect(top.getByText('White stoneware clay')).toBeDefined();
    // 13.75 for a pack of 12.5 kg, recomputed by hand.
    expect(top.getAllByText(/1\.1000/).length).toBeGreaterThan(0);
    const before = screen.getByRole('region').getAttribute('aria-label');
    const [part] = within(top.getByRole('list', { name: 'Made from' })).getAllByRole('button');
    await user.click(part as HTMLElement);
    await vi.waitFor(() => expect(screen.getByRole('region').getAttribute('aria-label')).not.toBe(before));
    await user.click(screen.getByRole('button', { name: 'Back' }));
    await vi.waitFor(() => expect(screen.getByRole('region').getAttribute('aria-label')).toBe(before));
  });

  it('stays when it is pinned while another is opened, and goes on Esc and by its button', async () => {
    open(`materialPrice/${clay().id}/perBaseUnit`);
    await panel(/^Working of /);
    await user.click(screen.getByRole('button', { name: 'Pin' }));
    open(`product/${named('product', 'Everyday mug').id}/materials`);
    await vi.waitFor(() => expect(screen.getAllByRole('region')).toHaveLength(2));
    const [pinned, other] = screen.getAllByRole('region') as [HTMLElement, HTMLElement];
    within(other).getByRole('button', { name: 'Close' }).focus();
    await user.keyboard('{Escape}');
    expect(screen.getAllByRole('region')).toEqual([pinned]);
    await user.click(within(pinned).getByRole('button', { name: 'Close' }));
    expect(screen.queryByRole('region')).toBeNull();
  });

  it('follows the book, and says so where there is no such figure', async () => {
    const { id } = clay();
    open(`materialPrice/${id}/perBaseUnit`);
    await panel(/^Working of /);
    const [price] = model.rows.rowsWith('supplierPrice', 'materialId', id);
    model.edit({
      id: 'change',
      operations: [
        {
          action: 'update',
          kind: 'supplierPrice',
          id: price?.id ?? '',
          before: { price: '13.75' },
          after: { price: '25' },
        },
      ],
    });
    await vi.waitFor(() => expect(screen.getByRole('region').textContent).toContain('2.0000'));
    open('nothing/of/this kind');
    await vi.waitFor(() => expect(screen.getByText('This figure is no longer in the book.')).toBeDefined());
  });

  it('takes the focus when it is opened, and gives it back on Esc', async () => {
    const figure = screen.getByRole('button', { name: 'A figure' });
    figure.focus();
    open(`materialPrice/${clay().id}/perBaseUnit`);
    const region = await screen.findByRole('region', { name: /^Working of/ });
    await vi.waitFor(() => expect(document.activeElement).toBe(region));
    // Going to a part keeps it within, so that Esc still closes.
    const [part] = within(within(region).getByRole('list', { name: 'Made from' })).getAllByRole('button');
    await user.click(part as HTMLElement);
    await vi.waitFor(() => expect(document.activeElement).toBe(screen.getByRole('region')));
    await user.keyboard('{Escape}');
    expect(screen.queryByRole('region')).toBeNull();
    expect(document.activeElement).toBe(figure);
  });

  it('closes with its screen unless it is pinned', async () => {
    leaveBook();
    const view = drawInDemo(<Screens />);
    open(`materialPrice/${clay().id}/perBaseUnit`);
    await user.click(await screen.findByRole('button', { name: 'Pin' }));
    open(`product/${named('product', 'Everyday mug').id}/materials`);
    await vi.waitFor(() => expect(screen.getAllByRole('region')).toHaveLength(2));
    await user.click(screen.getByRole('button', { name: 'Another screen' }));
    expect(screen.getAllByRole('region')).toHaveLength(1);
    expect(screen.getByRole('button', { name: 'Unpin' })).toBeDefined();
    view.unmount();
  });
});
