/** Ways the home could be, set beside one another. */
import { ask } from '@dulvan/core';
import { engine, shownHome, sunPlant } from '../../testing/shown-home';
import {
  MOST_VARIANTS,
  carriesOf,
  differingPlants,
  forget,
  remember,
  standingIn,
  useVariants,
  variantsOf,
  type Variant,
} from './variants';

const variant = (name: string, scores: Readonly<Record<string, number | null>>, homeId = 'h'): Variant => ({
  ...{ homeId, name, kWh: 100, cost: null, carries: 0 },
  plants: Object.entries(scores).map(([id, score]) => ({ id, name: `Plant ${id}`, place: 'Sill', score })),
});

beforeEach(() => useVariants.setState({ variants: [] }));

describe('what is remembered', () => {
  const names = () => useVariants.getState().variants.map(({ name, homeId }) => `${homeId} ${name}`);

  it('replaces what has the same name in the same home', () => {
    remember([variant('As it is', { a: 0.2 }), variant('Plan', { a: 0.8 })]);
    remember([variant('Plan', { a: 0.9 }), variant('Plan', { a: 0.1 }, 'other')]);
    expect(names()).toEqual(['h As it is', 'h Plan', 'other Plan']);
    expect(useVariants.getState().variants[1]!.plants[0]!.score).toBe(0.9);
  });

  it('lets the oldest go', () => {
    for (let i = 0; i < MOST_VARIANTS + 2; i++) remember([variant(`Plan ${i}`, {})]);
    expect(names()).toHaveLength(MOST_VARIANTS);
    expect(names()[0]).toBe('h Plan 2');
  });

  it('is left out when the grower asks for it', () => {
    remember([variant('As it is', {}), variant('Plan', {})]);
    forget(useVariants.getState().variants[0]!);
    expect(names()).toEqual(['h Plan']);
  });
});

describe('plants that fare differently', () => {
  it('stand in the order of how far they differ; those alike to a point are left out', () => {
    const rows = differingPlants([
      variant('p', { a: 0.5, b: 0.2, c: 0.6 }),
      variant('q', { a: 0.504, b: 0.9, c: 0.7 }),
    ]);
    expect(rows.map(({ name }) => name)).toEqual(['Plant b', 'Plant c']);
    expect(rows[0]!.of.map((plant) => plant?.score)).toEqual([0.2, 0.9]);
  });

  it('are told first where they are not in all', () => {
    const rows = differingPlants([variant('p', { a: 0.1 }), variant('q', { a: 0.9, b: 0.3 })]);
    expect(rows.map(({ id }) => id)).toEqual(['b', 'a']);
    expect(rows[0]!.of[0]).toBeNull();
  });

  it('are none between a variant and itself', () => {
    const one = variant('p', { a: 0.1, b: null });
    expect(differingPlants([one, one])).toEqual([]);
  });
});

it('counts plants by how they fare, without those of which nothing is known', () => {
  const { dying, livesOn, growing } = standingIn(variant('p', { a: 0.05, b: 0.45, c: 0.95, d: null }));
  expect([dying, livesOn, growing]).toEqual([1, 1, 1]);
});

it('takes a plan as the home as it is, and as it would be', () => {
  const plan = ask(engine, shownHome, 'plan', { year: 2026, month: 6, on: '2026-06-01', effort: 'least' });
  if (plan.state !== 'found') throw new Error(plan.state);
  const [now, planned] = variantsOf(shownHome, plan, { now: 'As it is', planned: 'Plan' });
  const sun = plan.plants.find(({ plantId }) => plantId === sunPlant.id)!;
  expect(now.plants.find(({ id }) => id === sunPlant.id)).toMatchObject({ score: sun.before });
  expect(planned.plants.find(({ id }) => id === sunPlant.id)).toMatchObject({ name: sunPlant.name, score: sun.after });
  expect([now.kWh, planned.kWh]).toEqual([plan.energyBefore.year.kWh, plan.energyAfter.year.kWh]);
  expect([now.carries, planned.carries]).toEqual([0, carriesOf(plan)]);
  expect(now.plants).toHaveLength(shownHome.plants.length);
});
