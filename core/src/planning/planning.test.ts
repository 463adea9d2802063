/** Plans of the small home: what they promise comes true, what was wished is kept, what is proven holds. */
import loadHighs from 'highs';
import { applied, patch, type HomeFacts, type Wish } from '../facts';
import { HomeEngine } from '../home';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';
import { ask } from '../questions';
import { carriedOut } from './carried-out.fixture';
import type { FoundPlan, HomePlan } from './proposal';
import { planSettingsOf } from './settings';

const WHEN = { year: 2026, month: 11 };
const ON = '2026-11-30';
const engine = new HomeEngine(smallKnowledge);

beforeAll(async () => {
  engine.solver = await loadHighs();
});

const [first, second] = smallHome.plants as [HomeFacts['plants'][number], HomeFacts['plants'][number]];

const planOf = (facts: HomeFacts): HomePlan => ask(engine, facts, 'plan', { ...WHEN, on: ON, effort: 'whole' });

function foundFor(facts: HomeFacts): FoundPlan {
  const plan = planOf(facts);
  if (plan.state !== 'found') throw new Error(`No plan: ${plan.state}`);
  return plan;
}

let ids = 0;
const newId = () => `new-${(ids += 1)}`;

const wish = (fields: Partial<Wish> & Pick<Wish, 'kind'>): Wish => ({
  id: newId(),
  homeId: 'h',
  plantId: null,
  spotId: null,
  standId: null,
  group: '',
  care: 'usual',
  ...fields,
});

const standOf = (facts: HomeFacts, spotId: string) =>
  facts.tiers.find(({ id }) => id === facts.spots.find((spot) => spot.id === spotId)!.tierId)!.standId;

describe('a plan of the small home', () => {
  const plan = () => foundFor(smallHome);

  it('promises verdicts that the engines find in the home once it is carried out, within two points', () => {
    const found = plan();
    const home = carriedOut(smallHome, found, ON);
    const after = ask(engine, home, 'home', WHEN);
    for (const { plantId, after: promised, spotIds } of found.plants) {
      expect(home.plants.find(({ id }) => id === plantId)!.spotId).toBe(spotIds[0]);
      const { fit } = after.plants.find((one) => one.plantId === plantId)!;
      expect(Math.abs(fit!.verdict.score - promised)).toBeLessThan(0.02);
    }
  });

  it('is the same for the same facts, and nothing beats its bound', () => {
    const found = plan();
    expect(foundFor(structuredClone(smallHome))).toEqual(found);
    expect(found.proof.bound).toBeGreaterThanOrEqual(found.proof.objective - 1e-6);
    expect(found.proof.gap).toBeLessThan(0.02);
  });

  it('makes the plants together no worse off than they are', () => {
    const found = plan();
    const sum = (of: (one: FoundPlan['plants'][number]) => number) =>
      found.plants.reduce((total, one) => total + of(one), 0);
    expect(sum(({ after }) => after)).toBeGreaterThan(sum(({ before }) => before ?? 0));
  });

  it('counts the electricity that the changed timers draw', () => {
    const found = plan();
    const home = carriedOut(smallHome, found, ON);
    const watts = smallHome.lamps.reduce((total, { powerW, dimming }) => total + powerW * dimming, 0);
    expect(found.energyBefore.year.kWh).toBeGreaterThan((watts * 8 * 365) / 1000);
    expect(found.energyBefore.year.cost).toBeNull();
    const again = foundFor(home);
    expect(again.energyBefore.year.kWh).toBeCloseTo(found.energyAfter.year.kWh, 6);
  });
});

describe('what the grower wishes is kept', () => {
  it('a plant that stays, stays', () => {
    const facts = { ...smallHome, wishes: [wish({ kind: 'stays', plantId: second.id, spotId: second.spotId })] };
    const found = foundFor(facts);
    expect(found.plants.find(({ plantId }) => plantId === second.id)!.spotIds).toEqual([second.spotId]);
  });

  it('a plant kept off a stand is not put there', () => {
    const free = foundFor(smallHome).plants.find(({ plantId }) => plantId === second.id)!.spotIds[0]!;
    const standId = standOf(smallHome, free);
    const found = foundFor({ ...smallHome, wishes: [wish({ kind: 'keep-off', plantId: second.id, standId })] });
    const { spotIds } = found.plants.find(({ plantId }) => plantId === second.id)!;
    expect(standOf(smallHome, spotIds[0]!)).not.toBe(standId);
  });

  it('a stand that is left as it is gets no plant and gives none away', () => {
    const facts = { ...smallHome, wishes: [wish({ kind: 'leave-out', standId: 'shelf' })] };
    for (const { fromSpotId, spotIds } of foundFor(facts).plants) {
      const before = fromSpotId !== null && standOf(facts, fromSpotId) === 'shelf';
      if (!before) expect(standOf(facts, spotIds[0]!)).not.toBe('shelf');
    }
  });

  it('plants that stand together are on one stand', () => {
    const together = [first, second].map(({ id }) => wish({ kind: 'together', plantId: id, group: 'pair' }));
    const found = foundFor({ ...smallHome, wishes: together });
    expect(new Set(found.plants.map(({ spotIds }) => standOf(smallHome, spotIds[0]!))).size).toBe(1);
  });

  it('wishes that clash are named, no more of them than must be', () => {
    const stays = wish({ kind: 'stays', plantId: first.id, spotId: 'bright' });
    const also = wish({ kind: 'stays', plantId: first.id, spotId: 'dim' });
    const beside = wish({ kind: 'apart', plantId: second.id });
    const plan = planOf({ ...smallHome, wishes: [beside, stays, also] });
    expect(plan.state).toBe('impossible');
    expect(new Set((plan as Extract<HomePlan, { state: 'impossible' }>).clash)).toEqual(new Set([stays.id, also.id]));
  });

  it('a timer that must not be touched is left alone', () => {
    const facts = applied(smallHome, [patch('circuits', 'c', { freedom: 'nothing' })])!;
    const [timer] = foundFor(facts).timers;
    expect(timer!.isChanged).toBe(false);
    expect(timer!.kWhAfter).toBeCloseTo(timer!.kWhBefore, 9);
  });

  it('what may be toxic is kept out of reach, or told where no spot is', () => {
    const settings = { ...planSettingsOf(smallHome), household: ['children', 'cats', 'dogs'] as const };
    const found = foundFor({ ...smallHome, planSettings: [settings] });
    const told = new Set(found.alwaysInReach.map(({ plantId }) => plantId));
    for (const { plantId, spotIds } of found.plants) {
      const i = found.table.plantIds.indexOf(plantId) * found.table.spotIds.length;
      const at = i + found.table.spotIds.indexOf(spotIds[0]!);
      if (!told.has(plantId)) expect(found.table.refusals[at]).toBeNull();
    }
  });
});

it('two arrangements a year are planned from the season that is on', () => {
  const settings = { ...planSettingsOf(smallHome), arrangements: 2 as const };
  const found = foundFor({ ...smallHome, planSettings: [settings] });
  expect(found.seasons[0]).toContain(WHEN.month);
  expect(found.seasons.flat().sort((p, q) => p - q)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);
  for (const { spotIds } of found.plants) expect(spotIds).toHaveLength(2);
});

it('there is nothing to plan without plants or spots', () => {
  expect(planOf({ ...smallHome, plants: [] })).toEqual({ state: 'nothing' });
  expect(
    planOf({ ...smallHome, spots: [], plants: smallHome.plants.map((one) => ({ ...one, spotId: null })) }),
  ).toEqual({
    state: 'nothing',
  });
});

it('without a solver a plan is found by search and prices alone, and proven as well', () => {
  const bare = new HomeEngine(smallKnowledge);
  const plan = ask(bare, smallHome, 'plan', { ...WHEN, on: ON, effort: 'whole' });
  expect(plan.state).toBe('found');
  const { proof } = plan as FoundPlan;
  expect(proof.bound).toBeGreaterThanOrEqual(proof.objective - 1e-6);
});
