/** Lamps hung anew by a plan: within their stand, over the plants, and only where the grower lets them. */
import loadHighs from 'highs';
import { applied, patch, type HomeFacts } from '../facts';
import { HomeEngine } from '../home';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';
import { heightFree } from '../match';
import { ask } from '../questions';
import { carriedOut } from './carried-out.fixture';
import { hangingChanges, hungAt, raisesOf } from './hanging';
import { HeightUnder } from './height-under';
import type { FoundPlan } from './proposal';
import { timerMenu } from './timer-menu';

const WHEN = { year: 2026, month: 11 };
const ON = '2026-11-30';
const engine = new HomeEngine(smallKnowledge);

beforeAll(async () => {
  engine.solver = await loadHighs();
});

/** The small home, its lamp free to hang anew and hung at some height. */
const hangingAt = (aboveM: number, freedom: 'hours-and-level' | 'hours-level-and-height' = 'hours-level-and-height') =>
  applied(smallHome, [patch('circuits', 'c', { freedom }), patch('lamps', 'l', { aboveM })])!;

function foundFor(facts: HomeFacts): FoundPlan {
  const plan = ask(engine, facts, 'plan', { ...WHEN, on: ON, effort: 'whole' });
  if (plan.state !== 'found') throw new Error(`No plan: ${plan.state}`);
  return plan;
}

const raises = (facts: HomeFacts) => raisesOf(facts, facts.circuits[0]!);

it('a lamp is hung neither into its board nor through the one above, and not at all unasked', () => {
  // The next board lies 60 cm higher.
  expect(raises(hangingAt(0.5))).toEqual([-0.2, -0.1]);
  expect(raises(hangingAt(0.35))).toEqual([-0.2, -0.1, 0.1, 0.2]);
  expect(raises(hangingAt(0.25))).toEqual([-0.1, 0.1, 0.2]);
  expect(raises(hangingAt(0.35, 'hours-and-level'))).toEqual([]);
});

it('heights are told to the centimetre', () => {
  expect(hungAt({ ...smallHome.lamps[0]!, aboveM: 0.333 }, 0.1)).toBe(0.43);
});

it('a lowered lamp takes height from the spots under it, as the facts would say once it hangs there', () => {
  const facts = hangingAt(0.5);
  const menus = facts.circuits.map((circuit) => timerMenu(circuit, 52, raises(facts)));
  const under = new HeightUnder(
    facts,
    facts.spots.map(({ id }) => id),
    menus,
  );
  const lowered = applied(facts, hangingChanges(facts, facts.circuits[0]!, -0.2))!;
  facts.spots.forEach((spot, s) => {
    expect(under.over(s, 0, -0.2)).toBe(heightFree(lowered, spot));
    expect(under.over(s, 0, 0.1)).toBe(Infinity);
  });
});

describe('a plan that may hang lamps anew', () => {
  it('is worth no less than one that may not', () => {
    const worth = (freedom: 'hours-and-level' | 'hours-level-and-height') =>
      foundFor(hangingAt(0.35, freedom)).proof.objective;
    expect(worth('hours-level-and-height')).toBeGreaterThan(worth('hours-and-level') - 0.01);
  });

  it('carried out, hangs them where it says, and gives the verdicts it promised within two points', () => {
    const facts = hangingAt(0.35);
    const found = foundFor(facts);
    const home = carriedOut(facts, found, ON);
    for (const { lampId, aboveM } of found.timers.flatMap(({ hung }) => hung.flat()))
      expect(home.lamps.find(({ id }) => id === lampId)!.aboveM).toBe(aboveM);
    const after = ask(engine, home, 'home', WHEN);
    for (const { plantId, after: promised } of found.plants) {
      const { fit } = after.plants.find((one) => one.plantId === plantId)!;
      expect(Math.abs(fit!.verdict.score - promised)).toBeLessThan(0.02);
    }
  });

  it('hangs no lamp into a plant under it', () => {
    const tall = applied(hangingAt(0.5), [
      ...smallHome.plants.map(({ id }) => patch('plants', id, { heightCm: 38 })),
      ...smallHome.spots.map(({ id }) => patch('spots', id, { freeHeightM: 1 })),
    ])!;
    const found = foundFor(tall);
    const hung = found.timers.flatMap(({ hung: bySeason }) =>
      bySeason[0]!.map(({ lampId, aboveM }) => patch('lamps', lampId, { aboveM })),
    );
    const home = applied(tall, hung)!;
    for (const { spotIds, plantId, fromSpotId } of found.plants) {
      const spot = home.spots.find(({ id }) => id === spotIds[0])!;
      const fitted = 0.38 <= heightFree(tall, spot) || fromSpotId === spot.id;
      expect(fitted && (0.38 <= heightFree(home, spot) || hung.length === 0)).toBe(true);
      expect(plantId).toBeTruthy();
    }
  });
});
