import { expect, test, type Page } from './test.js';
import { cell, newPersonWithBook } from './app.js';

/** Goes somewhere by search, as hands that stay on the keyboard do. */
async function search(page: Page, words: string): Promise<void> {
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'Search the book or run a command' }).waitFor();
  await page.keyboard.type(words);
  await page.getByRole('listbox', { name: 'Found' }).getByRole('option').first().waitFor();
  await page.keyboard.press('Enter');
}

/** Presses Tab until a field of that name has the focus. */
async function tabTo(page: Page, name: string | RegExp): Promise<void> {
  for (let presses = 0; presses < 120; presses += 1) {
    const label = await page.evaluate(
      () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? '',
    );
    if (typeof name === 'string' ? label === name : name.test(label)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab never came to ${String(name)}.`);
}

test('the main job is done by keyboard alone', async ({ page }) => {
  await newPersonWithBook(page, 'Keys Only');

  await search(page, 'Buy');
  await expect(page.getByRole('heading', { name: 'Materials', exact: true })).toBeVisible();
  await tabTo(page, 'Material, new row');
  await page.keyboard.type('Oats');
  await page.keyboard.press('Tab');
  await tabTo(page, 'Pack, Oats');
  await page.keyboard.type('10 kg');
  await page.keyboard.press('Tab');
  await tabTo(page, 'Price, EUR, Oats');
  await page.keyboard.type('15');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: '1.5000' }).first()).toBeVisible();

  await search(page, 'Make: products');
  await tabTo(page, 'Product, new row');
  await page.keyboard.type('Porridge');
  await page.keyboard.press('Tab');
  await tabTo(page, 'Material or component, new row');
  await page.keyboard.type('oat');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Quantity', 'Oats')).toBeFocused();
  await page.keyboard.type('200 g');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('button', { name: '0.30', exact: true }).first()).toBeVisible();

  await search(page, 'Sell: prices');
  await tabTo(page, 'Price');
  await page.keyboard.type('2');
  await page.keyboard.press('Enter');
  await tabTo(page, 'Price, to be tried');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Trial:')).toBeVisible();
  await expect(page.getByRole('button', { name: '1.80' }).first()).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Trial:')).toBeHidden();
  await expect(page.getByLabel('Price', { exact: true })).toHaveValue('2.10');

  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Price', { exact: true })).toHaveValue('2');
  await expect(page.getByText(/Undone: Porridge \(price\): price 2 → 2\.10/)).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByLabel('Price', { exact: true })).toHaveValue('2.10');

  await search(page, 'Plan: break');
  await tabTo(page, 'Price, EUR, new row');
  await page.keyboard.type('2.10');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: '0', exact: true }).first()).toBeVisible();
});
