import { defineConfig } from '@playwright/test';
import { CHROMIUM_LAUNCH } from './scripts/chromium';

/**
 * Every test starts its own server with its own database, so they run side by side. A busy machine may be many times
 * slower than a quiet one, so the limits only end what hangs.
 */
export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/worked-out-demo.ts',
  timeout: 1_800_000,
  expect: { timeout: 600_000 },
  workers: 2,
  fullyParallel: true,
  retries: 0,
  reporter: [['list'], ['json', { outputFile: '.tmp/playwright.json' }]],
  use: {
    launchOptions: CHROMIUM_LAUNCH,
    trace: 'off',
    acceptDownloads: true,
  },
  projects: [
    { name: 'phone', grepInvert: /@wide/, use: { viewport: { width: 390, height: 844 }, hasTouch: true } },
    { name: 'wide', grepInvert: /@phone/, use: { viewport: { width: 1280, height: 800 } } },
  ],
});
