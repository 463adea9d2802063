/** Which spot suits a plant, and which one change to try first for what is wrong. */
import type { Condition, FactorFit, Trouble } from '../fit';
import type { HomeFacts, Plant } from '../facts';
import { plantTargets } from '../home/known';
import { HomeEngine } from '../home';
import { ask as asking } from './index';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';
import { bestFreeSpot, fitOfSpot, mendOf, rankSpots, type MendInputs } from '../match';

const answers = asking(new HomeEngine(smallKnowledge), smallHome, 'home', { year: 2026 });
const conditions = new Map(answers.spots.map((spot) => [spot.spotId, spot.conditions]));
const [shadePlant, sunPlant] = smallHome.plants as [Plant, Plant];
const question = (plant: Plant, facts: HomeFacts = smallHome) => ({
  plant,
  targets: plantTargets(facts, plant, smallKnowledge, 2026),
  spots: facts.spots,
  conditions,
  plants: facts.plants,
});

describe('ranking', () => {
  it('names every spot once, the best that can be stood on first', () => {
    const ranked = rankSpots(question(sunPlant));
    expect(ranked.map((choice) => choice.spotId).sort()).toEqual(['boxed', 'bright', 'dim', 'top']);
    expect(ranked[0]!.spotId).toBe('bright');
    const possible = ranked.filter((choice) => choice.refusal === null);
    for (let i = 1; i < possible.length; i++)
      expect(possible[i]!.whole).toBeLessThanOrEqual(possible[i - 1]!.whole + 0.03);
  });

  it('puts last, with the reason, where a plant is too tall or its pot too wide', () => {
    const ranked = rankSpots(question({ ...shadePlant, heightCm: 90, potCm: 20 }));
    const by = new Map(ranked.map((choice) => [choice.spotId, choice]));
    expect(by.get('bright')!.refusal).toBeNull();
    expect(by.get('dim')!.refusal).toBe('too-tall');
    expect(by.get('top')!.refusal).toBe('too-tall');
    expect(
      rankSpots(question({ ...shadePlant, heightCm: 15, potCm: 20 })).find((choice) => choice.spotId === 'top')!
        .refusal,
    ).toBe('too-wide');
  });

  it('refuses nothing of a plant whose size is not known', () => {
    for (const { refusal } of rankSpots(question({ ...shadePlant, heightCm: null, potCm: null })))
      expect(refusal).toBeNull();
  });

  it('tells who stands there, but not the plant itself', () => {
    const ranked = rankSpots(question(shadePlant));
    expect(ranked.find((choice) => choice.spotId === 'top')!.occupants).toEqual([sunPlant.id]);
    expect(ranked.find((choice) => choice.spotId === 'dim')!.occupants).toEqual([]);
  });

  it('judges a spot as the year’s fit there does', () => {
    const targets = plantTargets(smallHome, sunPlant, smallKnowledge, 2026);
    for (const { spotId, whole } of rankSpots(question(sunPlant)))
      expect(whole).toBeCloseTo(fitOfSpot(targets, conditions.get(spotId)!).whole, 9);
  });

  it('offers as best only what is free and can be stood on, and nothing when there is none', () => {
    const best = (plant: Plant, facts: HomeFacts = smallHome) => {
      const taken = new Set(facts.plants.map((other) => other.spotId));
      const free = new Map(facts.spots.filter((spot) => !taken.has(spot.id)).map((spot) => [spot.id, spot]));
      return bestFreeSpot(plant, plantTargets(facts, plant, smallKnowledge, 2026), conditions, free);
    };
    expect(best(sunPlant)!.spotId).toBe('bright');
    expect(best({ ...sunPlant, heightCm: 300 })).toBeNull();
    const full: HomeFacts = {
      ...smallHome,
      plants: smallHome.spots.map((spot, i) => ({ ...shadePlant, id: `p${i}`, spotId: spot.id })),
    };
    expect(best(sunPlant, full)).toBeNull();
  });

  it('offers a spot that has become free since the last time', () => {
    const targets = plantTargets(smallHome, sunPlant, smallKnowledge, 2026);
    const freed = (...ids: string[]) =>
      new Map(smallHome.spots.filter(({ id }) => ids.includes(id)).map((s) => [s.id, s]));
    const best = (...ids: string[]) => bestFreeSpot(sunPlant, targets, conditions, freed(...ids))?.spotId;
    expect(best('dim')).toBe('dim');
    expect(best('dim', 'bright')).toBe('bright');
    expect(best('dim')).toBe('dim');
  });
});

const january = (spotId: string): Condition => conditions.get(spotId)![0]!;
const trouble = (worst: Partial<FactorFit>): Trouble => {
  const reading: FactorFit = {
    factor: 'light',
    aspect: 'dli',
    score: 0.2,
    direction: 'too-little',
    severity: 'short',
    gets: 1,
    wantsFrom: 3,
    wantsTo: 8,
    distance: -2,
    depends: 'no',
    ...worst,
  };
  return {
    factor: reading.factor,
    aspect: reading.aspect,
    direction: reading.direction as Trouble['direction'],
    severity: 'short',
    months: [1],
    worst: reading,
    worstMonth: 1,
  };
};
const ask = (given: Partial<MendInputs>) =>
  mendOf({
    facts: smallHome,
    plant: shadePlant,
    trouble: trouble({}),
    condition: january('dim'),
    whole: 0.3,
    bestFree: null,
    ...given,
  });

describe('the change to try first', () => {
  it('lets a lamp that hangs over the spot burn longer, just long enough', () => {
    const condition = january('dim');
    const perHour = condition.shares.lamps.l! / 8;
    const wantsFrom = condition.dli + 2 * perHour;
    const mend = ask({ trouble: trouble({ gets: condition.dli, wantsFrom }) });
    expect(mend).toMatchObject({ kind: 'lamp-hours', circuitId: 'c', onMinute: 480 });
    const hours = ((mend as { offMinute: number }).offMinute - 480) / 60;
    expect(hours).toBeGreaterThanOrEqual(10);
    expect(hours).toBeLessThanOrEqual(11);
  });

  it('lets it burn shorter where there is too much', () => {
    const condition = january('dim');
    const mend = ask({
      trouble: trouble({
        direction: 'too-much',
        wantsTo: condition.dli - condition.shares.lamps.l! / 2,
        gets: condition.dli,
      }),
    });
    expect(mend).toMatchObject({ kind: 'lamp-hours' });
    expect((mend as { offMinute: number }).offMinute).toBeLessThan(960);
  });

  it('asks no lamp for a day longer than sixteen hours', () => {
    const bestFree = { spotId: 'bright', whole: 0.9, refusal: null, occupants: [] };
    expect(ask({ trouble: trouble({ wantsFrom: 60 }), bestFree })).toEqual({
      kind: 'move',
      spotId: 'bright',
      wholeBefore: 0.3,
      wholeAfter: 0.9,
    });
  });

  it('shortens the lamp’s day when it breaks the night', () => {
    const night = trouble({
      factor: 'day-length',
      aspect: 'night-length',
      direction: 'too-little',
      gets: 10,
      wantsFrom: 18,
      wantsTo: 24,
    });
    const mend = ask({ trouble: night });
    expect(mend).toEqual({ kind: 'lamp-hours', circuitId: 'c', onMinute: 480, offMinute: 480 + 6 * 60 });
  });

  it('moves the plant only where it gains enough', () => {
    const spot = (whole: number) => ({ spotId: 'bright', whole, refusal: null, occupants: [] });
    expect(ask({ condition: january('top'), bestFree: spot(0.9) }).kind).toBe('move');
    expect(ask({ condition: january('top'), bestFree: spot(0.35) })).toEqual({
      kind: 'place',
      why: 'no-spot-here-suits',
    });
  });

  it('hangs a curtain at the largest bare window against too much sun', () => {
    const burnt = trouble({ aspect: 'peak', direction: 'too-much', gets: 900, wantsFrom: 0, wantsTo: 300 });
    expect(ask({ plant: { ...shadePlant, spotId: 'bright' }, condition: january('bright'), trouble: burnt })).toEqual({
      kind: 'curtain',
      windowId: 'w',
      curtainId: 'sheer',
      months: [1],
    });
    const sheer = { curtainId: 'sheer', months: [1], fromMinute: 0, toMinute: 1440 };
    const curtained = { ...smallHome, windows: smallHome.windows.map((window) => ({ ...window, curtains: [sheer] })) };
    expect(
      ask({
        facts: curtained,
        plant: { ...shadePlant, spotId: 'bright' },
        condition: january('bright'),
        trouble: burnt,
      }).kind,
    ).toBe('place');
  });

  it.each([
    ['warmth', 'too-little', 'warmer'],
    ['warmth', 'too-much', 'cooler'],
    ['moisture', 'too-little', 'moister'],
    ['moisture', 'too-much', 'drier'],
    ['air', 'too-little', 'moving'],
    ['air', 'too-much', 'calmer'],
  ] as const)('says what the room’s air itself would need: %s %s, so %s', (factor, direction, what) => {
    expect(ask({ trouble: trouble({ factor, aspect: 'day', direction }) })).toEqual({ kind: 'air', roomId: 'r', what });
  });

  it('finds a spot for a plant that stands nowhere, or says that none can take it', () => {
    const nowhere = { ...shadePlant, spotId: null };
    expect(
      ask({ plant: nowhere, bestFree: { spotId: 'boxed', whole: 0.7, refusal: null, occupants: [] } }),
    ).toMatchObject({ kind: 'move', spotId: 'boxed', wholeBefore: 0 });
    expect(ask({ plant: nowhere })).toEqual({ kind: 'place', why: 'stands-nowhere' });
  });
});
