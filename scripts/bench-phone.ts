/** The first verdict on a phone: a quarter of the processor, 10 Mb/s, 40 ms; with nothing kept, and again with everything kept. */
import { chromium, type BrowserContext } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { startServer } from '../server/src';
import { CHROMIUM_LAUNCH } from './chromium';
import { appFolder, engineName, ensureBuilt } from './prepare.mjs';
import { median } from './timing';

const SLOWER = 4;
const BYTES_A_SECOND = 10_000_000 / 8;
const LATENCY_MS = 40;
const RUNS = 5;
const VERDICT = /plants lack something this month|Nothing is wrong/;

interface Load {
  readonly headingMs: number;
  readonly verdictMs: number;
  readonly bytes: number;
}

async function loaded(context: BrowserContext, url: string): Promise<Load> {
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  let bytes = 0;
  session.on('Network.loadingFinished', ({ encodedDataLength }) => (bytes += encodedDataLength));
  await session.send('Network.enable');
  const speed = { downloadThroughput: BYTES_A_SECOND, uploadThroughput: BYTES_A_SECOND, latency: LATENCY_MS };
  await session.send('Network.emulateNetworkConditions', { offline: false, ...speed });
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const startedMs = performance.now();
  await page.goto(url, { waitUntil: 'commit' });
  await page.getByRole('heading', { level: 1 }).first().waitFor({ timeout: 120_000 });
  const headingMs = performance.now() - startedMs;
  await page.getByText(VERDICT).first().waitFor({ timeout: 120_000 });
  const verdictMs = performance.now() - startedMs;
  // What it keeps for the next time is written after the answer is shown.
  await page.waitForTimeout(3000);
  await page.close();
  return { headingMs, verdictMs, bytes };
}

export async function benchPhone(tell: (what: string, ms: number, base?: number) => void): Promise<void> {
  console.log(`\nThe demo on a phone: processor ${SLOWER} x slower, 10 Mb/s, ${LATENCY_MS} ms (median of ${RUNS})`);
  await ensureBuilt();
  const folder = mkdtempSync(path.join(tmpdir(), 'dulvan-bench-'));
  const running = await startServer({
    host: '127.0.0.1',
    port: 0,
    file: path.join(folder, 'home.sqlite'),
    seed: 'demo',
    state: 'keep',
    app: appFolder,
    engine: engineName(),
    reach: 'this-machine',
  });
  const browser = await chromium.launch(CHROMIUM_LAUNCH);
  const first: Load[] = [];
  const again: Load[] = [];
  for (let run = 0; run < RUNS; run++) {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    first.push(await loaded(context, running.url));
    again.push(await loaded(context, running.url));
    await context.close();
  }
  await browser.close();
  await running.close();
  rmSync(folder, { recursive: true, force: true });
  const middle = (loads: readonly Load[], key: keyof Load) => median(loads.map((load) => load[key]));
  tell('the server’s first start: its answer is worked out too', first[0]!.verdictMs);
  tell('nothing kept: something to read', middle(first, 'headingMs'));
  tell('nothing kept: the first verdict', middle(first, 'verdictMs'), middle(first, 'headingMs'));
  tell('everything kept: something to read', middle(again, 'headingMs'));
  tell('everything kept: the first verdict', middle(again, 'verdictMs'), middle(again, 'headingMs'));
  console.log(`bytes over the network: ${middle(first, 'bytes')} at first, ${middle(again, 'bytes')} the second time`);
}
