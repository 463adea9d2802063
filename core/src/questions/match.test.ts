/** Which spot suits a plant. */
import type { HomeFacts, Plant } from '../facts';
import { verdictOf } from '../fit';
import { plantTargets } from '../home/known';
import { HomeEngine } from '../home';
import { ask as asking } from './index';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';
import { heightFree, rankSpots } from '../match';

const answers = asking(new HomeEngine(smallKnowledge), smallHome, 'home', { year: 2026, month: 11 });
const conditions = new Map(answers.spots.map((spot) => [spot.spotId, spot.conditions]));
const [shadePlant, sunPlant] = smallHome.plants as [Plant, Plant];
const question = (plant: Plant, facts: HomeFacts = smallHome) => ({
  plant,
  targets: plantTargets(facts, plant, smallKnowledge, 2026),
  facts,
  conditions,
  fromMonth: 11,
});

describe('ranking', () => {
  it('names every spot once, the best that can be stood on first', () => {
    const ranked = rankSpots(question(sunPlant));
    expect(ranked.map((choice) => choice.spotId).sort()).toEqual(['boxed', 'bright', 'dim', 'top']);
    expect(ranked[0]!.spotId).toBe('bright');
    const possible = ranked.filter((choice) => choice.refusal === null);
    for (let i = 1; i < possible.length; i++)
      expect(possible[i]!.score).toBeLessThanOrEqual(possible[i - 1]!.score + 0.03);
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

  it('judges a spot as the verdict there does', () => {
    const targets = plantTargets(smallHome, sunPlant, smallKnowledge, 2026);
    for (const { spotId, score } of rankSpots(question(sunPlant)))
      expect(score).toBe(verdictOf(targets, conditions.get(spotId)!, 11).score);
  });

  it('counts lamps and boards over a spot into its free height', () => {
    const free = (facts: HomeFacts, id: string) =>
      heightFree(
        facts,
        facts.spots.find((spot) => spot.id === id)!,
      );
    const stated = smallHome.spots.find(({ id }) => id === 'dim')!.freeHeightM;
    const low = { ...smallHome, lamps: smallHome.lamps.map((lamp) => ({ ...lamp, aboveM: 0.2 })) };
    expect(free(low, 'dim')).toBeCloseTo(0.15, 9);
    const tall = { ...smallHome, lamps: [], spots: smallHome.spots.map((spot) => ({ ...spot, freeHeightM: 2 })) };
    const [below, above] = ['dim', 'top'].map((id) =>
      smallHome.tiers.find((tier) => tier.id === smallHome.spots.find((spot) => spot.id === id)!.tierId)!,
    );
    expect(free(tall, 'dim')).toBeCloseTo(above!.heightM - below!.heightM - 0.02, 9);
    expect(free(tall, 'top')).toBe(2);
    expect(stated).toBeLessThanOrEqual(2);
  });
});

describe('own plants for a spot', () => {
  const engine = new HomeEngine(smallKnowledge);
  const forSpot = (spotId: string, facts: HomeFacts = smallHome, count = 5) =>
    asking(engine, facts, 'plantsForSpot', { spotId, count, year: 2026, month: 11 });
  const scoreOf = (plantId: string, facts: HomeFacts) =>
    asking(engine, facts, 'home', { year: 2026, month: 11 }).plants.find((one) => one.plantId === plantId)!.fit!.verdict
      .score;

  it('are those that gain by it, told with what they have now', () => {
    const [sunny] = forSpot('bright').filter(({ plantId }) => plantId === sunPlant.id);
    expect(sunny!.scoreNow).toBe(scoreOf(sunPlant.id, smallHome));
    expect(sunny!.fit.verdict.score).toBeGreaterThan(sunny!.scoreNow! + 0.05);
  });

  it('fare there as they would once moved', () => {
    const moved = {
      ...smallHome,
      plants: smallHome.plants.map((plant) => (plant.id === sunPlant.id ? { ...plant, spotId: 'bright' } : plant)),
    };
    const [sunny] = forSpot('bright').filter(({ plantId }) => plantId === sunPlant.id);
    // What its own leaves add to the room's moisture is left out while it is tried.
    expect(sunny!.fit.verdict.score).toBeCloseTo(scoreOf(sunPlant.id, moved), 3);
  });

  it('leave out who stands there, who would lose, who is too tall, and whose needs are not known', () => {
    expect(forSpot(sunPlant.spotId!).map(({ plantId }) => plantId)).not.toContain(sunPlant.id);
    const withSun = (change: Partial<Plant>): HomeFacts => ({
      ...smallHome,
      plants: smallHome.plants.map((plant) => (plant.id === sunPlant.id ? { ...plant, ...change } : plant)),
    });
    expect(forSpot('bright', withSun({ heightCm: 900 }))).toEqual(forSpot('bright', withSun({ taxonId: 'unknown' })));
    const best = withSun({ spotId: 'bright' });
    expect(forSpot('dim', best).map(({ plantId }) => plantId)).not.toContain(sunPlant.id);
  });

  it('leave out who would be in danger there, however much it gains', () => {
    const loose = { ...smallHome, plants: [{ ...shadePlant, spotId: null }] };
    const choices = asking(engine, loose, 'rank', { plant: loose.plants[0]!, year: 2026, month: 11 });
    const endangers = choices.filter(({ fit }) => fit.troubles.some(({ severity }) => severity === 'danger'));
    expect(endangers.length).toBeGreaterThan(0);
    expect(endangers.length).toBeLessThan(choices.length);
    for (const { spotId, refusal, fit } of choices)
      expect(forSpot(spotId, loose).length).toBe(
        refusal || fit.troubles.some(({ severity }) => severity === 'danger') ? 0 : 1,
      );
  });

  it('come with those first that gain most, no more than asked for; one without a spot gains all', () => {
    const many = {
      ...smallHome,
      plants: [
        ...smallHome.plants,
        ...['x', 'y'].map((id) => ({ ...sunPlant, id, spotId: null })),
        { ...shadePlant, id: 'z', spotId: null },
      ],
    };
    const all = forSpot('bright', many, 9);
    const gains = all.map(({ fit, scoreNow }) => fit.verdict.score - (scoreNow ?? 0));
    expect(gains).toEqual([...gains].sort((p, q) => q - p));
    expect(all.filter(({ scoreNow }) => scoreNow === null).length).toBeGreaterThanOrEqual(2);
    expect(forSpot('bright', many, 1)).toEqual(all.slice(0, 1));
    expect(forSpot('gone')).toEqual([]);
  });
});
