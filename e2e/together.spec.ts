import { expect, test, type Browser, type Page, pageOfAnother } from './test.js';
import { baseUrl, cell, goTo, newPersonWithBook, openNewWhatIf, saved, type, whatIfBand } from './app.js';

/** A second person who signs in on a machine of their own. */
async function secondPerson(browser: Browser, book: string): Promise<{ page: Page; email: string }> {
  const page = await pageOfAnother(browser);
  const { email } = await newPersonWithBook(page, book);
  return { page, email };
}

async function takeIn(page: Page, email: string, role: string): Promise<void> {
  await page.goto(`${page.url().split('/').slice(0, 5).join('/')}/settings`);
  await page.getByLabel('E-mail address').fill(email);
  await page.locator('select[name=role]').selectOption(role);
  await page.getByRole('button', { name: 'Add' }).click();
  await expect(page.getByText(email)).toBeVisible();
}

test('two people see each other edit; where both changed one field, the later one chooses; each has a what-if', async ({
  page,
  browser,
}) => {
  await newPersonWithBook(page, 'Shared Shelf');
  await goTo(page, 'Buy');
  await type(page, 'Material', 'new row', 'Jam');
  await type(page, 'Price, EUR', 'Jam', '10');
  await saved(page);
  const other = await secondPerson(browser, 'A Book Apart');
  await takeIn(page, other.email, 'editor');
  await goTo(page, 'Buy');
  await expect(cell(page, 'Price, EUR', 'Jam')).toBeVisible();
  await other.page.goto(page.url());
  await expect(cell(other.page, 'Price, EUR', 'Jam')).toHaveValue('10');

  await type(page, 'Price, EUR', 'Jam', '11');
  await expect(cell(other.page, 'Price, EUR', 'Jam')).toHaveValue('11');

  // The second person's edit is held back on its way, as on a slow line, while the first changes the same field.
  let letGo: () => void = () => undefined;
  const held = new Promise<void>((done) => (letGo = done));
  await other.page.route('**/changes', async (route) => {
    if (route.request().method() === 'POST') await held;
    await route.continue();
  });
  await type(other.page, 'Price, EUR', 'Jam', '13');
  await type(page, 'Price, EUR', 'Jam', '12');
  await saved(page);
  letGo();
  const dialog = other.page.getByRole('dialog', { name: 'Changed by somebody else' });
  await expect(dialog).toContainText('Theirs: 12');
  await dialog.getByLabel('Yours: 13').check();
  await dialog.getByRole('button', { name: 'Save my choice' }).click();
  await expect(cell(page, 'Price, EUR', 'Jam')).toHaveValue('13');
  await saved(other.page);

  // What one of them asks is seen by neither in the book, nor in the what-if of the other.
  await openNewWhatIf(page, 'dearer jam');
  await openNewWhatIf(other.page, 'jam by the case');
  await type(page, 'Price, EUR', 'Jam', '20');
  await type(other.page, 'Price, EUR', 'Jam', '9');
  await saved(page);
  await saved(other.page);
  await expect(cell(page, 'Price, EUR', 'Jam')).toHaveValue('20');
  await expect(cell(other.page, 'Price, EUR', 'Jam')).toHaveValue('9');
  await other.page.getByRole('button', { name: 'Leave the what-if' }).click();
  await expect(cell(other.page, 'Price, EUR', 'Jam')).toHaveValue('13');
  await expect(whatIfBand(other.page)).toHaveCount(0);
  await expect(whatIfBand(page)).toContainText('1 change');
  await goTo(other.page, 'Plan');
  await other.page
    .getByRole('navigation', { name: 'Plan', exact: true })
    .getByRole('link', { name: 'What-ifs', exact: true })
    .click();
  await expect(cell(other.page, 'What-if', 'dearer jam')).toBeVisible();
  await expect(cell(other.page, 'What-if', 'jam by the case')).toBeVisible();
});

test('a reader looks but cannot edit, and a book that is not yours does not exist for you', async ({
  page,
  browser,
}) => {
  await newPersonWithBook(page, 'Reading Room');
  await goTo(page, 'Buy');
  await type(page, 'Material', 'new row', 'Paper');
  await saved(page);
  const address = page.url();
  const other = await secondPerson(browser, 'Elsewhere');
  await other.page.goto(address);
  await expect(other.page.getByRole('heading', { name: 'Book not found' })).toBeVisible();

  await takeIn(page, other.email, 'reader');
  await other.page.goto(address);
  await expect(cell(other.page, 'Material', 'Paper')).toHaveAttribute('readonly', '');
  await expect(cell(other.page, 'Material', 'new row')).toHaveCount(0);
  expect(baseUrl()).not.toBe('');
});
