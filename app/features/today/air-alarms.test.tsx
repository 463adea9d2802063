/** Measured air that harms plants: told on Today while it lasts, and by the browser once, never in the quiet hours. */
import type { Series } from '@dulvan/contract';
import { HOUR_MS } from '@dulvan/core';
import { screen } from '@testing-library/react-native';
import { open, settled, showHome, shownHome } from '../../testing/shown-home';
import { useSettings } from '../../state/settings';
import { AirNotices } from '../shell/air-notices';
import { AirAlarms } from './air-alarms';

const series = (quantity: Series['quantity'], lastAt: number): Series => ({
  ...{ id: `one-${quantity}`, name: 'Shelf', quantity, roomId: 'r', spotId: null, plantId: null },
  ...{ samples: 72, firstAt: lastAt - 72 * HOUR_MS, lastAt },
});

/** A server with one logger of the room, as warm and moist as said through all hours up to now. */
function serve({ celsius, hoursAgo = 0 }: { readonly celsius: number; readonly hoursAgo?: number }): void {
  const lastAt = Date.now() - hoursAgo * HOUR_MS;
  globalThis.fetch = jest.fn((address: string) => {
    const { pathname, searchParams } = new URL(address, 'http://here');
    if (!pathname.endsWith('/samples')) {
      const all = [series('temperature', lastAt), series('humidity', lastAt)];
      return Promise.resolve({ ok: true, status: 200, headers: new Headers(), json: () => Promise.resolve(all) });
    }
    const value = pathname.includes('temperature') ? celsius : 55;
    const rows: number[] = [];
    const from = Math.ceil(Number(searchParams.get('from')) / HOUR_MS) * HOUR_MS;
    for (let at = from; at < Math.min(lastAt, Number(searchParams.get('to'))); at += HOUR_MS)
      rows.push(at, 4, 4 * value, value, value);
    const content = Float64Array.from(rows).buffer;
    return Promise.resolve({ ok: true, headers: new Headers(), arrayBuffer: () => Promise.resolve(content) });
  }) as unknown as typeof fetch;
}

beforeEach(() => {
  showHome();
  Object.defineProperty(window, 'location', { value: { origin: 'http://here' }, configurable: true });
  useSettings.setState({ toldAlarms: [], quiet: { fromMinute: 0, toMinute: 0 } });
});

describe('on Today', () => {
  it('names the logger, the cold, whom it harms and what to do', async () => {
    serve({ celsius: 3 });
    await open(<AirAlarms facts={shownHome} />);
    expect(
      screen.getByText(/^Shelf: as cold as 3 °C for \d+ hours, below \d+ °C\..*warm it or move it now\.$/),
    ).toBeTruthy();
    expect(screen.getByText('What Shelf measured')).toBeTruthy();
  });

  it('says nothing where the air is right, or by what was measured long ago', async () => {
    serve({ celsius: 20 });
    await open(<AirAlarms facts={shownHome} />);
    expect(screen.queryByText(/Shelf/)).toBeNull();
    serve({ celsius: 3, hoursAgo: 9 });
    await open(<AirAlarms facts={shownHome} />);
    expect(screen.queryByText(/Shelf/)).toBeNull();
  });
});

describe('by the browser', () => {
  const notices: string[] = [];
  class Told {
    static permission = 'granted';
    constructor(title: string, { body }: { body: string }) {
      notices.push(`${title}: ${body}`);
    }
  }

  beforeEach(() => {
    notices.length = 0;
    Object.defineProperty(globalThis, 'Notification', { value: Told, configurable: true });
    serve({ celsius: 3 });
  });
  afterEach(() => Reflect.deleteProperty(globalThis, 'Notification'));

  it('is told once, however often it is looked at', async () => {
    await open(<AirNotices facts={shownHome} />);
    await settled();
    expect(notices).toHaveLength(1);
    expect(notices[0]).toMatch(/^Air that harms plants: Shelf: as cold as 3 °C/);
    await open(<AirNotices facts={shownHome} />);
    await settled();
    expect(notices).toHaveLength(1);
  });

  it('waits for the end of the quiet hours, and for leave', async () => {
    useSettings.setState({ quiet: { fromMinute: 0, toMinute: 1440 } });
    await open(<AirNotices facts={shownHome} />);
    await settled();
    expect(notices).toEqual([]);
    useSettings.setState({ quiet: { fromMinute: 0, toMinute: 0 } });
    Object.defineProperty(Told, 'permission', { value: 'denied', configurable: true, writable: true });
    await open(<AirNotices facts={shownHome} />);
    await settled();
    expect(notices).toEqual([]);
  });
});
