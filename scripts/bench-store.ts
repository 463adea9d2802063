/** What keeping costs: changes, records, samples, a bundle out and in; of the demo and of a home that is full. */
import type { NewRecord } from '@dulvan/contract';
import { knowledge } from '@dulvan/catalogue';
import { patch, type HomeFacts } from '@dulvan/core';
import { readBundle, type BundlePart } from '@dulvan/formats/bundle';
import { createWriteStream, mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { startServer } from '../server/src';
import { sailLoft } from '../server/src/demo/sail-loft';
import { openStore } from '../server/src/store/open';
import { Store } from '../server/src/store/store';
import { fullHome } from './bench-home';
import { median, timed } from './timing';

type Tell = (what: string, ms: number, base?: number) => void;

const MINUTE = 60_000;
const HOUSEHOLD_FILES = 300;
const PHOTO_BYTES = 1_500_000;

const bytes = (what: string, count: number) => console.log(`${what.padEnd(58)} ${count.toFixed(0).padStart(9)} B`);
const megabytes = (what: string, count: number) =>
  console.log(`${what.padEnd(58)} ${(count / 1e6).toFixed(0).padStart(9)} MB`);

async function* partsOf(facts: HomeFacts): AsyncGenerator<BundlePart> {
  yield await Promise.resolve({ what: 'facts', homeId: facts.home.id, facts } as const);
}

/** The API on loopback, one request after another. */
async function benchApi(folder: string, tell: Tell): Promise<void> {
  console.log('\nAPI on loopback, one request after another');
  const running = await startServer({
    host: '127.0.0.1',
    port: 0,
    file: path.join(folder, 'api.sqlite'),
    seed: 'demo',
    state: 'keep',
    app: null,
    engine: 'bench',
    reach: 'this-machine',
  });
  let answered = 0;
  const ask = async (times: number, address: string, body?: (i: number) => object) => {
    const took: number[] = [];
    for (let i = 0; i < times; i++) {
      const headers = { 'Content-Type': 'application/json' };
      const request = body ? { method: 'POST', headers, body: JSON.stringify(body(i)) } : {};
      const startedMs = performance.now();
      const reply = await fetch(running.url + address, request);
      answered = (await reply.text()).length;
      took.push(performance.now() - startedMs);
      if (!reply.ok) throw new Error(`${address} answered ${reply.status}`);
    }
    const sorted = took.sort((p, q) => p - q);
    return { p50: sorted[Math.floor(times * 0.5)]!, p99: sorted[Math.floor(times * 0.99)]! };
  };
  await ask(30, '/api/homes/sail-loft');
  const read = await ask(300, '/api/homes/sail-loft');
  tell('read a whole home, p50', read.p50);
  tell('read a whole home, p99', read.p99, read.p50);
  bytes('  its answer', answered);
  const circuit = sailLoft.circuits[0]!.id;
  const write = await ask(300, '/api/homes/sail-loft/changes', (i) => ({
    base: i + 1,
    key: `bench-key-${i}`,
    summary: 'Bench',
    changes: [patch('circuits', circuit, { name: `Timer ${i}` })],
  }));
  tell('change a circuit, p50', write.p50, read.p50);
  tell('change a circuit, p99', write.p99, write.p50);
  bytes('  its answer', answered);
  await running.close();
}

/** Changes of a home that is full. */
async function benchFull(store: Store, tell: Tell): Promise<void> {
  const facts = fullHome();
  const count = Object.values(facts).reduce(
    (all: number, list: unknown) => all + (Array.isArray(list) ? list.length : 1),
    0,
  );
  console.log(
    `\nA home at its limits: ${facts.rooms.length} rooms, ${facts.spots.length} spots, ${facts.plants.length} plants, ${count} entries in all`,
  );
  const homeId = facts.home.id;
  const began = performance.now();
  await store.import(partsOf(facts));
  tell('imported', performance.now() - began);
  bytes('  read whole', JSON.stringify(store.home(homeId)).length);
  const took: number[] = [];
  let answer = 0;
  for (let i = 0; i < 60; i++) {
    const { revision } = store.home(homeId);
    const changes = [patch('plants', facts.plants[i * 50]!.id, { note: `Seen ${i}` })];
    const startedMs = performance.now();
    const saved = await store.change(homeId, { base: revision, key: `full-key-${i}`, summary: 'Bench', changes });
    took.push(performance.now() - startedMs);
    answer = JSON.stringify(saved).length;
  }
  tell('a plant changed, median of 60', median(took));
  bytes('  its answer', answer);
  const removed = facts.plants.slice(0, 500).map(({ id }) => patch('plants', id, { spotId: null }));
  const startedMs = performance.now();
  await store.change(homeId, {
    base: store.home(homeId).revision,
    key: 'full-many',
    summary: 'Bench',
    changes: removed,
  });
  tell('500 plants changed at once', performance.now() - startedMs, median(took));
}

const RECORDS = 200_000;
const SAMPLES = 1_000_000;

async function benchBeside(store: Store, tell: Tell): Promise<void> {
  console.log(`\n${RECORDS} records and ${SAMPLES} samples of the sail loft`);
  const homeId = sailLoft.home.id;
  const plants = sailLoft.plants.map(({ id }) => id);
  let began = performance.now();
  for (let i = 0; i < RECORDS; i += 500) {
    const records = Array.from({ length: 500 }, (_, j): NewRecord => ({
      kind: 'note',
      at: 1_600_000_000_000 + (i + j) * 10 * MINUTE,
      plantId: plants[(i + j) % plants.length]!,
      spotId: null,
      roomId: null,
      body: { text: `Note ${i + j}` },
    }));
    await store.appendRecords(homeId, records, `records-${i}`);
  }
  tell('records appended, 500 at a time, each batch', ((performance.now() - began) / RECORDS) * 500);
  const page = (query: object) => median(Array.from({ length: 20 }, () => timed(() => store.records(homeId, query))));
  const first = page({ limit: '50' });
  tell('the first page of 50', first);
  const middle = String(1_600_000_000_000 + (RECORDS / 2) * 10 * MINUTE);
  tell('a page from the middle', page({ limit: '50', to: middle }), first);
  tell('a page of one plant, from the middle', page({ limit: '50', plantId: plants[7]!, to: middle }), first);

  await store.addSeries(homeId, {
    id: 'logger',
    name: 'Logger',
    quantity: 'temperature',
    roomId: null,
    spotId: null,
    plantId: null,
  });
  const BATCH = 50_000;
  began = performance.now();
  for (let i = 0; i < SAMPLES; i += BATCH) {
    const at = Array.from({ length: BATCH }, (_, j) => 1_700_000_000_000 + (i + j) * MINUTE);
    await store.appendSamples(homeId, 'logger', { at, values: at.map((time) => 20 + (time % 7) / 3) });
  }
  tell('all samples appended, 50,000 at a time', performance.now() - began);
  const one = { at: [1_700_000_000_000 + SAMPLES * MINUTE], values: [21] };
  const startedMs = performance.now();
  await store.appendSamples(homeId, 'logger', one);
  tell('one sample more', performance.now() - startedMs);
  const year = { from: 1_700_000_000_000, to: 1_700_000_000_000 + 365 * 1440 * MINUTE };
  const read = (step: 'raw' | 'hour' | 'day', range = year) =>
    median(Array.from({ length: 5 }, () => timed(() => store.samples(homeId, 'logger', { ...range, step }))));
  const byDay = read('day');
  tell('a year of them by day (365 rows)', byDay);
  tell('the year by hour (8,760 rows)', read('hour'), byDay);
  tell('a month one by one (43,200)', read('raw', { from: year.from, to: year.from + 30 * 1440 * MINUTE }), byDay);
}

/** Everything out and in again, with photographs, and what memory it takes. */
async function benchBundle(store: Store, folder: string, tell: Tell): Promise<void> {
  console.log(`\nThe bundle of all that, with ${HOUSEHOLD_FILES} photographs of ${PHOTO_BYTES / 1e6} MB`);
  for (let i = 0; i < HOUSEHOLD_FILES; i++) {
    const photo = Buffer.alloc(PHOTO_BYTES, i % 251);
    photo.set([0xff, 0xd8, 0xff]);
    photo.writeUInt32LE(i, 4);
    await store.addFile(sailLoft.home.id, 'jpeg', photo);
  }
  const file = path.join(folder, 'all.zip');
  let most = 0;
  const watch = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), 20);
  const before = process.memoryUsage().rss;
  let began = performance.now();
  await pipeline(Readable.from(store.export()), createWriteStream(file));
  tell('exported', performance.now() - began);
  megabytes('  its size', statSync(file).size);
  megabytes('  more memory than before, at most', Math.max(0, most - before));
  const open = await openStore(path.join(folder, 'other.sqlite'));
  const other = new Store(open, { knowledge });
  most = 0;
  const beforeImport = process.memoryUsage().rss;
  began = performance.now();
  await other.import(readBundle(file));
  tell('imported into an empty store', performance.now() - began);
  megabytes('  more memory than before, at most', Math.max(0, most - beforeImport));
  clearInterval(watch);
  open.close();
}

export async function benchStore(tell: Tell): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'dulvan-bench-'));
  await benchApi(folder, tell);
  const open = await openStore(path.join(folder, 'home.sqlite'));
  const store = new Store(open, { knowledge });
  await store.import(partsOf(sailLoft));
  await benchFull(store, tell);
  await benchBeside(store, tell);
  await benchBundle(store, folder, tell);
  open.close();
  rmSync(folder, { recursive: true, force: true });
}
