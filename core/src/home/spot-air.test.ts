/** The air at a spot beside its room's: warmer high up, colder at the glass, and moved by what stands near it. */
import type { AirThing, HomeFacts } from '../facts';
import { thingWith } from './air-things.fixture';
import { HomeEngine } from './engine';
import { smallHome, smallKnowledge } from './small-home.fixture';

const engine = new HomeEngine(smallKnowledge);
const YEAR = 2026;
const january = (given: Partial<HomeFacts>, spotId: string) =>
  engine.conditionsOf({ ...smallHome, ...given }, spotId, YEAR)[0]!;

const thing = (kind: AirThing['kind'], given: Partial<AirThing> = {}): AirThing =>
  thingWith({ kind, yM: 0.3, zM: 0.9, gramsH: 200, setRh: 60, areaM2: 0.2, airM3H: 100, months: [1], ...given });
const bright = (airThings: readonly AirThing[] = []) => january({ airThings }, 'bright');

it('is colder at the glass by night, and warmer high up than low down', () => {
  const room = engine.roomAirOf(smallHome, YEAR).get('r')![0]!;
  const sill = bright();
  expect(sill.air.nightC).toBeLessThan(room.nightC);
  expect(sill.air.steps.map(({ from }) => from)).toContain('pane');
  const high = { ...smallHome, tiers: smallHome.tiers.map((tier) => ({ ...tier, heightM: tier.heightM + 1 })) };
  expect(january({ tiers: high.tiers }, 'dim').air.dayC).toBeGreaterThan(january({}, 'dim').air.dayC);
});

it.each([
  ['radiator', 1],
  ['stove', 1],
  ['warm-vent', 1],
  ['heat-mat', 1],
  ['cold-vent', -1],
  ['outer-door', -1],
  ['draught', -1],
] as const)('has a %s near it move its warmth the way it must', (kind, way) => {
  const [without, near, far] = [bright(), bright([thing(kind)]), bright([thing(kind, { yM: 3.9, zM: 0.1 })])];
  const moved = way * (near.air.dayC - without.air.dayC);
  expect(moved).toBeGreaterThan(0.1);
  // Far away it does less; what it does to the whole room stays.
  expect(way * (far.air.dayC - without.air.dayC)).toBeLessThan(moved);
});

it('is drier where it is warmer with the same water, and moister beside a humidifier', () => {
  const without = bright();
  expect(bright([thing('radiator')]).air.dayRh).toBeLessThan(without.air.dayRh);
  const step = bright([thing('humidifier')]).air.steps.find(({ from }) => from === 'humidifier')!;
  expect(step.water).toBeGreaterThan(1);
});

it('is only moved in the months and hours a thing runs', () => {
  const stove = thing('stove');
  expect(bright([{ ...stove, months: [7] }]).air).toEqual(bright().air);
  const byNight = bright([{ ...stove, fromMinute: 1320, toMinute: 360 }]).air.steps.find(
    ({ from }) => from === 'stove',
  );
  expect(byNight!.dayK).toBe(0);
  expect(byNight!.nightK).toBeGreaterThan(0);
});

it('moves more before a fan than behind it, and gently about it', () => {
  const fan = (given: Partial<AirThing>) =>
    january(
      { airThings: [thing('fan', given)], rooms: smallHome.rooms.map((r) => ({ ...r, airMovement: 'still' })) },
      'bright',
    ).airMovement;
  expect(january({ rooms: smallHome.rooms.map((r) => ({ ...r, airMovement: 'still' })) }, 'bright').airMovement).toBe(
    'still',
  );
  expect(fan({ yM: 1.5, toward: 'a' })).toBe('brisk');
  expect(fan({ yM: 1.5, toward: 'c' })).toBe('gentle');
});

it('has leaves warmer than the air under light, and more so in still air', () => {
  const dim = january({}, 'dim');
  const lit = bright();
  expect(lit.leafK).toBeGreaterThan(0);
  expect(lit.vpdLeaf).toBeGreaterThan(lit.vpdDay);
  expect(Math.max(dim.leafK, lit.leafK)).toBeLessThan(8);
});

it('is as a logger at the spot itself measured it, in its month and, moved as much, in the others', () => {
  const measured = { id: 'm', spotId: 'bright', month: 1, dayC: 22, nightC: 15, dayRh: 38, nightRh: 61 };
  const unsaid = { ...smallHome, air: [] };
  const before = engine.conditionsOf(unsaid, 'bright', YEAR);
  const after = engine.conditionsOf({ ...unsaid, spotAir: [measured] }, 'bright', YEAR);
  expect(after[0]!.air).toMatchObject({ dayC: 22, nightC: 15, dayRh: 38, nightRh: 61, basis: 'stated' });
  expect(after[0]!.air.spread.celsius).toBeLessThan(before[0]!.air.spread.celsius);
  const moved = before[0]!.air.nightC - 15;
  expect(after[6]!.air.nightC).toBeCloseTo(before[6]!.air.nightC - moved, 9);
  expect(after[0]!.air.steps.find(({ from }) => from === 'record')!.nightK).toBeCloseTo(-moved, 9);
  // Its neighbours and its room stay as they are.
  const dim = (facts: HomeFacts) => engine.conditionsOf(facts, 'dim', YEAR).map(({ air }) => air);
  expect(dim({ ...unsaid, spotAir: [measured] })).toEqual(dim(unsaid));
});
