/** Where a plant would do best: every spot of a home ranked for it. */
import type { HomeFacts, Plant } from '../facts';
import type { Condition } from '../fit';
import type { HomeEngine, Steps } from '../home';
import { rankSpots, type RankedSpot } from '../match';
import { leafHeights } from '../room';
import { standingOf } from './home-answers';

export interface RankParams {
  /** It need not stand in the home yet. */
  readonly plant: Plant;
  readonly year: number;
  /** 1..12, the month that is on. */
  readonly month: number;
}

/** Heights that differ by less have the same light, m. */
const SAME_HEIGHT_M = 0.04;

/**
 * So many spots under lamps are judged at the plant's own heights; in larger homes the rest at those of who stands
 * there.
 */
const MOST_AT_OWN_HEIGHT = 60;

/** Every spot of a home ranked for one plant; under lamps, where height tells most, as it would stand there itself. */
export function* rank(engine: HomeEngine, facts: HomeFacts, { plant, year, month }: RankParams): Steps<RankedSpot[]> {
  const targets = engine.targetsOf(facts, plant, year);
  if (targets.length === 0) return [];
  const { spots } = yield* engine.spotAnswers(facts, year);
  const conditions = new Map<string, readonly Condition[]>(spots.map((spot) => [spot.spotId, spot.conditions]));
  const asked = spotsUnderLamps(facts, plant).slice(0, MOST_AT_OWN_HEIGHT);
  for (const [i, spotId] of asked.entries()) {
    yield i / asked.length;
    const there = conditionsStandingThere(engine, facts, plant, spotId, year);
    if (there.length > 0) conditions.set(spotId, there);
  }
  const { reserveLeft } = standingOf(engine, facts, plant, { year, month }, conditions);
  return rankSpots({ plant, targets, facts, conditions, fromMonth: month, leftNow: reserveLeft });
}

/** Twelve months of a spot as a plant would have them that stood there alone: light is judged at its own leaves. */
export function conditionsStandingThere(
  engine: HomeEngine,
  facts: HomeFacts,
  plant: Plant,
  spotId: string,
  year: number,
): readonly Condition[] {
  const others = facts.plants.filter((other) => other.id !== plant.id && other.spotId !== spotId);
  const standing = { ...facts, plants: [...others, { ...plant, spotId }] };
  return engine.conditionsAt(standing, [spotId], year, facts).get(spotId) ?? [];
}

/** Spots on tiers with lamps where the plant's leaves would be at other heights than those of who stands there. */
function spotsUnderLamps(facts: HomeFacts, plant: Plant): string[] {
  const lit = new Set(facts.lamps.map(({ tierId }) => tierId));
  return facts.spots
    .filter((spot) => {
      if (!lit.has(spot.tierId) || plant.spotId === spot.id) return false;
      const here = leafHeights(
        facts.plants.filter(({ spotId }) => spotId === spot.id),
        spot.freeHeightM,
      );
      const own = leafHeights([plant], spot.freeHeightM);
      return Math.abs(own.topM - here.topM) > SAME_HEIGHT_M;
    })
    .map(({ id }) => id);
}
