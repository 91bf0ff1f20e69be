import { readFileSync } from 'node:fs';
import { expect, test, type Locator, type Page } from './test.js';
import { cell, goTo, newPersonWithBook, openCopyOfDemo, region } from './app.js';

const tab = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Plan', exact: true }).getByRole('link', { name, exact: true }).click();

const side = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Mix plan', exact: true }).getByRole('link', { name, exact: true }).click();

test('a mix is tried by hand to a shortage, solved, explained, eased by ten more, used and taken back', async ({
  page,
}) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Plan');
  await tab(page, 'Product mix');
  const plan = region(page, 'Short week before the fair');
  await expect(plan).toContainText('Cane handle runs out first: 3.37 pieces short.');

  // Three teapots fewer are tried with the keyboard: the handles suffice; Esc drops the trial.
  const handle = plan.getByRole('slider', { name: 'Quantity of Teapot with cane handle (Own web shop), to be tried' });
  await handle.focus();
  for (let press = 0; press < 4; press += 1) await handle.press('ArrowLeft');
  await expect(plan).not.toContainText('Cane handle runs out first');
  await handle.press('Escape');
  await expect(plan).toContainText('Cane handle runs out first');

  await plan.getByRole('button', { name: 'Find the best mix' }).click();
  const best = plan.getByRole('region', { name: 'Best mix' });
  await expect(best).toContainText('Best mix: 562.25');
  await expect(best).toContainText('16 fewer of Breakfast bowl (Own web shop)');
  const reasons = plan.getByRole('list', { name: 'Reasons for the best mix' });
  await expect(reasons).toContainText(
    'Kiln: nothing to spare. One hour more is worth 7.65 EUR above the normal price of 3.75 EUR',
  );
  await reasons.getByText('Kiln: nothing to spare').click();
  await expect(reasons.getByRole('table', { name: 'What one hour more changes' })).toContainText('Serving platter');

  // Ten kiln hours more: the answer is stale until it is found again.
  await side(page, 'Resources and uses');
  await cell(page, 'Available, typed', 'Kiln').fill('37');
  await cell(page, 'Available, typed', 'Kiln').press('Enter');
  await side(page, 'Mix');
  await expect(best).toContainText('Something has changed since this was found');
  await best.getByRole('button', { name: 'Find again' }).click();
  await expect(reasons).toContainText('Kiln: 5.03 h to spare, so one more brings nothing.');

  // Used, and taken back by the button and by undo.
  const quantity = plan.getByLabel('Quantity of Breakfast bowl (Own web shop)', { exact: true });
  await best.getByRole('button', { name: 'Use the best mix' }).click();
  await expect(quantity).toHaveValue('0');
  await expect(best).toContainText('It is the mix tried by hand.');
  await best.getByRole('button', { name: 'Back to the quantities before' }).click();
  await expect(quantity).toHaveValue('16');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(quantity).toHaveValue('0');

  // Taken over as planned volumes: four days' quantities as those of a month.
  await best.getByRole('button', { name: 'Take over as planned volumes' }).click();
  const dialog = page.getByRole('dialog', { name: 'Take over as planned volumes' });
  await expect(dialog.getByRole('row', { name: /Everyday mug Own web shop/ })).toContainText('300');
  await dialog.getByRole('button', { name: 'Take over', exact: true }).click();
  await expect(plan.getByRole('table', { name: 'Quantities' }).getByRole('row').nth(1)).toContainText('60.0');

  const [file] = await Promise.all([page.waitForEvent('download'), plan.getByRole('button', { name: 'LP' }).click()]);
  expect(readFileSync(await file.path(), 'utf8')).toContain('Everyday_mug_Own_web_shop');

  // Dropping the platter costs its contribution; the hire that goes with it does not make up for that.
  await tab(page, 'Make, buy or drop');
  await page
    .getByRole('row')
    .filter({ has: cell(page, 'Decision', 'Drop the serving platter') })
    .click();
  await expect(region(page, 'Drop the serving platter')).toContainText('Keep it');
});

test('a mix of products that are in no book is typed, solved, contradicted and mended', async ({ page }) => {
  await newPersonWithBook(page, 'Corner bakery');
  await page.getByRole('link', { name: 'Corner bakery', exact: true }).click();
  await goTo(page, 'Plan');
  await tab(page, 'Product mix');
  await cell(page, 'Mix plan', 'new row').fill('Saturday');
  await cell(page, 'Mix plan', 'new row').press('Enter');
  const plan = region(page, 'Saturday');
  await expect(plan).toContainText('No products yet');

  // A table of products and resources comes in as one change.
  const table = 'Product,Contribution,Oven,Hands\nBread,6,2,3\nCake,10,4,2\nAvailable,,400,360\n';
  await plan
    .getByLabel('Import a table')
    .last()
    .setInputFiles({ name: 'mix.csv', mimeType: 'text/csv', buffer: Buffer.from(table) });
  const dialog = page.getByRole('dialog', { name: 'Import a mix' });
  await expect(dialog).toContainText('2 products and 2 resources');
  await dialog.getByRole('button', { name: 'Import', exact: true }).click();

  await plan.getByRole('button', { name: 'Find the best mix' }).click();
  const best = plan.getByRole('region', { name: 'Best mix' });
  await expect(best).toContainText('Best mix: 1,080.00');
  await expect(plan.getByRole('list', { name: 'Reasons for the best mix' })).toContainText(
    'Oven: nothing to spare. One hour more is worth 2.25 EUR, and that is the most to pay for it. This holds from 240 to 720 h; ten more bring 22.50 EUR in all.',
  );
  await expect(plan.getByRole('figure', { name: /All mixes that fit/ })).toBeVisible();

  // 200 loaves need 600 hands of 360: both limits are named, each with its field.
  await side(page, 'Products and limits');
  await cell(page, 'At least', 'Bread').fill('200');
  await cell(page, 'At least', 'Bread').press('Enter');
  await side(page, 'Mix');
  await best.getByRole('button', { name: 'Find again' }).click();
  const limits = best.getByRole('list', { name: 'Limits that contradict each other' });
  await expect(limits.getByRole('listitem')).toHaveCount(2);
  await expect(limits).toContainText('Hands: 360 h in all');
  await limits.getByRole('listitem').filter({ hasText: 'Bread' }).getByRole('link').click();
  await expect(cell(page, 'At least', 'Bread')).toBeFocused();

  // Back to none at least; fifty loaves more than cakes: 92 x 6 + 42 x 10.
  await cell(page, 'At least', 'Bread').fill('0');
  await cell(page, 'At least', 'Bread').press('Enter');
  const totals = region(page, 'Totals');
  await totals.getByLabel('Name, new row').fill('Loaves ahead of cakes');
  await totals.getByLabel('Name, new row').press('Enter');
  await choose(totals.getByLabel('Rule, Loaves ahead of cakes'), 'at least');
  await choose(totals.getByLabel('of, Loaves ahead of cakes'), 'difference');
  await totals.getByLabel('Limit, Loaves ahead of cakes').fill('50');
  await totals.getByLabel('Limit, Loaves ahead of cakes').press('Enter');
  for (const name of ['Bread', 'Cake']) await page.getByRole('checkbox', { name, exact: true }).check();
  await page.getByLabel('Side of Cake').selectOption('counted against');
  await side(page, 'Mix');
  await best.getByRole('button', { name: 'Find the best mix' }).click();
  await expect(best).toContainText('Best mix: 972.00');

  // Bounds of a milliard and names of 300 letters do no harm, and more than a milliard is refused in place.
  await side(page, 'Products and limits');
  await cell(page, 'At most', 'Cake').fill('1000000000000');
  await cell(page, 'At most', 'Cake').press('Enter');
  await expect(plan).toContainText('At most cannot be more than 1000000000');
  await cell(page, 'At most', 'Cake').fill('1000000000');
  await cell(page, 'At most', 'Cake').press('Enter');

  // Two days: what is baked on the first can be sold on the second.
  await side(page, 'Periods');
  for (const name of ['Friday', 'Saturday']) {
    await cell(page, 'Name', 'new row').fill(name);
    await cell(page, 'Name', 'new row').press('Enter');
  }
  await side(page, 'Mix');
  const asking = (name: string) => plan.getByRole('listitem').filter({ hasText: `what does a unit of ${name} cost` });
  for (const [name, cost] of [
    ['Bread', '1'],
    ['Cake', '4'],
  ] as const) {
    await asking(name).getByRole('link').click();
    await expect(cell(page, 'Variable cost, typed', name)).toBeFocused();
    await cell(page, 'Variable cost, typed', name).fill(cost);
    await cell(page, 'Variable cost, typed', name).press('Enter');
  }
  await expect(asking('Cake')).toHaveCount(0);

  // Nobody buys on Friday: half of it is baked then, and is sold on Saturday.
  await side(page, 'Periods');
  const most = region(page, 'Sold at most');
  for (const name of ['Bread', 'Cake']) {
    await most.getByLabel(`Friday, ${name}`).fill('0');
    await most.getByLabel(`Friday, ${name}`).press('Enter');
  }
  await side(page, 'Mix');
  await best.getByRole('button', { name: /^Find/ }).click();
  await expect(best).toContainText('Best mix: 972.00');
  await best.getByRole('button', { name: 'Use the best mix' }).click();
  await expect(best).toContainText('It is the mix tried by hand.');
  const schedule = region(page, 'Schedule by hand');
  await expect(schedule.getByLabel('Saturday, Cake, sold')).toHaveValue('42');
  await expect(schedule.getByLabel('Saturday, Bread, sold')).toHaveValue('92');

  // A loaf more than there is: said in words, and in the stock.
  await schedule.getByLabel('Saturday, Bread, sold').fill('93');
  await schedule.getByLabel('Saturday, Bread, sold').press('Enter');
  await expect(plan).toContainText('Bread, Saturday: 1 piece more sold than there are.');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(schedule.getByLabel('Saturday, Bread, sold')).toHaveValue('92');

  // Saved as another plan, it stands beside this one with the same figures.
  await best.getByRole('button', { name: 'Save as another plan' }).click();
  await expect(region(page, 'Saturday, best')).toContainText('972.00');
  await side(page, 'Compare plans');
  await expect(page.getByRole('table', { name: 'Mix plans beside each other' }).getByRole('row')).toHaveCount(3);
});

/** A choice in a cell: its options are there once it is gone to. */
async function choose(at: Locator, label: string): Promise<void> {
  await at.focus();
  await at.selectOption(label);
}
