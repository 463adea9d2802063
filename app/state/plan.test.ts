/** The plan while it is made: given up, stopped, superseded, and told which facts it is of. */
import { act } from '@testing-library/react-native';
import { showHome, shownHome } from '../testing/shown-home';
import { LANES } from './lanes';
import { makePlan, stopPlan, usePlanStore } from './plan';

const reset = () =>
  usePlanStore.setState({ facts: null, state: 'none', plan: null, share: 0, failure: null, seconds: null });

beforeEach(() => {
  showHome();
  reset();
});
afterEach(() => jest.restoreAllMocks());

const now = () => usePlanStore.getState();

/** Holds what is asked of the planning worker, to be answered by hand. */
function held() {
  type Put = Parameters<typeof LANES.plans.ask>[0];
  const asked: { put: Put; answer: (plan: unknown) => void; fail: (error: Error) => void }[] = [];
  jest.spyOn(LANES.plans, 'ask').mockImplementation(
    (put: Put) =>
      new Promise((resolve, reject) => {
        asked.push({ put, answer: resolve as (plan: unknown) => void, fail: reject });
      }) as never,
  );
  return asked;
}

const nothing = { state: 'nothing' } as const;

it('is made of the facts it was asked for, with its seconds', async () => {
  const asked = held();
  const making = makePlan(shownHome);
  expect(now()).toMatchObject({ state: 'working', facts: shownHome, plan: null });
  expect(asked[0]!.put).toMatchObject({ question: 'plan', params: { effort: 'whole' } });
  asked[0]!.answer(nothing);
  await making;
  expect(now()).toMatchObject({ state: 'ready', plan: nothing });
  expect(now().seconds).toBeGreaterThanOrEqual(0);
});

it('tells how far it is, and the best so far, while it is the one that is wanted', async () => {
  const asked = held();
  const first = makePlan(shownHome);
  asked[0]!.put.onShare!(0.4);
  asked[0]!.put.onInterim!(nothing);
  expect(now()).toMatchObject({ share: 0.4, plan: nothing, state: 'working' });
  const other = { ...shownHome };
  const second = makePlan(other);
  asked[0]!.put.onShare!(0.9);
  expect(now()).toMatchObject({ share: 0, plan: null });
  asked[0]!.answer({ state: 'undecided' });
  await first;
  expect(now()).toMatchObject({ state: 'working', plan: null });
  asked[1]!.answer(nothing);
  await second;
  expect(now().facts).toBe(other);
});

it('that is stopped before anything is found leaves nothing', async () => {
  held();
  void makePlan(shownHome);
  await stopPlan();
  expect(now()).toMatchObject({ state: 'none', plan: null, facts: null });
});

it('that is stopped with one at hand works that one out with the least effort', async () => {
  const asked = held();
  void makePlan(shownHome);
  asked[0]!.put.onInterim!(nothing);
  const stopping = stopPlan();
  expect(now()).toMatchObject({ state: 'finishing', plan: nothing });
  expect(asked[1]!.put.params).toMatchObject({ effort: 'least' });
  // What the first one still says is not heard any more.
  asked[0]!.put.onInterim!({ state: 'undecided' });
  expect(now().plan).toBe(nothing);
  const worked = { state: 'impossible', clash: [] } as const;
  asked[1]!.answer(worked);
  await stopping;
  expect(now()).toMatchObject({ state: 'ready', plan: worked });
});

it('tells why it failed', async () => {
  const asked = held();
  const making = makePlan(shownHome);
  asked[0]!.fail(new Error('The worker stopped twice.'));
  await making;
  expect(now()).toMatchObject({ state: 'failed', failure: 'The worker stopped twice.' });
});

it('has nothing to stop where none is in the making', async () => {
  await act(() => stopPlan());
  expect(now().state).toBe('none');
});
