/** Where a plant would do best: every spot of a home ranked for it. */
import type { HomeFacts, Plant } from '../facts';
import type { HomeEngine, Steps } from '../home';
import { rankSpots, type RankedSpot } from '../match';

export interface RankParams {
  /** It need not stand in the home yet. */
  readonly plant: Plant;
  readonly year: number;
}

/** Every spot of a home ranked for one plant. */
export function* rank(engine: HomeEngine, facts: HomeFacts, { plant, year }: RankParams): Steps<RankedSpot[]> {
  const targets = engine.targetsOf(facts, plant);
  if (targets.length === 0) return [];
  const { spots } = yield* engine.spotAnswers(facts, year);
  const conditions = new Map(spots.map((spot) => [spot.spotId, spot.conditions]));
  return rankSpots({ plant, targets, spots: facts.spots, conditions, plants: facts.plants });
}
