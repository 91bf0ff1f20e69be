import { expect, test, type Page } from './test.js';
import { cell, goTo, openCopyOfDemo, region } from './app.js';

test('what a field refuses outlives a reload, is a loose end that leads back to it, and is put right there', async ({
  page,
}) => {
  await openCopyOfDemo(page);
  const count = page.getByRole('banner').getByRole('link', { name: /loose ends$/ });
  // Those of stock come a moment after the others.
  await expect(count).toHaveText('15 loose ends');
  const before = 15;
  await goTo(page, 'Buy');
  await cell(page, 'Pack', 'Silica').fill('lots');
  await cell(page, 'Pack', 'Silica').press('Enter');
  await expect(page.getByRole('alert')).toContainText('"lots" is not a quantity that can be read');
  await expect(count).toHaveText(`${before + 1} loose ends`);
  await page.reload();
  await count.click();
  const refused = page.getByRole('main').getByRole('listitem').first();
  await expect(refused).toContainText('Pack, Silica: "lots" was not accepted.');
  await refused.getByRole('link', { name: 'Fix' }).click();
  const field = page.locator('input:focus');
  await expect(field).toHaveValue('lots');
  await expect(field).toHaveAttribute('aria-invalid', 'true');
  await field.fill('30');
  await field.press('Enter');
  await expect(cell(page, 'Pack', 'Silica').first()).toHaveValue('30');
  await expect(count).toHaveText(`${before} loose ends`);
});

test('the keys lead to screens, fields and workings, and back', async ({ page }) => {
  await openCopyOfDemo(page);
  await page.keyboard.press('Control+k');
  await page.keyboard.type('labour gr');
  await page.keyboard.press('Enter');
  await expect(page.locator(':focus')).toHaveAttribute('aria-label', /^Labour grade, /);
  await page.keyboard.press('Control+k');
  await page.keyboard.type('everyday');
  await page.keyboard.press('Enter');
  await expect(region(page, 'Everyday mug')).toBeVisible();
  await expect(page.locator('[data-detail] :focus')).toHaveCount(1);
  await page.keyboard.press('Alt+Shift+S');
  // The screen before has a profit of the mug too.
  await expect(page.getByRole('region', { name: 'Prices', exact: true })).toBeVisible();

  const profit = region(page, 'Everyday mug').getByTitle('Profit: open its working').first();
  await profit.click();
  const working = page.getByRole('region', { name: 'Working of Profit' });
  await expect(working).toBeFocused();
  // It lies over the detail, and the list stays where it was.
  await expect(page.getByRole('region', { name: 'Prices', exact: true })).toBeInViewport();
  await page.keyboard.press('Escape');
  await expect(working).toHaveCount(0);
  await expect(profit).toBeFocused();
  await profit.press('Enter');
  await expect(working).toBeFocused();
  await goTo(page, 'Buy');
  await expect(working).toHaveCount(0);

  // On the way through a grid nothing is chosen by accident.
  const kinds = page.getByLabel(/^Kind, /);
  await kinds.first().focus();
  const [first, second] = await Promise.all([kinds.nth(0).inputValue(), kinds.nth(1).inputValue()]);
  for (const key of ['ArrowRight', 'End', 'PageDown', 'ArrowDown', 'ArrowLeft']) await page.keyboard.press(key);
  await expect(kinds.nth(1)).toBeFocused();
  await expect(kinds.nth(0)).toHaveValue(first);
  await expect(kinds.nth(1)).toHaveValue(second);

  // The copy of a row is gone to, undone by Ctrl+Z and done again by Ctrl+Y.
  await cell(page, 'Price, EUR', 'Silica').focus();
  await page.keyboard.press('Control+d');
  await expect(cell(page, 'Price, EUR', 'Silica copy')).toBeFocused();
  await expect(page.getByText('Duplicated as Silica copy.')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(cell(page, 'Material', 'Silica copy')).toHaveCount(0);
  await page.keyboard.press('Control+y');
  await expect(cell(page, 'Material', 'Silica copy')).toBeVisible();
});

test('a column keeps the width that it was dragged to, lists stay within reach on a phone, and paper is a page of the book', async ({
  page,
}) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Buy');
  const supplier = page.getByRole('columnheader', { name: 'Supplier' });
  const widthOf = async () => (await supplier.boundingBox())?.width ?? 0;
  const box = (await supplier.boundingBox())!;
  await page.mouse.move(box.x + box.width - 3, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width - 120, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  const dragged = await widthOf();
  expect(dragged).toBeLessThan(box.width - 100);
  await page.reload();
  await expect(supplier).toBeVisible();
  expect(Math.abs((await widthOf()) - dragged)).toBeLessThan(2);
  // There is room for all columns, and so nothing to scroll sideways.
  const isCut = () =>
    page
      .locator('[data-grid]')
      .evaluate((table) => table.parentElement!.scrollWidth > table.parentElement!.clientWidth);
  expect(await isCut()).toBe(false);

  await page.setViewportSize({ width: 390, height: 844 });
  for (const [area, first] of [
    ['Buy', 'Material, White stoneware clay'],
    ['Make', 'Product, Everyday mug'],
    ['Run', 'Running cost, Studio rent'],
  ] as const) {
    await goTo(page, area);
    await expect(page.getByLabel(first, { exact: true })).toBeInViewport();
    expect((await page.getByLabel(first, { exact: true }).boundingBox())?.width).toBeGreaterThan(80);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  }

  await page.setViewportSize({ width: 1280, height: 800 });
  await page.emulateMedia({ colorScheme: 'dark' });
  await goTo(page, 'Make');
  await expect(page.getByRole('region', { name: 'Cost card' })).toBeVisible();
  const ground = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  const onScreen = await ground();
  await page.emulateMedia({ media: 'print', colorScheme: 'dark' });
  await expect(page.getByText('Quillfern Pottery, Make: products')).toBeVisible();
  await expectHidden(page, ['Product, new row', 'Filter products']);
  await expect(page.getByRole('navigation')).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^More/ })).toHaveCount(0);
  expect(await ground()).toBe('rgb(255, 255, 255)');
  expect(onScreen).not.toBe('rgb(255, 255, 255)');
});

async function expectHidden(page: Page, labels: readonly string[]): Promise<void> {
  for (const label of labels) await expect(page.getByLabel(label, { exact: true })).toBeHidden();
}
