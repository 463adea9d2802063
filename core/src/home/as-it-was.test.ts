/** A reading keeps its meaning when plants are carried and lamps are moved after it was taken. */
import { PLAIN_STEP, applied, patch, put, type HomeFacts, type PlanStep, type Reading } from '../facts';
import { ask } from '../questions';
import { asItWas } from './as-it-was';
import { HomeEngine } from './engine';
import { smallHome, smallKnowledge } from './small-home.fixture';

const WHEN = { year: 2026, month: 11 };
const engine = new HomeEngine(smallKnowledge);
const [first, second] = smallHome.plants as [HomeFacts['plants'][number], HomeFacts['plants'][number]];

const TAKEN = Date.UTC(2026, 9, 20, 22);
const LATER = '2026-11-30';

/** At night, under the lamp, by a meter that reads four fifths of what is computed. */
const reading = (value: number): Reading => ({
  ...{ id: 'm', homeId: 'h', spotId: 'dim', atMs: TAKEN, value, unit: 'ppfd', sky: 'dark', outdoorValue: null },
  ...{ curtains: 'shut', lamps: 'on', note: '', withdrawnOn: null },
});

const unread: HomeFacts = {
  ...smallHome,
  plants: [
    { ...first, spotId: 'dim', heightCm: 8 },
    { ...second, spotId: 'bright', heightCm: 40 },
  ],
};
const compare = (facts: HomeFacts) => ask(engine, facts, 'home', WHEN).readings[0]!;
const computed = compare({ ...unread, readings: [reading(10)] }).computedPpfd;
const read: HomeFacts = { ...unread, readings: [reading(0.8 * computed)] };
const ratioIn = (facts: HomeFacts) => {
  const { measuredPpfd, computedPpfd } = compare(facts);
  return measuredPpfd / computedPpfd;
};

const exchanged = applied(read, [
  patch('plants', first.id, { spotId: 'bright', cameFromSpotId: 'dim', movedOn: LATER }),
  patch('plants', second.id, { spotId: 'dim', cameFromSpotId: 'bright', movedOn: LATER }),
])!;

it('a reading tells the same of the lamps when a taller plant has been put on its spot since', () => {
  expect(ratioIn(read)).toBeCloseTo(0.8, 6);
  expect(ratioIn(exchanged)).toBeCloseTo(0.8, 6);
  // The taller one stands nearer to the lamp: without that it would be held against more light.
  const never = { ...exchanged, plants: exchanged.plants.map((plant) => ({ ...plant, movedOn: null })) };
  expect(ratioIn(never)).toBeLessThan(0.75);
});

it('a reading taken after plants were carried is held against them where they stand now', () => {
  const since = { ...exchanged, readings: [{ ...reading(10), atMs: Date.UTC(2026, 11, 5, 22) }] };
  expect(asItWas(since, since.readings[0]!)).toBe(since);
});

it('a lamp that a plan had moved since is taken where it hung', () => {
  const step: PlanStep = {
    ...PLAIN_STEP,
    ...{ id: 's', planId: 'p', order: 0, on: LATER, kind: 'hang', circuitId: 'c' },
    ...{ lampId: 'l', aboveM: 0.3, fromAboveM: 0.5, doneOn: LATER },
  };
  const hung = applied(read, [patch('lamps', 'l', { aboveM: 0.3 }), put('planSteps', step)])!;
  expect(ratioIn(hung)).toBeCloseTo(0.8, 6);
  expect(asItWas(hung, read.readings[0]!).lamps[0]!.aboveM).toBe(0.5);
  const open = applied(read, [put('planSteps', { ...step, doneOn: null, fromAboveM: null })])!;
  expect(asItWas(open, read.readings[0]!)).toBe(open);
});

it('curtains that a plan had drawn otherwise since are taken as they were', () => {
  const [window] = read.windows;
  const before = [{ curtainId: 'sheer', months: [1, 2, 3], fromMinute: 420, toMinute: 1200 }];
  const step: PlanStep = {
    ...PLAIN_STEP,
    ...{ id: 's', planId: 'p', order: 0, on: LATER, kind: 'curtain', windowId: window!.id },
    ...{ fromCurtains: before, doneOn: LATER },
  };
  const opened = applied(read, [put('planSteps', step)])!;
  expect(asItWas(opened, read.readings[0]!).windows[0]!.curtains).toEqual(before);
  const earlier = applied(opened, [patch('planSteps', 's', { doneOn: '2000-01-01' })])!;
  expect(asItWas(earlier, read.readings[0]!)).toBe(earlier);
});

it('what was moved elsewhere changes nothing, and a spot that is gone neither', () => {
  const elsewhere = applied(read, [
    patch('plants', second.id, { spotId: 'boxed', cameFromSpotId: 'bright', movedOn: LATER }),
  ])!;
  expect(asItWas(elsewhere, read.readings[0]!)).toBe(elsewhere);
  expect(asItWas(read, { spotId: 'gone', atMs: TAKEN })).toBe(read);
});
