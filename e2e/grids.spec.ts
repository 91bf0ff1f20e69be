import { readFileSync } from 'node:fs';
import { expect, type Page, test } from './test.js';
import { cell, goTo, newPersonWithBook, openDemo, region, type } from './app.js';

test('a block pasted from a spreadsheet is previewed, taken in as one change, and taken back by one undo', async ({
  page,
}) => {
  await newPersonWithBook(page, 'Paste Place');
  await goTo(page, 'Buy');
  await cell(page, 'Material', 'new row').evaluate((input) => {
    const data = new DataTransfer();
    data.setData(
      'text/plain',
      'Rye flour\tingredient\tMill\t25\tkg\t31,50\nSalt\tingredient\tMill\t1\tkg\t0.90\nBags\tpackaging\tFold\t500\tpiece\tmany\n',
    );
    input.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  });
  const dialog = page.getByRole('dialog', { name: 'Paste 3 rows' });
  await expect(dialog).toContainText('"many" is not a number that can be read');
  await dialog.getByRole('button', { name: 'Paste 2 rows, leave out 1' }).click();
  await expect(cell(page, 'Price, EUR', 'Rye flour')).toHaveValue('31.50');
  await expect(page.getByRole('button', { name: '1.2600' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell(page, 'Material', 'Rye flour')).toHaveCount(0);
  await expect(cell(page, 'Material', 'Salt')).toHaveCount(0);
});

test('what is wrong is said at its field, and nothing of it is stored', async ({ page }) => {
  await newPersonWithBook(page, 'Strict Shop');
  await goTo(page, 'Make');
  await type(page, 'Product', 'new row', 'Cup');
  const product = region(page, 'Cup');
  const refuse = async (label: string, text: string, sentence: string) => {
    const field = product.getByLabel(label);
    const before = await field.inputValue();
    await field.fill(text);
    await field.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: sentence })).toBeVisible();
    await field.press('Escape');
    await expect(field).toHaveValue(before);
  };
  await refuse('Yield', '0', 'Yield must be more than 0.');
  await refuse('Yield', '105', 'The yield of counted pieces cannot be over 100 %');
  await refuse('Batch size', '-3', 'Batch size must be more than 0.');
  await refuse('Batch size', 'a few', 'is not a number that can be read');
  await product.getByRole('link', { name: 'Details' }).click();
  await refuse('Name', ' ', 'Name cannot be empty.');
  await refuse('GTIN', '2000000000016', 'this one does not fit');
  await product.getByRole('link', { name: 'Recipe' }).click();
  await type(page, 'Product', 'new row', 'cup');
  await expect(page.getByRole('alert').filter({ hasText: 'There is already a product called "cup".' })).toBeVisible();
  await cell(page, 'Product', 'new row').press('Escape');

  await type(page, 'Product', 'new row', 'Saucer');
  await expect(region(page, 'Saucer')).toBeVisible();
  await cell(page, 'Material or component', 'new row').fill('Cup');
  await cell(page, 'Material or component', 'new row').press('Enter');
  await expect(cell(page, 'Quantity', 'Cup')).toBeVisible();
  await page.locator('input[value="Cup"]').first().click();
  await expect(region(page, 'Cup')).toBeVisible();
  await cell(page, 'Material or component', 'new row').fill('Saucer');
  await cell(page, 'Material or component', 'new row').press('Enter');
  await expect(
    page.getByRole('alert').filter({ hasText: 'A product cannot contain itself: Cup → Saucer → Cup.' }),
  ).toBeVisible();
});

/** The lines of a grid that is exported as CSV in the form that is proposed. */
async function exported(page: Page, title: RegExp): Promise<string[]> {
  await page.getByRole('button', { name: title }).click();
  await page.getByRole('button', { name: 'Export as CSV' }).click();
  await expect(page.getByRole('radio', { name: /^As in Ireland, English 1234.50/ })).toBeChecked();
  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export', exact: true }).click(),
  ]);
  return readFileSync(await csv.path(), 'utf8')
    .replace('\ufeff', '')
    .split('\r\n');
}

test('every grid goes out as CSV, and a book goes out as a file and comes in again', async ({ page }) => {
  await openDemo(page);
  await goTo(page, 'Buy');
  const lines = await exported(page, /^More: Materials$/);
  expect(lines[0]).toContain('Material,Kind,Supplier');
  expect(lines[1]).toMatch(
    /^White stoneware clay,ingredient,Harrowmere Clays,12.5,kg,13.75,EUR,kg,1.1000,EUR per kg,clay,/,
  );

  // What a row is called goes with it, also where its name leads to another screen.
  await goTo(page, 'Sell');
  const prices = await exported(page, /^More: Prices$/);
  expect(prices[0]).toContain('Product,Channel,');
  expect(prices.some((line) => line.startsWith('Everyday mug,Own web shop,19.50,'))).toBe(true);
  await page.getByRole('link', { name: 'Price board' }).click();
  const board = await exported(page, /^More: Price board/);
  expect(board[0]).toMatch(/^Product,/);
  expect(board.some((line) => line.startsWith('Everyday mug,'))).toBe(true);

  await page.getByRole('link', { name: 'Quillfern Pottery' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Download the book file' }).click(),
  ]);
  await page.goto(new URL('/books', page.url()).href);
  await page.getByLabel('Book file').setInputFiles(await file.path());
  await expect(page.getByRole('heading', { name: 'Which products earn most' })).toBeVisible();
  const mug = page.getByRole('row', { name: /^Everyday mug Own web shop/ });
  await expect(mug).toContainText('634.26');

  await page.goto(new URL('/books', page.url()).href);
  await page.getByLabel('Book file').setInputFiles({
    name: 'x.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"nuvar-book","version":1,"rows":{"settings":[{}]}}'),
  });
  await expect(page.getByRole('alert')).toContainText('Name of the book must be text.');
});
