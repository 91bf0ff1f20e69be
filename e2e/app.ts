import { newId } from '@nuvar/book';
import { quillfernPottery } from '@nuvar/book/demo';
import { expect, type Locator, type Page, TEST_DAY } from './test.js';

export const baseUrl = () => process.env.NUVAR_URL ?? '';

/** Signs up somebody who was not there before, and makes a book of that name, in a country of its own where one is given. */
export async function newPersonWithBook(
  page: Page,
  book: string,
  url = baseUrl(),
  country?: string,
): Promise<{ email: string; password: string }> {
  const person = {
    email: `person-${newId()}@example.test`,
    password: 'a long enough password',
  };
  await page.goto(url);
  await page.getByRole('button', { name: 'I am new here' }).click();
  await page.getByLabel('Your name').fill('Robin Tester');
  await page.getByLabel('E-mail address').fill(person.email);
  await page.getByLabel('Password').fill(person.password);
  await page.getByRole('button', { name: 'Create account' }).click();
  await makeBook(page, book, country);
  return person;
}

/** A copy of the demo book for a person of its own: what is changed in it disturbs nobody. */
export async function openCopyOfDemo(page: Page): Promise<void> {
  await newPersonWithBook(page, 'Quillfern Copies');
  const made = await page.request.post(`${baseUrl()}/api/book-files`, { data: quillfernPottery(TEST_DAY) });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`${baseUrl()}/books/${id}`);
  await expect(page.getByRole('heading', { name: 'Which products earn most' })).toBeVisible();
}

export async function makeBook(page: Page, name: string, country?: string): Promise<void> {
  await page.getByLabel('Name of the business').fill(name);
  if (country !== undefined) await page.getByLabel('Country').selectOption(country);
  await page.getByRole('button', { name: 'Create book' }).click();
  await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
}

export async function openDemo(page: Page, url = baseUrl()): Promise<void> {
  await page.goto(url);
  await page.getByRole('button', { name: 'Open the demo book' }).click();
  await expect(page.getByRole('heading', { name: 'Which products earn most' })).toBeVisible();
}

export const goTo = (page: Page, area: string) =>
  page.getByRole('navigation', { name: 'Areas' }).getByRole('link', { name: area }).click();

/** A cell of a grid that is edited where it stands, by its column and the name of its row. */
export const cell = (page: Page, column: string, row: string): Locator =>
  page.getByLabel(`${column}, ${row}`, { exact: true });

/** Types a value into a cell and leaves it. */
export async function type(page: Page, column: string, row: string, text: string): Promise<void> {
  await cell(page, column, row).fill(text);
  await cell(page, column, row).press('Tab');
}

export const saved = (page: Page) => expect(page.getByText('Saved', { exact: true })).toBeVisible();

export const region = (page: Page, name: string): Locator => page.getByRole('region', { name, exact: true });

/** The band that says which what-if is open. */
export const whatIfBand = (page: Page): Locator => page.getByRole('status').filter({ hasText: 'What if:' });

/** Begins a what-if of that name, and opens it. */
export async function openNewWhatIf(page: Page, name: string): Promise<void> {
  await page.getByRole('banner').getByRole('button', { name: 'Baseline' }).click();
  await page.getByLabel('What if ...').fill(name);
  await page.getByRole('button', { name: 'Open', exact: true }).click();
  await expect(whatIfBand(page)).toContainText(name);
}
