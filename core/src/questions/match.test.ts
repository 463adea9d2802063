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
