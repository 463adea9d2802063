/** The screens of a room's air: what they show is what the core says, and a slider tries more of a remedy. */
import { ask } from '@dulvan/core';
import { fireEvent, screen } from '@testing-library/react-native';
import { engine, open, settled, showHome, shownHome } from '../../testing/shown-home';
import { BenchScreen } from './bench-screen';
import { EnclosureScreen } from './enclosure-screen';
import { spanWords, stepOf } from './figures';
import { RoomAirScreen } from './room-air-screen';

const january = ask(engine, shownHome, 'roomAir', { roomId: 'r', year: 2026 })![0]!;

it('a room’s air is shown by the month, with where its water goes and where it is coldest', async () => {
  showHome();
  await open(<RoomAirScreen roomId="r" />);
  fireEvent.press(screen.getByText('Month by month'));
  expect(screen.getByText('January')).toBeTruthy();
  expect(screen.getAllByText(`${Math.round(january.dayC)} °C`).length).toBeGreaterThan(0);
  expect(screen.getByText('With the air that is changed')).toBeTruthy();
  expect(screen.getByText(/The darker, the colder by night/)).toBeTruthy();
  fireEvent.press(screen.getByText('Dry days'));
  expect(screen.getByText(/The darker, the drier by day/)).toBeTruthy();
});

it('says that nothing was said of the heating, until it is', async () => {
  showHome();
  await open(<RoomAirScreen roomId="r" />);
  expect(screen.getByText(/usual values are assumed/)).toBeTruthy();
  const { id, roomId } = { id: 'c', roomId: 'r' };
  const climate = {
    heating: 'none',
    dayC: 20,
    nightC: 17,
    dayFromMinute: 420,
    dayToMinute: 1320,
    envelope: 'usual',
    airing: 'leaky',
    peopleHours: 0,
    laundryLoadsWeek: 0,
    mealsDay: 0,
    showersDay: 0,
    shell: 'glass',
  } as const;
  showHome({ ...shownHome, climates: [{ id, roomId, ...climate }] });
  await open(<RoomAirScreen roomId="r" />);
  expect(screen.queryByText(/usual values are assumed/)).toBeNull();
});

it('tries a remedy, and more of it', async () => {
  showHome();
  await open(<BenchScreen roomId="r" />);
  expect(screen.getByText('150 g/h all day')).toBeTruthy();
  fireEvent(screen.getByLabelText('How much of it: Run a humidifier'), 'layout', {
    nativeEvent: { layout: { width: 240 } },
  });
  fireEvent(screen.getByLabelText('How much of it: Run a humidifier'), 'responderGrant', {
    nativeEvent: { locationX: 120 },
  });
  expect(screen.getByText('300 g/h all day')).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText('Price of a kWh, in your money'), '-3');
  expect(screen.getByText(/A number from 0 to 100/)).toBeTruthy();
});

describe('an enclosure that is tried', () => {
  const figures = { year: 2026, month: new Date().getMonth() + 1 };
  const dome = {
    ...{
      ...figures,
      spotId: 'bright',
      widthM: 0.4,
      depthM: 0.3,
      heightM: 0.4,
      shell: 'acrylic' as const,
      changesH: 0.2,
    },
    ...{ lampW: 0, lampFromMinute: 480, lampToMinute: 1200, wetM2: 0.12, highestC: 34 },
  } as const;
  const moisture = (changesH: number) => {
    const { dayRh, nightRh } = ask(engine, shownHome, 'enclosure', { ...dome, changesH })!;
    return `${Math.round(dayRh)} / ${Math.round(nightRh)} %`;
  };

  it('shows what the core says of it, and of another airing', async () => {
    showHome();
    await open(<EnclosureScreen roomId="r" />);
    expect(screen.getByText(moisture(0.2))).toBeTruthy();
    fireEvent.press(screen.getByText('A small fan'));
    await settled();
    expect(screen.getByText(moisture(40))).toBeTruthy();
    expect(screen.getByText(/Never leave a shut case in the sun unwatched/)).toBeTruthy();
  });

  it('leads on where a room has no place for it', async () => {
    showHome({ ...shownHome, spots: [] });
    await open(<EnclosureScreen roomId="r" />);
    expect(screen.getByText(/no place for plants yet/)).toBeTruthy();
  });
});

it('words a span once where both ends read the same, and finds the step of a value', () => {
  expect(spanWords([1.04, 1.02], 1)).toBe('1.0');
  expect(spanWords([-0.01, 2], 0)).toBe('0 to 2');
  expect(spanWords([-3.3, -3.3], 1)).toBe('−3.3');
  expect([9, 10, 31].map((value) => stepOf(value, [10, 20, 30]))).toEqual([0, 1, 3]);
});
