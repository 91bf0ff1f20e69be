import { expect, test, dayText, demoDay } from './test.js';
import { cell, goTo, newPersonWithBook, openCopyOfDemo, openDemo, region, type } from './app.js';

test('a price opens down to the pack price, which is changed right there and taken back', async ({ page }) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Sell');
  await page.getByRole('link', { name: 'Breakfast bowl', exact: true }).first().click();
  await page.getByRole('link', { name: 'Its cost' }).click();
  await goTo(page, 'Sell');
  const legend = page.getByRole('list', { name: 'Parts of a price' });
  await page.getByRole('link', { name: 'Breakfast bowl', exact: true }).first().click();
  // The price shown before is that of another product.
  await expect(region(page, 'Breakfast bowl')).toBeVisible();
  const before = await legend.getByRole('listitem').filter({ hasText: 'Materials' }).getByRole('button').innerText();
  await region(page, 'Breakfast bowl')
    .getByRole('row', { name: /contribution is zero/ })
    .getByRole('button')
    .click();

  const panel = page.getByRole('complementary', { name: 'Workings' });
  for (const part of [
    'Price at which contribution is zero, exact',
    'Price before tax',
    'To be covered',
    'To be covered by the price',
    'To be covered',
    'Variable cost, without what comes back as new',
    'Variable cost, by order size',
    'Variable cost',
    'Cost before overhead',
    'Prime cost',
    'Direct materials',
    'Materials',
    'Materials per batch',
    /^Cost per batch, Speckled/,
    /^Price per base unit/,
    /^Price per base unit/,
    'Pack price',
  ]) {
    await panel.getByRole('list', { name: 'Made from' }).getByRole('button', { name: part }).first().click();
  }
  await panel.getByRole('textbox', { name: 'Pack price' }).fill('35.80');
  await panel.getByRole('textbox', { name: 'Pack price' }).press('Enter');
  await expect(legend.getByRole('listitem').filter({ hasText: 'Materials' }).getByRole('button')).not.toHaveText(
    before,
  );

  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(legend.getByRole('listitem').filter({ hasText: 'Materials' }).getByRole('button')).toHaveText(before);
  await expect(
    page.getByText(/Undone: Speckled stoneware clay \(supplier price\): pack price 17\.90 → 35\.80/),
  ).toBeVisible();
});

test('a pinned working follows its figure while an input is changed elsewhere', async ({ page }) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Make');
  await page.locator('input[value="Gift set, two mugs"]').first().click();
  await region(page, 'Cost card')
    .getByRole('row', { name: /^Full cost/ })
    .getByRole('button')
    .first()
    .click();
  const panel = page.getByRole('complementary', { name: 'Workings' });
  await panel.getByRole('button', { name: 'Pin' }).click();
  const lead = panel.getByRole('paragraph').filter({ hasText: 'EUR per piece' });
  const before = await lead.innerText();
  await goTo(page, 'Run');
  await cell(page, 'Amount, EUR', 'Studio rent').fill('2900');
  await cell(page, 'Amount, EUR', 'Studio rent').press('Enter');
  await expect(lead).not.toHaveText(before);
  await page.keyboard.press('Control+z');
  await expect(lead).toHaveText(before);
});

test('what is missing is said in words, half a cost is shown as half, and the loose end leads to the field', async ({
  page,
}) => {
  await openDemo(page);
  await page
    .getByRole('link', { name: /loose ends$/ })
    .first()
    .click();
  const end = page.getByRole('listitem').filter({ hasText: 'No price yet for Cobalt oxide' });
  await expect(end).toContainText('Cobalt side plate');
  await end.getByRole('link', { name: 'Fix' }).click();
  await expect(cell(page, 'Price, EUR', 'Cobalt oxide')).toBeFocused();

  await goTo(page, 'Make');
  await page.locator('input[value="Cobalt side plate"]').first().click();
  const card = region(page, 'Cost card');
  await expect(card.getByRole('row', { name: /^Full cost/ })).toContainText('+ ?');
  await expect(page.getByRole('list', { name: 'Still missing' })).toContainText('no price yet for Cobalt oxide');
  await expect(page.locator('body')).not.toContainText(/NaN|Infinity|undefined|\[object/);
});

test('a missing way between two units is stated once, in the field that the gap leads to, and serves everywhere', async ({
  page,
}) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Make');
  await page.locator('input[value="Cobalt side plate"]').first().click();
  const gap = page.getByRole('listitem').filter({ hasText: 'Paper tape is bought by the piece and costed by the m' });
  await gap.getByRole('link', { name: 'Fix' }).click();
  await expect(cell(page, 'equals', 'new row')).toBeFocused();
  // Six rolls for 19.20 are 3.20 a roll; of 50 m each: 0.064 a metre.
  await page.keyboard.type('50 m');
  await page.keyboard.press('Enter');
  await expect(region(page, 'Paper tape').getByRole('button', { name: '0.0640' }).first()).toBeVisible();
  await expect(region(page, 'Paper tape').getByRole('row', { name: /EUR per piece/ })).toContainText('3.2000');
  await cell(page, 'equals', 'conversion of piece').fill('40');
  await cell(page, 'equals', 'conversion of piece').press('Enter');
  await expect(region(page, 'Paper tape').getByRole('button', { name: '0.0800' }).first()).toBeVisible();
});

test('what is bought in one kind of unit and used in another asks for the one fact between them', async ({ page }) => {
  await newPersonWithBook(page, 'Emberlane Candles');
  await goTo(page, 'Make');
  await type(page, 'Product', 'new row', 'Scent blend');
  for (const [item, quantity] of [
    ['Cedar oil', '20 g'],
    ['Tin', '1'],
  ] as const) {
    await cell(page, 'Material or component', 'new row').fill(item);
    await cell(page, 'Material or component', 'new row').press('Enter');
    await type(page, 'Quantity', item, quantity);
  }
  // A bare 1 of something that nobody has measured yet is a piece, and not a gram.
  await expect(cell(page, 'Unit', 'Tin')).toHaveValue('each');
  await goTo(page, 'Buy');
  await type(page, 'Pack', 'Cedar oil', '500 ml');
  await type(page, 'Price, EUR', 'Cedar oil', '36.50');
  await goTo(page, 'Make');
  await cell(page, 'Product', 'Scent blend').click();
  const gap = page.getByRole('listitem').filter({ hasText: 'Cedar oil is bought by the ml and costed by the kg' });
  await gap.getByRole('link', { name: 'Fix' }).click();
  await expect(cell(page, 'equals', 'new row')).toBeFocused();
  // 500 ml at 0.92 g each are 0.46 kg: 36.50 / 0.46 = 79.3478.
  await page.keyboard.type('0.92 g');
  await page.keyboard.press('Enter');
  await expect(region(page, 'Cedar oil').getByRole('button', { name: '79.3478' }).first()).toBeVisible();
});

test('another price is a price of today, the old one stays, and the material is planned by either', async ({
  page,
}) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Buy');
  await cell(page, 'Price, EUR', 'Talc').fill('9.00');
  await cell(page, 'Price, EUR', 'Talc').press('Enter');
  await cell(page, 'Material', 'Talc').click();
  const detail = region(page, 'Talc');
  await expect(detail.getByLabel(`Price, EUR, price from ${dayText(demoDay('2025-08-20'))}`)).toHaveValue('14.20');
  await expect(detail.getByRole('paragraph').filter({ hasText: 'EUR per kg' })).toContainText('0.9000');
  await detail.getByLabel('Planning basis').selectOption('highest');
  await detail.getByLabel('Months looked at').fill('24');
  await detail.getByLabel('Months looked at').press('Enter');
  await expect(detail.getByRole('paragraph').filter({ hasText: 'EUR per kg' })).toContainText('1.4200');
  await detail.getByLabel('Buffer').fill('10');
  await detail.getByLabel('Buffer').press('Enter');
  await expect(detail.getByRole('paragraph').filter({ hasText: 'EUR per kg' })).toContainText('1.5620');
});
