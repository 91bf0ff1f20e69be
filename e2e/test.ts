import { test as base, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { daysOfMonth, monthsAfter } from '@nuvar/book';
import { DEMO_DAY, wholeMonthsBetween } from '@nuvar/book/demo';
import { TEST_DAY } from '../apps/server/src/testing/test-day.js';

export { expect, type Browser, type Locator, type Page } from '@playwright/test';
export { TEST_DAY };

/** Every page of a test lives on the day of the tests; its clock goes on from ten in the morning. */
const onTestDay = (context: BrowserContext) => context.clock.install({ time: new Date(`${TEST_DAY}T10:00:00Z`) });

export const test = base.extend({
  context: async ({ context }, use) => {
    await onTestDay(context);
    await use(context);
  },
});

/** A page in a browser of somebody else. */
export async function pageOfAnother(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  await onTestDay(context);
  return context.newPage();
}

const MOVED = wholeMonthsBetween(DEMO_DAY, TEST_DAY);

/** Where a day of the demo book lies on the day of the tests, as rows write it. */
export const demoDay = (day: string): string => monthsAfter(day, MOVED);

/** The first day of the month so many months after that in which the demo book lies. */
export const demoMonth = (months: number): string => monthsAfter(`${demoDay(DEMO_DAY).slice(0, 7)}-01`, months);

/** The first day of the month so many months after that of the tests. */
export const testMonth = (months: number): string => monthsAfter(`${TEST_DAY.slice(0, 7)}-01`, months);

/** A day as a book of Ireland writes it: 31/03/2026. */
export const dayText = (day: string): string => day.split('-').reverse().join('/');

/** What a book of Ireland calls a month: March 2026. */
export const monthName = (day: string): string =>
  new Date(`${day}T00:00:00Z`).toLocaleDateString('en-IE', { month: 'long', year: 'numeric', timeZone: 'UTC' });

/** The days from Monday to Friday of the month that begins on a day. */
export function weekdaysOf(month: string): string[] {
  const [year, ofYear] = month.split('-').map(Number) as [number, number];
  const days = Array.from(
    { length: daysOfMonth(year, ofYear) },
    (_none, index) => new Date(Date.UTC(year, ofYear - 1, index + 1)),
  );
  return days.filter((day) => day.getUTCDay() % 6 !== 0).map((day) => day.toISOString().slice(0, 10));
}
