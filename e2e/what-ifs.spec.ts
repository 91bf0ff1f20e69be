import { readFileSync } from 'node:fs';
import { expect, test, type Page } from './test.js';
import { cell, goTo, openCopyOfDemo, openDemo, openNewWhatIf, region, saved, type, whatIfBand } from './app.js';

const tab = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Plan', exact: true }).getByRole('link', { name, exact: true }).click();

test('a what-if is made on Buy, seen on Sell, kept through a reload without a server, compared, half taken over, and taken back', async ({
  page,
  context,
}) => {
  await openCopyOfDemo(page);
  await openNewWhatIf(page, 'dearer clay, dearer porcelain');
  await goTo(page, 'Buy');
  await type(page, 'Price, EUR', 'White stoneware clay', '20');
  await type(page, 'Price, EUR', 'Porcelain body', '30');
  await expect(whatIfBand(page)).toContainText('2 changes');
  await expect(page.getByText('In the book: 13.75')).toHaveCount(0);
  await expect(page.getByTitle('In the book: 13.75')).toHaveText('13.75');
  await goTo(page, 'Sell');
  await expect(page.getByText(/^in the book/).first()).toBeAttached();

  // Edits wait on this machine, and the tab comes back to the what-if.
  await goTo(page, 'Run');
  await expect(cell(page, 'Amount, EUR', 'Studio rent')).toBeVisible();
  await saved(page);
  await context.setOffline(true);
  await type(page, 'Amount, EUR', 'Studio rent', '1500');
  await expect(whatIfBand(page)).toContainText('3 changes');
  await context.setOffline(false);
  await saved(page);
  await page.reload();
  await expect(whatIfBand(page)).toContainText('3 changes');
  await expect(cell(page, 'Amount, EUR', 'Studio rent')).toHaveValue('1500');

  await whatIfBand(page).getByRole('link', { name: 'Compare with the book' }).click();
  const month = page.getByRole('table', { name: 'The month on each side' });
  await expect(month.getByRole('row', { name: /^Profit/ })).toContainText('adverse');
  await month
    .getByRole('row', { name: /^Profit/ })
    .getByRole('button')
    .click();
  const working = page.getByRole('complementary', { name: /Working of the difference/ });
  await expect(working).toContainText('Studio rent');
  await page.getByRole('link', { name: 'Bridge', exact: true }).click();
  const bridge = page.getByRole('table', { name: /From The book to dearer clay/ });
  await expect(bridge.getByRole('row', { name: /Material price/ })).toBeVisible();
  await expect(bridge.getByRole('row', { name: /Overhead/ })).toBeVisible();

  // Half of it is taken over: the rent stays in the what-if.
  await whatIfBand(page).getByRole('link', { name: 'Changes' }).click();
  const detail = region(page, 'dearer clay, dearer porcelain');
  await detail.getByRole('checkbox', { name: 'Take over: Studio rent, Amount' }).uncheck();
  await detail.getByRole('button', { name: 'Take 2 over into the book' }).click();
  await expect(page.getByText('2 changes taken over into the book.')).toBeVisible();
  await expect(whatIfBand(page)).toHaveCount(0);
  await expect(detail.getByRole('table', { name: 'Changes of the what-if' }).getByRole('row')).toHaveCount(2);
  await goTo(page, 'Buy');
  await expect(cell(page, 'Price, EUR', 'White stoneware clay')).toHaveValue('20');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell(page, 'Price, EUR', 'White stoneware clay')).toHaveValue('13.75');
  await saved(page);
});

test('many inputs are changed together, a goal is sought, a baseline is frozen and compared with, and written as PDF', async ({
  page,
}) => {
  await openDemo(page);
  await goTo(page, 'Plan');
  await tab(page, 'What-ifs');
  const detail = region(page, 'A second market day');
  await page
    .getByRole('row')
    .filter({ has: cell(page, 'What-if', 'A second market day') })
    .click();
  await detail.getByRole('button', { name: 'Change together' }).click();
  const bulk = page.getByRole('dialog', { name: 'Change together' });
  await bulk.getByLabel('What', { exact: true }).selectOption('Wages');
  await bulk.getByLabel('Change by').fill('eight');
  await expect(bulk).toContainText('is not a number');
  await bulk.getByLabel('Change by').fill('3.5');
  await bulk.getByRole('button', { name: /^Change \d+ fields in the what-if/ }).click();
  await expect(detail).toContainText('Wages: + 3.5 %');

  // What it would have to cost: the price of a mug for six left of each sale, opened as a what-if of its own.
  await goTo(page, 'Sell');
  await page.locator('[data-detail] .text-lead button').first().click();
  await page.getByRole('button', { name: 'Seek a goal' }).click();
  const goal = page.getByRole('dialog', { name: /^Seek a goal/ });
  await goal.getByLabel('Goal').fill('6');
  await goal.getByRole('button', { name: 'Seek', exact: true }).click();
  const found = goal.getByRole('table', { name: 'Values that reach the goal' });
  await expect(found).toContainText('20.41');
  await found.getByRole('button', { name: 'Open as a what-if' }).click();
  await expect(whatIfBand(page)).toContainText('1 change');
  await expect(page.getByTitle('In the book: 19.50').first()).toBeVisible();
  await whatIfBand(page).getByRole('button', { name: 'Leave the what-if' }).click();

  await goTo(page, 'Plan');
  await tab(page, 'What-ifs');
  await page.getByRole('button', { name: 'Baselines' }).click();
  const baselines = page.getByRole('dialog', { name: 'Baselines' });
  await baselines.getByLabel('Freeze the book as').fill('Before the fair');
  await baselines.getByRole('button', { name: /^Freeze, as of/ }).click();
  await expect(baselines.getByRole('row', { name: /Before the fair/ })).toBeVisible();
  await baselines
    .getByRole('row', { name: /Budget/ })
    .getByRole('link', { name: 'Compare' })
    .click();
  await expect(page.getByRole('table', { name: 'The month on each side' })).toContainText('Budget (frozen)');
  await page.getByRole('link', { name: 'Bridge', exact: true }).click();
  await expect(page.getByRole('table', { name: /From Budget/ }).getByRole('row', { name: /Overhead/ })).toContainText(
    '−30.00',
  );
  await page.getByRole('navigation', { name: 'Comparison' }).getByRole('link', { name: 'Side by side' }).click();
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'PDF' }).click()]);
  expect(readFileSync(await file.path(), 'latin1').startsWith('%PDF')).toBe(true);
});
