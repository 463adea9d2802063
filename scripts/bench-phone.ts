/**
 * The first verdict on a phone: a quarter of the processor, 10 Mb/s, 40 ms; with nothing kept, and again with
 * everything kept. BEFORE names the folder of another checkout, built, that is measured in turn with this one.
 */
import { chromium, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { serveBareShell } from './bare-shell';
import { CHROMIUM_LAUNCH } from './chromium';
import { median } from './timing';

const SLOWER = 4;
const BYTES_A_SECOND = 10_000_000 / 8;
const LATENCY_MS = 40;
const RUNS = 5;
const PATIENCE_MS = 120_000;
const VERDICT = /^Need something: |do as you want of them/;

interface Load {
  /** From asking for the page to something to read, and to the verdict, ms. */
  readonly readable: number;
  readonly verdict: number;
  readonly bytes: number;
}

async function throttled(context: BrowserContext): Promise<{ page: Page; received: () => number }> {
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  let bytes = 0;
  session.on('Network.loadingFinished', ({ encodedDataLength }) => (bytes += encodedDataLength));
  await session.send('Network.enable');
  const speed = { downloadThroughput: BYTES_A_SECOND, uploadThroughput: BYTES_A_SECOND, latency: LATENCY_MS };
  await session.send('Network.emulateNetworkConditions', { offline: false, ...speed });
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  return { page, received: () => bytes };
}

async function loaded(context: BrowserContext, url: string, wanted: RegExp): Promise<Load> {
  const { page, received } = await throttled(context);
  const startedMs = performance.now();
  await page.goto(url, { waitUntil: 'commit', timeout: PATIENCE_MS });
  await page.locator('h1').first().waitFor({ timeout: PATIENCE_MS });
  const readable = performance.now() - startedMs;
  await page.getByText(wanted).first().waitFor({ timeout: PATIENCE_MS });
  const verdict = performance.now() - startedMs;
  // What it keeps for the next time is written after the answer is shown.
  await page.waitForTimeout(3000);
  await page.close();
  return { readable, verdict, bytes: received() };
}

interface Served {
  readonly url: string;
  stop(): Promise<void>;
}

/** The demo of a checkout, served by a process of its own. */
async function demoOf(root: string, folder: string): Promise<Served> {
  const env = { ...process.env, PORT: '0', DULVAN_DATA: path.join(folder, 'home.sqlite') };
  const server = spawn('node', ['scripts/start.mjs', '--demo', '--no-devices'], { cwd: root, env });
  const url = await addressOf(server);
  return {
    url,
    async stop() {
      server.kill('SIGTERM');
      await once(server, 'exit');
    },
  };
}

function addressOf(server: ChildProcess): Promise<string> {
  return new Promise((resolve, reject) => {
    server.stdout!.on('data', (text: Buffer) => {
      const [, url] = /at (http:\S+)/.exec(String(text)) ?? [];
      if (url) resolve(url);
    });
    server.once('exit', () => reject(new Error('The server did not start.')));
  });
}

interface Runs {
  readonly first: Load[];
  readonly again: Load[];
}

/** Each in turn, so that a slow minute of the machine falls on all of them. */
async function runsOf(browser: Browser, targets: ReadonlyMap<string, { url: string; wanted: RegExp }>) {
  const runs = new Map([...targets.keys()].map((name): [string, Runs] => [name, { first: [], again: [] }]));
  for (let run = 0; run < RUNS; run++) {
    for (const [name, { url, wanted }] of targets) {
      const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
      runs.get(name)!.first.push(await loaded(context, url, wanted));
      runs.get(name)!.again.push(await loaded(context, url, wanted));
      await context.close();
    }
  }
  return runs;
}

export async function benchPhone(tell: (what: string, ms: number, base?: number) => void): Promise<void> {
  console.log(`\nOn a phone: processor ${SLOWER} x slower, 10 Mb/s, ${LATENCY_MS} ms (median of ${RUNS})`);
  const folder = mkdtempSync(path.join(tmpdir(), 'dulvan-bench-'));
  const bare = await serveBareShell();
  const roots = {
    'the demo': path.resolve(__dirname, '..'),
    ...(process.env.BEFORE ? { before: process.env.BEFORE } : {}),
  };
  const demos = await Promise.all(
    Object.entries(roots).map(
      async ([name, root], i) => [name, await demoOf(root, path.join(folder, `${i}`))] as const,
    ),
  );
  const browser = await chromium.launch(CHROMIUM_LAUNCH);
  const targets = new Map(demos.map(([name, { url }]) => [name, { url, wanted: VERDICT }]));
  const runs = await runsOf(browser, targets.set('a bare Paper shell', { url: bare.url, wanted: /Dulvan/ }));
  await browser.close();
  for (const [, demo] of demos) await demo.stop();
  await bare.stop();
  rmSync(folder, { recursive: true, force: true });
  const middle = (loads: readonly Load[], key: keyof Load) => median(loads.map((load) => load[key]));
  for (const [name, { first, again }] of runs) {
    tell(`${name}, nothing kept: something to read`, middle(first, 'readable'));
    tell('  its verdict', middle(first, 'verdict'));
    tell(`${name}, everything kept: something to read`, middle(again, 'readable'));
    tell('  its verdict', middle(again, 'verdict'));
    console.log(`  bytes: ${middle(first, 'bytes')} at first, ${middle(again, 'bytes')} the second time`);
  }
}
