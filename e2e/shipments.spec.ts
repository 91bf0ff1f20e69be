import { expect, test } from './test.js';
import { cell, goTo, newPersonWithBook, openCopyOfDemo, region, saved, type } from './app.js';

test('what each cost is known from five answers, and a proforma that is pasted becomes prices to plan by', async ({
  page,
}) => {
  await newPersonWithBook(page, 'Handles and Hubs');
  await goTo(page, 'Buy');
  await page.getByRole('link', { name: 'Shipments' }).click();
  await page.getByRole('button', { name: 'Quick estimate' }).click();
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByText('What did each cost at the seller?')).toBeVisible();
  await page.getByLabel('What was bought').fill('Brass handle');
  await page.getByLabel('How many').fill('200');
  await page.getByLabel('Price of one').fill('3 USD');
  await page.getByLabel('Freight').fill('180 USD');
  await page.getByLabel('Customs').fill('40');
  await page.getByRole('button', { name: 'Work it out' }).click();

  // A rate that the book does not have is asked for where it can be stated.
  const handles = region(page, 'Brass handle');
  await handles.getByRole('list', { name: 'Still missing' }).getByRole('link', { name: 'Fix' }).first().click();
  const rate = handles.getByLabel('Exchange rate').first();
  await expect(rate).toBeFocused();
  await rate.fill('0.90');
  await rate.press('Enter');
  await cell(page, 'Charge', 'Freight').focus();
  await handles.getByLabel('Exchange rate').nth(1).fill('0.90');
  await handles.getByLabel('Exchange rate').nth(1).press('Enter');
  await expect(handles.getByText('742.00').first()).toBeVisible();
  await expect(handles.getByRole('row').filter({ has: cell(page, 'Quantity', 'Brass handle') })).toContainText(
    '3.7100',
  );

  // A share opens into the charge, its own basis and all of it.
  await handles.getByRole('table').last().getByRole('cell', { name: '162.00' }).first().getByRole('button').click();
  const working = page.getByRole('region', { name: 'Working' });
  await expect(working).toContainText('×');
  await expect(working).toContainText('÷');
  await page.keyboard.press('Escape');

  // The lines of a proforma, pasted; the delivery term asks for what is the buyer's own.
  await cell(page, 'Shipment', 'new row').fill('Hubs');
  await cell(page, 'Shipment', 'new row').press('Tab');
  const hubs = region(page, 'Hubs');
  await expect(hubs).toBeVisible();
  await cell(page, 'Material', 'new row').evaluate((field) => {
    const data = new DataTransfer();
    data.setData('text/plain', 'Hub, front\t600\tpiece\t12.50\t300\t1.2\nHub, rear\t200\tpiece\t16.25\t150\t0.8\n');
    field.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
  });
  await page.getByRole('button', { name: /^Paste 2 rows/ }).click();
  await expect(hubs.getByText('10,750.00').first()).toBeVisible();
  await hubs.getByLabel('Delivery term').focus();
  await hubs.getByLabel('Delivery term').selectOption('FOB, on board');
  const way = hubs.getByRole('figure', { name: /The way/ });
  await way.getByRole('listitem').filter({ hasText: 'Freight' }).getByRole('button', { name: 'Add' }).click();
  await type(page, 'Estimate, EUR', 'Freight', '900');
  await cell(page, 'Shared by', 'Freight').selectOption('weight');
  await expect(hubs.getByRole('cell', { name: '600.00' }).first()).toBeVisible();
  for (const charge of ['Insurance', 'Port charges', 'Customs clearance', 'Trucking']) {
    await way.getByRole('listitem').filter({ hasText: charge }).getByRole('button', { name: 'Add' }).click();
    await type(page, 'Estimate, EUR', charge, '0');
  }
  await expect(hubs.getByRole('list', { name: 'Still missing' })).toHaveCount(0);
  await expect(hubs.getByText('11,650.00').first()).toBeVisible();
  await hubs.getByRole('link', { name: 'Landed cost' }).click();
  await hubs.getByRole('button', { name: 'Use for planning' }).click();
  await expect(page.getByText(/Prices and landed add-ons of 2 materials set/)).toBeVisible();
  await saved(page);
  await page.getByRole('link', { name: 'Materials' }).click();
  await expect(page.getByRole('row').filter({ has: cell(page, 'Material', 'Hub, front') })).toContainText('13.5000');
  await expect(page.getByRole('row').filter({ has: cell(page, 'Material', 'Hub, rear') })).toContainText('17.7500');
});

test('a settled shipment stays as it is; its copy is an estimate, and a charge of chosen lines is borne by them', async ({
  page,
}) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Buy');
  await page.getByRole('link', { name: 'Shipments' }).click();
  const spring = region(page, 'Cane handles, first lot');
  await expect(spring.getByText('916.32').first()).toBeVisible();
  await expect(spring.getByText('Settled: nothing of it can be changed.', { exact: false })).toBeVisible();
  await expect(spring.getByLabel('Quantity, Cane handle')).toHaveJSProperty('readOnly', true);
  await spring.getByLabel('Buying currency').fill('GBP');
  await spring.getByLabel('Buying currency').press('Enter');
  await expect(spring.getByText('This shipment is settled.', { exact: false })).toBeVisible();
  await spring.getByLabel('Buying currency').press('Escape');

  await cell(page, 'Shipment', 'Cane handles, first lot').focus();
  await page.keyboard.press('Control+d');
  const copy = region(page, 'Cane handles, first lot copy');
  await expect(copy.getByLabel('State')).toHaveValue('estimate');
  await expect(copy.getByLabel('Bill, EUR, Port charges')).toHaveValue('');
  await page.keyboard.press('Control+z');
  await expect(copy).toHaveCount(0);

  await cell(page, 'Shipment', 'Next order, by sea').click();
  const sea = region(page, 'Next order, by sea');
  await cell(page, 'Charge', 'Customs clearance').focus();
  await sea.getByRole('checkbox', { name: 'Cork trivet, round' }).uncheck();
  await expect(sea.getByRole('row').filter({ has: page.getByRole('checkbox', { name: 'Cane handle' }) })).toContainText(
    '65.00',
  );
  await sea.getByRole('link', { name: 'Load' }).click();
  await expect(sea.getByRole('row', { name: /20' container/ })).toContainText('volume');
  await saved(page);
});

test('two ways are compared with a freight that is tried, and a new shipment fills itself from the rules that fit', async ({
  page,
}) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Buy');
  await page.getByRole('link', { name: 'Shipments' }).click();
  await cell(page, 'Shipment', 'Next order, by sea').click();
  const sea = region(page, 'Next order, by sea');
  await expect(sea.getByText('2,126.98').first()).toBeVisible();
  await sea.getByRole('link', { name: 'Compare' }).click();
  await sea.getByRole('checkbox', { name: 'Next order, by air' }).click();
  const handles = sea.getByRole('row', { name: /^Cane handle/ });
  await expect(handles).toContainText('2.1845');
  await expect(handles).toContainText('2.2302');
  await sea.getByLabel('Freight of Next order, by air').fill('120');
  await sea.getByLabel('Freight of Next order, by air').press('Enter');
  await expect(page.getByText('Trial:', { exact: false })).toBeVisible();
  await expect(handles).not.toContainText('2.2302');
  await page.getByRole('button', { name: /Discard/ }).click();
  await expect(handles).toContainText('2.2302');

  // A rule by brackets and one by a formula; a formula that is none is refused where it is typed.
  await page.getByRole('link', { name: 'Charge rules' }).click();
  await cell(page, 'Rule', 'Port fees').click();
  const port = region(page, 'Port fees');
  await port.getByLabel('Formula').fill('alert(1)');
  await port.getByLabel('Formula').press('Enter');
  await expect(page.getByText('it can call min and max only', { exact: false })).toBeVisible();
  await port.getByLabel('Formula').fill('10 + 100 * volume');
  await port.getByLabel('Formula').press('Enter');
  await page.getByRole('link', { name: 'Shipments' }).click();

  await cell(page, 'Shipment', 'new row').fill('Winter order');
  await cell(page, 'Shipment', 'new row').press('Tab');
  const winter = region(page, 'Winter order');
  await winter.getByLabel('Delivery term').focus();
  await winter.getByLabel('Delivery term').selectOption('FCA, other place');
  await cell(page, 'Material', 'new row').fill('Cane handle');
  await cell(page, 'Material', 'new row').press('Enter');
  await expect(winter.getByLabel('Estimate, EUR, Freight')).toHaveAttribute('placeholder', 'by rule');
  await expect(winter.getByLabel('Charge, Bank charges')).toHaveCount(0);
  await winter.getByLabel('Supplier').selectOption('Lumera Cane Works');
  const rules = winter.getByRole('region', { name: 'Charge rules that fit' });
  await rules.getByRole('listitem').filter({ hasText: 'Bank charges' }).getByRole('button', { name: 'Add' }).click();
  await expect(winter.getByLabel('Charge, Bank charges')).toBeVisible();
  await type(page, 'Quantity', 'Cane handle', '100');
  await type(page, 'Price, EUR', 'Cane handle', '2');
  await type(page, 'Weight, kg', 'Cane handle', '5');
  await type(page, 'Volume, m³', 'Cane handle', '0.04');
  await expect(winter.getByRole('row').filter({ has: page.getByLabel('Charge, Port charges') })).toContainText('14.00');
  await saved(page);
});
