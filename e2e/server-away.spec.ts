import { expect, test } from './test.js';
import { baseUrl, cell, goTo, newPersonWithBook, saved, type } from './app.js';
import { startServer } from './server.js';

test('edits made while the server is stopped arrive when it is back, also after a reload', async ({ page }) => {
  const server = await startServer();
  try {
    await newPersonWithBook(page, 'Storm Proof', server.url);
    await goTo(page, 'Buy');
    await type(page, 'Material', 'new row', 'Wool');
    await saved(page);

    await server.stop();
    await type(page, 'Pack', 'Wool', '2 kg');
    await type(page, 'Price, EUR', 'Wool', '36');
    await expect(page.getByText(/The server does not answer\. You can keep working\. \d edits are kept/)).toBeVisible();
    await expect(page.getByRole('button', { name: '18.0000' }).first()).toBeVisible();
    await server.start();
    await saved(page);

    await server.stop();
    await type(page, 'Material', 'new row', 'Buttons');
    await expect(page.getByText(/One edit is kept/)).toBeVisible();
    await server.start();
    await page.reload();
    await expect(cell(page, 'Material', 'Buttons')).toBeVisible();
    await saved(page);

    await page.evaluate(() => indexedDB.deleteDatabase('nuvar-outbox'));
    await page.reload();
    await expect(cell(page, 'Material', 'Buttons')).toBeVisible();
    await expect(cell(page, 'Price, EUR', 'Wool')).toHaveValue('36');
  } finally {
    await server.stop();
  }
});

test('an edit made after the session has ended waits for a new sign-in', async ({ page }) => {
  const { email, password } = await newPersonWithBook(page, 'Long Lunch');
  await goTo(page, 'Buy');
  await type(page, 'Material', 'new row', 'Bread');
  await saved(page);
  // The session ends on the server, as after a month: answers that are under way cannot bring it back.
  await page.request.delete(`${baseUrl()}/api/session`);
  await type(page, 'Price, EUR', 'Bread', '4.20');
  await expect(page.getByText(/You have been signed out\. One edit is kept/)).toBeVisible();
  await page.getByRole('button', { name: 'Sign in again' }).click();
  await page.getByLabel('E-mail address').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(cell(page, 'Price, EUR', 'Bread')).toHaveValue('4.20');
  await saved(page);
});

test('an edit made while the page is fetching what is new is sent all the same', async ({ page }) => {
  await newPersonWithBook(page, 'Busy Line');
  await goTo(page, 'Buy');
  await type(page, 'Material', 'new row', 'Thread');
  await saved(page);
  let letGo: () => void = () => undefined;
  const held = new Promise<void>((done) => (letGo = done));
  const asked = page.waitForRequest('**/changes?since=*');
  await page.route('**/changes?since=*', async (route) => {
    const answer = await route.fetch();
    await held;
    await route.fulfill({ response: answer });
  });
  await type(page, 'Price, EUR', 'Thread', '3');
  await asked;
  // Its answer is on its way and knows nothing of what is typed now.
  await type(page, 'Price, EUR', 'Thread', '4');
  letGo();
  await saved(page);
  await page.unrouteAll({ behavior: 'wait' });
  await page.reload();
  await expect(cell(page, 'Price, EUR', 'Thread')).toHaveValue('4');
});
