/** Questions on their way to a worker that answers, falls silent or stops, as told. */
import { HomeEngine, ask, type HomeFacts } from '@dulvan/core';
import { smallHome } from '../../core/src/home/small-home.fixture';
import { knowledge } from '@dulvan/catalogue';
import { shownHome } from '../testing/shown-home';
import { Answering } from './answering';
import { Lane, Superseded } from './lane';
import type { FromWorker, ToWorker } from './protocol';
import type { WorkerEvents } from './start';

class FakeWorker {
  readonly heard: ToWorker[] = [];
  stopped = false;
  constructor(readonly events: WorkerEvents) {}
  post(message: ToWorker): void {
    this.heard.push(message);
  }
  stop(): void {
    this.stopped = true;
  }
  tell(message: FromWorker): void {
    this.events.onMessage(message);
  }
  /** Questions that it was asked, in order. */
  get asked() {
    return this.heard.filter((message) => message.type === 'ask');
  }
}

let workers: FakeWorker[];
let load: jest.Mock<Promise<string>>;
let lane: Lane;

beforeEach(() => {
  workers = [];
  load = jest.fn(() => Promise.resolve('text'));
  lane = new Lane({
    start: (events) => {
      const worker = new FakeWorker(events);
      workers.push(worker);
      return worker;
    },
    load,
  });
});
afterEach(() => {
  for (const slot of ['a', 'b', 'c', 'map']) lane.giveWay(slot);
  jest.useRealTimers();
});

const turns = async () => {
  for (let i = 0; i < 5; i++) await Promise.resolve();
};
const put = (slot: string, facts: HomeFacts = smallHome) =>
  lane.ask({ facts, question: 'sunlightMap', params: { roomId: 'room', year: 2026 }, slot });

const ANSWER = { cells: [] } as never;

it('tells facts whole once, and then by what differs', async () => {
  void put('a').catch(() => undefined);
  await turns();
  const next = { ...smallHome, home: { ...smallHome.home, name: 'Renamed' } };
  void put('b', next).catch(() => undefined);
  void put('c', next).catch(() => undefined);
  await turns();
  expect(workers[0]!.heard.map(({ type }) => type)).toEqual(['facts', 'ask', 'changes', 'ask', 'ask']);
  expect(JSON.stringify(workers[0]!.heard[2]).length).toBeLessThan(300);
});

it('gives an older question of the same slot up for a newer one, and lets other slots be', async () => {
  const first = put('map');
  const other = put('other');
  await turns();
  const second = put('map');
  await expect(first).rejects.toBeInstanceOf(Superseded);
  await turns();
  const [one, two, three] = workers[0]!.asked;
  expect(workers[0]!.heard).toContainEqual({ type: 'drop', id: one!.id });
  workers[0]!.tell({ type: 'answer', id: one!.id, answer: { late: 'answer' } as never });
  workers[0]!.tell({ type: 'answer', id: two!.id, answer: ANSWER });
  workers[0]!.tell({ type: 'answer', id: three!.id, answer: ANSWER });
  expect(await other).toBe(ANSWER);
  expect(await second).toBe(ANSWER);
});

it('asks again with a new worker after one that stopped, facts and all', async () => {
  const answer = put('map');
  await turns();
  workers[0]!.events.onCrash();
  await turns();
  expect(workers[0]!.stopped).toBe(true);
  expect(workers[1]!.heard.map(({ type }) => type)).toEqual(['facts', 'ask']);
  workers[1]!.tell({ type: 'answer', id: workers[1]!.asked[0]!.id, answer: ANSWER });
  expect(await answer).toBe(ANSWER);
});

it('gives up a question over which two workers stopped, and answers the next one', async () => {
  const answer = put('map');
  for (const at of [0, 1]) {
    await turns();
    workers[at]!.events.onCrash();
  }
  await expect(answer).rejects.toThrow('could not be started again');
  const next = put('map');
  await turns();
  workers[2]!.tell({ type: 'answer', id: workers[2]!.asked[0]!.id, answer: ANSWER });
  expect(await next).toBe(ANSWER);
});

it('gives up a worker that says nothing for long while it has something to do', async () => {
  jest.useFakeTimers();
  const answer = put('map');
  await turns();
  jest.advanceTimersByTime(10_000);
  expect(workers[0]!.heard).toContainEqual({ type: 'ping' });
  workers[0]!.tell({ type: 'pong' });
  jest.advanceTimersByTime(85_000);
  expect(workers).toHaveLength(1);
  jest.advanceTimersByTime(10_000);
  await turns();
  expect(workers).toHaveLength(2);
  workers[1]!.tell({ type: 'answer', id: workers[1]!.asked[0]!.id, answer: ANSWER });
  await answer;
  // Nothing is open: nobody is asked whether it is there.
  const { length } = workers[1]!.heard;
  jest.advanceTimersByTime(60_000);
  expect(workers[1]!.heard).toHaveLength(length);
  // Nor is it held against it that it was not asked for a while.
  void put('map').catch(() => undefined);
  await turns();
  jest.advanceTimersByTime(20_000);
  expect(workers).toHaveLength(2);
});

it('sends the files that facts name first, once, and says when one cannot be had', async () => {
  const station = { latitude: 56, longitude: -3, elevationM: 4, utcOffsetH: 0, years: '2019' };
  const withFile = (fileKey: string): HomeFacts => ({
    ...smallHome,
    weathers: [{ id: 'w', homeId: 'h', name: 'Station', fileKey, ...station }],
  });
  void put('a', withFile('f1')).catch(() => undefined);
  await turns();
  void put('b', withFile('f1')).catch(() => undefined);
  await turns();
  await turns();
  expect(load).toHaveBeenCalledTimes(1);
  expect(workers[0]!.heard.map(({ type }) => type).slice(0, 3)).toEqual(['file', 'facts', 'ask']);
  load.mockRejectedValueOnce(new Error('This file is not kept here.'));
  await expect(put('c', withFile('f2'))).rejects.toThrow('not kept here');
});

describe('the worker’s own side', () => {
  // Crowns under a lamp dim what it throws on the walls; without one a plant's own light stays when the plant goes.
  const lampless: HomeFacts = { ...shownHome, lamps: [] };
  const whole = () => ask(new HomeEngine(knowledge), lampless, 'home', { year: 2026, month: 11 });

  it('sends a second answer by what differs, and the page has the same answer as in one piece', async () => {
    const sizes = { answer: 0, delta: 0 };
    const real = new Lane({
      start: ({ onMessage }) => {
        const answering = new Answering(
          (message) => {
            if (message.type === 'answer' || message.type === 'delta')
              sizes[message.type] = JSON.stringify(message).length;
            onMessage(message);
          },
          () => Promise.resolve(),
        );
        return { post: (message) => answering.hear(message), stop: () => undefined };
      },
      load,
    });
    const home = (facts: HomeFacts) =>
      real.ask({ facts, question: 'home', params: { year: 2026, month: 11 }, slot: 'home' });
    const first = await home(lampless);
    expect(first).toEqual(whole());
    const rested = {
      ...lampless,
      plants: lampless.plants.map((plant, i) => (i === 0 ? { ...plant, growthState: 'resting' as const } : plant)),
    };
    const second = await home(rested);
    expect(second).toEqual(ask(new HomeEngine(knowledge), rested, 'home', { year: 2026, month: 11 }));
    expect(second.spots[0]).toBe(first.spots[0]);
    expect(sizes.delta).toBeGreaterThan(0);
    expect(sizes.delta).toBeLessThan(sizes.answer * 0.7);
  });

  it('stops in the middle when its question is dropped, and answers what comes after', async () => {
    const told: FromWorker[] = [];
    let letIn: () => void = () => undefined;
    let clock = 0;
    const answering = new Answering(
      (message) => told.push(message),
      () => {
        letIn();
        return Promise.resolve();
      },
      () => (clock += 100),
    );
    answering.hear({ type: 'facts', key: 'k', facts: shownHome });
    letIn = () => answering.hear({ type: 'drop', id: 1 });
    answering.hear({ type: 'ask', id: 1, factsKey: 'k', question: 'home', params: { year: 2026, month: 11 } });
    answering.hear({ type: 'ask', id: 2, factsKey: 'k', question: 'home', params: { year: 2026, month: 11 } });
    while (!told.some((message) => message.type === 'answer')) await new Promise((resolve) => setTimeout(resolve, 1));
    expect(told.filter((message) => message.type === 'answer').map(({ id }) => id)).toEqual([2]);
  });

  it('fails a question about facts it was not told, with words', async () => {
    const told: FromWorker[] = [];
    const answering = new Answering(
      (message) => told.push(message),
      () => Promise.resolve(),
    );
    answering.hear({ type: 'ask', id: 7, factsKey: 'none', question: 'home', params: { year: 2026, month: 11 } });
    await turns();
    expect(told).toMatchObject([{ type: 'failed', id: 7, message: 'The facts of this question are not here.' }]);
  });
});
