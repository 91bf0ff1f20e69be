// @vitest-environment jsdom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { model } from '../book/model.js';
import { draw, leaveBook, openBook } from '../testing/in-book.js';
import { CompareScreen } from './compare-screen.js';
import { sidesOfAddress } from './sides.js';
import { WhatIfDetail } from './what-if-detail.js';

afterEach(leaveBook);

const whatIf = (name: string) => model.book.rowsWith('whatIf', 'name', name)[0]?.id ?? '';
const FOR_VIEWS = { timeout: 30_000 };

it('shows the month and every price on both sides, opens a difference, and leads from one to the other', async () => {
  openBook();
  const id = whatIf('Clay costs 8 % more');
  draw(<CompareScreen />, `/?sides=baseline,whatIf/${id}`);
  const month = await screen.findByRole('table', { name: 'The month on each side' }, FOR_VIEWS);
  const profit = within(month).getByRole('row', { name: /^Profit/ });
  expect(profit.textContent).toMatch(/adverse/);
  fireEvent.click(within(profit).getByRole('button'));
  const working = await screen.findByRole('complementary', { name: /Working of the difference: Profit/ }, FOR_VIEWS);
  await waitFor(() => expect(working.textContent).toContain('White stoneware clay'), FOR_VIEWS);
  const prices = screen.getByRole('table', { name: 'Contribution a month on each side' });
  expect(within(prices).queryByRole('row', { name: /Cork trivet/ })).toBeNull();
  fireEvent.click(screen.getByRole('checkbox', { name: 'What stays the same too' }));
  expect(
    within(screen.getByRole('table', { name: 'Contribution a month on each side' })).getAllByRole('row', {
      name: /Cork trivet/,
    }).length,
  ).toBeGreaterThan(0);
  fireEvent.click(screen.getByRole('link', { name: 'Bridge' }));
  const bridge = await screen.findByRole('table', { name: /^From The book to Clay costs 8 % more/ }, FOR_VIEWS);
  fireEvent.click(within(bridge).getByRole('button', { name: 'Material price' }));
  expect(screen.getByRole('complementary', { name: 'In the step: Material price' }).textContent).toContain(
    'Porcelain body',
  );
}, 90_000);

it('reads the sides of an address, and no others than there can be', () => {
  const id = '0199f000-0000-7000-8000-000000000001';
  expect(sidesOfAddress(null)).toEqual(['baseline']);
  expect(sidesOfAddress(`baseline,whatIf/${id},frozen/${id},day/2027-01-31`)).toHaveLength(4);
  expect(sidesOfAddress(`baseline,baseline,whatIf/x,<b>,day/31`)).toEqual(['baseline']);
});

it('lists what a what-if changes, and takes over what is ticked', async () => {
  openBook();
  const id = whatIf('Mugs at 20.00 at the market');
  draw(<WhatIfDetail id={id} />);
  const changes = await screen.findByRole('table', { name: 'Changes of the what-if' }, FOR_VIEWS);
  expect(within(changes).getAllByRole('row')).toHaveLength(3);
  fireEvent.click(within(changes).getByRole('checkbox', { name: /Units a month/ }));
  fireEvent.click(screen.getByRole('button', { name: 'Take 1 over into the book' }));
  const [mug] = model.book.rowsWith('product', 'name', 'Everyday mug');
  const [market] = model.book.rowsWith('channel', 'name', 'Weekend market');
  const points = model.book.rowsWith('pricePoint', 'productId', mug?.id ?? '');
  expect(points.find(({ channelId }) => channelId === market?.id)?.price).toBe('20');
  expect(model.book.rowsWith('whatIfChange', 'whatIfId', id)).toHaveLength(1);
}, 90_000);
