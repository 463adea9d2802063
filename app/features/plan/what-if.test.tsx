/** What if a lamp fails, a window goes, a plant or a whole home comes: tried, planned, nothing stored. */
import { applied, type HomeFacts } from '@dulvan/core';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { router } from 'expo-router';
import { shownFacts, useHome } from '../../state/home';
import { usePlanStore } from '../../state/plan';
import { caught, open, settled, showHome, shownHome, withRole, wordsIn } from '../../testing/shown-home';
import { CompareScreen } from './compare-screen';
import { PlanScreen } from './plan-screen';
import { useVariants } from './variants';
import { movingIn, without } from './what-if';
import { WhatIfScreen } from './what-if-screen';

beforeEach(() => {
  usePlanStore.setState({ facts: null, state: 'none', plan: null, share: 0, failure: null, seconds: null });
  useVariants.setState({ variants: [] });
  showHome();
});

afterEach(() => useHome.setState({ trial: null }));

const planned = () => waitFor(() => expect(usePlanStore.getState().state).toBe('ready'), { timeout: 60_000 });

describe('as changes', () => {
  it('a lamp that fails goes alone; a window takes nothing of the room with it', () => {
    const dark = applied(shownHome, without(shownHome, { list: 'lamps', id: shownHome.lamps[0]!.id }))!;
    expect(dark.lamps).toHaveLength(shownHome.lamps.length - 1);
    expect(dark.circuits).toEqual(shownHome.circuits);
    const walled = applied(shownHome, without(shownHome, { list: 'windows', id: 'w' }))!;
    expect(walled.windows).toEqual([]);
    expect(walled.spots).toEqual(shownHome.spots);
  });

  it('a plant that is given away goes with what is known of it alone', () => {
    const [first] = shownHome.plants;
    const wish = { id: 'w', homeId: 'h', kind: 'apart' as const, plantId: first!.id, spotId: null, standId: null };
    const wished: HomeFacts = { ...shownHome, wishes: [{ ...wish, group: '', care: 'usual' }] };
    const after = applied(wished, without(wished, { list: 'plants', id: first!.id }))!;
    expect(after.plants.map(({ id }) => id)).toEqual(shownHome.plants.slice(1).map(({ id }) => id));
    expect(after.wishes).toEqual([]);
    expect(after.spots).toEqual(shownHome.spots);
  });

  it('what pointed at something that is gone points at nothing', () => {
    const circuits = shownHome.circuits.map((circuit) => ({ ...circuit, supplyId: 's' }));
    const wired: HomeFacts = {
      ...shownHome,
      circuits,
      supplies: [{ id: 's', homeId: 'h', name: 'S', limitW: 9, alsoW: 0 }],
    };
    const after = applied(wired, without(wired, { list: 'supplies', id: 's' }))!;
    expect(after.circuits.map(({ supplyId }) => supplyId)).toEqual(circuits.map(() => null));
  });

  it('plants of another home come without a spot; kinds that only the other home knows stay away', () => {
    const [first, second] = shownHome.plants;
    const strange = { ...second!, taxonId: 'own' };
    const other = { ...shownHome, home: { ...shownHome.home, id: 'o' }, plants: [first!, strange] };
    const known = { ...other, ownTaxa: [{ id: 'own' } as HomeFacts['ownTaxa'][number]] };
    const { changes, left } = movingIn(shownHome, known);
    expect(left).toEqual([strange]);
    const after = applied(shownHome, changes)!;
    expect(after.plants).toHaveLength(shownHome.plants.length + 1);
    expect(after.plants.at(-1)).toMatchObject({ name: first!.name, homeId: 'h', spotId: null });
    expect(after.plants.at(-1)!.id).not.toBe(first!.id);
  });
});

it('tries a lamp that fails, plans with it, and stores nothing', async () => {
  const push = jest.spyOn(router, 'push');
  await open(<WhatIfScreen />);
  expect(screen.queryByText('Try it, and plan')).toBeNull();
  fireEvent.press(screen.getByLabelText(/^Which lamp\?/));
  await settled();
  fireEvent.press(withRole('radio')[0]!);
  await settled();
  fireEvent.press(screen.getByText('Try it, and plan'));
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
