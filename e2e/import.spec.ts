import { expect, test, demoDay } from './test.js';
import { cell, goTo, openCopyOfDemo, region, saved } from './app.js';

/** A list as it comes: an address above, decimal commas, a code, a word for a unit that nobody knows, holes and repeats. */
const inGerman = (day: string) => demoDay(day).split('-').reverse().join('.');
const [JULY, NOVEMBER] = [inGerman('2026-07-01'), inGerman('2026-11-01')];
const LIST = [
  'Harrowmere Clays;;;;',
  'Price list July;;;;',
  ';;;;',
  'Art. no;Description;Pack;Price;Valid from',
  `HC-01;White stoneware clay;12,5 kg;€ 15,13;${JULY}`,
  `HC-02;Speckeld stoneware clay;12,5 kg;€ 18,20;${NOVEMBER}`,
  `HC-03;Grog, fine;1 Sack;9,80;${NOVEMBER}`,
  `HC-04;"Clay, ""black""; chunky";10 kg;€ 21,00;${NOVEMBER}`,
  ';;;;',
  `HC-05;No price yet;5 kg;;${NOVEMBER}`,
  `HC-04;"Clay, ""black""; chunky";10 kg;€ 21,00;${NOVEMBER}`,
].join('\r\n');

test('a messy price list goes from its file to new unit costs, and back by one undo', async ({ page }) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Make');
  const cost = () => page.getByRole('row').filter({ has: cell(page, 'Product', 'Breakfast bowl') });
  await expect(cost()).toContainText(/\d+\.\d\d/);
  const [before = ''] = /\d+\.\d\d/.exec(await cost().innerText()) ?? [];

  await goTo(page, 'Buy');
  await page.getByRole('link', { name: 'Import a price list' }).click();
  await page.setInputFiles('input[type=file]', {
    name: 'harrowmere.csv',
    mimeType: 'text/csv',
    // Windows-1252 has the euro sign where Latin-1 has none.
    buffer: Buffer.from(LIST.replaceAll('€', '\u0080'), 'latin1'),
  });
  const read = region(page, 'Preview');
  await read.getByLabel('Supplier').fill('Harrowmere Clays');
  await expect(read.getByRole('button', { name: '3 not understood' })).toBeVisible();
  const line = (number: number) =>
    read.getByRole('row').filter({ has: page.getByRole('rowheader', { name: String(number), exact: true }) });
  await expect(line(5)).toContainText('new price of White stoneware clay +14.62 %');
  await expect(line(10)).toContainText('it has no price');
  await expect(line(11)).toContainText('it is the same as line 8');

  // The misspelt name is offered the material that is meant, best first; the sack is said once.
  await expect(line(6)).toContainText('new material');
  await read.getByLabel('What line 6 is').selectOption({ index: 1 });
  await expect(read.getByLabel('What line 6 is').locator('option:checked')).toHaveText(
    'price of Speckled stoneware clay',
  );
  await read.getByLabel('"sack" is').selectOption('kg');
  await expect(read.getByRole('button', { name: '2 not understood' })).toBeVisible();
  await read.getByRole('button', { name: 'Import 4 prices, leave out 2' }).click();
  await expect(page.getByText('4 prices imported from harrowmere.csv. One undo removes them all.')).toBeVisible();
  await saved(page);

  await goTo(page, 'Make');
  await expect(cost()).not.toContainText(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cost()).toContainText(before);
});

test('what is no list is refused in words, and nothing is taken in', async ({ page }) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Buy');
  await page.getByRole('link', { name: 'Import a price list' }).click();
  const refuse = async (name: string, buffer: Buffer, sentence: string) => {
    await page.setInputFiles('input[type=file]', { name, mimeType: 'application/octet-stream', buffer });
    await expect(page.getByRole('alert').filter({ hasText: sentence })).toBeVisible();
  };
  await refuse('huge.csv', Buffer.alloc(21 * 1024 * 1024, 'a,1\n'), 'at most 20 MB are opened. Nothing was imported.');
  await refuse(
    'x.xml',
    Buffer.from('<?xml version="1.0"?><!DOCTYPE a [<!ENTITY b "c">]><Invoice/>'),
    'declares entities',
  );
  await refuse('x.xlsx', Buffer.from('PK\u0003\u0004 nothing'), 'This is not an XLSX workbook.');
  const long = Array.from({ length: 50_000 }, (_row, index) => `Thing ${index};1 kg;${index},50`).join('\n');
  await page.setInputFiles('input[type=file]', {
    name: 'long.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`Name;Pack;Price\n${long}`),
  });
  await page.getByRole('button', { name: 'Import 50,000 prices' }).click();
  await expect(
    page.getByRole('alert').filter({ hasText: 'at most 20,000 can be imported at once. Split the list.' }),
  ).toBeVisible();
});

test('a file that is being read can be stopped, and then nothing of it comes', async ({ page }) => {
  await openCopyOfDemo(page);
  await goTo(page, 'Buy');
  await page.getByRole('link', { name: 'Import a price list' }).click();
  let goOn: () => void = () => undefined;
  const held = new Promise<void>((done) => (goOn = done));
  await page.route('**/read.worker-*.js', async (route) => {
    await held;
    await route.continue();
  });
  const list = { name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from('Name;Pack;Price\nClay;1 kg;2,50') };
  await page.setInputFiles('input[type=file]', list);
  await expect(page.getByRole('progressbar', { name: 'Reading list.csv' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  goOn();
  await expect(page.getByText('Reading list.csv')).toBeHidden();
  await expect(page.getByRole('button', { name: /^Import \d/ })).toBeHidden();
  await page.setInputFiles('input[type=file]', list);
  await expect(page.getByRole('button', { name: 'Import 1 price' })).toBeVisible();
});
