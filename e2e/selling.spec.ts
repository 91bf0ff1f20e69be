import { expect, test } from './test.js';
import { cell, goTo, openCopyOfDemo, region, type } from './app.js';

test('a suggested price follows the cost, and the set price changes only when it is accepted', async ({ page }) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Sell');
  await page.getByRole('link', { name: 'Teapot with cane handle' }).click();
  const detail = region(page, 'Teapot with cane handle');
  const suggested = detail.getByText('Suggested price:').locator('..');
  await expect(suggested).toContainText('93.00');
  await expect(detail.getByLabel('Price', { exact: true })).toHaveValue('79.00');

  await detail.getByLabel('Target markup').fill('50');
  await detail.getByLabel('Target markup').press('Enter');
  await expect(suggested).not.toContainText('93.00');
  await expect(detail.getByLabel('Price', { exact: true })).toHaveValue('79.00');
  await detail.getByRole('button', { name: 'Set this price' }).click();
  await expect(suggested).toContainText('This price is set.');
  await expect(detail.getByLabel('Price', { exact: true })).toHaveValue(/^1\d\d\.00$/);
  await expect(detail.getByRole('row', { name: /^Markup/ })).toContainText(/(49|50)\.\d%/);
});

test('a discount and a price are tried together, dropped with Esc, and kept as one change', async ({ page }) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Sell');
  const detail = region(page, 'Everyday mug');
  const left = () => detail.getByRole('row', { name: /The customer pays/ });
  await detail.getByLabel('Try a discount').fill('140');
  await detail.getByLabel('Try a discount').press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'Discount cannot be more than 100.' })).toBeVisible();
  await detail.getByLabel('Try a discount').fill('10');
  await detail.getByLabel('Try a discount').press('Enter');
  await expect(left()).toContainText('17.55');
  await expect(detail.getByRole('row', { name: /earn the same as without the discount/ })).toBeVisible();
  await page.getByRole('slider', { name: 'Price, to be tried' }).press('PageUp');
  await expect(left()).toContainText('18.45');
  await page.keyboard.press('Escape');
  await expect(left()).toContainText('19.50');

  await detail.getByLabel('Try a discount').fill('10');
  await detail.getByLabel('Try a discount').press('Enter');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Trial:')).toBeHidden();
  await expect(left()).toContainText('17.55');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(left()).toContainText('19.50');
});

test('break-even stands against the whole fixed cost or the share, and says in words where there is none', async ({
  page,
}) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Plan');
  const row = page.getByRole('row').filter({ has: cell(page, 'Price, EUR', 'price 19.50') });
  await expect(row).toContainText('456');
  await page.getByLabel('its own share of the fixed costs').click();
  await expect(page).toHaveURL(/against=share/);
  await expect(row).not.toContainText('456');
  await type(page, 'Price, EUR', 'new row', '5');
  const losing = page.getByRole('row').filter({ has: cell(page, 'Price, EUR', 'price 5') });
  await expect(
    losing.getByRole('button', { name: /never breaks even: each sale loses 6\.\d\d EUR/ }).first(),
  ).toBeVisible();
});
