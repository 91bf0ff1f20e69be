import { readFileSync } from 'node:fs';
import { demoMonth, testMonth, expect, test, type Page, monthName, weekdaysOf } from './test.js';
import { pdfText } from '../apps/server/src/testing/pdf-text.js';
import { cell, goTo, newPersonWithBook, openCopyOfDemo, region, saved, type } from './app.js';

const tab = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Run' }).getByRole('link', { name, exact: true }).click();

/** A product of one step, planned with so many units a month. */
async function addProduct(page: Page, name: string, minutes: string, units: string, batch: string): Promise<void> {
  await goTo(page, 'Make');
  await cell(page, 'Product', 'new row').fill(name);
  await cell(page, 'Product', 'new row').press('Enter');
  const product = region(page, name);
  await expect(product.getByLabel('Batch size')).toBeVisible();
  await product.getByLabel('Batch size').fill(batch);
  await product.getByLabel('Batch size').press('Tab');
  await product.getByLabel('Planned sales').fill(units);
  await product.getByLabel('Planned sales').press('Tab');
  await type(page, 'Step', 'new row', `Make ${name}`);
  await cell(page, 'Labour grade', `Make ${name}`).fill('Maker');
  await cell(page, 'Labour grade', `Make ${name}`).press('Enter');
  await type(page, 'Time', `Make ${name}`, minutes);
}

test('an accountant goes from bills to two methods side by side, makes one the method of the book, and hands in the PDF', async ({
  page,
}) => {
  await newPersonWithBook(page, 'Stall and Works');
  await addProduct(page, 'Plain bowl', '30', '300', '100');
  await page.getByRole('link', { name: 'Labour grades' }).click();
  await type(page, 'Wage per hour, EUR', 'Maker', '20');
  await addProduct(page, 'Fancy bowl', '30', '100', '4');

  // Bills in the rhythm in which they come, into pools that are made by typing them.
  await goTo(page, 'Run');
  await type(page, 'Running cost', 'new row', 'Rent');
  await type(page, 'Amount, EUR', 'Rent', '900');
  await cell(page, 'Cost pool', 'Rent').fill('Premises');
  await cell(page, 'Cost pool', 'Rent').press('Enter');
  await type(page, 'Running cost', 'new row', 'Setting out moulds');
  await type(page, 'Amount, EUR', 'Setting out moulds', '6720');
  await cell(page, 'Frequency', 'Setting out moulds').selectOption('yearly');
  await cell(page, 'Cost pool', 'Setting out moulds').fill('Moulds');
  await cell(page, 'Cost pool', 'Setting out moulds').press('Enter');
  await expect(region(page, 'An open day').getByText('1,460.00')).toBeVisible();

  // 1,460 over 200 hours; by activity the moulds go by the 28 batches: 3 of 100 and 25 of 4.
  await tab(page, 'Activities');
  await type(page, 'Activity', 'new row', 'Working');
  await cell(page, 'Driver', 'Working').selectOption('labour hours');
  await type(page, 'Premises, %', 'Working', '100');
  await type(page, 'Activity', 'new row', 'Setting out');
  await cell(page, 'Driver', 'Setting out').selectOption('batches');
  await type(page, 'Moulds, %', 'Setting out', '100');
  await expect(page.getByRole('row').filter({ has: cell(page, 'Driver', 'Setting out') })).toContainText('20.0000');

  await tab(page, 'Methods');
  await type(page, 'Method', 'new row', 'One rate');
  await type(page, 'Method', 'new row', 'Activities');
  await cell(page, 'Type', 'Activities').selectOption('activity-based');
  const sideBySide = region(page, 'Methods side by side');
  await page.goto(`${page.url()}`);
  await expect(sideBySide).toContainText('Single rate on productive hours flatters Fancy bowl most');
  const fancy = sideBySide.getByRole('row', { name: /Fancy bowl/ });
  // 10.00 of labour and 3.65 at one rate; 2.25 + 20.00 / 4 by activity.
  await expect(fancy).toContainText('13.6500');
  await expect(fancy).toContainText('17.2500');

  // Its effect is seen before it feeds the cards.
  const ofBook = region(page, 'Method of the book');
  await ofBook.getByLabel('Another method').selectOption('Activities');
  await ofBook.getByRole('button', { name: 'Use Activities' }).click();
  await saved(page);
  await sideBySide.getByRole('link', { name: 'Fancy bowl' }).click();
  await expect(region(page, 'Cost card').getByRole('row', { name: /Full cost/ })).toContainText('17.2500');

  // The workings, numbered on screen and in the PDF, hold the same figures.
  await region(page, 'Cost card')
    .getByRole('row', { name: /Full cost/ })
    .getByRole('button')
    .first()
    .click();
  await page.getByRole('button', { name: 'Numbered workings' }).click();
  await expect(page.getByRole('list', { name: 'Numbered workings' })).toContainText('Working 1: Full cost, Fancy bowl');
  await page
    .getByRole('region', { name: /^Working of/ })
    .getByRole('button', { name: 'Close' })
    .click();
  const saving = page.waitForEvent('download');
  await region(page, 'By method').getByRole('button', { name: 'PDF' }).click();
  const text = await pdfText(readFileSync(await (await saving).path()));
  for (const said of [
    'Cost cards',
    'Stall and Works',
    'Made by: Robin Tester',
    'Fancy bowl',
    '17.2500',
    '13.6500',
    'Workings',
  ])
    expect(text).toContain(said);
});

test('volumes by month, departments and a month of actual overhead in a copy of the demo', async ({ page }) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Run');
  await tab(page, 'Volumes');
  // A month is typed, and follows the season again when it is emptied.
  const teapots = page.getByRole('row').filter({ hasText: 'Teapot with cane handle' }).first();
  await teapots.getByLabel(/^Dec, /).fill('60');
  await teapots.getByLabel(/^Dec, /).press('Tab');
  await expect(region(page, 'What the plan needs').getByRole('row', { name: /Teapot/ })).toContainText('25');
  await page.keyboard.press('Control+z');
  await expect(region(page, 'What the plan needs').getByRole('row', { name: /Teapot/ })).toContainText('24');

  await tab(page, 'Departments');
  const allocation = region(page, 'Allocation');
  await expect(allocation.getByRole('row', { name: /To be absorbed/ })).toContainText('830.66');
  await allocation.getByRole('button', { name: 'step-down' }).click();
  await expect(allocation).toContainText('what Studio upkeep uses of it is left out');
  await allocation.getByRole('button', { name: 'Step back' }).click();
  await expect(allocation).toContainText('1 of 2 services passed on');

  await tab(page, 'Year');
  // Three working days of next month are closed.
  const weekdays = [0, 1, 2].map((months) => weekdaysOf(testMonth(months)));
  const lines = (weekdays[1] ?? [])
    .slice(0, 3)
    .map((day, index) => `${day}\tFestival, day ${index + 1}\n`)
    .join('');
  const counts = weekdays.map((days, months) => `${days.length - (months === 1 ? 3 : 0)}\\.0`);
  await region(page, 'Open days').getByLabel('Counted by').selectOption('the calendar below');
  await cell(page, 'Date', 'new row').evaluate((field, text) => {
    const data = new DataTransfer();
    data.setData('text/plain', text);
    field.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
  }, lines);
  await page.getByRole('button', { name: /^Paste 3 rows/ }).click();
  await expect(page.getByRole('row', { name: /^Open days/ })).toContainText(new RegExp(counts.join('.*')));

  await tab(page, 'Absorption');
  await expect(region(page, monthName(demoMonth(-1)))).toContainText('under-absorbed');
  await tab(page, 'Profit');
  await page.getByLabel('Month', { exact: true }).selectOption(monthName(testMonth(1)));
  await expect(region(page, 'Profit of the month').getByRole('row', { name: /^Profit/ })).toContainText(/\d\.\d\d/);
});
