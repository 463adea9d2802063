/** The plan on screen: asked question by question, made, taken in part, accepted, walked. */
import { PLAIN_STEP, openSteps, put, type HomeFacts, type PlanStep, type Wish } from '@dulvan/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import { useHome } from '../../state/home';
import { usePlanStore } from '../../state/plan';
import { caught, open, settled, showHome, shownHome, sunPlant, withRole, wordsIn } from '../../testing/shown-home';
import { PlanScreen } from './plan-screen';
import { PricesScreen } from './prices-screen';
import { WalkScreen } from './walk-screen';

const factsNow = () => useHome.getState().facts!;

beforeEach(() => {
  usePlanStore.setState({ facts: null, state: 'none', plan: null, share: 0, failure: null, seconds: null });
  showHome();
});

/** Goes through the questions and lets the plan be made. */
async function made(facts: HomeFacts = shownHome): Promise<void> {
  showHome(facts);
  await open(<PlanScreen />);
  fireEvent.press(screen.getByText('Next'));
  fireEvent.press(screen.getByText('Make the plan'));
  await waitFor(() => expect(usePlanStore.getState().state).toBe('ready'));
  await settled();
}

it('asks what may change, and stores each answer as it is given', async () => {
  await open(<PlanScreen />);
  fireEvent.press(screen.getByText('Summer and winter'));
  await settled();
  expect(factsNow().planSettings).toEqual([expect.objectContaining({ arrangements: 2, moves: 'as-it-pays' })]);
  fireEvent.press(screen.getByText('Nothing'));
  await settled();
  expect(factsNow().circuits[0]!.freedom).toBe('nothing');
  fireEvent.press(screen.getByText('Next'));
  fireEvent.press(screen.getByText('Poor years too'));
  await settled();
  expect(factsNow().planSettings).toEqual([expect.objectContaining({ arrangements: 2, years: 'poor' })]);
});

it('makes a plan, tells what it comes to, and accepts it whole', async () => {
  await made();
  const rows = withRole('row').map(wordsIn);
  expect(rows.some((words) => /^Plants that decline\d\d$/.test(words))).toBe(true);
  expect(
    screen.getByText(/^No other choice of spots, timers and curtains .* is more than \d+(\.\d)? % better/),
  ).toBeTruthy();
  fireEvent.press(screen.getByText('Accept the plan'));
  await settled();
  const steps = openSteps(factsNow());
  expect(steps.length).toBeGreaterThan(0);
  expect(factsNow().plans).toHaveLength(1);
  expect(factsNow().plans[0]!.promised).toHaveLength(2);
});

it('leaves out what is not ticked', async () => {
  await made();
  fireEvent.press(screen.getByLabelText(`Carry ${sunPlant.name}`));
  await settled();
  const accept = screen.queryByText(/^Accept \d+ steps?$/) ?? screen.getByText('Nothing is chosen.');
  fireEvent.press(accept);
  await settled();
  expect(openSteps(factsNow()).every(({ plantId }) => plantId !== sunPlant.id)).toBe(true);
});

it('says that a plan is of facts that have changed since, and does not offer it', async () => {
  await made();
  act(() => useHome.setState({ facts: { ...factsNow(), spots: [...factsNow().spots].slice(1) } }));
  await settled();
  expect(screen.getByText(/^The home has changed since this plan was made/)).toBeTruthy();
  expect(screen.queryByText('Accept the plan')).toBeNull();
});

it('names wishes that cannot be kept together', async () => {
  const stays = (id: string, spotId: string): Wish => ({
    ...{ id, homeId: shownHome.home.id, kind: 'stays', plantId: sunPlant.id, spotId, standId: null },
    ...{ group: '', care: 'usual' },
  });
  await made({ ...shownHome, wishes: [stays('w1', 'bright'), stays('w2', 'dim')] });
  expect(screen.getByText('Not all of it can be kept')).toBeTruthy();
  expect(screen.getAllByText(/^Sun plant stays at /)).toHaveLength(2);
  fireEvent.press(screen.getAllByText('Take out')[0]!);
  await settled();
  expect(factsNow().wishes).toHaveLength(1);
});

describe('the walk', () => {
  const step: PlanStep = {
    ...PLAIN_STEP,
    ...{ id: 's', planId: 'x', order: 0, on: '2026-01-01', kind: 'carry', plantId: sunPlant.id },
    ...{ fromSpotId: sunPlant.spotId, spotId: 'bright', doneOn: null },
  };

  it('carries the plant when a step is done, and marks the step with it', async () => {
    showHome({ ...shownHome, planSteps: [step] });
    await open(<WalkScreen />);
    fireEvent.press(screen.getByLabelText(/^Done: Carry Sun plant from .*, to Bright/));
    await settled();
    expect(factsNow().plants.find(({ id }) => id === sunPlant.id)!.spotId).toBe('bright');
    expect(factsNow().planSteps[0]!.doneOn).toMatch(/^\d{4}-\d\d-\d\d$/);
    expect(caught).toHaveLength(1);
    expect(screen.getByText(/^No step is open/)).toBeTruthy();
  });

  it('gives up what is open, and keeps what a plan promised beside what is', async () => {
    const plan = {
      ...{ id: 'x', homeId: shownHome.home.id, acceptedOn: '2026-01-01', kWhBefore: 50, kWhAfter: 40 },
      promised: [{ plantId: sunPlant.id, before: 0.2, after: 0.75 }],
    };
    showHome({ ...shownHome, plans: [plan], planSteps: [step] });
    await open(<WalkScreen />);
    fireEvent.press(screen.getByText('Give the rest up'));
    await settled();
    expect(factsNow().planSteps).toEqual([]);
    fireEvent.press(screen.getByText(/^Accepted on Thursday, 1 January; electricity 50 → 40 kWh a year/));
    expect(screen.getByText('75 %')).toBeTruthy();
  });
});

describe('prices', () => {
  it('are refused with a gap, told where it is, and kept once it is closed', async () => {
    await open(<PricesScreen />);
    fireEvent.changeText(screen.getByLabelText('Price of a kWh'), '0,31');
    fireEvent.changeText(screen.getByLabelText('From'), '6:00');
    fireEvent.press(screen.getByText('Save'));
    await settled();
    expect(screen.getByText(/No price is said for Monday from 0:00 to 6:00\./)).toBeTruthy();
    expect(caught).toEqual([]);
    fireEvent.changeText(screen.getByLabelText('From'), '0:00');
    fireEvent.press(screen.getByText('Save'));
    await settled();
    expect(factsNow().tariffs).toEqual([expect.objectContaining({ pricePerKwh: 0.31, toMinute: 1440 })]);
  });

  it('of another home are read back into the form', async () => {
    const band = { ...{ id: 't', homeId: 'h', weekdays: [1, 2, 3, 4, 5, 6, 7] }, fromMinute: 0, toMinute: 1440 };
    showHome({ ...shownHome, tariffs: [{ ...band, pricePerKwh: 2.5 }] });
    await open(<PricesScreen />);
    expect(screen.getByLabelText('Price of a kWh').props.value).toBe('2.5');
    fireEvent.press(screen.getByText('Forget all prices'));
    await settled();
    expect(factsNow().tariffs).toEqual([]);
  });
});

it('a wish is added for a plant that stands somewhere, and told in words', async () => {
  await open(<PlanScreen />);
  fireEvent.press(screen.getByText('Next'));
  fireEvent.press(screen.getByText('Add a wish'));
  fireEvent.press(screen.getByText('Add it'));
  await settled();
  expect(screen.getByText(/Name a plant\./)).toBeTruthy();
  act(() => void useHome.getState().change('Wish', [put('wishes', keepsStill())]));
  await settled();
  expect(screen.getByText(/^Sun plant stays at /)).toBeTruthy();
});

const keepsStill = (): Wish => ({
  ...{ id: 'w', homeId: shownHome.home.id, kind: 'stays', plantId: sunPlant.id, spotId: sunPlant.spotId },
  ...{ standId: null, group: '', care: 'usual' },
});
