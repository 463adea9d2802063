/** Ways to the light that is wanted over a tier: each as the engine finds it once it is done. */
import { PLAIN_TIMER, applied, patch, put, type HomeFacts } from '../facts';
import { HomeEngine } from '../home';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';
import { ALL_MONTHS } from '../units';
import { ask, type LightWay } from './index';

const YEAR = 2026;
const engine = new HomeEngine(smallKnowledge);
const WISH = { tierId: 'shelf-1', month: 1, wantedDli: 5, peakPpfd: 600, year: YEAR };

const waysIn = (facts: HomeFacts, wish: Partial<typeof WISH> = {}) =>
  ask(engine, facts, 'lightWays', { ...WISH, ...wish });
const wayTo = (ways: readonly LightWay[], what: LightWay['what']) => ways.find((way) => way.what === what);

const unlit: HomeFacts = { ...smallHome, lamps: [] };
const onTier = smallHome.spots.filter(({ tierId }) => tierId === 'shelf-1').map(({ id }) => id);

/** What the dimmest spot of the tier gets in January, by the whole engine. */
const leastIn = (home: HomeFacts) =>
  Math.min(
    ...ask(engine, home, 'home', { year: YEAR, month: 1 })
      .spots.filter(({ spotId }) => onTier.includes(spotId))
      .map(({ conditions }) => conditions[0]!.dli),
  );

/** The home with a lamp of the label that was told, burning as long as was told. */
function withBought(facts: HomeFacts, { buy, aboveM, hours }: LightWay): HomeFacts {
  const stand = facts.stands.find(({ id }) => id === 'shelf')!;
  const { form, count, ppf, watts, lengthM } = buy!;
  const isBar = form === 'bar';
  const timer = { ...PLAIN_TIMER, id: 'new', homeId: 'h', name: 'New', months: ALL_MONTHS };
  return applied(facts, [
    put('circuits', { ...timer, onMinute: 300, offMinute: 300 + Math.ceil(hours * 60) }),
    ...Array.from({ length: count }, (_, i) => {
      const share = (i + 0.5) / count;
      return put('lamps', {
        ...smallHome.lamps[0]!,
        ...{ id: `new-${i}`, circuitId: 'new', form, ppf, powerW: watts, lengthM, aboveM: aboveM! },
        breadthM: isBar ? 0.04 : 0.6 * stand.depthM,
        alongM: isBar ? stand.widthM / 2 : stand.widthM * share,
        acrossM: isBar ? stand.depthM * share : stand.depthM / 2,
      });
    }),
  ])!;
}

it('a lamp of the label it tells, hung and run as it tells, gives the dimmest spot what is wanted', () => {
  const bought = wayTo(waysIn(unlit), 'buy')!;
  expect(bought.isEnough).toBe(true);
  expect(leastIn(withBought(unlit, bought))).toBeGreaterThan(0.97 * WISH.wantedDli);
  expect(leastIn(withBought(unlit, bought))).toBeLessThan(1.1 * WISH.wantedDli);
  expect(bought.kWhYear).toBeGreaterThan(0);
});

it('a longer day of the lamps there are gives what it says', () => {
  const longer = wayTo(waysIn(smallHome, { wantedDli: 3 }), 'longer')!;
  const home = applied(smallHome, [
    patch('circuits', 'c', { onMinute: 300, offMinute: Math.round(300 + longer.hours * 60) }),
  ])!;
  expect(leastIn(home)).toBeCloseTo(longer.least, 1);
});

it('lamps hung lower burn no longer for the same light', () => {
  const ways = waysIn(smallHome, { wantedDli: 3 });
  expect(wayTo(ways, 'hang')!.hours).toBeLessThanOrEqual(wayTo(ways, 'longer')!.hours + 1e-9);
});

it('white walls and open curtains never give less, and are told only where there is something to gain', () => {
  const dull = applied(smallHome, [patch('rooms', 'r', { wallReflectance: 0.3 })])!;
  const [painted, longer] = [wayTo(waysIn(dull), 'paint')!, wayTo(waysIn(dull), 'longer')!];
  expect(painted.hours).toBeLessThanOrEqual(longer.hours + 1e-9);
  expect(painted.least).toBeGreaterThanOrEqual(longer.least - 1e-9);
  const white = applied(smallHome, [patch('rooms', 'r', { wallReflectance: 0.8 })])!;
  expect(wayTo(waysIn(white), 'paint')).toBeUndefined();
});

it('a tier without a lamp is told what to buy, not to burn what it has not', () => {
  const whats = waysIn(unlit).map(({ what }) => what);
  expect(whats).toContain('buy');
  expect(whats).not.toContain('longer');
  expect(whats).not.toContain('hang');
});

it('what is enough stands before what is not, and each way once', () => {
  const ways = waysIn(smallHome, { wantedDli: 12, peakPpfd: 2000 });
  const enough = ways.map(({ isEnough }) => isEnough);
  expect(enough).toEqual([...enough].sort((p, q) => Number(q) - Number(p)));
  expect(new Set(ways.map(({ what }) => what)).size).toBe(ways.length);
});

it('no way passes the peak that the plants tolerate', () => {
  expect(wayTo(waysIn(unlit, { peakPpfd: 20 }), 'buy')).toBeUndefined();
});

it('more light takes no fewer photons, and less electricity is never asked for it', () => {
  const bought = [2, 4, 8].map((wantedDli) => wayTo(waysIn(unlit, { wantedDli, peakPpfd: 2000 }), 'buy')!);
  const photons = bought.map(({ buy }) => buy!.ppf * buy!.count);
  expect([...photons].sort((p, q) => p - q)).toEqual(photons);
  const kWh = bought.map(({ kWhYear }) => kWhYear);
  expect([...kWh].sort((p, q) => p - q)).toEqual(kWh);
});
