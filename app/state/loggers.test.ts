/** Loggers as the page knows them, and their files on the way to the server. */
import type { Samples, Series } from '@dulvan/contract';
import type { TableReading } from '@dulvan/formats';
import { smallHome } from '../../core/src/home/small-home.fixture';
import { importLogged, loggersOf, roomOfLogger, type Imported, type Importing } from './loggers';

const series = (given: Partial<Series>): Series => ({
  id: 's',
  name: 'Shelf',
  quantity: 'temperature',
  roomId: 'r',
  spotId: null,
  plantId: null,
  samples: 0,
  firstAt: null,
  lastAt: null,
  ...given,
});

describe('loggers', () => {
  it('are series of one name and place together; scales under pots are none', () => {
    const loggers = loggersOf([
      series({ id: 'a' }),
      series({ id: 'b', quantity: 'humidity' }),
      series({ id: 'c', roomId: null, spotId: 'dim' }),
      series({ id: 'd', quantity: 'weight', roomId: null, plantId: 'p' }),
    ]);
    expect(loggers.map(({ id, roomId, spotId }) => [id, roomId, spotId])).toEqual([
      ['a', 'r', null],
      ['c', null, 'dim'],
    ]);
    expect(Object.keys(loggers[0]!.series)).toEqual(['temperature', 'humidity']);
  });

  it('hang in their own room, or in that of their spot', () => {
    const at = (roomId: string | null, spotId: string | null) => roomOfLogger(smallHome, { name: 'x', roomId, spotId });
    expect(at('box', null)).toBe('box');
    expect(at(null, 'dim')).toBe('r');
    expect(at(null, 'boxed')).toBe('box');
    expect(at(null, 'gone')).toBeNull();
  });
});

const READING: TableReading = {
  delimiter: ',',
  headLines: 1,
  columns: ['time', 'temperature', 'humidity'],
  dateOrder: 'ymd',
  decimal: '.',
  temperatureUnit: 'C',
  timeZone: 'Etc/UTC',
};
const START = Date.UTC(2026, 0, 1);

const momentAt = (i: number) => new Date(START + i * 60_000).toISOString().slice(0, 16).replace('T', ' ');
const lineAt = (i: number) => `${momentAt(i)},${(18 + (i % 40) / 10).toFixed(1)},${40 + (i % 20)}`;
const fileOf = (lines: readonly string[]) => new Blob([`time,temperature,humidity\n${lines.join('\n')}\n`]);

interface Sent {
  readonly address: string;
  readonly body: Samples & { quantity?: string };
}

/** A server that takes everything, or refuses from a request on. */
function server(refusesFrom = Infinity): Sent[] {
  const sent: Sent[] = [];
  globalThis.fetch = jest.fn((address: string, init: RequestInit = {}) => {
    const body = JSON.parse(String(init.body)) as Sent['body'];
    sent.push({ address, body });
    const ok = sent.length <= refusesFrom;
    const id = body.quantity ?? 'held';
    const value = ok
      ? series({ id, ...(body.quantity ? { quantity: body.quantity as never } : {}) })
      : { message: 'No room.', problems: [] };
    return Promise.resolve({ ok, status: ok ? 200 : 507, headers: new Headers(), json: () => Promise.resolve(value) });
  }) as unknown as typeof fetch;
  return sent;
}

async function imported(given: Partial<Importing>): Promise<{ outcome: Imported; shares: number[] }> {
  const shares: number[] = [];
  const outcome = await importLogged({
    homeId: 'h',
    file: fileOf([]),
    reading: READING,
    place: { name: 'Shelf', roomId: 'r', spotId: null },
    loggers: [],
    onShare: (share) => shares.push(share),
    signal: new AbortController().signal,
    ...given,
  });
  return { outcome, shares };
}
const batches = (sent: readonly Sent[]) => sent.filter(({ address }) => address.endsWith('/samples'));

describe('a logger’s file on its way in', () => {
  it('begins a series for each quantity, and has every sample sent once, in order', async () => {
    const sent = server();
    const lines = Array.from({ length: 45_000 }, (_, i) => lineAt(i));
    const { outcome, shares } = await imported({ file: fileOf(lines) });
    expect(outcome).toMatchObject({ state: 'done', summary: { lines: 45_000, missing: 0 } });
    const begun = sent.filter(({ address }) => address.endsWith('/series'));
    expect(begun.map(({ body }) => body.quantity)).toEqual(['temperature', 'humidity']);
    for (const quantity of ['temperature', 'humidity']) {
      const own = batches(sent).filter(({ address }) => address.includes(`/${quantity}/`));
      expect(own.length).toBeGreaterThan(1);
      expect(own.flatMap(({ body }) => body.at)).toEqual(lines.map((_, i) => START + i * 60_000));
    }
    expect(shares.at(-1)).toBe(1);
    expect([...shares].sort((p, q) => p - q)).toEqual(shares);
  });

  it('is added to a logger of the same name and place', async () => {
    const sent = server();
    const known = loggersOf([series({ id: 'old-t' }), series({ id: 'old-h', quantity: 'humidity' })]);
    await imported({ file: fileOf([lineAt(0), lineAt(1)]), loggers: known });
    expect(sent.map(({ address }) => address)).toEqual([
      '/api/homes/h/series/old-t/samples',
      '/api/homes/h/series/old-h/samples',
    ]);
    const elsewhere = server();
    await imported({
      file: fileOf([lineAt(0)]),
      loggers: known,
      place: { name: 'Shelf', roomId: null, spotId: 'dim' },
    });
    expect(elsewhere.some(({ address }) => address.endsWith('/series'))).toBe(true);
  });

  it('that is broken is refused with the line before anything is sent', async () => {
    const sent = server();
    const lines = Array.from({ length: 30_000 }, (_, i) => (i === 29_000 ? '2026-02-31 10:00,20,50' : lineAt(i)));
    const { outcome } = await imported({ file: fileOf(lines) });
    expect(outcome).toMatchObject({ state: 'refused', line: 29_002 });
    expect(sent).toEqual([]);
  });

  it('tells what the server says where it takes no more', async () => {
    server(2);
    const { outcome } = await imported({ file: fileOf([lineAt(0)]) });
    expect(outcome).toEqual({ state: 'refused', line: null, message: 'No room.' });
  });

  it('stops when it is told to', async () => {
    const sent = server();
    const stop = new AbortController();
    stop.abort();
    const { outcome } = await imported({ file: fileOf([lineAt(0)]), signal: stop.signal });
    expect(outcome.state).toBe('stopped');
    expect(sent).toEqual([]);
  });
});
