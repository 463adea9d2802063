/** What a plan says of a timer that might be freer: only where it helps, and as the engines find it. */
import loadHighs from 'highs';
import { applied, patch, put, type HomeFacts, type TimerFreedom } from '../facts';
import { HomeEngine } from '../home';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';
import { ask } from '../questions';
import { ALL_MONTHS } from '../units';
import type { FoundPlan } from './proposal';

const WHEN = { year: 2026, month: 11 };
const ON = '2026-11-30';
const engine = new HomeEngine(smallKnowledge);

beforeAll(async () => {
  engine.solver = await loadHighs();
});

const [lamp] = smallHome.lamps;
const spotUnderLamp = smallHome.spots.find(({ tierId }) => tierId === lamp!.tierId)!.id;
const [shadePlant] = smallHome.plants;

/** The small home with one plant that must stand under a lamp far too strong for it, all day. */
function glaring(freedom: TimerFreedom): HomeFacts {
  const [plant] = smallHome.plants;
  return applied({ ...smallHome, plants: [{ ...plant!, spotId: spotUnderLamp }] }, [
    ...smallHome.lamps.map(({ id }) => patch('lamps', id, { ppf: 100, aboveM: 0.25 })),
    ...smallHome.circuits.map(({ id }) =>
      patch('circuits', id, { freedom, onMinute: 300, offMinute: 1320, months: ALL_MONTHS }),
    ),
    put('wishes', {
      ...{ id: 'w', homeId: 'h', kind: 'stays' as const, plantId: shadePlant!.id, spotId: spotUnderLamp },
      ...{ standId: null, group: '', care: 'usual' as const },
    }),
  ])!;
}

function planOf(facts: HomeFacts): FoundPlan {
  const plan = ask(engine, facts, 'plan', { ...WHEN, on: ON, effort: 'least' });
  if (plan.state !== 'found') throw new Error(plan.state);
  return plan;
}

it('says what dimming would do where the plant does poorly and only hours may change', () => {
  const facts = glaring('hours');
  const [one] = planOf(facts).plants;
  const freer = one!.there!.ifFreer;
  expect(freer).not.toBeNull();
  expect(freer!.freedom).toBe('hours-and-level');
  expect(freer!.level).toBeLessThan(1);
  expect(freer!.score).toBeGreaterThan(one!.after + 0.05);
  // With that freedom the plan reaches at least as much.
  expect(planOf(glaring('hours-and-level')).plants[0]!.after).toBeGreaterThan(one!.after);
});

it('says nothing where all is free, or the plant does well', () => {
  expect(planOf(glaring('hours-level-and-height')).plants[0]!.there!.ifFreer).toBeNull();
  for (const { after, there } of planOf(smallHome).plants) if (after > 0.75) expect(there!.ifFreer).toBeNull();
});
