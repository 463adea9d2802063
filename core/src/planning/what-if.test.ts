/** What if something is gone, or comes: as changes that can be tried. */
import { applied, type HomeFacts } from '../facts';
import { HomeEngine } from '../home';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';
import { ask } from '../questions';
import { heatWave, movingIn, without } from './what-if';

it('a lamp that fails goes alone; a window takes nothing of the room with it', () => {
  const dark = applied(smallHome, without(smallHome, { list: 'lamps', id: smallHome.lamps[0]!.id }))!;
  expect(dark.lamps).toHaveLength(smallHome.lamps.length - 1);
  expect(dark.circuits).toEqual(smallHome.circuits);
  const walled = applied(smallHome, without(smallHome, { list: 'windows', id: 'w' }))!;
  expect(walled.windows).toEqual([]);
  expect(walled.spots).toEqual(smallHome.spots);
});

it('a plant that is given away goes with what is known of it alone', () => {
  const [first] = smallHome.plants;
  const wish = { id: 'w', homeId: 'h', kind: 'apart' as const, plantId: first!.id, spotId: null, standId: null };
  const wished: HomeFacts = { ...smallHome, wishes: [{ ...wish, group: '', care: 'usual' }] };
  const after = applied(wished, without(wished, { list: 'plants', id: first!.id }))!;
  expect(after.plants.map(({ id }) => id)).toEqual(smallHome.plants.slice(1).map(({ id }) => id));
  expect(after.wishes).toEqual([]);
  expect(after.spots).toEqual(smallHome.spots);
});

it('what pointed at something that is gone points at nothing', () => {
  const circuits = smallHome.circuits.map((circuit) => ({ ...circuit, supplyId: 's' }));
  const wired: HomeFacts = {
    ...smallHome,
    circuits,
    supplies: [{ id: 's', homeId: 'h', name: 'S', limitW: 9, alsoW: 0 }],
  };
  const after = applied(wired, without(wired, { list: 'supplies', id: 's' }))!;
  expect(after.circuits.map(({ supplyId }) => supplyId)).toEqual(circuits.map(() => null));
});

it('plants of another home come without a spot; kinds that only the other home knows stay away', () => {
  const [first, second] = smallHome.plants;
  const strange = { ...second!, taxonId: 'own' };
  const other = { ...smallHome, home: { ...smallHome.home, id: 'o' }, plants: [first!, strange] };
  const known = { ...other, ownTaxa: [{ id: 'own' } as HomeFacts['ownTaxa'][number]] };
  const { changes, left } = movingIn(smallHome, known, () => 'fresh');
  expect(left).toEqual([strange]);
  const after = applied(smallHome, changes)!;
  expect(after.plants).toHaveLength(smallHome.plants.length + 1);
  expect(after.plants.at(-1)).toMatchObject({ name: first!.name, homeId: 'h', spotId: null });
  expect(after.plants.at(-1)!.id).not.toBe(first!.id);
});

describe('a heat wave', () => {
  const engine = new HomeEngine(smallKnowledge);
  const WHEN = { year: 2026, month: 11 };
  const airIn = (facts: HomeFacts) => {
    const { spots } = ask(engine, facts, 'home', WHEN);
    return spots.find(({ spotId }) => spotId === 'dim')!.conditions.map(({ air }) => air);
  };
  const before = airIn(smallHome);
  const hottest = before.reduce((p, q) => (q.dayC > p.dayC ? q : p));
  let ids = 0;
  const changes = heatWave(smallHome, new Map([['r', before]]), () => `new-${(ids += 1)}`);
  const hot = applied(smallHome, changes)!;

  it('makes the hottest month of a room hotter, by day more than by night, and its air drier', () => {
    const after = airIn(hot)[hottest.month - 1]!;
    expect(after.dayC).toBeGreaterThan(hottest.dayC + 3);
    expect(after.nightC).toBeGreaterThan(hottest.nightC + 2);
    expect(after.dayRh).toBeLessThan(hottest.dayRh);
  });

  it('leaves rooms alone whose air is not known, and replaces what was said of that month', () => {
    expect(hot.air.filter(({ roomId }) => roomId !== 'r')).toEqual(
      smallHome.air.filter(({ roomId }) => roomId !== 'r'),
    );
    const said = { id: 'said', roomId: 'r', month: hottest.month, dayC: 20, nightC: 16, dayRh: 50, nightRh: 60 };
    const again = applied(
      { ...smallHome, air: [said] },
      heatWave({ ...smallHome, air: [said] }, new Map([['r', before]]), () => 'x'),
    )!;
    expect(again.air.map(({ id }) => id)).toEqual(['x']);
    expect(heatWave(smallHome, new Map(), () => 'x')).toEqual([]);
  });
});
