import { expect, test } from './test.js';
import { cell, goTo, newPersonWithBook, openCopyOfDemo, region, saved, type } from './app.js';

test('the guide leads from a name to a price, can be left and taken up again, and writes the rows of the other screens', async ({
  page,
}) => {
  await newPersonWithBook(page, 'Guided Bakery');
  await page.getByRole('link', { name: 'Cost your first product step by step' }).click();
  await page.getByLabel('Name of the product').fill('Oat loaf');
  await page.getByLabel('Name of the product').press('Enter');
  const next = () => page.getByRole('button', { name: /^Next/ }).click();
  const fill = async (label: string, text: string) => {
    await page.getByLabel(label, { exact: true }).fill(text);
    await page.getByLabel(label, { exact: true }).press('Enter');
  };
  await fill('Batch size', '20');
  await fill('Planned sales', '400');
  await next();
  await cell(page, 'Material or component', 'new row').fill('Oats');
  await page.keyboard.press('Enter');
  await type(page, 'Quantity', 'Oats', '500 g');
  await cell(page, 'Per', 'Oats').selectOption('unit started');
  await fill('Pack of Oats', '25 kg');
  await fill('Price of Oats', '50');
  await next();
  await page.getByRole('button', { name: 'Add my own time' }).click();
  await type(page, 'Time', 'My work', '1 h');
  await cell(page, 'Time basis', 'My work').selectOption('min a batch');
  await fill('My own time, an hour', '20');
  await next();
  await page.getByRole('button', { name: 'Label', exact: true }).click();
  await fill('Pack of Label', '100 pcs');
  await fill('Price of Label', '5');

  // Left in the middle, it is taken up where it was, with all that was typed.
  await saved(page);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'How is it packed?' })).toBeVisible();
  await next();
  await fill('Yield', '80');
  await next();
  await next();
  await type(page, 'Running cost', 'new row', 'Insurance');
  await type(page, 'Amount, EUR', 'Insurance', '240');
  await cell(page, 'Frequency', 'Insurance').selectOption('yearly');
  await next();
  // 500 g x 2.00 = 1.00 and 20.00 / 20 = 1.00 of time, over 80 % that come out good = 2.50; a label 0.05;
  // 240 a year are 20 a month over 400 loaves of 1 h / 16 each, 25 h: 0.80 an hour, 0.05 a loaf.
  const card = region(page, 'Cost card');
  await expect(card.getByRole('row', { name: /Full cost/ })).toContainText('2.6000');
  await expect(card).toContainText('Losses cost 0.5000 of each piece');
  await expect(card).toContainText('1.2500 of the labour is your own time');
  await fill('Price', '4.80');
  await expect(region(page, 'Result')).toContainText('Each sale leaves 2.25');
  await goTo(page, 'Buy');
  await expect(cell(page, 'Material', 'Oats')).toBeVisible();
});

test('a line typed as text is a loose end until one key links it, and its likes with it', async ({ page }) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Make');
  await cell(page, 'Product', 'Soap dish').click();
  // The product shown before has such a choice too.
  await region(page, 'Soap dish').getByLabel('Costing').selectOption('bill and steps');
  await cell(page, 'Material or component', 'new row').fill('whte slip');
  await page.keyboard.press('Tab');
  await type(page, 'Quantity', 'whte slip', '10 ml');
  await page.getByRole('link', { name: /loose ends/ }).click();
  // Two lines of the book are not linked: they are one line of the list, which opens.
  await page.getByRole('button', { name: /^Bill lines that are not linked to a material.*2$/ }).click();
  await page
    .getByRole('listitem')
    .filter({ hasText: /^"whte slip" in Soap dish is not linked to a material yet/ })
    .getByRole('link', { name: 'Fix' })
    .click();
  await expect(page.getByRole('option', { name: 'White slip', exact: true })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Quantity', 'White slip')).toHaveValue('10');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell(page, 'Quantity', 'whte slip')).toHaveValue('10');
});

test('many rows are changed in one go and back by one undo; a material is replaced everywhere with its effect seen before', async ({
  page,
}) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Buy');
  await page.getByLabel('Filter materials').fill('Harrowmere');
  await page.getByRole('button', { name: 'More: Materials' }).click();
  await page.getByRole('button', { name: 'Change many' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByLabel('Column to change').locator('option:checked')).toHaveText('Price, EUR');
  await dialog.getByLabel('To or by').fill('+10%');
  await expect(dialog.getByRole('row').filter({ hasText: 'White slip' })).toContainText('34.1');
  await dialog.getByRole('button', { name: 'Change 7 rows' }).click();
  await expect(cell(page, 'Price, EUR', 'White slip')).toHaveValue('34.1');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell(page, 'Price, EUR', 'White slip')).toHaveValue('31.00');

  await cell(page, 'Material', 'White stoneware clay').click();
  const detail = region(page, 'White stoneware clay');
  await detail.getByRole('link', { name: 'Where used' }).click();
  await detail.getByRole('combobox', { name: 'Replace it with' }).fill('Porcelain');
  await page.keyboard.press('Enter');
  await expect(detail.getByRole('row').filter({ hasText: 'Everyday mug' })).toContainText(/10\.4\d+\s*11\.1/);
  await detail.getByRole('button', { name: /Replace it in/ }).click();
  await expect(detail.getByText('Nothing yet. Use it in a bill of materials under Make.')).toBeVisible();
});
