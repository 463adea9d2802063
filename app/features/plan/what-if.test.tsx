/** What if a lamp fails, a window goes, a plant or a whole home comes: tried, planned, nothing stored. */
import { without } from '@dulvan/core';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { router } from 'expo-router';
import { shownFacts, useHome } from '../../state/home';
import { usePlanStore } from '../../state/plan';
import { caught, open, settled, showHome, shownHome, withRole, wordsIn } from '../../testing/shown-home';
import { CompareScreen } from './compare-screen';
import { PlanScreen } from './plan-screen';
import { useVariants } from './variants';
import { WhatIfScreen } from './what-if-screen';

beforeEach(() => {
  usePlanStore.setState({ facts: null, state: 'none', plan: null, share: 0, failure: null, seconds: null });
  useVariants.setState({ variants: [] });
  showHome();
});

afterEach(() => useHome.setState({ trial: null }));

const planned = () => waitFor(() => expect(usePlanStore.getState().state).toBe('ready'), { timeout: 60_000 });

it('tries a lamp that fails, plans with it, and stores nothing', async () => {
  const push = jest.spyOn(router, 'push');
  await open(<WhatIfScreen />);
  expect(screen.queryByLabelText('Try it, and plan: A lamp fails')).toBeNull();
  fireEvent.press(screen.getByLabelText(/^Which lamp\?/));
  await settled();
  fireEvent.press(withRole('radio')[0]!);
  await settled();
  fireEvent.press(screen.getByLabelText('Try it, and plan: A lamp fails'));
  await planned();
  expect(push).toHaveBeenCalledWith('/plan');
  expect(useHome.getState().trial!.summaries[0]).toMatch(/ fails$/);
  expect(shownFacts()!.lamps).toHaveLength(shownHome.lamps.length - 1);
  expect(usePlanStore.getState().facts).toBe(shownFacts());
  expect(caught).toEqual([]);
  push.mockRestore();
});

it('holds a plan that was tried beside the home as it was tried, and offers no acceptance of it', async () => {
  useHome.getState().tryOut('Lamp fails', without(shownHome, { list: 'lamps', id: shownHome.lamps[0]!.id }));
  await open(<PlanScreen />);
  fireEvent.press(screen.getByText('Next'));
  fireEvent.press(screen.getByText('Make the plan'));
  await planned();
  await settled();
  expect(screen.getByText('Something is being tried: keep it or put it back first.')).toBeTruthy();
  expect(useVariants.getState().variants.map(({ name }) => name)).toEqual([
    'As tried: Lamp fails',
    'Plan with: Lamp fails',
  ]);
  await open(<CompareScreen />);
  expect(
    withRole('row')
      .map(wordsIn)
      .some((words) => words.startsWith('Plants that decline')),
  ).toBe(true);
  fireEvent.press(screen.getByText('Leave out “As tried: Lamp fails”'));
  await settled();
  expect(screen.getByText(/^There is nothing to compare yet/)).toBeTruthy();
});

it('says what there is none of', async () => {
  showHome({ ...shownHome, lamps: [], windows: [], plants: [] });
  await open(<WhatIfScreen />);
  for (const none of [
    'There is no plant in this home.',
    'There is no lamp in this home.',
    'There is no window in this home.',
    'There is no other home.',
  ])
    expect(screen.getByText(none)).toBeTruthy();
});

it('a plant that comes is told with its cautions and what is assumed of it', async () => {
  await open(<WhatIfScreen />);
  fireEvent.changeText(screen.getByLabelText('Which plant?'), 'dieffenbachia');
  await settled();
  fireEvent.press(screen.getAllByLabelText(/[Dd]ieffenbachia/)[1] ?? screen.getAllByLabelText(/[Dd]ieffenbachia/)[0]!);
  await settled();
  expect(screen.getByText(/^Taken as full-grown, in a pot of 12 cm/)).toBeTruthy();
  fireEvent.press(screen.getByText('Another one'));
  await settled();
  expect(screen.queryByText(/^Taken as full-grown/)).toBeNull();
});

const triedBy = async (heading: string, pick: RegExp | null) => {
  const push = jest.spyOn(router, 'push').mockImplementation(() => undefined);
  await open(<WhatIfScreen />);
  if (pick) {
    fireEvent.press(screen.getByLabelText(pick));
    await settled();
    fireEvent.press(withRole('radio')[0]!);
    await settled();
  }
  fireEvent.press(screen.getByLabelText(`Try it, and plan: ${heading}`));
  await planned();
  push.mockRestore();
};

it('tries one more spot, and plans with it', async () => {
  await triedBy('One more spot', /^On which board\?/);
  expect(shownFacts()!.spots).toHaveLength(shownHome.spots.length + 1);
  expect(useHome.getState().facts!.spots).toHaveLength(shownHome.spots.length);
});

it('tries a humidifier in a room', async () => {
  await triedBy('A humidifier comes', /^In which room\?/);
  expect(shownFacts()!.airThings.at(-1)).toMatchObject({ kind: 'humidifier', gramsH: 250, setRh: 60 });
});

it('tries a heat wave in every room whose air is known', async () => {
  await triedBy('A heat wave, while you are away', null);
  const hot = shownFacts()!.air.filter(({ id }) => !shownHome.air.some((one) => one.id === id));
  expect(hot.length).toBeGreaterThan(0);
  expect(new Set(hot.map(({ roomId }) => roomId)).size).toBe(hot.length);
});
