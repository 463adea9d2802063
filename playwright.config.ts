import { defineConfig } from '@playwright/test';

const CHROMIUM_FLAGS = [
  '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run',
  '--disable-background-networking', '--disable-component-update', '--disable-sync',
];

/** Every test starts its own server with its own database, so they run side by side. */
export default defineConfig({
  testDir: 'e2e',
  timeout: 120_000,
  expect: { timeout: 30_000 },
  workers: 2,
  fullyParallel: true,
  retries: 0,
  reporter: [['list'], ['json', { outputFile: '.tmp/playwright.json' }]],
  use: {
    launchOptions: { executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: CHROMIUM_FLAGS },
    trace: 'off',
    acceptDownloads: true,
  },
  projects: [
    { name: 'phone', use: { viewport: { width: 390, height: 844 }, hasTouch: true } },
    { name: 'wide', use: { viewport: { width: 1280, height: 800 } } },
  ],
});
