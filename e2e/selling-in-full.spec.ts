import { readFileSync } from 'node:fs';
import { expect, test, type Page } from './test.js';
import { cell, goTo, openCopyOfDemo, region, type } from './app.js';

const tab = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Sell', exact: true }).getByRole('link', { name, exact: true }).click();

const save = async (page: Page, press: () => Promise<void>): Promise<Buffer> => {
  const [file] = await Promise.all([page.waitForEvent('download'), press()]);
  return readFileSync(await file.path());
};

test('a product is sold in a second channel, its fees change, and prices go out as a list', async ({ page }) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Sell');
  await tab(page, 'Channels');
  await page.getByRole('button', { name: 'From a template' }).click();
  await page.getByRole('button', { name: 'Marketplace, sent by you' }).click();
  const channel = region(page, 'Marketplace, sent by you');
  await expect(channel.getByRole('list', { name: 'Fees in words' })).toContainText('12 % of price and postage paid');

  // The soap dish costs 5.94 and leaves more in the new channel than its fees take.
  await tab(page, 'Prices');
  await page
    .getByRole('row', { name: /Soap dish/ })
    .getByRole('link', { name: 'Soap dish' })
    .click();
  const dish = region(page, 'Soap dish');
  await dish.getByRole('link', { name: 'Channels' }).click();
  await dish.getByLabel('Price in Marketplace, sent by you').fill('14.40');
  await dish.getByLabel('Price in Marketplace, sent by you').press('Enter');
  await expect(
    dish
      .getByRole('table')
      .first()
      .getByRole('row', { name: /Marketplace, sent by you/ }),
  ).toContainText('14.40');

  // A dearer commission shows on the board at once; the sign says that a sale loses money.
  await tab(page, 'Channels');
  await page
    .getByRole('row')
    .filter({ has: cell(page, 'Sales channel', 'Marketplace, sent by you') })
    .click();
  await cell(page, '%', 'Commission').fill('70');
  await cell(page, '%', 'Commission').press('Enter');
  await tab(page, 'Price board');
  const row = page.getByRole('row', { name: /Soap dish/ });
  await expect(row).toContainText('loses each sale');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).not.toContainText('loses each sale');

  // All prices by 10 %, to .95: seen first with the month, one change, one undo.
  await page.getByRole('button', { name: 'Change prices' }).click();
  const dialog = page.getByRole('dialog', { name: 'Change prices' });
  await dialog.getByLabel('By percent').fill('10');
  await dialog.getByLabel('Price ending').selectOption('.95');
  await expect(dialog.getByRole('row', { name: /Everyday mug Own web shop/ })).toContainText(/19\.50\s*21\.95/);
  await expect(dialog).toContainText(/The planned month leaves .* in place of/);
  await dialog.getByRole('button', { name: /^Change \d+ prices$/ }).click();
  await expect(cell(page, 'Own web shop', 'Everyday mug')).toHaveValue('21.95');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell(page, 'Own web shop', 'Everyday mug')).toHaveValue('19.50');

  await page.getByLabel('Price list of').selectOption('Marketplace, sent by you');
  const csv = await save(page, () => page.getByRole('button', { name: 'CSV', exact: true }).click());
  expect(csv.toString('utf8')).toContain('Soap dish,,,gifts,each,12,20,14.4,EUR,1,');
});

test('a target that no price reaches is said in words, and a price for one that is reached stays reached', async ({
  page,
}) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Sell');
  await page
    .getByRole('row', { name: /Everyday mug Marketplace store/ })
    .getByRole('link', { name: 'Everyday mug' })
    .click();
  const mug = region(page, 'Everyday mug');
  await mug.getByLabel('Target margin').fill('95');
  await mug.getByLabel('Target margin').press('Enter');
  await expect(mug).toContainText(
    /no price reaches this target: the margin approaches 7\d\.\d+ % but never reaches it/,
  );
  await mug.getByLabel('Target margin').fill('20');
  await mug.getByLabel('Target margin').press('Enter');
  await mug.getByRole('button', { name: 'Set this price' }).click();
  await expect(mug.getByRole('row', { name: /^Price before tax/ })).toBeVisible();
  await mug.getByRole('link', { name: 'What is left' }).click();
  await expect(mug.getByRole('row', { name: /^Margin/ })).toContainText(/2\d\.\d%/);
  await mug.getByRole('link', { name: 'Chance' }).click();
  await expect(mug.getByText(/Nine in ten months leave between/)).toBeVisible();
  await mug.getByLabel('Seed').fill('7');
  await mug.getByLabel('Seed').press('Enter');
  await expect(page).toHaveURL(/seed=7/);
});

test('a one-off job is quoted, goes out as PDF, and becomes a product when it is won', async ({ page }) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Sell');
  await tab(page, 'Quotes');
  await type(page, 'Quote', 'new row', 'Forty tiles');
  const quote = region(page, 'Forty tiles');
  await quote.getByLabel('Units', { exact: true }).fill('40');
  await quote.getByLabel('Units', { exact: true }).press('Enter');
  await type(page, 'Material or component', 'new row', 'Porcelain body');
  await cell(page, 'Quantity', 'Porcelain body').fill('12 kg');
  await cell(page, 'Quantity', 'Porcelain body').press('Enter');
  const price = quote.getByRole('table', { name: 'Options' }).getByRole('row', { name: /^Price with tax/ });
  // Twelve kilograms for the batch of forty at 2.45 are 29.40; at a margin of 30 % 42.00, with 20 % tax 50.40.
  await expect(price).toContainText('50.40');
  const pdf = await save(page, () => quote.getByRole('button', { name: 'PDF' }).click());
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');

  await quote.getByRole('button', { name: 'Accept this option' }).click();
  await quote.getByRole('link', { name: 'Accepted: its product' }).click();
  await expect(page).toHaveURL(/\/make\//);
  await expect(cell(page, 'Product', 'Forty tiles')).toBeVisible();
});
