/** The demo's plants as a grower reads them: what is said of them, and that no advice for one costs another. */
import { knowledge } from '@dulvan/catalogue';
import { HomeEngine, applied, ask, changesOf, type HomeFacts, type LifeClass, type PlantMends } from '@dulvan/core';
import { backRoom } from './back-room';
import { sailLoft } from './sail-loft';

const when = { year: 2026, month: 11 };
const engine = new HomeEngine(knowledge);
const fitsIn = (facts: HomeFacts) =>
  new Map(
    ask(engine, facts, 'home', when).plants.flatMap(({ plantId, fit }) => (fit ? [[plantId, fit] as const] : [])),
  );
const firstsOf = (mends: readonly PlantMends[]) => mends.flatMap((each) => each.mends);

it.each<[string, LifeClass]>([
  ['p-basil', 'weeks'],
  ['p-lemon', 'weeks'],
  ['p-kalanchoe', 'months'],
  ['p-jade', 'months'],
  ['p-pothos', 'months'],
  ['p-snake', 'years'],
  ['p-echeveria', 'slow'],
  ['p-aloe', 'grows'],
  ['p-peace', 'thrives'],
  ['p-zz', 'thrives'],
  ['p-spider', 'thrives'],
  ['p-jewel', 'thrives'],
])('%s is told to live for %s', (plantId, life) => {
  expect(fitsIn(sailLoft).get(plantId)!.verdict.life).toBe(life);
});

it('growing well without buds is no danger, and a plant that need only live in its corner has no trouble', () => {
  const fits = fitsIn(sailLoft);
  expect(fits.get('p-hoya')!.flowers!.likely).not.toBe('yes');
  expect(fits.get('p-hoya')!.troubles.filter(({ severity }) => severity === 'danger')).toEqual([]);
  expect(ask(engine, sailLoft, 'mends', when).map(({ plantId }) => plantId)).not.toContain('p-snake');
});

describe.each([
  ['sail loft', sailLoft],
  ['back room', backRoom],
])('in the %s', (_, facts) => {
  const mends = ask(engine, facts, 'mends', when);
  const told = firstsOf(mends).filter(({ remedy }) => remedy.kind !== 'air');

  it('something helps some of the plants, and nobody is told to go where another is told to go', () => {
    expect(told.length).toBeGreaterThan(0);
    const spots = mends.flatMap(({ mends: [first] }) =>
      first && 'spotId' in first.remedy ? [first.remedy.spotId] : [],
    );
    expect(new Set(spots).size).toBe(spots.length);
  });

  it.each(told.map((mend) => [JSON.stringify(mend.remedy), mend] as const))(
    'no other plant loses more than three points by %s, and the plant gains',
    (_remedy, { remedy, effect }) => {
      const before = fitsIn(facts);
      const after = fitsIn(applied(facts, changesOf(remedy, facts, '2026-11-29'))!);
      for (const [plantId, { verdict }] of after) {
        const change = verdict.score - before.get(plantId)!.verdict.score;
        if (plantId === effect.plantId) expect(change).toBeGreaterThan(0.03);
        else expect(change).toBeGreaterThan(-0.03);
      }
    },
  );
});
