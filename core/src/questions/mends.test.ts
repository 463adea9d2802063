/** What would help the plants of a home: for all of them, never against one, never two things with one. */
import { applied, type HardeningPace, type HomeFacts, type Plant } from '../facts';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';
import { HomeEngine } from '../home';
import { changesOf, claimsOf, stepsInto, type PlantMends, type Remedy } from '../match';
import { ALL_MONTHS } from '../units';
import { ask } from './index';

const engine = new HomeEngine(smallKnowledge);
const when = { year: 2026, month: 11 };
const mendsIn = (facts: HomeFacts): PlantMends[] => ask(engine, facts, 'mends', when);
const scores = (facts: HomeFacts) =>
  new Map(ask(engine, facts, 'home', when).plants.map(({ plantId, fit }) => [plantId, fit?.verdict.score ?? 0]));
const [shadePlant, sunPlant] = smallHome.plants as [Plant, Plant];
const withPlants = (...plants: Plant[]): HomeFacts => ({ ...smallHome, plants });
const after = (facts: HomeFacts, remedy: Remedy): HomeFacts => applied(facts, changesOf(remedy, facts, '2026-11-29'))!;

describe('mends', () => {
  it('move a starving sun plant to the free sill, and it does there as they say', () => {
    const [found] = mendsIn(smallHome).filter(({ plantId }) => plantId === sunPlant.id);
    const [first] = found!.mends;
    expect(first!.remedy).toEqual({ kind: 'move', plantId: sunPlant.id, spotId: 'bright' });
    expect(scores(after(smallHome, first!.remedy)).get(sunPlant.id)).toBeCloseTo(first!.effect.after, 1);
    expect(first!.effect.after).toBeGreaterThan(first!.effect.before + 0.05);
  });

  it('come true: each does to every plant what it says, and harms none', () => {
    const home = withPlants(
      { ...shadePlant, spotId: 'dim' },
      { ...sunPlant, spotId: 'top', heightCm: 15 },
      { ...shadePlant, id: 's2', spotId: 'bright' },
      { ...sunPlant, id: 's3', spotId: 'boxed' },
    );
    expect(mendsIn(home).length).toBeGreaterThan(1);
    const before = scores(home);
    let checked = 0;
    for (const { mends } of mendsIn(home)) {
      for (const { remedy, effect } of mends.filter((mend) => mend.remedy.kind !== 'air')) {
        const now = scores(after(home, remedy));
        expect(now.get(effect.plantId)).toBeGreaterThan(before.get(effect.plantId)!);
        for (const { id } of home.plants)
          if (id !== effect.plantId) expect(now.get(id)).toBeGreaterThan(before.get(id)! - 0.035);
        checked++;
      }
    }
    expect(checked).toBeGreaterThan(0);
  });

  it('never tell two plants to do two things with one', () => {
    const home = withPlants(
      { ...sunPlant, spotId: 'top', heightCm: 15 },
      { ...sunPlant, id: 's2', spotId: 'dim', heightCm: 15 },
      { ...sunPlant, id: 's3', spotId: 'boxed', heightCm: 15 },
    );
    const firsts = mendsIn(home).flatMap(({ mends }) => (mends[0] ? claimsOf(mends[0].remedy) : []));
    expect(new Set(firsts).size).toBe(firsts.length);
    const moved = mendsIn(home)
      .flatMap(({ mends }) => mends[0]?.remedy ?? [])
      .filter(({ kind }) => kind === 'move');
    expect(moved).toHaveLength(1);
  });

  it('refuse an even trade: two alike on a good and a bad spot do not change places', () => {
    const home: HomeFacts = {
      ...withPlants(
        { ...sunPlant, spotId: 'dim', heightCm: 15 },
        { ...sunPlant, id: 's2', spotId: 'bright', heightCm: 15 },
      ),
      spots: smallHome.spots.filter(({ id }) => id === 'dim' || id === 'bright'),
    };
    const [found] = mendsIn(home);
    expect(found!.mends.filter(({ remedy }) => remedy.kind === 'swap')).toEqual([]);
  });

  it('refuse what helps one much and costs another its good place, and say so', () => {
    const home: HomeFacts = {
      ...withPlants(
        { ...sunPlant, spotId: 'dim', heightCm: 15 },
        { ...sunPlant, id: 's2', taxonId: 'shade', spotId: 'bright', heightCm: 15 },
      ),
      lamps: [],
      windows: smallHome.windows.map((window) => ({
        ...window,
        curtains: [{ curtainId: 'sheer', months: ALL_MONTHS, fromMinute: 0, toMinute: 1440 }],
      })),
      spots: smallHome.spots.filter(({ id }) => id === 'dim' || id === 'bright'),
    };
    const found = mendsIn(home).find(({ plantId }) => plantId === sunPlant.id)!;
    expect(found.mends.filter(({ remedy }) => remedy.kind === 'swap')).toEqual([]);
    expect(found.refused).toMatchObject({ remedy: { kind: 'swap' }, harmed: { plantId: 's2' } });
  });

  it('change two plants’ places where both gain', () => {
    const home: HomeFacts = {
      ...withPlants(
        { ...sunPlant, spotId: 'dim', heightCm: 15 },
        { ...shadePlant, id: 's2', taxonId: 'tender', spotId: 'bright', heightCm: 15 },
      ),
      lamps: [],
      spots: smallHome.spots.filter(({ id }) => id === 'dim' || id === 'bright'),
    };
    const tender = new HomeEngine({
      ...smallKnowledge,
      taxon: (id) => {
        const shade = smallKnowledge.taxon('shade')!;
        return id === 'tender'
          ? {
              ...shade,
              id,
              light: { ...shade.light, survives: 0.05, keepsForm: 0.06, thrivesFrom: 0.1, thrivesTo: 4, scorches: 6 },
            }
          : smallKnowledge.taxon(id);
      },
    });
    const found = ask(tender, home, 'mends', when).flatMap(({ mends }) => mends.map(({ remedy }) => remedy));
    // Each of the two is told of the same exchange.
    const swaps = found.filter(({ kind }) => kind === 'swap').map((remedy) => JSON.stringify(remedy));
    expect(swaps).toHaveLength(2);
    expect(new Set(swaps).size).toBe(1);
  });

  it('let a lamp burn longer where that serves all under it', () => {
    const home: HomeFacts = {
      ...withPlants({ ...shadePlant, spotId: 'dim' }),
      spots: smallHome.spots.filter(({ id }) => id === 'dim'),
      circuits: [{ ...smallHome.circuits[0]!, offMinute: 660 }],
    };
    const [found] = mendsIn(home);
    const longer = found!.mends.find(({ remedy }) => remedy.kind === 'lamp-hours')!;
    const { onMinute, offMinute } = longer.remedy as Extract<Remedy, { kind: 'lamp-hours' }>;
    expect(offMinute - onMinute).toBeGreaterThan(180);
    // What its lamp adds to the room's warmth is left out while it is tried.
    expect(scores(after(home, longer.remedy)).get(shadePlant.id)).toBeCloseTo(longer.effect.after, 3);
  });

  it('are none for plants that do as is wanted of them', () => {
    const well = withPlants({ ...shadePlant, spotId: 'dim' });
    expect(mendsIn(well)).toEqual([]);
  });

  it('find a place for a plant that stands nowhere', () => {
    const [found] = mendsIn(withPlants({ ...sunPlant, spotId: null }));
    expect(found!.mends[0]).toMatchObject({ remedy: { kind: 'move', spotId: 'bright' }, effect: { before: 0 } });
  });
});

describe('a rise of light', () => {
  const hardening = (seasonMonth: number) => ({ survivesMol: 0.5, pace: 'usual' as const, seasonMonth });
  const light = (dli: number, lamp = 0) => ({
    dli,
    shares: { sun: 0, sky: dli - lamp, ground: 0, obstruction: 0, reflected: 0, roomLight: 0, lamps: { l: lamp } },
  });

  it('above twice comes in steps of a fortnight for each doubling, but for daylight in the dark months', () => {
    expect(stepsInto(light(1), light(2), hardening(6))).toBeNull();
    expect(stepsInto(light(1), light(4), hardening(6))).toEqual({ times: 4, weeks: 4 });
    expect(stepsInto(light(1), light(4), hardening(12))).toBeNull();
    expect(stepsInto(light(1), light(4, 4), hardening(12))).toEqual({ times: 4, weeks: 4 });
  });

  it('takes as long for each doubling as its grower chose', () => {
    const weeks = (pace: HardeningPace) => stepsInto(light(1), light(4), { ...hardening(6), pace })!.weeks;
    expect([weeks('gentle'), weeks('usual'), weeks('brisk')]).toEqual([6, 4, 2]);
  });

  it('does not keep a starved plant in the dark: what it lives on it has at once', () => {
    const basil = { ...hardening(6), survivesMol: 4 };
    expect(stepsInto(light(0.17), light(12), basil)).toMatchObject({ weeks: 4 });
    expect(stepsInto(light(0.17), light(8), basil)).toBeNull();
  });
});
