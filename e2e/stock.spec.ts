import { readFileSync } from 'node:fs';
import { expect, test, dayText, demoDay, TEST_DAY } from './test.js';
import { pdfText } from '../apps/server/src/testing/pdf-text.js';
import { cell, goTo, openCopyOfDemo, region, saved } from './app.js';

test('goods are received in part, used, and charged late: stock and cost of sales follow, and a used receipt stays', async ({
  page,
}) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Buy');
  await page.getByRole('link', { name: 'Shipments' }).click();
  await cell(page, 'Shipment', 'Cork trivets, new lot').click();
  const shipment = region(page, 'Cork trivets, new lot');
  await shipment.getByRole('link', { name: 'Received' }).click();
  const late = shipment.getByRole('region', { name: 'Late charges' });
  await expect(late).toContainText('15.06');

  // The rest arrives, two of it broken beyond what is usual: they go to expense at what they cost.
  const receive = shipment.getByRole('region', { name: 'Receive goods' });
  await expect(receive.getByLabel('Good, Cork trivet, round')).toHaveValue('80');
  await receive.getByLabel('Good, Cork trivet, round').fill('78');
  await receive.getByLabel('Abnormal loss, Cork trivet, round').fill('2');
  await receive.getByLabel('Abnormal loss, Cork trivet, round').press('Enter');
  await receive.getByRole('button', { name: 'Post into stock' }).click();
  await expect(receive).toBeHidden();
  await expect(cell(page, 'State', 'Cork trivets, new lot')).toHaveValue('received');
  await expect(shipment.getByRole('region', { name: 'Received so far' })).toContainText('1,170.34');

  // What the forwarder billed more goes where the goods have gone since.
  await late.getByRole('button', { name: 'Post as late charges' }).click();
  await expect(late).toBeHidden();
  await saved(page);
  await shipment.getByRole('link', { name: 'Cork trivet, round' }).click();
  const stock = region(page, 'Cork trivet, round');
  await expect(stock.getByText(/pieces? at/)).toContainText('176.00');
  await stock
    .getByRole('cell', { name: /^\d+\.\d\d$/ })
    .last()
    .getByRole('button')
    .click();
  await expect(page.getByRole('region', { name: 'Working' })).toContainText('stock ledger of Cork trivet, round');
  await page.keyboard.press('Escape');

  // A bill of materials is costed by the stock from now on.
  await goTo(page, 'Buy');
  await cell(page, 'Material', 'Cork trivet, round').click();
  const material = region(page, 'Cork trivet, round');
  await material.getByLabel('Planning basis').selectOption('average of stock');
  await expect(material.getByText(/4\.93\d\d/).first()).toBeVisible();

  // The receipt was used meanwhile: it is not taken back by itself, and says why.
  await page.goto(page.url().replace(/buy.*/, 'buy/stock'));
  await page.getByRole('link', { name: 'Gift box, two mugs' }).click();
  const boxes = region(page, 'Gift box, two mugs');
  await expect(boxes).toContainText('144.00');
  const yearOfReceipt = demoDay('2026-01-22').slice(0, 4);
  const period = boxes.getByLabel('Period', { exact: true });
  // All periods are listed once the choice is focused.
  await period.focus();
  await period.selectOption(`Year ${yearOfReceipt}`);
  await boxes.getByRole('button', { name: new RegExp(`^Remove Receipt of ${dayText(demoDay('2026-01-22'))}`) }).click();
  await expect(page.getByText(/has been used since/)).toBeVisible();
  await expect(boxes).toContainText('144.00');
});

test('a ledger is typed and pasted, every method is beside the others, and a landed cost sheet is saved', async ({
  page,
}) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Buy');
  await page.getByRole('link', { name: 'Stock' }).click();
  await page.getByRole('link', { name: 'Porcelain body' }).click();
  const porcelain = region(page, 'Porcelain body');
  await expect(porcelain).toContainText('Nothing in the ledger yet');
  // What is there at the beginning of a day, and what comes in on it, goes out before what is used.
  const lines = ['Opening stock\t10\t50', 'Receipt\t30\t210', 'Issue\t20\t'].map(
    (line) => `${dayText(TEST_DAY)}\t${line}\n`,
  );
  await cell(page, 'Date', 'new row').evaluate((field, text) => {
    const data = new DataTransfer();
    data.setData('text/plain', text);
    field.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
  }, lines.join(''));
  await page.getByRole('button', { name: /^Paste 3 rows/ }).click();
  await expect(porcelain).toContainText('130.00');
  const methods = porcelain.getByRole('region', { name: 'Methods of valuation' });
  await expect(methods.getByRole('row').filter({ hasText: 'First in, first out' }).first()).toContainText('140.00');
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(porcelain).toContainText('Nothing in the ledger yet');

  await page.goto(page.url().replace(/buy.*/, 'buy/shipments'));
  await cell(page, 'Shipment', 'Cork trivets, new lot').click();
  await region(page, 'Cork trivets, new lot').getByRole('link', { name: 'Landed cost' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'PDF' }).click();
  const file = await (await download).path();
  const text = await pdfText(readFileSync(file));
  for (const said of ['Cork trivets, new lot', 'Cork trivet, round', '1,185.40', 'Workings'])
    expect(text).toContain(said);
});

test('what registering for sales tax would do to every cost is seen before it is done', async ({ page }) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Buy');
  await cell(page, 'Material', 'White stoneware clay').click();
  const clay = region(page, 'White stoneware clay');
  await clay.getByLabel('Sales tax').fill('20');
  await clay.getByLabel('Sales tax').press('Enter');
  await saved(page);
  // The book has sales tax, so all of it is recovered: the price is the cost.
  await expect(clay).toContainText('1.1000');
  await page.goto(page.url().replace(/buy.*/, 'settings'));
  await page.getByRole('button', { name: /^Enter as registered since/ }).click();
  await page.getByRole('button', { name: 'Show the effect of ending the registration' }).click();
  await expect(page.getByRole('row').filter({ hasText: 'Everyday mug' })).toContainText('1.0');
  await page.getByRole('button', { name: 'End the registration today' }).click();
  await saved(page);
  await goTo(page, 'Buy');
  await cell(page, 'Material', 'White stoneware clay').click();
  await expect(clay).toContainText('1.3200');
});
