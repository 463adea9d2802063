/** The demo's plan carried out: every plant gets what it was promised, by the engines that judge it from then on. */
import { knowledge } from '@dulvan/catalogue';
import {
  HomeEngine,
  acceptChanges,
  applied,
  ask,
  openSteps,
  partsOf,
  patch,
  stepChanges,
  workOf,
  type FoundPlan,
  type HomeFacts,
  type TimerFreedom,
} from '@dulvan/core';
import loadHighs from 'highs';
import { sailLoft } from './sail-loft';

const WHEN = { year: 2026, month: 12 };
const ON = '2026-12-01';

/** The home after every step of a plan was done. */
function carriedOut(facts: HomeFacts, plan: FoundPlan): HomeFacts {
  const chosen = partsOf(plan);
  let ids = 0;
  const newId = () => `new-${(ids += 1)}`;
  const work = workOf(facts, plan, chosen, ON);
  let home = applied(facts, acceptChanges(facts, plan, { chosen, work, on: ON, newId }))!;
  for (const step of openSteps(home)) home = applied(home, stepChanges(home, step, ON))!;
  return home;
}

// The one changes the air most, since lamps burn longer; the other what readings of lamps are held against.
it.each(['hours', 'hours-level-and-height'] as const)(
  'keeps its promises within two points where timers may change their %s',
  async (freedom: TimerFreedom) => {
    const engine = new HomeEngine(knowledge);
    engine.solver = await loadHighs();
    const free = sailLoft.circuits.map(({ id }) => patch('circuits', id, { freedom }));
    const facts = applied(sailLoft, free)!;
    const plan = ask(engine, facts, 'plan', { ...WHEN, on: ON, effort: 'least' });
    if (plan.state !== 'found') throw new Error(`No plan: ${plan.state}`);
    const after = ask(engine, carriedOut(facts, plan), 'home', WHEN);
    const off = plan.plants.flatMap(({ plantId, after: promised }) => {
      const { score } = after.plants.find((one) => one.plantId === plantId)!.fit!.verdict;
      return Math.abs(score - promised) > 0.02 ? [{ plantId, promised, score }] : [];
    });
    expect(off).toEqual([]);
    expect(plan.plants.some(({ fromSpotId, spotIds }) => spotIds[0] !== fromSpotId)).toBe(true);
  },
);
