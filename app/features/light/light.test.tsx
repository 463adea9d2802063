/** The screens of light: a room through a day, a light year, places side by side, a tier's lamps, readings, files. */
import { fireEvent, screen } from '@testing-library/react-native';
import { ask, type Reading } from '@dulvan/core';
import { useDrafts } from '../../state/drafts';
import { useHome } from '../../state/home';
import { engine, open, shelf, settled, showHome, shownHome } from '../../testing/shown-home';
import { BesideScreen } from './beside-screen';
import { FilesScreen } from './files-screen';
import { instantOpacity, PPFD_STEPS } from './instant-wash';
import { LightYearScreen } from './light-year-screen';
import { dailyDli, lightHours, stretchPaths } from './light-year-drawing';
import { ReadingsScreen } from './readings-screen';
import { RoomDayScreen } from './room-day-screen';
import { TakeReading } from './take-reading';
import { TierScreen } from './tier-screen';

const reading = (given: Partial<Reading>): Reading => ({
  id: 'm',
  homeId: 'h',
  spotId: 'bright',
  atMs: Date.UTC(2026, 5, 21, 11),
  value: 100,
  unit: 'ppfd',
  sky: 'clear',
  outdoorValue: null,
  curtains: 'open',
  lamps: 'off',
  note: '',
  withdrawnOn: null,
  ...given,
});

/** The server's one answer to whatever file is asked for. */
function serveFile(content: Uint8Array): void {
  globalThis.fetch = jest.fn(() =>
    Promise.resolve({ ok: true, headers: new Headers(), arrayBuffer: () => Promise.resolve(content.buffer) }),
  ) as unknown as typeof fetch;
}

/** What the screen asked to store; the server is not there in these tests. */
function changesAsked() {
  const asked: { summary: string; changes: readonly unknown[] }[] = [];
  useHome.setState({
    change: (summary: string, changes: readonly unknown[]) => {
      asked.push({ summary, changes });
      return Promise.resolve('stored');
    },
    attempt: (summary: string, changes: readonly unknown[]) => {
      asked.push({ summary, changes });
      return Promise.resolve(null);
    },
  } as never);
  return asked;
}

beforeEach(() => {
  showHome();
  useDrafts.setState({ drafts: {} });
});

describe('a room through a day', () => {
  it('tells the hour, the sun and each spot’s light, and steps by the hour', async () => {
    await open(<RoomDayScreen roomId="r" />);
    expect(screen.getByText(/^12:00, 21 /)).toBeTruthy();
    expect(screen.getByText(/^Sun in the |^The sun is down/)).toBeTruthy();
    expect(screen.getByTestId('now-bright')).toHaveTextContent(/µmol\/m²s$/);
    fireEvent.press(screen.getByLabelText('An hour later'));
    await settled();
    expect(screen.getByText(/^13:00, 21 /)).toBeTruthy();
  });

  it('under an overcast sky has no patch of sun', async () => {
    await open(<RoomDayScreen roomId="r" />);
    fireEvent.press(screen.getByLabelText('Overcast'));
    await settled();
    expect(screen.getByText(/No patch of it on the floor/)).toBeTruthy();
  });
});

describe('a light year', () => {
  it('is drawn with a table behind it', async () => {
    await open(<LightYearScreen spotId="dim" />);
    await settled();
    expect(screen.getByText('Every day and hour')).toBeTruthy();
    expect(screen.getByText('Hours lit')).toBeTruthy();
    expect(screen.getAllByText(/^[\d.]+ h$/)).toHaveLength(12);
    // Seventeen thousand instants, computed here on the test's own thread.
  });

  it('keeps in its shapes the hours it was made of', () => {
    const ppfd = new Float32Array(48 * 2).fill(0);
    const source = new Uint8Array(48 * 2).fill(0);
    for (let row = 20; row < 30; row++) {
      ppfd[row] = 200;
      source[row] = 1;
    }
    const year = { days: 2, ppfd, source, monthStarts: [0] };
    const [only, ...others] = stretchPaths(year);
    expect(others).toEqual([]);
    expect(only).toMatchObject({ source: 'sun', strength: 3 });
    expect(only!.path(0, 0, 1, 1).match(/M/g)).toHaveLength(1);
    expect(dailyDli(year)).toEqual([expect.closeTo(200 * 5 * 3600e-6, 6), 0]);
    expect(lightHours(year)).toEqual([5, 0]);
  });
});

describe('places side by side', () => {
  it('names each with its light, and takes others in', async () => {
    await open(<BesideScreen spotId="dim" />);
    await settled();
    expect(screen.getByText('50 cm nearer to the window')).toBeTruthy();
    expect(screen.getByText('Here behind a sheer curtain all day')).toBeTruthy();
    const before = screen.getAllByText(/mol a day, /).length;
    fireEvent.press(screen.getByLabelText('Boxed · Box'));
    await settled();
    expect(screen.getAllByText(/mol a day, /).length).not.toBe(before);
  });
});

describe('a tier under its lamps', () => {
  it('tells spread, a height with its hours, power and what the lamp gives', async () => {
    await open(<TierScreen tierId="shelf-1" />);
    await settled();
    expect(screen.getByTestId('tier-mean')).toHaveTextContent(/^\d+ µmol\/m²s$/);
    expect(screen.getByTestId('lamp-plan')).toHaveTextContent(/cm|height/);
    expect(screen.getByText(/^18 W while they are on/)).toBeTruthy();
    expect(screen.getByText(/^By the photons on its label, within 5 %/)).toBeTruthy();
  });

  it('refuses a wish that cannot be beside its field, and keeps what was typed', async () => {
    await open(<TierScreen tierId="shelf-1" />);
    fireEvent.changeText(screen.getByLabelText('Wanted light, mol a day'), 'lots');
    await settled();
    expect(screen.getByTestId('error-Wanted light')).toHaveTextContent(/From 0.1 to 60/);
    expect(screen.getByLabelText('Wanted light, mol a day').props.value).toBe('lots');
  });

  it('tries another height out before it is kept', async () => {
    await open(<TierScreen tierId="shelf-1" />);
    fireEvent.press(screen.getByLabelText('Lower the lamps by 5 cm'));
    await settled();
    expect(useHome.getState().trial?.changes[0]).toMatchObject({ list: 'lamps', id: 'l', fields: { aboveM: 0.45 } });
  });
});

describe('taking a reading', () => {
  it('takes a number and a touch, and tells what it means before it is kept', async () => {
    const asked = changesAsked();
    await open(<TakeReading spotId="bright" />);
    fireEvent.changeText(screen.getByLabelText('The meter shows'), '5400');
    await settled();
    fireEvent.press(screen.getByText('Keep the reading'));
    await settled();
    expect(asked[0]).toMatchObject({
      summary: 'Read 5400 lux at Bright',
      changes: [
        { list: 'readings', entry: { spotId: 'bright', value: 5400, unit: 'lux', sky: 'overcast', withdrawnOn: null } },
      ],
    });
    expect(useDrafts.getState().drafts['reading/bright']).toBeUndefined();
  });

  it('does not take a word for a number, and loses nothing typed', async () => {
    const asked = changesAsked();
    await open(<TakeReading spotId="bright" />);
    fireEvent.changeText(screen.getByLabelText('The meter shows'), 'bright');
    fireEvent.press(screen.getByText('Keep the reading'));
    await settled();
    expect(asked).toEqual([]);
    expect(screen.getByTestId('error-The meter shows')).toHaveTextContent(/From 0 to 200000/);
    expect(useDrafts.getState().drafts['reading/bright']!.value).toBe('bright');
  });
});

describe('the time of a reading', () => {
  const atTime = async (day: string, time: string) => {
    const asked = changesAsked();
    useDrafts.setState({ drafts: { 'reading/bright': { value: '100', ago: 'other', day, time } } });
    await open(<TakeReading spotId="bright" />);
    fireEvent.press(screen.getByText('Keep the reading'));
    await settled();
    return asked;
  };

  it('is read by the clock of the home', async () => {
    const [stored] = await atTime('2026-06-21', '13:00');
    const atMs = (stored!.changes[0] as { entry: Reading }).entry.atMs;
    expect(new Date(atMs).toLocaleString('en-GB', { timeZone: shownHome.home.timeZone })).toBe('21/06/2026, 13:00:00');
  });

  it('cannot be still to come', async () => {
    expect(await atTime('2999-01-01', '13:00')).toEqual([]);
    expect(screen.getByText(/That is still to come\./)).toBeTruthy();
  });

  it('must be one that there is', async () => {
    expect(await atTime('', '13:00')).toEqual([]);
    expect(screen.getByText(/Pick a day and a time\./)).toBeTruthy();
  });
});

describe('a reading that cannot be so', () => {
  const shown = async (value: string, sky = 'overcast') => {
    const draft = { value, sky, unit: 'ppfd', ago: 'other', day: '2026-06-21', time: '13:00' };
    useDrafts.setState({ drafts: { 'reading/bright': draft } });
    await open(<TakeReading spotId="bright" />);
    await settled();
  };

  it('is said to be far from what is computed, before it is kept', async () => {
    await shown('90000');
    expect(screen.getByText(/^! That is far from what is expected here/)).toBeTruthy();
    expect(screen.getByText(/^Measured [\d,.]+, computed [\d.]+ µmol\/m²s: [\d.]+ times\.$/)).toBeTruthy();
  });

  it('is not questioned where it is near', async () => {
    await shown('90000');
    const computed = Number(/computed ([\d.]+)/.exec(String(screen.getByText(/^Measured/).props.children))![1]);
    screen.unmount();
    await shown(String(computed));
    expect(screen.queryByText(/^! /)).toBeNull();
    expect(screen.getByText(/: 1\.0\d times\.$/)).toBeTruthy();
  });
});

describe('readings taken', () => {
  it('tell what each says of the model, and can be withdrawn', async () => {
    const facts = { ...shownHome, readings: [reading({}), reading({ id: 'n', value: 90, withdrawnOn: '2026-06-30' })] };
    showHome(facts);
    const asked = changesAsked();
    const compared = ask(engine, facts, 'home', { year: 2026, month: 11 }).readings[0]!;
    await open(<ReadingsScreen />);
    expect(
      screen.getByText(`${(compared.measuredPpfd / compared.computedPpfd).toFixed(2)} times the computed daylight`),
    ).toBeTruthy();
    expect(screen.getByText('Withdrawn on 2026-06-30: it corrects nothing.')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Withdraw 100 µmol/m²s'));
    await settled();
    expect(asked[0]).toMatchObject({
      changes: [{ list: 'readings', id: 'm', fields: { withdrawnOn: expect.stringMatching(/^\d{4}-\d\d-\d\d$/) } }],
    });
  });

  it('teach the first step when there are none', async () => {
    await open(<ReadingsScreen />);
    expect(screen.getByText(/^None yet/)).toBeTruthy();
  });
});

describe('files', () => {
  it('name the weather in force and each lamp file with who uses it', async () => {
    const photometry = {
      id: 'f',
      homeId: 'h',
      name: 'Bar 60',
      lumens: 1500,
      powerW: 15,
      lengthM: 0.6,
      breadthM: 0.05,
      fileKey: 'a'.repeat(64),
    };
    const intensities = { planes: [0], angles: [0, 90], candela: [400, 0] };
    shelf.putIntensities(photometry.fileKey, intensities);
    serveFile(new TextEncoder().encode(JSON.stringify(intensities)));
    showHome({
      ...shownHome,
      photometries: [photometry],
      lamps: shownHome.lamps.map((lamp) => ({ ...lamp, photometryId: 'f' })),
    });
    const asked = changesAsked();
    await open(<FilesScreen />);
    await settled();
    expect(screen.getByText(/^Now: /)).toBeTruthy();
    expect(screen.getByText(/^1500 lm, 15 W, 1 plane of 2 angles; used by Lamp$/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Take out Bar 60'));
    await settled();
    expect(asked[0]!.changes).toMatchObject([
      { list: 'lamps', fields: { photometryId: null } },
      { op: 'drop', list: 'photometries', id: 'f' },
    ]);
  });
});

describe('the wash of an instant', () => {
  it('never grows fainter with more light', () => {
    const steps = [0, ...PPFD_STEPS, 2000].map(instantOpacity);
    expect([...steps].sort((p, q) => p - q)).toEqual(steps);
    expect(steps[0]).toBe(0);
  });
});

describe('ways to a wanted light', () => {
  it('are told for a tier under lamps, with what each costs to run', async () => {
    await open(<TierScreen tierId="shelf-1" />);
    await settled();
    expect(screen.getByText('Ways to that light')).toBeTruthy();
    expect(
      screen.getAllByText(/^[✓✕] (Run its lamps longer|Hang its lamps at another height|Add a lamp)/).length,
    ).toBeGreaterThan(1);
    expect(screen.getAllByText(/kWh a year/).length).toBeGreaterThan(1);
  });

  it('name the lamp to buy for a tier without one', async () => {
    showHome({ ...shownHome, lamps: [] });
    await open(<TierScreen tierId="shelf-1" />);
    fireEvent.changeText(screen.getByLabelText('Wanted light, mol a day'), '5');
    await settled();
    expect(screen.getByText('✓ Hang a lamp')).toBeTruthy();
    expect(screen.getByText(/^\d (bar|panel).* of \d+ µmol\/s \(about \d+ W as LED/)).toBeTruthy();
    expect(screen.getByText(/licensed electrician/)).toBeTruthy();
    expect(screen.queryByText('Heights side by side')).toBeNull();
  });
});
