/** Answers on screen belong to what is on screen, wherever they come from. */
import { act, renderHook, waitFor } from '@testing-library/react-native';
import { CONTRACT_VERSION } from '@dulvan/contract';
import { packed, type HomeFacts } from '@dulvan/core';
import { shownHome, showHome } from '../testing/shown-home';
import { LANES } from './lanes';
import { useHome } from './home';
import { retryVerdicts, useKeepVerdicts, useVerdicts, useVerdictsStore } from './verdicts';

const asked: string[] = [];
/** What the server answers to the question about the home; null when it cannot be reached. */
let served: (() => unknown) | null;

beforeEach(() => {
  asked.length = 0;
  served = null;
  globalThis.fetch = jest.fn((address: string) => {
    asked.push(address);
    const body = address === '/api/health' ? { ok: true, version: '1', engine: 'e' } : served?.();
    if (body === undefined || body === null) return Promise.reject(new TypeError('Network request failed'));
    const headers = new Map([['X-Dulvan-Contract', CONTRACT_VERSION]]);
    return Promise.resolve({
      ok: true,
      status: 200,
      headers,
      json: () => Promise.resolve(body),
    } as unknown as Response);
  }) as unknown as typeof fetch;
  showHome();
  act(() => useVerdictsStore.setState({ answers: null, facts: null, working: 'no', failure: null, ofStored: null }));
});
afterEach(() => jest.restoreAllMocks());

const opened = () =>
  renderHook(() => {
    useKeepVerdicts();
    return useVerdicts();
  });
const put = (facts: HomeFacts, revision: number) =>
  act(async () => {
    useHome.setState({ facts, revision });
    await Promise.resolve();
  });
const ready = (hook: ReturnType<typeof opened>) => waitFor(() => expect(hook.result.current.state).toBe('ready'));

/** Holds the worker's next answer back. @returns what lets it go */
function heldBack(): () => void {
  const ask = LANES.verdicts.ask.bind(LANES.verdicts);
  let letGo: () => void = () => undefined;
  const gate = new Promise<void>((resolve) => (letGo = resolve));
  jest.spyOn(LANES.verdicts, 'ask').mockImplementationOnce(async (question) => {
    await gate;
    return ask(question) as never;
  });
  return letGo;
}

const otherHome: HomeFacts = {
  ...shownHome,
  home: { ...shownHome.home, id: 'other', name: 'Other' },
  plants: shownHome.plants.map((plant) => ({ ...plant, id: `other-${plant.id}`, homeId: 'other' })),
};

it('come from the server for a stored home that was not worked out here', async () => {
  const answer = { year: 2026, spots: [], plants: [], readings: [] };
  served = () => ({ revision: 1, engine: 'e', answer: packed(answer) });
  const worker = jest.spyOn(LANES.verdicts, 'ask');
  const hook = opened();
  await ready(hook);
  expect(hook.result.current.answers).toEqual(answer);
  expect(useVerdictsStore.getState().from).toBe('server');
  expect(worker).not.toHaveBeenCalled();
});

it('are worked out here when the server answers for another revision, or not at all', async () => {
  served = () => ({ revision: 7, engine: 'e', answer: packed({ year: 2026, spots: [], plants: [], readings: [] }) });
  const hook = opened();
  await ready(hook);
  expect(hook.result.current.answers!.plants).toHaveLength(shownHome.plants.length);
  expect(useVerdictsStore.getState().from).toBe('browser');
});

it('of one home are never shown for another, also while that one’s are worked out', async () => {
  const hook = opened();
  await ready(hook);
  const letGo = heldBack();
  await put(otherHome, 1);
  expect(hook.result.current.state).toBe('working');
  expect(hook.result.current.answers).toBeNull();
  letGo();
  await ready(hook);
  expect(hook.result.current.answers!.plants.map(({ plantId }) => plantId)).toEqual(
    otherHome.plants.map(({ id }) => id),
  );
});

it('of the facts before are told as such while newer ones are worked out', async () => {
  const hook = opened();
  await ready(hook);
  const before = hook.result.current.answers;
  const letGo = heldBack();
  await put({ ...shownHome, plants: shownHome.plants.slice(1) }, 2);
  expect(hook.result.current.state).toBe('working');
  expect(hook.result.current.answers).toBe(before);
  letGo();
  await ready(hook);
  expect(hook.result.current.answers!.plants).toHaveLength(shownHome.plants.length - 1);
});

it('that failed say why, and are asked again', async () => {
  const ask = jest.spyOn(LANES.verdicts, 'ask').mockRejectedValueOnce(new Error('It stopped.'));
  const hook = opened();
  await waitFor(() => expect(hook.result.current).toMatchObject({ state: 'failed', failure: 'It stopped.' }));
  ask.mockRestore();
  act(() => retryVerdicts());
  await ready(hook);
  expect(hook.result.current.failure).toBeNull();
});
