import { expect, test } from './test.js';
import { cell, goTo, newPersonWithBook, region, saved, type } from './app.js';

/*
 * The main job of a new user, with figures worked out by hand:
 * flour 20.00 / 25 kg = 0.80 a kg, 300 g = 0.24; butter 30.00 / 5 kg = 6.00 a kg, 150 g = 0.90; box 25.00 / 100 = 0.25
 * one hour for 20 pieces at 18.00 = 0.90; prime cost 2.29
 * rent 600 a month over 100 x 0.05 h = 5 h is 120 an hour, 6.00 a piece; full cost 8.29
 * price 9.50: contribution 7.21, profit 1.21; break-even 600 / 7.21 = 83.2..., so 84 pieces
 */
test('a new user gets from pack prices to a selling price and its break-even, and finds it all again', async ({
  page,
}) => {
  await newPersonWithBook(page, 'Shortbread Lane');
  await expect(page.getByRole('heading', { name: 'From a pack price to a selling price' })).toBeVisible();

  await goTo(page, 'Buy');
  await type(page, 'Material', 'new row', 'Flour');
  await type(page, 'Pack', 'Flour', '25 kg');
  await type(page, 'Price, EUR', 'Flour', '20');
  await expect(region(page, 'Flour').getByText('0.8000').first()).toBeVisible();
  await type(page, 'Material', 'new row', 'Butter');
  await type(page, 'Pack', 'Butter', '5');
  await type(page, 'Price, EUR', 'Butter', '60/2');
  await type(page, 'Material', 'new row', 'Box');
  await cell(page, 'Kind', 'Box').selectOption('packaging');
  await type(page, 'Pack', 'Box', '100 pcs');
  await type(page, 'Price, EUR', 'Box', '25');
  await expect(region(page, 'Box').getByText('0.2500').first()).toBeVisible();

  await goTo(page, 'Make');
  await type(page, 'Product', 'new row', 'Shortbread');
  const product = region(page, 'Shortbread');
  await expect(product.getByText('Shortbread has no materials, labour or other costs yet').first()).toBeVisible();
  await product.getByLabel('Batch size', { exact: true }).fill('20');
  await product.getByLabel('Planned sales').fill('100');
  for (const [item, quantity] of [
    ['Flour', '6 kg'],
    ['Butter', '3 kg'],
    ['Box', '20'],
  ] as const) {
    await cell(page, 'Material or component', 'new row').fill(item);
    await cell(page, 'Material or component', 'new row').press('Enter');
    await type(page, 'Quantity', item, quantity);
  }
  await type(page, 'Step', 'new row', 'Mix and bake');
  await cell(page, 'Labour grade', 'Mix and bake').fill('Baker');
  await cell(page, 'Labour grade', 'Mix and bake').press('Enter');
  await type(page, 'Time', 'Mix and bake', '1 h');
  await cell(page, 'Time basis', 'Mix and bake').selectOption('min a batch');
  await expect(product.getByText('no wage yet for Baker').first()).toBeVisible();

  await page.getByRole('link', { name: 'Labour grades' }).click();
  await type(page, 'Wage per hour, EUR', 'Baker', '18');
  await goTo(page, 'Run');
  await type(page, 'Running cost', 'new row', 'Rent');
  await type(page, 'Amount, EUR', 'Rent', '600');
  await expect(region(page, 'An open day').getByText('600.00').first()).toBeVisible();

  await goTo(page, 'Make');
  const card = region(page, 'Cost card');
  await expect(card.getByRole('row', { name: /Prime cost/ })).toContainText('2.2900');
  await expect(card.getByRole('row', { name: /^Full cost/ })).toContainText('8.2900');

  await page.getByRole('link', { name: 'Set its price' }).click();
  await page.getByLabel('Price', { exact: true }).fill('9,50');
  await page.getByLabel('Price', { exact: true }).press('Enter');
  await expect(page.getByRole('button', { name: '7.21' }).first()).toBeVisible();
  await expect(page.getByRole('button', { name: '1.21' }).first()).toBeVisible();

  await page.getByRole('link', { name: 'Its break-even' }).click();
  await type(page, 'Price, EUR', 'new row', '9.50');
  await expect(page.getByRole('button', { name: '84', exact: true }).first()).toBeVisible();
  await expect(page.getByText(/covered soonest at 9\.50 EUR/)).toBeVisible();
  await saved(page);

  await page.reload();
  await expect(page.getByRole('button', { name: '84', exact: true }).first()).toBeVisible();
  await goTo(page, 'Overview');
  await expect(page.getByRole('button', { name: '1.21' })).toBeVisible();
});
