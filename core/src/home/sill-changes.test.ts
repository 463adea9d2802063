/**
 * A sill set into its window's opening: the home stays whole, its spots see the glass, and a shut curtain hangs behind
 * them.
 */
import { applied, type HomeFacts } from '../facts';
import { ALL_MONTHS } from '../units';
import { HomeEngine, finish } from './engine';
import { problemsOf } from './problems';
import { intoOpening, openingsFor, sillUnder, windowsWithoutSill } from './sill-changes';
import { smallHome, smallKnowledge } from './small-home.fixture';

const YEAR = 2026;
const deep: HomeFacts = {
  ...smallHome,
  plants: [],
  lamps: [],
  windows: smallHome.windows.map((window) => ({ ...window, revealM: 0.3 })),
};
const [sill] = deep.stands;
const [window] = deep.windows;
const set = applied(deep, intoOpening(deep, sill!, window!))!;

const engine = new HomeEngine(smallKnowledge);
const june = (facts: HomeFacts, spotId = 'bright') =>
  finish(engine.spotAnswers(facts, YEAR)).spots.find((spot) => spot.spotId === spotId)!.conditions[5]!.dli;
const shut = (facts: HomeFacts, curtainId: string): HomeFacts => ({
  ...facts,
  windows: facts.windows.map((one) => ({
    ...one,
    curtains: [{ curtainId, months: ALL_MONTHS, fromMinute: 0, toMinute: 1440 }],
  })),
});

describe('a sill in its opening', () => {
  it('contradicts nothing, keeps its spots on it, and is not offered that place again', () => {
    expect(problemsOf(set)).toEqual([]);
    const spot = set.spots.find(({ id }) => id === 'bright')!;
    const stand = set.stands.find(({ id }) => id === 'sill')!;
    expect(spot.alongM / stand.widthM).toBeCloseTo(0.5, 3);
    expect(spot.acrossM / stand.depthM).toBeCloseTo(0.5, 3);
    expect(openingsFor(deep, sill!)).toEqual([window]);
    expect(openingsFor(set, stand)).toEqual([]);
    expect(openingsFor(smallHome, smallHome.stands[0]!)).toEqual([]);
  });

  it('in a wall without such a window is refused with the range', () => {
    const flush = { ...set, windows: set.windows.map((one) => ({ ...one, revealM: 0.1 })) };
    expect(problemsOf(flush)).toMatchObject([{ list: 'stands', id: 'sill', field: 'yM' }]);
  });

  it('has more light than before the wall, and keeps it behind a shut curtain that darkens the room', () => {
    expect(june(set)).toBeGreaterThan(june(deep) * 1.02);
    const dark = shut(set, 'blackout');
    expect(june(dark)).toBeGreaterThan(june(set) * 0.8);
    expect(june(dark, 'top')).toBeLessThan(0.01);
    expect(june(shut(deep, 'blackout'))).toBeLessThan(0.01);
  });
});

describe('a sill put under a window', () => {
  let made = 0;
  const newId = () => `made-${(made += 1)}`;
  const sides = ['a', 'b', 'c', 'd'] as const;

  it.each(sides.flatMap((side) => [0.05, 0.3].map((revealM) => [side, revealM] as const)))(
    'in wall %s with an opening %d m deep contradicts nothing, and pots fill its length',
    (side, revealM) => {
      const walled = { ...deep, windows: deep.windows.map((one) => ({ ...one, side, revealM })) };
      const home = applied(walled, sillUnder(walled, walled.windows[0]!, newId))!;
      expect(problemsOf(home)).toEqual(problemsOf(walled));
      const [room] = walled.rooms;
      const bare = { ...walled, stands: [] };
      expect(windowsWithoutSill(bare, room!)).toEqual(walled.windows);
      expect(windowsWithoutSill(home, room!)).toEqual([]);
      const added = home.stands.find(({ id }) => !walled.stands.some((stand) => stand.id === id))!;
      const tier = home.tiers.find(({ standId }) => standId === added.id)!;
      expect(tier.heightM).toBe(walled.windows[0]!.sillM);
      const spots = home.spots.filter(({ tierId }) => tierId === tier.id);
      expect(spots).toHaveLength(Math.max(1, Math.floor(walled.windows[0]!.widthM / 0.28)));
      expect(spots.reduce((sum, { sizeM }) => sum + sizeM, 0)).toBeCloseTo(walled.windows[0]!.widthM, 1);
    },
  );
});
