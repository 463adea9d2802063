/** What is kept beside the facts: records, series, files. */
import { samplesIn, sumsIn, type NewRecord } from '@dulvan/contract';
import { DAY_MS, HOUR_MS, put, type WeatherHour } from '@dulvan/core';
import { writeIntensities, writeWeatherHours } from '@dulvan/formats';
import fc from 'fast-check';
import { HOME, NOW, keptStore, newKey, refusal, type Kept } from './kept.fixture';

let kept: Kept;
beforeEach(async () => {
  kept = await keptStore();
});
afterEach(() => kept.remove());

const note = (text: string, at = NOW): NewRecord => ({
  kind: 'note',
  at,
  plantId: 'p-moth',
  spotId: null,
  roomId: null,
  body: { text },
});

describe('records', () => {
  it('come page by page, newest first, each once, also where several share their time', async () => {
    const times = Array.from({ length: 23 }, (_, i) => NOW - Math.floor(i / 4) * HOUR_MS);
    await kept.store.appendRecords(
      HOME,
      times.map((at, i) => note(`n${i}`, at)),
      newKey(),
    );
    const seen: string[] = [];
    for (let after: string | null = ''; after !== null;) {
      const page = kept.store.records(HOME, { limit: '5', ...(after ? { after } : {}) });
      seen.push(...page.records.map(({ id }) => id));
      after = page.after;
    }
    const all = kept.store.records(HOME, { limit: '200' }).records;
    expect(seen).toEqual(all.map(({ id }) => id));
    expect(new Set(seen).size).toBe(23);
    expect(all.every(({ at }, i) => i === 0 || at <= all[i - 1]!.at)).toBe(true);
  });

  it('are found by plant, kind and time', async () => {
    const water: NewRecord = { ...note(''), kind: 'watering', at: NOW - DAY_MS, body: { way: 'top', litres: 0.4 } };
    await kept.store.appendRecords(HOME, [note('A spike'), water, { ...note('Other'), plantId: 'p-zz' }], newKey());
    const count = (query: object) => kept.store.records(HOME, query).records.length;
    expect(count({ plantId: 'p-moth' })).toBe(2);
    expect(count({ kind: 'watering' })).toBe(1);
    expect(count({ to: String(NOW - HOUR_MS) })).toBe(1);
    expect(count({ from: String(NOW) })).toBe(2);
  });

  it('are appended once however often they are sent, and withdrawn without being lost', async () => {
    const key = newKey();
    const [first] = await kept.store.appendRecords(HOME, [note('A spike')], key);
    expect(await kept.store.appendRecords(HOME, [note('A spike')], key)).toEqual([first]);
    await kept.store.withdrawRecord(HOME, first!.id);
    const store = await kept.restarted();
    expect(store.records(HOME, {}).records).toMatchObject([{ body: { text: 'A spike' }, withdrawnAt: NOW }]);
    expect(store.records(HOME, { withdrawn: 'without' }).records).toEqual([]);
    expect((await refusal(() => store.withdrawRecord(HOME, 'no-such-record'))).status).toBe(404);
  });

  it('are refused about what is not there, all of them', async () => {
    const stray = { ...note('Stray'), spotId: 'no-such-spot' };
    expect((await refusal(() => kept.store.appendRecords(HOME, [note('Good'), stray], newKey()))).status).toBe(404);
    expect(kept.store.records(HOME, {}).records).toEqual([]);
  });

  it('leave the revision of the home as it is', async () => {
    await kept.store.appendRecords(HOME, [note('A spike')], newKey());
    expect(kept.store.home(HOME).revision).toBe(1);
  });
});

const LOGGER = {
  id: 'logger-1',
  name: 'Shelf logger',
  quantity: 'temperature',
  roomId: null,
  spotId: null,
  plantId: null,
} as const;
const buffer = (bytes: Buffer) => new Uint8Array(bytes).buffer;

describe('series', () => {
  beforeEach(() => kept.store.addSeries(HOME, LOGGER));
  const append = (at: number[], values: number[]) => kept.store.appendSamples(HOME, LOGGER.id, { at, values });
  const own = () => kept.store.series(HOME).find(({ id }) => id === LOGGER.id)!;
  const raw = (from: number, to: number) =>
    samplesIn(buffer(kept.store.samples(HOME, LOGGER.id, { from, to, step: 'raw' })));
  const sums = (from: number, to: number, step: 'hour' | 'day') =>
    sumsIn(buffer(kept.store.samples(HOME, LOGGER.id, { from, to, step })), step);

  it('sum up to what their samples come to, in whatever order they came', async () => {
    const start = Date.UTC(2026, 5, 1);
    const samples = fc.uniqueArray(
      fc.record({ at: fc.integer({ min: 0, max: 3 * DAY_MS - 1 }), value: fc.integer({ min: -50, max: 80 }) }),
      { selector: ({ at }) => at, minLength: 1, maxLength: 60 },
    );
    let run = 0;
    await fc.assert(
      fc.asyncProperty(samples, async (given) => {
        const id = `logger-of-run-${(run += 1)}`;
        await kept.store.addSeries(HOME, { ...LOGGER, id });
        const half = Math.ceil(given.length / 2);
        for (const batch of [given.slice(half), given.slice(0, half), given.slice(half)]) {
          if (batch.length === 0) continue;
          const at = batch.map((each) => start + each.at);
          await kept.store.appendSamples(HOME, id, { at, values: batch.map(({ value }) => value) });
        }
        const range = { from: start, to: start + 3 * DAY_MS };
        const held = samplesIn(buffer(kept.store.samples(HOME, id, { ...range, step: 'raw' })));
        const sorted = [...given].sort((p, q) => p.at - q.at);
        expect(held).toEqual(sorted.map(({ at, value }) => ({ at: start + at, value })));
        for (const step of ['hour', 'day'] as const) {
          const told = sumsIn(buffer(kept.store.samples(HOME, id, { ...range, step })), step);
          expect(told.reduce((all, { count }) => all + count, 0)).toBe(given.length);
          expect(told.reduce((all, { count, mean }) => all + count * mean, 0)).toBeCloseTo(
            given.reduce((all, { value }) => all + value, 0),
            6,
          );
          expect(Math.min(...told.map(({ least }) => least))).toBe(Math.min(...given.map(({ value }) => value)));
          expect(Math.max(...told.map(({ most }) => most))).toBe(Math.max(...given.map(({ value }) => value)));
        }
      }),
      { numRuns: 25 },
    );
  });

  it('have days of the home’s own clock, 23 hours long when it goes forward', async () => {
    const from = Date.UTC(2026, 2, 28);
    const at = Array.from({ length: 72 }, (_, i) => from + i * HOUR_MS);
    await append(
      at,
      at.map(() => 20),
    );
    expect(sums(from, from + 3 * DAY_MS, 'day').map(({ count }) => count)).toEqual([24, 23, 24, 1]);
  });

  it('take the later value at the same time, and give back a range without its end', async () => {
    await append([NOW, NOW + 1000, NOW + 2000], [20, 21, 22]);
    await append([NOW + 1000], [25]);
    expect(raw(NOW, NOW + 2000)).toEqual([
      { at: NOW, value: 20 },
      { at: NOW + 1000, value: 25 },
    ]);
    expect(own()).toMatchObject({ samples: 3, firstAt: NOW, lastAt: NOW + 2000 });
  });

  it('refuse what their instrument cannot have measured, and all that came with it', async () => {
    const { refusal: told } = await refusal(() => append([NOW, NOW + 1], [20, 400]));
    expect(told.message).toMatch(/Sample 2 is 400; from -60 to 90 °C/);
    expect(own().samples).toBe(0);
  });
});

const HOURS: WeatherHour[] = Array.from({ length: 8760 }, (_, i) => ({ global: i % 24, dni: 0, dhi: i % 24 }));
const bytes = (text: string) => new TextEncoder().encode(text);

describe('files', () => {
  it('are kept once by their content and given back whole, over a restart', async () => {
    const content = bytes(writeWeatherHours(HOURS));
    const first = await kept.store.addFile(HOME, 'weather-hours', content);
    expect(await kept.store.addFile(HOME, 'weather-hours', content)).toEqual(first);
    const store = await kept.restarted();
    expect(store.file(HOME, first.key).content.equals(content)).toBe(true);
    expect((await refusal(() => store.file('back-room', first.key))).status).toBe(404);
  });

  it('must be what they are said to be', async () => {
    const told = async (kind: 'png' | 'weather-hours' | 'intensities', content: Uint8Array) =>
      (await refusal(() => kept.store.addFile(HOME, kind, content))).refusal.message;
    expect(await told('png', bytes('GIF89a'))).toMatch(/no PNG/);
    expect(await told('weather-hours', bytes('month,day\n1,1\n'))).toMatch(/^Line \d+: /);
    expect(await told('intensities', bytes('{"planes": [0], '))).toMatch(/^Line \d+: /);
    expect(await told('intensities', new Uint8Array([0xff, 0xfe, 0]))).toMatch(/UTF-8/);
    expect(await told('png', new Uint8Array())).toMatch(/empty/);
  });

  it('are named by facts only when they are here and of that kind', async () => {
    const lampFile = writeIntensities({ planes: [0], angles: [0, 90], candela: [280, 0] });
    const { key } = await kept.store.addFile(HOME, 'intensities', bytes(lampFile));
    const lamp = { id: 'f-1', homeId: HOME, name: 'Bar', lumens: 900, powerW: 9, lengthM: 0.5, breadthM: 0.05 };
    await kept.save([put('photometries', { ...lamp, fileKey: key })]);
    const weather = { id: 'w-1', homeId: HOME, name: 'Station', years: '2019', fileKey: key };
    const place = { latitude: 56, longitude: -3, elevationM: 4, utcOffsetH: 0 };
    const refused = await refusal(() => kept.save([put('weathers', { ...weather, ...place })]));
    expect(refused.refusal.problems).toMatchObject([{ list: 'weathers', field: 'fileKey' }]);
    expect(kept.store.home(HOME).facts.photometries).toHaveLength(1);
  });
});
