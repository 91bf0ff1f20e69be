import { expect, test, type Page } from './test.js';
import { cell, goTo, makeBook, newPersonWithBook, region, type } from './app.js';

const americanPies = 'Prairie Pies';
const enter = async (page: Page, label: string, text: string) => {
  await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByLabel(label, { exact: true }).press('Enter');
};

test('the steps of the README, in an American book with cups and pounds', async ({ page }) => {
  await newPersonWithBook(page, americanPies, undefined, 'United States, English');
  await goTo(page, 'Buy');
  await type(page, 'Material', 'new row', 'Flour');
  await type(page, 'Pack', 'Flour', '25 lb');
  await type(page, 'Price, USD', 'Flour', '17.50');
  await expect(region(page, 'Flour').getByText('USD per lb').first()).toBeVisible();
  await expect(region(page, 'Flour').getByText('0.7000').first()).toBeVisible();
  await type(page, 'Material', 'new row', 'Milk');
  await type(page, 'Pack', 'Milk', '1 gallon');
  await type(page, 'Price, USD', 'Milk', '4.00');

  await goTo(page, 'Make');
  await type(page, 'Product', 'new row', 'Peach pie');
  const pie = region(page, 'Peach pie');
  await enter(page, 'Batch size', '10');
  await enter(page, 'Planned sales', '100');
  for (const [item, quantity] of [
    ['Flour', '2 cups'],
    ['Milk', '4 cups'],
  ] as const) {
    await cell(page, 'Material or component', 'new row').fill(item);
    await cell(page, 'Material or component', 'new row').press('Enter');
    await type(page, 'Quantity', item, quantity);
  }
  // A batch of ten: what is measured in cups and costed by the pound asks for the one fact between them, with both units.
  await expect(cell(page, 'Per', 'Flour')).toHaveValue('batch');
  const conversion = region(page, 'Missing unit conversions').getByLabel('1 US cup of Flour');
  await conversion.fill('4.25 oz');
  await conversion.press('Enter');
  await expect(region(page, 'Missing unit conversions')).toBeHidden();
  // 2 x 4.25 oz = 0.53125 lb x 0.70 = 0.371875; 4 cups = 1/4 gallon = 1.00: 1.371875 for ten.
  await expect(region(page, 'Cost card').getByRole('row', { name: /^Materials/ })).toContainText('0.1372');

  // A word that is no unit yet is added where it was typed.
  await cell(page, 'Material or component', 'new row').fill('Peaches');
  await cell(page, 'Material or component', 'new row').press('Enter');
  await cell(page, 'Quantity', 'Peaches').fill('3 baskets');
  await cell(page, 'Quantity', 'Peaches').press('Enter');
  await expect(page.getByRole('alert')).toContainText('"baskets" is not a unit in this book yet.');
  await cell(page, 'Quantity', 'Peaches').press('Enter');
  await expect(cell(page, 'Unit', 'Peaches')).toHaveValue('baskets');
  await goTo(page, 'Buy');
  await type(page, 'Pack', 'Peaches', '1 baskets');
  await type(page, 'Price, USD', 'Peaches', '9');

  await goTo(page, 'Make');
  await cell(page, 'Product', 'Peach pie').click();
  await type(page, 'Step', 'new row', 'Bake');
  await cell(page, 'Labour grade', 'Bake').fill('Baker');
  await cell(page, 'Labour grade', 'Bake').press('Enter');
  await cell(page, 'Time basis', 'Bake').selectOption('min a batch');
  await type(page, 'Time', 'Bake', '1 h 30');
  await page.getByRole('link', { name: 'Labour grades' }).click();
  await type(page, 'Wage per hour, USD', 'Baker', '20');
  await goTo(page, 'Run');
  await type(page, 'Running cost', 'new row', 'Rent');
  await type(page, 'Amount, USD', 'Rent', '300');

  // A target suggests a price before any was typed; American prices are before tax.
  await goTo(page, 'Sell');
  await expect(region(page, 'Peach pie')).toContainText('before sales tax');
  await page.getByLabel('Target', { exact: true }).selectOption('margin');
  await enter(page, 'Target margin', '50');
  // 0.137188 + 2.70 + 3.00 + 3.00 = 8.837188, at a margin of 50 % twice that, rounded up.
  await expect(region(page, 'Peach pie').getByText('Suggested price:').locator('..')).toContainText('17.68');
  await page.getByRole('button', { name: 'Set this price' }).click();
  await expect(page.getByLabel('Price', { exact: true })).toHaveValue('17.68');
  await goTo(page, 'Plan');
  // 300.00 / (17.68 - 5.837188) = 25.3.
  await expect(page.getByText('At the set price of').locator('..')).toContainText(/26\s*pieces a month/);
  await expect(pie).toBeVisible();
});

test('the same in a German book, by keyboard: words for units, decimal commas, days as they are written there', async ({
  page,
}) => {
  await newPersonWithBook(page, 'Kerzen Lichtblick', undefined, 'Germany, German');
  await page.keyboard.press('Alt+Shift+B');
  await cell(page, 'Material', 'new row').focus();
  await page.keyboard.type('Sojawachs');
  await page.keyboard.press('Tab');
  await cell(page, 'Pack', 'Sojawachs').focus();
  await page.keyboard.type('20 Kilogramm');
  await page.keyboard.press('Enter');
  await cell(page, 'Price, EUR', 'Sojawachs').focus();
  await page.keyboard.type('1.041,50');
  await page.keyboard.press('Enter');
  await expect(region(page, 'Sojawachs').getByText('52,0750').first()).toBeVisible();
  await cell(page, 'Material', 'new row').focus();
  await page.keyboard.type('Docht');
  await page.keyboard.press('Tab');
  await cell(page, 'Pack', 'Docht').focus();
  await page.keyboard.type('100 Stück');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Unit', 'Docht')).toHaveValue('each');

  // A currency that was typed stands behind its price, and a bare number stays in it.
  await cell(page, 'Price, EUR', 'Docht').fill('12,50 USD');
  await cell(page, 'Price, EUR', 'Docht').press('Enter');
  await cell(page, 'Price, EUR', 'Docht').fill('13');
  await cell(page, 'Price, EUR', 'Docht').press('Enter');
  const docht = page.getByRole('row').filter({ has: cell(page, 'Material', 'Docht') });
  await expect(docht).toContainText('USD');
  await cell(page, 'Price, EUR', 'Docht').fill('13 EUR');
  await cell(page, 'Price, EUR', 'Docht').press('Enter');
  await expect(docht).not.toContainText('USD');
  await expect(docht).toContainText('0,1300');

  // A price from a later day is said beside the one in force.
  await cell(page, 'Material', 'Docht').click();
  const detail = region(page, 'Docht');
  await cell(page, 'From', 'new row').fill('31.12.2099');
  await cell(page, 'From', 'new row').press('Tab');
  await detail.getByLabel('Price, EUR, new row').fill('15');
  await detail.getByLabel('Price, EUR, new row').press('Enter');
  await expect(docht).toContainText('15 from 31.12.2099');
  await expect(cell(page, 'Price, EUR', 'Docht')).toHaveValue('13');

  // Row, side and filter stay through a reload, and back and forward; another row keeps the side.
  await detail.getByRole('link', { name: 'Where used' }).click();
  await page.getByLabel('Filter materials').fill('o');
  await cell(page, 'Material', 'Sojawachs').click();
  await expect(region(page, 'Sojawachs').getByRole('link', { name: 'Where used' })).toHaveAttribute(
    'aria-current',
    'page',
  );
  await page.reload();
  await expect(region(page, 'Sojawachs').getByRole('link', { name: 'Where used' })).toHaveAttribute(
    'aria-current',
    'page',
  );
  await expect(page.getByLabel('Filter materials')).toHaveValue('o');
  await goTo(page, 'Sell');
  await expect(page.getByRole('heading', { name: 'Prices', exact: true })).toBeVisible();
  await page.goBack();
  await expect(region(page, 'Sojawachs').getByRole('link', { name: 'Where used' })).toHaveAttribute(
    'aria-current',
    'page',
  );

  await goTo(page, 'Overview');
  await expect(
    page.getByText(/Docht \(supplier price\).*: pack quantity 100, pack price 15, valid from 31\.12\.2099/),
  ).toBeVisible();
  await page.goto(new URL('/books', page.url()).href);
  await makeBook(page, 'Zweites Buch');
});
