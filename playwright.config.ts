import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './scripts/setup/chromium.mjs';

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/global-setup.ts',
  // Both carry a machine that is four times slower than a quiet one.
  timeout: 300_000,
  expect: { timeout: 40_000 },
  workers: 2,
  fullyParallel: true,
  // On a machine that is busy with other things a click can fall between two layouts. What needs a second try is reported.
  retries: process.env.CI === undefined ? 0 : 1,
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-IE',
    timezoneId: 'Europe/Dublin',
    // Writing down each step takes longer than most steps: only those of a second try are written down.
    trace: 'on-first-retry',
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: CHROMIUM,
      args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu'],
    },
  },
});
