/** npm run screenshots: one current picture of each main view, from demo data, into docs/screenshots. */
import { chromium } from '@playwright/test';
import { CHROMIUM_LAUNCH } from './chromium.ts';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { checkNode, ensureBuilt, ensureInstalled, root } from './prepare.mjs';

/** A busy machine may be many times slower than a quiet one. */
const PATIENCE_MS = 300_000;
const PORT = Number(process.env.PORT ?? 4793);
const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };

const VIEWS = [
  ['today', '/', PHONE, 'light'],
  [
    'plan',
    '/plan',
    PHONE,
    'dark',
    async (page) => {
      await page.getByRole('button', { name: 'Next' }).click();
      await page.getByRole('button', { name: 'Make the plan' }).click();
      await page.getByRole('button', { name: 'Accept the plan' }).waitFor({ timeout: PATIENCE_MS });
    },
  ],
  ['room', '/rooms/loft', PHONE, 'light'],
  ['room-wide', '/rooms/loft', WIDE, 'light'],
  ['stand', '/stands/rack', PHONE, 'light'],
  ['spot', '/spots/bench-1b', PHONE, 'light'],
  ['plants', '/plants', PHONE, 'light'],
  ['plant-wide', '/plants/p-moth', WIDE, 'dark'],
  [
    'add-plant',
    '/plants/add',
    PHONE,
    'light',
    async (page) => page.getByRole('searchbox', { name: 'What is it called?' }).fill('spathifilum'),
  ],
  [
    'board-wide',
    '/plan',
    WIDE,
    'light',
    async (page) => {
      await page.getByRole('button', { name: 'Make the plan' }).click();
      await page.getByRole('button', { name: 'Plants against spots' }).click({ timeout: PATIENCE_MS });
      await page.getByRole('row', { name: /^White moth/ }).press('ArrowRight');
      await page.waitForTimeout(1000);
    },
  ],
  ['why', '/why?figure=dli&spot=bench-1b&month=11', PHONE, 'light'],
  [
    'room-day-wide',
    '/light/day/loft',
    WIDE,
    'light',
    async (page) => page.getByText('Its patch on the floor').waitFor({ timeout: PATIENCE_MS }),
  ],
  ['light-year', '/light/year/sill-2', PHONE, 'light'],
  ['tier', '/light/tier/rack-2', PHONE, 'light'],
  [
    'taxon',
    '/catalogue/schlumbergera-truncata',
    PHONE,
    'light',
    async (page) => page.getByText('Its year, full grown, in this home').scrollIntoViewIfNeeded(),
  ],
  [
    'air',
    '/air/loft',
    PHONE,
    'light',
    async (page) => page.getByText('A typical day in').waitFor({ timeout: PATIENCE_MS }),
  ],
  [
    'reading',
    '/light/reading/rack-mid-1',
    PHONE,
    'light',
    async (page) => {
      await page.getByLabel('The meter shows').fill('10600');
      await page.getByRole('radio', { name: 'Dark: lamps alone' }).click();
      await page.getByTestId('compared').waitFor({ timeout: PATIENCE_MS });
    },
  ],
  ['plants-wide', '/plants', WIDE, 'light'],
  ['catalogue-wide', '/catalogue/hoya-carnosa', WIDE, 'light'],
];

checkNode();
ensureInstalled();
await ensureBuilt();
const folder = mkdtempSync(path.join(tmpdir(), 'dulvan-shots-'));
const server = spawn(process.execPath, ['scripts/start.mjs', '--demo', '--no-devices'], {
  cwd: root,
  env: { ...process.env, PORT: String(PORT), DULVAN_DATA: path.join(folder, 'demo.sqlite') },
});
await new Promise((resolve) =>
  server.stdout.on('data', (chunk) => String(chunk).includes('Dulvan is at') && resolve()),
);
const browser = await chromium.launch(CHROMIUM_LAUNCH);
try {
  for (const [name, address, viewport, colorScheme, act] of VIEWS) {
    const page = await browser.newPage({ viewport, colorScheme, reducedMotion: 'reduce' });
    page.on('console', (message) => {
      if (['error', 'warning'].includes(message.type())) console.log(`${name}: ${message.type()}: ${message.text()}`);
    });
    await page.goto(`http://127.0.0.1:${PORT}${address}`);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    await page.getByRole('progressbar').first().waitFor({ state: 'hidden', timeout: PATIENCE_MS });
    await page.waitForTimeout(1500);
    if (act) await act(page);
    await page.waitForTimeout(300);
    await page.getByText('Looking for what would help').first().waitFor({ state: 'hidden', timeout: PATIENCE_MS });
    await page.screenshot({ path: path.join(root, 'docs/screenshots', `${name}.png`) });
    await page.close();
  }
} finally {
  await browser.close();
  server.kill();
  rmSync(folder, { recursive: true, force: true });
}
