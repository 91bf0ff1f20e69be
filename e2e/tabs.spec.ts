import { newId } from '@nuvar/book';
import { expect, test, type Page, pageOfAnother } from './test.js';
import { baseUrl, cell, goTo, newPersonWithBook, openDemo, region, saved, type } from './app.js';

/** The streams of events that a page opens, as they are asked for. */
function streamsOf(page: Page): string[] {
  const asked: string[] = [];
  page.on('request', (request) => {
    if (request.url().endsWith('/api/events')) asked.push(request.url());
  });
  return asked;
}

test('eight tabs share one stream of news, hear of each edit, and hand the stream on', async ({ page, context }) => {
  await newPersonWithBook(page, 'Many Windows');
  await goTo(page, 'Buy');
  await type(page, 'Material', 'new row', 'Oak');
  await saved(page);
  const address = page.url();
  await page.close();
  const streams: string[][] = [];
  const tabs: Page[] = [];
  for (let tab = 0; tab < 8; tab += 1) {
    const opened = await context.newPage();
    streams.push(streamsOf(opened));
    await opened.goto(address);
    await expect(cell(opened, 'Material', 'Oak')).toBeVisible();
    tabs.push(opened);
  }
  expect(streams.flat()).toHaveLength(1);
  const [first, ...others] = tabs as [Page, ...Page[]];
  await type(others[0] as Page, 'Price, EUR', 'Oak', '7');
  for (const tab of tabs) await expect(cell(tab, 'Price, EUR', 'Oak')).toHaveValue('7');
  // The tab that held the stream goes: another takes it over, and nothing is missed.
  await first.close();
  await type(others[1] as Page, 'Price, EUR', 'Oak', '8');
  for (const tab of others) await expect(cell(tab, 'Price, EUR', 'Oak')).toHaveValue('8');
  await expect.poll(() => streams.flat().length).toBe(2);
  // A tab that loads page after page is not kept waiting by the streams of those it has left.
  const reader = others[0] as Page;
  for (const area of ['buy', 'make', 'run', 'sell', 'plan', 'history'])
    await reader.goto(`${address.slice(0, address.lastIndexOf('/'))}/${area}`, { waitUntil: 'load', timeout: 30_000 });
});

test('an edit at which the server fails can be set aside; those after it go on, those that need it go with it', async ({
  page,
}) => {
  await newPersonWithBook(page, 'One Bad Edit');
  await goTo(page, 'Buy');
  await type(page, 'Material', 'new row', 'Linen');
  await saved(page);
  await page.route('**/changes', async (route) => {
    const isBad = route.request().postData()?.includes('Cursed') ?? false;
    const problems = [{ code: 'server-error', sentence: 'Something went wrong on the server.' }];
    await (isBad ? route.fulfill({ status: 500, json: { problems } }) : route.continue());
  });
  await type(page, 'Material', 'new row', 'Cursed cloth');
  await type(page, 'Price, EUR', 'Cursed cloth', '9');
  await type(page, 'Price, EUR', 'Linen', '4');
  await expect(
    page.getByText(/The server cannot store one of your edits \(Cursed cloth \(material\) added/),
  ).toBeVisible({
    timeout: 80_000,
  });
  await page.getByRole('button', { name: 'Set it aside' }).click();
  await saved(page);
  await expect(cell(page, 'Price, EUR', 'Linen')).toHaveValue('4');
  await expect(cell(page, 'Material', 'Cursed cloth')).toHaveCount(0);

  await page.unrouteAll({ behavior: 'wait' });
  await page.goto(page.url().replace(/\/buy.*/, '/history'));
  const aside = region(page, 'Edits set aside');
  await expect(aside.getByRole('listitem')).toHaveCount(2);
  const download = page.waitForEvent('download');
  await aside.getByRole('button', { name: 'Download as a file' }).click();
  expect((await download).suggestedFilename()).toBe('One Bad Edit - edits set aside.json');
  await aside.getByRole('button', { name: 'Try again' }).first().click();
  await expect(aside.getByRole('listitem')).toHaveCount(1);
  await aside.getByRole('button', { name: 'Try again' }).click();
  await expect(aside).toHaveCount(0);
  await goTo(page, 'Buy');
  await expect(cell(page, 'Price, EUR', 'Cursed cloth')).toHaveValue('9');
  await saved(page);
});

test('each visitor of the demo has a book of their own, and keeps it by making an account', async ({
  page,
  browser,
}) => {
  await openDemo(page);
  const address = page.url();
  await goTo(page, 'Buy');
  await type(page, 'Material', 'new row', 'Visitor clay');
  await saved(page);
  const other = await pageOfAnother(browser);
  await openDemo(other);
  expect(other.url()).not.toBe(address);
  await goTo(other, 'Buy');
  await expect(cell(other, 'Material', 'White stoneware clay')).toBeVisible();
  await expect(cell(other, 'Material', 'Visitor clay')).toHaveCount(0);
  await other.goto(address);
  await expect(other.getByRole('heading', { name: 'Book not found' })).toBeVisible();

  await page.getByRole('button', { name: 'Guest' }).click();
  await page.getByRole('menuitem', { name: 'Keep this book: create an account' }).click();
  const email = `kept-${newId()}@example.test`;
  await page.getByLabel('Your name').fill('Wren Visitor');
  await page.getByLabel('E-mail address').fill(email);
  await page.getByLabel('Password').fill('a long enough password');
  await page.getByRole('button', { name: 'Create account' }).click();
  await expect(page).toHaveURL(address);
  await expect(page.getByRole('button', { name: 'Wren Visitor' })).toBeVisible();
  // An answer that is still on its way would bring the cookie back.
  await page.goto('about:blank');
  await page.context().clearCookies();
  await page.goto(baseUrl());
  await page.getByLabel('E-mail address').fill(email);
  await page.getByLabel('Password').fill('a long enough password');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('link', { name: /Quillfern Pottery/ }).click();
  await goTo(page, 'Buy');
  await expect(cell(page, 'Material', 'Visitor clay')).toBeVisible();
});
