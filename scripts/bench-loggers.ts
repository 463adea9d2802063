/** What loggers cost: a million lines read and kept, and ten loggers that send each second. */
import { knowledge } from '@dulvan/catalogue';
import { LoggerFile, recogniseTable } from '@dulvan/formats';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { demoParts } from '../server/src/demo/bundle';
import { sailLoft } from '../server/src/demo/sail-loft';
import { openStore } from '../server/src/store/open';
import { Store } from '../server/src/store/store';
import { median, timed } from './timing';

type Tell = (what: string, ms: number, base?: number) => void;

const LINES = 1_000_000;
const PIECE = 1 << 19;
const BATCH = 20_000;
const HOME = sailLoft.home.id;
const MINUTE = 60_000;

/** A table a minute a line, piece by piece. */
function* pieces(): Generator<string> {
  let piece = 'time,temperature,humidity\n';
  const start = Date.UTC(2024, 0, 1);
  for (let i = 0; i < LINES; i++) {
    const time = new Date(start + i * MINUTE).toISOString().slice(0, 16).replace('T', ' ');
    piece += `${time},${(18 + (i % 50) / 10).toFixed(1)},${40 + (i % 20)}\n`;
    if (piece.length < PIECE) continue;
    yield piece;
    piece = '';
  }
  yield piece;
}

async function keptStore(folder: string): Promise<Store> {
  const store = new Store(await openStore(path.join(folder, 'loggers.sqlite')), { knowledge });
  await store.import(demoParts().filter(({ what }) => what === 'manifest' || what === 'facts'));
  return store;
}

async function million(store: Store, tell: Tell): Promise<void> {
  const text = [...pieces()];
  const table = recogniseTable(text[0]!, 'Europe/London');
  if (!table.ok) throw new Error(table.message);
  const read = timed(() => {
    const file = new LoggerFile(table.table.reading);
    text.forEach((piece, i) => {
      file.push(piece, i === text.length - 1 ? 'end' : 'middle');
      file.taken();
    });
  });
  tell('a million lines read', read);
  await store.addSeries(HOME, {
    id: 'one',
    name: 'One',
    quantity: 'temperature',
    roomId: 'loft',
    spotId: null,
    plantId: null,
  });
  const before = process.memoryUsage().rss;
  const started = performance.now();
  const file = new LoggerFile(table.table.reading);
  const at: number[] = [];
  const values: number[] = [];
  for (const [i, piece] of text.entries()) {
    file.push(piece, i === text.length - 1 ? 'end' : 'middle');
    const taken = file.taken().get('temperature');
    for (const [j, time] of (taken?.at ?? []).entries()) {
      at.push(time);
      values.push(taken!.values[j]!);
    }
    while (at.length >= BATCH) {
      await store.appendSamples(HOME, 'one', { at: at.splice(0, BATCH), values: values.splice(0, BATCH) });
    }
  }
  await store.appendSamples(HOME, 'one', { at, values });
  tell('a million lines read, and one quantity of them kept', performance.now() - started, read);
  console.log(`   memory grew by ${((process.memoryUsage().rss - before) / 1e6).toFixed(0)} MB`);
}

const LOGGERS = 10;
const SECONDS = 3600;

/** Ten loggers each second for an hour, one post after the other. */
async function live(store: Store, tell: Tell): Promise<void> {
  const made = await Promise.all(
    Array.from({ length: LOGGERS }, (_, i) => store.addDevice(HOME, { name: `L${i}`, roomId: 'loft', spotId: null })),
  );
  const start = Date.UTC(2026, 8, 1);
  const times: number[] = [];
  let sent = 0;
  for (let second = 0; second < SECONDS; second++) {
    for (const { token } of made) {
      const began = performance.now();
      await store.takePosted(token, { samples: [{ at: start + second * 1000, temperature: 20, humidity: 50 }] });
      times.push(performance.now() - began);
      sent += 2;
    }
  }
  const kept = store
    .series(HOME)
    .filter(({ id }) => made.some(({ device }) => id.startsWith(device.id)))
    .reduce((sum, { samples }) => sum + samples, 0);
  const sorted = [...times].sort((p, q) => p - q);
  tell('one post of a logger (median)', median(times));
  tell('  99th of a hundred', sorted[Math.floor(sorted.length * 0.99)]!, median(times));
  console.log(`   ${sent} values sent, ${kept} kept`);
}

export async function benchLoggers(tell: Tell): Promise<void> {
  console.log('\nLoggers: files and posts');
  const folder = mkdtempSync(path.join(tmpdir(), 'dulvan-bench-'));
  try {
    const store = await keptStore(folder);
    await million(store, tell);
    await live(store, tell);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
