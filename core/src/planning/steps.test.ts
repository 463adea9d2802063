/** The work of a plan: every carry finds its spot free, and what is accepted is written whole. */
import { PLAIN_STEP, applied, put, type HomeFacts, type Plant } from '../facts';
import { smallHome } from '../home/small-home.fixture';
import { thingWith } from '../home/air-things.fixture';
import { carriedOut } from './carried-out.fixture';
import type { FoundPlan } from './proposal';
import { acceptChanges, isHardened, openSteps, partsOf, stepChanges, workOf } from './steps';

const ON = '2026-11-30';
const [model] = smallHome.plants as [Plant];
const [spot] = smallHome.spots;

/** A home of some spots that hold one plant each, and plants on some of them. */
function homeWith(at: Readonly<Record<string, string | null>>, spotIds: readonly string[]): HomeFacts {
  return {
    ...smallHome,
    spots: spotIds.map((id) => ({ ...spot!, id, name: id, sizeM: 0.2 })),
    plants: Object.entries(at).map(([id, spotId]) => ({ ...model, id, spotId, potCm: 15, heightCm: 20 })),
  };
}

/** A plan that has plants on spots; all else as it is. */
function planWith(facts: HomeFacts, to: Readonly<Record<string, readonly string[]>>, weeks = 0): FoundPlan {
  const energy = { months: [], year: { kWh: 0, cost: null } };
  return {
    state: 'found',
    certainty: 'worked-out',
    seasons:
      Object.values(to)[0]!.length === 2
        ? [
            [10, 11, 12, 1, 2, 3],
            [4, 5, 6, 7, 8, 9],
          ]
        : [[11]],
    plants: Object.entries(to).map(([plantId, spotIds]) => ({
      plantId,
      fromSpotId: facts.plants.find(({ id }) => id === plantId)!.spotId,
      spotIds,
      before: 0.4,
      after: 0.8,
      elsewhere: [],
      here: null,
      there: null,
      settling: weeks > 0 ? { times: 3, weeks } : null,
    })),
    timers: [],
    others: [],
    energyBefore: energy,
    energyAfter: energy,
    proof: { objective: 1, bound: 1, gap: 0 },
    table: { plantIds: [], spotIds: [], now: new Float32Array(), planned: new Float32Array(), refusals: [] },
    rounds: 1,
    stillOff: 0,
    alwaysInReach: [],
    unknown: [],
    assumed: [],
  };
}

const all = (plan: FoundPlan, but: readonly string[] = []) => ({
  plantIds: new Set(plan.plants.map(({ plantId }) => plantId).filter((id) => !but.includes(id))),
  circuitIds: new Set<string>(),
  otherIds: new Set<string>(),
});

let ids = 0;
const newId = () => `step-${(ids += 1)}`;

/** Does the steps one by one; no spot may ever hold two. */
function walked(facts: HomeFacts, plan: FoundPlan) {
  const work = workOf(facts, plan, all(plan), ON);
  let home = applied(facts, acceptChanges(facts, plan, { chosen: all(plan), work, on: ON, newId }))!;
  for (const step of openSteps(home)) {
    home = applied(home, stepChanges(home, step, step.on))!;
    const taken = home.plants.flatMap(({ spotId }) => spotId ?? []);
    expect(new Set(taken).size).toBe(taken.length);
  }
  return { home, work };
}

const places = (home: HomeFacts) => Object.fromEntries(home.plants.map(({ id, spotId }) => [id, spotId]));

it('a row of carries begins with the one whose spot is free', () => {
  const facts = homeWith({ a: 's1', b: 's2', c: 's3' }, ['s1', 's2', 's3', 's4']);
  const plan = planWith(facts, { a: ['s2'], b: ['s3'], c: ['s4'] });
  const { home, work } = walked(facts, plan);
  expect(work.steps.map(({ plantId }) => plantId)).toEqual(['c', 'b', 'a']);
  expect(places(home)).toEqual({ a: 's2', b: 's3', c: 's4' });
});

it.each([2, 3, 4])('%i plants that change places in a circle need a table once', (length) => {
  const spotIds = Array.from({ length }, (_, i) => `s${i}`);
  const facts = homeWith(Object.fromEntries(spotIds.map((id, i) => [`p${i}`, id])), spotIds);
  const plan = planWith(facts, Object.fromEntries(spotIds.map((_, i) => [`p${i}`, [spotIds[(i + 1) % length]!]])));
  const { home, work } = walked(facts, plan);
  expect(work.steps.filter(({ spotId }) => spotId === null)).toHaveLength(1);
  expect(work.steps).toHaveLength(length + 1);
  expect(places(home)).toEqual(Object.fromEntries(spotIds.map((_, i) => [`p${i}`, spotIds[(i + 1) % length]!])));
});

it('what waits on a table remembers where it came from', () => {
  const facts = homeWith({ a: 's1', b: 's2' }, ['s1', 's2']);
  const { home } = walked(facts, planWith(facts, { a: ['s2'], b: ['s1'] }));
  for (const { cameFromSpotId, spotId } of home.plants) {
    expect(cameFromSpotId).not.toBeNull();
    expect(cameFromSpotId).not.toBe(spotId);
  }
});

it('one that is left out of the plan blocks who should take its spot, and nobody is left on a table', () => {
  const facts = homeWith({ a: 's1', b: 's2' }, ['s1', 's2', 's3']);
  const plan = planWith(facts, { a: ['s2'], b: ['s3'] });
  const work = workOf(facts, plan, all(plan, ['b']), ON);
  expect(work.blocked).toEqual(['a']);
  expect(work.steps).toEqual([]);
});

it('nobody is taken up who could not be put down, nor who wants the place of one who stays', () => {
  const facts = homeWith({ a: 's1', b: 's2', c: 's3', d: 's4' }, ['s1', 's2', 's3', 's4', 's5']);
  const plan = planWith(facts, { a: ['s2'], b: ['s5'], c: ['s1'], d: ['s3'] });
  const work = workOf(facts, plan, all(plan, ['b']), ON);
  expect([...work.blocked].sort()).toEqual(['a', 'c', 'd']);
  expect(work.steps).toEqual([]);
});

it('promises nothing of what was left out, and counts the electricity of the timers that were taken', () => {
  const facts = homeWith({ a: 's1', b: 's2' }, ['s1', 's2', 's3', 's4']);
  const timer = { circuitId: 'c', programme: [], isChanged: true, hung: [[]], kWhBefore: 100, kWhAfter: 60 };
  const plan = {
    ...planWith(facts, { a: ['s3'], b: ['s4'] }),
    timers: [timer, { ...timer, circuitId: 'd', kWhAfter: 130 }],
    energyBefore: { months: [], year: { kWh: 200, cost: null } },
  };
  const chosen = { plantIds: new Set(['a']), circuitIds: new Set(['c']), otherIds: new Set<string>() };
  const work = workOf(facts, plan, chosen, ON);
  const [kept] = applied(facts, acceptChanges(facts, plan, { chosen, work, on: ON, newId }))!.plans;
  expect(kept!.promised.map(({ plantId }) => plantId)).toEqual(['a']);
  expect([kept!.kWhBefore, kept!.kWhAfter]).toEqual([200, 160]);
});

it('two small plants share a spot that is wide enough, and a third waits', () => {
  const wide = homeWith({ a: 's1', b: 's2', c: 's3' }, ['s1', 's2', 's3', 's4']);
  const facts = {
    ...wide,
    spots: wide.spots.map((one) => (one.id === 's4' ? { ...one, sizeM: 0.4 } : one)),
    plants: wide.plants.map((one) => ({ ...one, potCm: 12, heightCm: 18 })),
  };
  const plan = planWith(facts, { a: ['s4'], b: ['s4'], c: ['s4'] });
  const work = workOf(facts, plan, all(plan), ON);
  expect(work.steps).toHaveLength(2);
  expect(work.blocked).toHaveLength(1);
});

it('a second arrangement has its own day, the first of its season', () => {
  const facts = homeWith({ a: 's1' }, ['s1', 's2']);
  const { steps } = workOf(facts, planWith(facts, { a: ['s1', 's2'] }), all(planWith(facts, { a: ['s1', 's2'] })), ON);
  expect(steps.map(({ on, spotId }) => [on, spotId])).toEqual([['2027-04-01', 's2']]);
});

it('more light is got used to behind paper, for as many weeks', () => {
  const facts = homeWith({ a: 's1' }, ['s1', 's2']);
  const plan = planWith(facts, { a: ['s2'] }, 4);
  const { steps } = workOf(facts, plan, all(plan), ON);
  expect(steps.map(({ kind, on }) => [kind, on])).toEqual([
    ['carry', ON],
    ['shade', ON],
    ['unshade', '2026-12-28'],
  ]);
});

it('a new plan takes the place of what is open of an old one, and leaves what was done', () => {
  const facts = homeWith({ a: 's1', b: 's2' }, ['s1', 's2', 's3', 's4']);
  const plan = planWith(facts, { a: ['s3'], b: ['s4'] });
  const accept = (home: HomeFacts) =>
    applied(
      home,
      acceptChanges(home, plan, { chosen: all(plan), work: workOf(home, plan, all(plan), ON), on: ON, newId }),
    )!;
  let home = accept(facts);
  const [first] = openSteps(home);
  home = applied(home, stepChanges(home, first!, ON))!;
  const again = accept(home);
  expect(again.planSteps.filter(({ doneOn }) => doneOn !== null).map(({ id }) => id)).toEqual([first!.id]);
  expect(openSteps(again)).toHaveLength(1);
  expect(again.plans).toHaveLength(2);
});

it('a timer is set by its step, to what the plan says', () => {
  const programme = [{ months: [1, 2], spans: [{ onMinute: 480, offMinute: 600 }], level: 0.5 }];
  const step = {
    ...PLAIN_STEP,
    ...{ id: 's', planId: 'x', order: 0, on: ON, kind: 'timer' as const, circuitId: 'c', programme, doneOn: null },
  };
  const home = applied(smallHome, [put('planSteps', step)])!;
  const done = applied(home, stepChanges(home, step, ON))!;
  expect(done.circuits[0]!.programme).toEqual(programme);
  expect(done.planSteps[0]!.doneOn).toBe(ON);
});

describe('a curtain and a humidifier by a plan', () => {
  const facts = applied(smallHome, [put('airThings', thingWith({ id: 't', kind: 'humidifier', setRh: 45 }))])!;
  const [window] = facts.windows;
  const hung = { curtainId: 'sheer', months: [5], fromMinute: 660, toMinute: 960 };
  const setting = { kind: 'curtain', windowId: window!.id, curtains: [hung] } as const;
  const plan = {
    ...planWith(facts, { [model.id]: [model.spotId!] }),
    others: [
      { setting, gains: [] },
      { setting: { kind: 'humidifier', airThingId: 't', setRh: 60 } as const, gains: [] },
    ],
  };

  it('become steps where they are taken, and none where they are left out', () => {
    const kinds = (but: ReadonlySet<string>) =>
      workOf(facts, plan, partsOf(plan, but), ON).steps.map(({ kind }) => kind);
    expect(kinds(new Set())).toEqual(['curtain', 'humidifier']);
    expect(kinds(new Set([window!.id]))).toEqual(['humidifier']);
    expect(kinds(new Set(['t']))).toEqual(['curtain']);
  });

  it('are set once their steps are done, and how curtains were drawn before is kept', () => {
    const home = carriedOut(facts, plan, ON);
    expect(home.windows[0]!.curtains).toEqual([hung]);
    expect(home.airThings[0]!.setRh).toBe(60);
    expect(home.planSteps.find(({ kind }) => kind === 'curtain')!.fromCurtains).toEqual(window!.curtains);
    expect(openSteps(home)).toEqual([]);
  });
});

describe('a plant that was moved into more light', () => {
  const moved = { ...smallHome.plants[0]!, movedOn: ON };
  const shade = (doneOn: string | null) => ({
    ...PLAIN_STEP,
    ...{ id: 's', planId: 'x', order: 0, on: ON, kind: 'shade' as const, plantId: moved.id, doneOn },
  });

  it('gets used to it once the paper is before it, and not while that is still to be done', () => {
    expect(isHardened({ planSteps: [shade(ON)] }, moved)).toBe(true);
    expect(isHardened({ planSteps: [shade(null)] }, moved)).toBe(false);
    expect(isHardened({ planSteps: [] }, moved)).toBe(false);
  });

  it('is not used to another place by the paper of an earlier move', () => {
    expect(isHardened({ planSteps: [shade('2026-05-01')] }, moved)).toBe(false);
    expect(isHardened({ planSteps: [shade(ON)] }, { ...moved, movedOn: null })).toBe(false);
  });
});
