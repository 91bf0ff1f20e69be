import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from './test.js';
import { baseUrl, openDemo } from './app.js';

const SCREENS = [
  '',
  '/buy',
  '/make',
  '/make/grades',
  '/run',
  '/run/year',
  '/run/activities',
  '/run/methods',
  '/sell',
  '/sell/channels',
  '/sell/board',
  '/sell/quotes',
  '/sell?side=left',
  '/sell?side=chance',
  '/plan',
  '/plan/mix',
  '/plan/mix?side=uses',
  '/plan/decisions',
  '/loose-ends',
  '/history',
  '/settings',
  '/buy/import',
  '/make/equipment',
  '/make/guide',
];

for (const theme of ['light', 'dark']) {
  test(`no screen has a serious fault of accessibility, in ${theme}`, async ({ page }) => {
    // Some fifty screens, one after the other: on a slow machine longer than any other path.
    test.setTimeout(600_000);
    // Looking over every element of every screen takes its time.
    await page.addInitScript((chosen) => localStorage.setItem('nuvar-theme', chosen), theme);
    await page.goto(baseUrl());
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    const found: string[] = [];
    const look = async (screen: string) => {
      const axe = new AxeBuilder({ page }).exclude('option').options({ resultTypes: ['violations'] });
      // Only colours differ in dark: all else was looked at in light.
      const { violations } = await (theme === 'dark' ? axe.withRules(['color-contrast']) : axe).analyze();
      for (const { id, impact, nodes } of violations) {
        if (impact === 'serious' || impact === 'critical')
          found.push(`${screen}: ${id}: ${nodes[0]?.html.slice(0, 160) ?? ''}`);
      }
    };
    await look('/sign-in');
    await openDemo(page);
    const book = page.url();
    for (const screen of SCREENS) {
      // As a link leads there: nothing is loaded anew.
      await page.evaluate((address) => {
        history.pushState({}, '', address);
        dispatchEvent(new PopStateEvent('popstate'));
      }, `${book}${screen}`);
      await page.waitForTimeout(700);
      if (screen === '/sell') await page.getByRole('button', { name: '5.29' }).first().click();
      if (screen === '/plan/mix') {
        await page.getByRole('button', { name: 'Find the best mix' }).click();
        await expect(page.getByText('No other mix is as good.')).toBeVisible();
      }
      await look(screen);
    }
    expect(found).toEqual([]);
  });
}
