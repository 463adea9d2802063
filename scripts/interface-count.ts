/**
 * npm run interface: how much the interface asks at once, what it weighs, and how far it is to a first verdict. For
 * each form and each main screen at the width of a phone: controls in the whole page and on its first screenful. Lines
 * of own interface code by folder. Bytes of a first load.
 */
import { chromium, type Browser, type Page } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { CHROMIUM_LAUNCH } from './chromium';

const PORT = Number(process.env.PORT ?? 4796);
const PHONE = { width: 390, height: 844 };
const FORMS = [
  ['home', '/place/home/sail-loft'],
  ['room', '/place/rooms/loft'],
  ['cabinet', '/place/rooms/cabinet'],
  ['window', '/place/windows/gable'],
  ['thing outside', '/place/obstructions/new?parent=loft'],
  ['solid thing', '/place/blocks/new?parent=loft'],
  ['month of air', '/place/air/new?parent=loft'],
  ['stand', '/place/stands/rack'],
  ['spot', '/place/spots/bench-1a'],
  ['circuit', '/place/circuits/rack-timer'],
  ['lamp', '/place/lamps/rack-panel'],
  ['plant', '/plants/p-moth'],
  ['room with its curtains', '/rooms/loft'],
] as const;
/** What is touched, typed into or followed. */
const ROLES = ['button', 'radio', 'checkbox', 'slider', 'combobox', 'switch'].map((role) => `[role=${role}]`);
const CONTROLS = ['input', 'textarea', 'a[href]', 'button', ...ROLES].join(', ');

/**
 * Controls seen in the page's main part: all, on its first screenful, and those that ask something rather than lead
 * away.
 */
function controlsOn(page: Page): Promise<{ all: number; atOnce: number; asking: number }> {
  return page.getByRole('main').evaluate((main, selector) => {
    const shown = Array.from(main.querySelectorAll(selector)).filter((element) => {
      const { width, height } = element.getBoundingClientRect();
      return width > 0 && height > 0 && !element.closest('[aria-hidden=true]');
    });
    return {
      all: shown.length,
      atOnce: shown.filter((element) => element.getBoundingClientRect().top < window.innerHeight).length,
      asking: shown.filter((element) => !element.matches('a[href]')).length,
    };
  }, CONTROLS);
}

async function countControls(browser: Browser, url: string): Promise<void> {
  console.log('controls on a phone: in all, on the first screenful, and not counting links');
  const page = await browser.newPage({ viewport: PHONE, reducedMotion: 'reduce' });
  for (const [name, address] of FORMS) {
    await page.goto(`${url}${address}`);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    if (name === 'plant') await page.getByRole('button', { name: /^Edit/ }).click();
    if (await page.getByRole('button', { name: /^Edit this / }).isVisible())
      await page.getByRole('button', { name: /^Edit this / }).click();
    await page.waitForTimeout(2500);
    const { all, atOnce, asking } = await controlsOn(page);
    console.log(
      `  ${name.padEnd(24)} ${String(all).padStart(4)} ${String(atOnce).padStart(4)} ${String(asking).padStart(4)}`,
    );
  }
  await page.close();
}

async function weighFirstLoad(browser: Browser, url: string): Promise<void> {
  const page = await browser.newPage({ viewport: PHONE });
  const session = await page.context().newCDPSession(page);
  const kinds = new Map<string, string>();
  const bytes: Record<string, number> = {};
  session.on('Network.responseReceived', ({ requestId, type }) => kinds.set(requestId, type));
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    const kind = kinds.get(requestId) ?? 'other';
    bytes[kind] = (bytes[kind] ?? 0) + encodedDataLength;
  });
  await session.send('Network.enable');
  const startedMs = performance.now();
  await page.goto(url);
  await page.getByTestId('today-summary').waitFor();
  const verdictMs = performance.now() - startedMs;
  await page.waitForTimeout(4000);
  const sum = Object.values(bytes).reduce((total, part) => total + part, 0);
  const parts = Object.entries(bytes).map(([kind, size]) => `${kind} ${Math.round(size / 1000)}`);
  const size = `${Math.round(sum / 1000)} kB (${parts.join(', ')})`;
  console.log(`first load: ${size}; first verdict after ${(verdictMs / 1000).toFixed(1)} s`);
  await page.close();
}

/** Lines of the app that are not tests, by folder. */
function countLines(): void {
  const app = path.join(__dirname, '../app');
  const linesIn = (folder: string) =>
    readdirSync(path.join(app, folder), { recursive: true, encoding: 'utf8' })
      .filter((file) => /\.tsx?$/.test(file) && !/\.test\./.test(file))
      .reduce((sum, file) => sum + readFileSync(path.join(app, folder, file), 'utf8').split('\n').length - 1, 0);
  const folders = ['ui', 'forms', 'parts', 'features', 'routes', 'state', 'workers'];
  console.log(`lines of the app: ${folders.map((folder) => `${folder} ${linesIn(folder)}`).join(', ')}`);
}

/**
 * From an empty database to the first verdict by screens alone, with a newcomer's own figures for a home, a room, its
 * window and a plant on the sill. What is typed is tapped first.
 */
async function walkToFirstVerdict(browser: Browser, url: string): Promise<void> {
  const page = await browser.newPage({ viewport: PHONE });
  let [taps, typed] = [0, 0];
  const tap = async (role: 'button' | 'link' | 'radio', name: string | RegExp) => {
    await page.getByRole(role, { name }).first().click();
    taps += 1;
  };
  const type = async (label: string | RegExp, text: string) => {
    await page
      .getByLabel(label, { exact: typeof label === 'string' })
      .first()
      .fill(text);
    taps += 1;
    typed += 1;
  };
  await page.goto(url);
  await type('Name', 'Flat by the park');
  await type('Latitude, °', '52.4');
  await type('Longitude, °', '4.9');
  await tap('button', 'Add this home');
  await tap('link', 'Add a room');
  await type('Name', 'Living room');
  await type(/^The window wall \(A\) faces, /, '200');
  await type('Length of wall A, cm', '380');
  await type(/^Depth, from wall A/, '460');
  await type('Height, cm', '260');
  await tap('button', 'Add this room');
  await tap('link', 'Add a window');
  await type(/^From the wall’s left end/, '90');
  await type('Lower edge above the floor, cm', '85');
  await type('Width of the opening, cm', '180');
  await type('Height of the opening, cm', '140');
  await tap('button', /^Pane: /);
  await tap('radio', /^Two panes/);
  await tap('button', 'Add this window');
  await tap('button', /^Add a sill under/);
  await tap('link', 'Plants');
  await tap('link', 'Add a plant');
  await type('What is it called?', 'jade plant');
  await tap('button', /Crassula ovata/);
  await type(/^Pot width/, '14');
  await type(/^Height with the pot/, '30');
  await tap('button', /^Put it here/);
  await page.getByTestId('plant-verdict').waitFor();
  console.log(`from nothing to the first verdict: ${taps} taps, ${typed} of them to type a value`);
  await page.close();
}

/** A server of its own on a database of its own. */
async function served(args: readonly string[], port: number, work: (url: string) => Promise<void>): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'dulvan-count-'));
  const server = spawn(process.execPath, ['scripts/start.mjs', ...args], {
    env: { ...process.env, PORT: String(port), DULVAN_DATA: path.join(folder, 'demo.sqlite') },
  });
  await new Promise<void>((resolve) => {
    server.stdout.on('data', (chunk) => String(chunk).includes('Dulvan is at') && resolve());
  });
  try {
    await work(`http://127.0.0.1:${port}`);
  } finally {
    server.kill();
    rmSync(folder, { recursive: true, force: true });
  }
}

async function main(): Promise<void> {
  const browser = await chromium.launch(CHROMIUM_LAUNCH);
  countLines();
  await served(['--demo', '--no-devices'], PORT, async (url) => {
    await weighFirstLoad(browser, url);
    await countControls(browser, url);
  });
  await served([], PORT + 1, (url) => walkToFirstVerdict(browser, url));
  await browser.close();
}

void main();
