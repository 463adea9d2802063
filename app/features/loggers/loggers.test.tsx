/**
 * The screens of loggers, with a server that has two of them: what they measured, what they correct, who sends by
 * itself.
 */
import { ROW_NUMBERS, type Device, type Series } from '@dulvan/contract';
import { HOUR_MS } from '@dulvan/core';
import { fireEvent, screen } from '@testing-library/react-native';
import { caught, open, settled, showHome, shownHome } from '../../testing/shown-home';
import { atPlace, loggerPlace, placesOf } from './logger-places';
import { LoggerScreen } from './logger-screen';
import { LoggersScreen } from './loggers-screen';

const START = Date.UTC(2026, 0, 1);
const DAYS = 40;
const END = START + DAYS * 24 * HOUR_MS;

const series = (id: string, name: string, quantity: Series['quantity']): Series => ({
  id,
  name,
  quantity,
  roomId: 'r',
  spotId: null,
  plantId: null,
  samples: DAYS * 24,
  firstAt: START,
  lastAt: END - HOUR_MS,
});
const SERIES = [
  series('one-t', 'Shelf', 'temperature'),
  series('one-h', 'Shelf', 'humidity'),
  series('two-t', 'Sill', 'temperature'),
  series('two-h', 'Sill', 'humidity'),
  { ...series('three-p', 'Light meter', 'ppfd'), roomId: null, spotId: 'bright' },
];

/** Warm days, cold nights; the second hygrometer tells eight points more, and more and more so. */
function hour(id: string, at: number): number {
  const ofDay = Math.round((at / HOUR_MS) % 24);
  const isDay = ofDay >= 8 && ofDay < 20;
  if (id.endsWith('-p')) return isDay ? 100 : 0;
  if (id.endsWith('-t')) return isDay ? 23 : 15;
  const drift = id === 'two-h' ? 4 + (8 * (at - START)) / (END - START) : 0;
  return (isDay ? 42 : 58) + drift;
}

/** Rows as the server packs them. */
function rows(id: string, from: number, to: number, step: string): ArrayBuffer {
  const stepMs = step === 'day' ? 24 * HOUR_MS : HOUR_MS;
  const width = ROW_NUMBERS[step as 'raw' | 'hour' | 'day'];
  const numbers: number[] = [];
  for (let at = Math.max(START, Math.ceil(from / stepMs) * stepMs); at < Math.min(END, to); at += stepMs) {
    const value = hour(id, at);
    numbers.push(...(step === 'raw' ? [at, value] : [at, 4, 4 * value, value - 1, value + 1]));
  }
  expect(numbers.length % width).toBe(0);
  return Float64Array.from(numbers).buffer;
}

const device = (given: Partial<Device> = {}): Device => ({
  id: 'd',
  name: 'Sender',
  roomId: 'r',
  spotId: null,
  madeAt: START,
  lastSeenAt: Date.now() - 9 * HOUR_MS,
  battery: 12,
  ...given,
});

interface Served {
  devices: Device[];
  readonly asked: { readonly method: string; readonly address: string }[];
}

function serve(given: { readonly fails?: RegExp; readonly devices?: Device[] } = {}): Served {
  const served: Served = { devices: given.devices ?? [], asked: [] };
  const json = (value: unknown, status = 200) =>
    Promise.resolve({ ok: status < 300, status, headers: new Headers(), json: () => Promise.resolve(value) });
  globalThis.fetch = jest.fn((address: string, { method = 'GET' }: RequestInit = {}) => {
    served.asked.push({ method, address });
    if (given.fails?.test(address)) return json({ message: 'The disk is full.', problems: [] }, 507);
    const url = new URL(address, 'http://here');
    const samples = /series\/([\w-]+)\/samples$/.exec(url.pathname);
    if (samples) {
      const [from, to] = ['from', 'to'].map((key) => Number(url.searchParams.get(key))) as [number, number];
      const content = rows(samples[1]!, from, to, url.searchParams.get('step')!);
      return Promise.resolve({ ok: true, headers: new Headers(), arrayBuffer: () => Promise.resolve(content) });
    }
    if (url.pathname.endsWith('/series')) return json(SERIES);
    if (method === 'DELETE') {
      const [gone] = served.devices;
      served.devices = [];
      return json(gone);
    }
    if (method === 'POST') {
      served.devices = [device({ name: 'Fresh', lastSeenAt: null, battery: null })];
      return json({ device: served.devices[0], token: 'key-that-is-told-once' });
    }
    return json(served.devices);
  }) as unknown as typeof fetch;
  return served;
}

beforeEach(() => {
  showHome();
  Object.defineProperty(window, 'location', { value: { origin: 'http://here' }, configurable: true });
});

describe('the list of loggers', () => {
  it('says where each hangs, how much it measured and since when', async () => {
    serve();
    await open(<LoggersScreen />);
    expect(screen.getByText('Shelf')).toBeTruthy();
    expect(screen.getAllByText(/^Room · 1,920 samples, 1 Jan 2026 to 9 Feb 2026$/)).toHaveLength(2);
  });

  it('tells what the server says, and asks again', async () => {
    serve({ fails: /series$/ });
    await open(<LoggersScreen />);
    expect(screen.getByText(/The disk is full\./)).toBeTruthy();
    serve();
    fireEvent.press(screen.getByText('Try again'));
    await settled();
    expect(screen.getByText('Shelf')).toBeTruthy();
  });

  it('lets one in, shows its key once, and says who has been silent', async () => {
    serve();
    await open(<LoggersScreen />);
    fireEvent.press(screen.getByText('Let a logger in'));
    fireEvent.changeText(screen.getByLabelText('What you call it'), 'Fresh');
    fireEvent.press(screen.getByText('Make its key'));
    await settled();
    expect(screen.getByText('key-that-is-told-once')).toBeTruthy();
    expect(screen.getByText(/POST to http:\/\/here\/api\/devices\/samples,/)).toBeTruthy();
    expect(screen.getByText('Room · has sent nothing yet')).toBeTruthy();
  });

  it('names one that has been silent for hours, and shuts it out', async () => {
    const served = serve({ devices: [device()] });
    await open(<LoggersScreen />);
    expect(screen.getByText('Room · seen 9 hours ago · battery 12 %')).toBeTruthy();
    expect(screen.getByText(/silent for hours/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Shut out Sender'));
    await settled();
    expect(served.asked.some(({ method, address }) => method === 'DELETE' && address.endsWith('/devices/d'))).toBe(
      true,
    );
    expect(screen.queryByText('Sender')).toBeNull();
  });
});

describe('one logger', () => {
  it('is drawn by the week, the day and the year, with least, mean and most', async () => {
    const served = serve();
    await open(<LoggerScreen loggerId="one-t" />);
    expect(screen.getAllByText('14.0 °C').length).toBeGreaterThan(0);
    expect(screen.getAllByText('24.0 °C').length).toBeGreaterThan(0);
    fireEvent.press(screen.getByText('A day'));
    await settled();
    expect(served.asked.some(({ address }) => address.includes('step=raw'))).toBe(true);
    fireEvent.press(screen.getByText('A year'));
    await settled();
    expect(served.asked.some(({ address }) => address.includes('step=day'))).toBe(true);
  });

  it('goes back in time, and forward no further than it measured', async () => {
    serve();
    await open(<LoggerScreen loggerId="one-t" />);
    const stretch = () => screen.getByText(/2026 to/).props.children as string;
    const last = stretch();
    fireEvent.press(screen.getByText('Later'));
    await settled();
    expect(stretch()).toBe(last);
    fireEvent.press(screen.getByText('Earlier'));
    await settled();
    expect(stretch()).not.toBe(last);
  });

  it('has its months beside what is computed, and corrects its room by them in one change', async () => {
    serve();
    await open(<LoggerScreen loggerId="one-t" />);
    expect(screen.getAllByText(/^23 \/ 15 °C 42 \/ 58 %$/).length).toBeGreaterThan(0);
    fireEvent.press(screen.getByText('Let it correct the air of Room'));
    expect(screen.getByLabelText(/what it teaches/)).toBeTruthy();
    await settled();
    await settled();
    expect(caught[0]!.changes[0]).toMatchObject({ op: 'put', list: 'learntAir', entry: { roomId: 'r', days: 40 } });
    expect(caught[0]!.changes[1]).toMatchObject({
      list: 'air',
      fields: { dayC: 23, nightC: 15, dayRh: 42, nightRh: 58 },
    });
    expect(screen.getByText('The air of Room is as it was measured.')).toBeTruthy();
    expect(screen.getByText('Air changed for outside air')).toBeTruthy();
    fireEvent.press(screen.getByText('Take this back'));
    await settled();
    await settled();
    expect(caught[1]!.changes.map(({ op, list }) => `${op} ${list}`)).toEqual([
      'drop learntAir',
      'drop air',
      'drop air',
    ]);
    expect(screen.getByText('Let it correct the air of Room')).toBeTruthy();
  });

  it('of light has its months in mol a day, and corrects its spot’s light by readings', async () => {
    serve();
    await open(<LoggerScreen loggerId="three-p" />);
    // Twelve hours of 100 umol: 4.3 mol.
    expect(screen.getAllByText('4.3')).toHaveLength(2);
    expect(screen.queryByText(/No month has seven days of warmth/)).toBeNull();
    fireEvent.press(screen.getByText(/^Let it correct the light of Bright/));
    await settled();
    expect(caught[0]!.changes).toHaveLength(2);
    expect(caught[0]!.changes[0]).toMatchObject({
      op: 'put',
      list: 'readings',
      entry: { spotId: 'bright', sky: 'month', unit: 'ppfd', value: 50, note: 'By Light meter' },
    });
    expect(screen.getByText(/is corrected by it\.$/)).toBeTruthy();
  });

  it('is told to differ from another in its room, with the test by salt', async () => {
    serve();
    await open(<LoggerScreen loggerId="two-t" />);
    expect(screen.getByText(/^It differs from Shelf in the same room by 0\.0 °C and \d points/)).toBeTruthy();
    expect(screen.getByText(/wet table salt/)).toBeTruthy();
  });

  it('says why its months are not there, and is nothing where it is gone', async () => {
    serve({ fails: /samples/ });
    await open(<LoggerScreen loggerId="one-t" />);
    expect(screen.getAllByText(/The disk is full\./).length).toBeGreaterThan(1);
    expect(screen.queryByText(/No month has seven days/)).toBeNull();
    serve();
    await open(<LoggerScreen loggerId="gone" />);
    expect(screen.queryByText('Warmth')).toBeNull();
  });
});

describe('places of loggers', () => {
  it('are every room and every spot, and read back as they were chosen', () => {
    const places = placesOf(shownHome);
    expect(places).toHaveLength(shownHome.rooms.length + shownHome.spots.length);
    for (const { value, word } of places) {
      const at = atPlace(value);
      expect((at.roomId === null) !== (at.spotId === null)).toBe(true);
      expect(loggerPlace(shownHome, at)).toBe(word);
    }
    expect(loggerPlace(shownHome, { roomId: 'gone', spotId: null })).toBe('place not given');
  });
});
