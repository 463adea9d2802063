/**
 * npm run bench, or npm run bench store phone for parts of it: how long answers take and how that grows, with ratios;
 * nothing here passes or fails.
 */
import { knowledge, taxa, taxonFinder } from '@dulvan/catalogue';
import { HomeEngine, ask, type HomeFacts } from '@dulvan/core';
import { chromium } from '@playwright/test';
import { build } from 'esbuild';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Worker as NodeWorker } from 'node:worker_threads';
import { sailLoft } from '../server/src/demo/sail-loft';
import misspellings from '../catalogue/src/misspellings.fixture.json';
import type { Figure } from './bench-engine';
import { benchLoggers } from './bench-loggers';
import { benchStore } from './bench-store';
import { benchFullHome } from './bench-full';
import { curtained } from './bench-home';
import { benchPhone } from './bench-phone';
import { benchPlan } from './bench-plan';
import { CHROMIUM_LAUNCH } from './chromium';
import { median, pace, timed } from './timing';

const YEAR = 2026;

function line(what: string, ms: number, base?: number): void {
  const ratio = base === undefined ? '' : `   x ${(ms / base).toFixed(2)}`;
  console.log(`${what.padEnd(58)} ${ms.toFixed(1).padStart(9)} ms${ratio}`);
}

/** The demo home with each spot and plant doubled, or with every other one left. */
function resized(facts: HomeFacts, factor: 0.5 | 2): HomeFacts {
  if (factor === 0.5)
    return {
      ...facts,
      spots: facts.spots.filter((_, i) => i % 2 === 0),
      plants: facts.plants.map((plant) => ({ ...plant, spotId: null })),
    };
  const twins = facts.spots.map((spot) => ({ ...spot, id: `${spot.id}-twin`, alongM: spot.alongM * 0.93 }));
  return { ...facts, spots: [...facts.spots, ...twins] };
}

const answerAnew = (facts: HomeFacts) => ask(new HomeEngine(knowledge), facts, 'home', { year: YEAR, month: 11 });

function benchAnswers(): void {
  console.log('\nAnswers to the whole demo home (28 spots, 3 windows, 24 plants, a year of quarter hours)');
  const cold = timed(() => answerAnew(sailLoft));
  line('first time in a fresh process', cold);
  const warm = median(Array.from({ length: 5 }, () => timed(() => answerAnew(sailLoft))));
  line('from nothing, code warm (median of 5)', warm, cold);
  line(
    '  half the spots',
    median(Array.from({ length: 3 }, () => timed(() => answerAnew(resized(sailLoft, 0.5))))),
    warm,
  );
  line(
    '  twice the spots',
    median(Array.from({ length: 3 }, () => timed(() => answerAnew(resized(sailLoft, 2))))),
    warm,
  );
  const engine = new HomeEngine(knowledge);
  const answer = (facts: HomeFacts) => ask(engine, facts, 'home', { year: YEAR, month: 11 });
  answer(sailLoft);
  const variants = ['net', 'sheer', 'blind', 'heavy', 'none'];
  line(
    'a curtain changed',
    median(
      variants.map((curtainId) =>
        timed(() => answer({ ...sailLoft, windows: sailLoft.windows.map((window) => curtained(window, curtainId)) })),
      ),
    ),
    warm,
  );
  line(
    'lamp hours changed',
    median(
      [0, 30, 60, 90, 120].map((by) =>
        timed(() =>
          answer({
            ...sailLoft,
            circuits: sailLoft.circuits.map((circuit) => ({ ...circuit, offMinute: circuit.offMinute - by })),
          }),
        ),
      ),
    ),
    warm,
  );
  line(
    'a plant moved',
    median(
      ['sill-4', 'cab-top-2', 'rack-low-2', 'galley-top', 'galley-sill-c'].map((spotId) =>
        timed(() =>
          answer({ ...sailLoft, plants: sailLoft.plants.map((plant, i) => (i === 0 ? { ...plant, spotId } : plant)) }),
        ),
      ),
    ),
    warm,
  );
  line(
    'all spots ranked for one plant',
    median(
      Array.from({ length: 5 }, () =>
        timed(() => ask(engine, sailLoft, 'rank', { plant: sailLoft.plants[0]!, year: YEAR, month: 11 })),
      ),
    ),
    warm,
  );
  line(
    'the sunlight over the loft’s plan',
    timed(() => ask(engine, sailLoft, 'sunlightMap', { roomId: 'loft', year: YEAR })),
    warm,
  );
}

const HOME_TOLD = '4 rooms, 8 windows, 120 spots, 40 lamps, a year of quarter hours';

const tellFigure = ({ what, ms, baseMs }: Figure) => line(what, ms, baseMs);

/** Fresh workers that are asked one after another. */
const BROWSER_WORKERS = 5;

/** In headless Chromium, as growers run it. */
async function benchBrowser(): Promise<void> {
  console.log(`\nA worker of the browser: ${HOME_TOLD}`);
  const { outputFiles } = await build({
    entryPoints: [path.join(__dirname, 'bench-web-worker.ts')],
    bundle: true,
    minify: true,
    platform: 'browser',
    format: 'iife',
    write: false,
    logLevel: 'error',
  });
  const browser = await chromium.launch(CHROMIUM_LAUNCH);
  const page = await browser.newPage();
  const ask = () =>
    page.evaluate(
      (code) =>
        new Promise<Figure[]>((resolve, reject) => {
          const worker = new Worker(URL.createObjectURL(new Blob([code], { type: 'text/javascript' })));
          worker.onmessage = ({ data }: MessageEvent<Figure[]>) => {
            worker.terminate();
            resolve(data);
          };
          worker.onerror = ({ message }) => reject(new Error(message));
        }),
      outputFiles[0]!.text,
    );
  const runs: Figure[][] = [];
  for (let run = 0; run < BROWSER_WORKERS; run++) runs.push(await ask());
  await browser.close();
  const middle = (index: number, key: 'ms' | 'baseMs') => median(runs.map((run) => run[index]![key] ?? NaN));
  runs[0]!.forEach(({ what, baseMs }, i) =>
    tellFigure({ what, ms: middle(i, 'ms'), ...(baseMs === undefined ? {} : { baseMs: middle(i, 'baseMs') }) }),
  );
  console.log(`(each the median of ${BROWSER_WORKERS} fresh workers)`);
}

/** The same in a worker of Node.js. */
async function benchNode(): Promise<void> {
  console.log(`\nA worker of Node.js: ${HOME_TOLD}`);
  const folder = mkdtempSync(path.join(tmpdir(), 'dulvan-bench-'));
  const outfile = path.join(folder, 'worker.mjs');
  await build({
    entryPoints: [path.join(__dirname, 'bench-node-worker.ts')],
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile,
    logLevel: 'error',
  });
  await new Promise<void>((resolve, reject) => {
    const worker = new NodeWorker(outfile);
    worker.on('message', (told: Figure | { readonly megabytes: number }) => {
      if ('ms' in told) tellFigure(told);
      else
        console.log(
          `${'memory of the worker’s process after all this, not yet tidied'.padEnd(58)} ${told.megabytes.toFixed(0).padStart(9)} MB`,
        );
    });
    worker.on('error', reject);
    worker.on('exit', () => resolve());
  });
  rmSync(folder, { recursive: true, force: true });
}

function benchSearch(): void {
  console.log('\nSearch in the catalogue');
  const finder = taxonFinder(taxa);
  const typed = ['spathifilum', 'falenop', 'snake', 'sansev', 'african vi', 'zz', 'christm', 'adiantm'];
  const base = median(typed.map((text) => timed(() => finder.find(text))));
  line(`one key, median over ${typed.length} words, ${taxa.length} taxa`, base);
  line(
    'one key, the slowest of 200 misspellings',
    Math.max(...misspellings.map(({ typed: text }) => timed(() => finder.find(text)))),
    base,
  );
  const own = Array.from({ length: 2000 }, (_, i) => ({
    ...taxa[i % taxa.length]!,
    id: `own-${i}`,
    name: `${taxa[i % taxa.length]!.name} ${i}`,
    synonyms: [],
  }));
  let larger = finder;
  line(
    'building the index with 2000 own taxa more',
    timed(() => (larger = taxonFinder([...taxa, ...own]))),
  );
  line('one key, median, with 2000 own taxa more', median(typed.map((text) => timed(() => larger.find(text)))), base);
}

/** Parts of the bench by the name that asks for them alone. */
const PARTS: Readonly<Record<string, () => void | Promise<void>>> = {
  browser: benchBrowser,
  node: benchNode,
  answers: benchAnswers,
  search: benchSearch,
  store: () => benchStore(line),
  loggers: () => benchLoggers(line),
  plan: benchPlan,
  full: () => benchFullHome(line),
  phone: () => benchPhone(line),
};

async function main(): Promise<void> {
  const asked = process.argv.slice(2);
  const unknown = asked.find((name) => !(name in PARTS));
  if (unknown) throw new Error(`There is no part ${unknown}: ${Object.keys(PARTS).join(', ')}.`);
  console.log(`Node.js ${process.version}`);
  line('pace of the machine: a fixed walk through 32 MB', pace());
  for (const name of asked.length > 0 ? asked : Object.keys(PARTS)) await PARTS[name]!();
  line('\npace of the machine at the end', pace());
}

void main();
