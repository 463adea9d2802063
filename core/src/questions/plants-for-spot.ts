/** Which of the grower's own plants would do better on a spot than where they stand now. */
import type { HomeFacts, Plant } from '../facts';
import type { YearFit } from '../fit';
import type { HomeEngine, Steps } from '../home';
import { heightFree, refusalOf, scoreAt } from '../match';
import { conditionsOf, rememberedFit, standingOf, type Conditions, type When } from './home-answers';
import { conditionsStandingThere } from './rank';

export interface PlantsForSpotParams extends When {
  readonly spotId: string;
  readonly count: number;
}

/** A plant as it would fare on the spot that was asked about. */
export interface PlantForSpot {
  readonly plantId: string;
  readonly fit: YearFit;
  /** 0..1 where it stands now; null when it stands nowhere. */
  readonly scoreNow: number | null;
}

/** For less than this (of 1) nobody carries a pot. */
const LEAST_GAIN = 0.05;
/** So many times as many as are asked for are judged at their own height, which takes longer. */
const LOOKED_AT = 2;

/**
 * Own plants that a spot would suit better than where they stand, that have room there and are in no danger, most gain
 * first.
 */
export function* plantsForSpot(
  engine: HomeEngine,
  facts: HomeFacts,
  { spotId, count, ...when }: PlantsForSpotParams,
): Steps<PlantForSpot[]> {
  const spot = facts.spots.find(({ id }) => id === spotId);
  const conditions = conditionsOf(yield* engine.spotAnswers(facts, when.year));
  if (!spot || !conditions.has(spotId)) return [];
  const freeM = heightFree(facts, spot);
  const candidates = facts.plants.filter((plant) => plant.spotId !== spotId && !refusalOf(plant, spot, freeM));
  const judge = judging(engine, facts, when, conditions);
  const likely = gaining(candidates.map((plant) => judge(plant, conditions.get(spotId)!))).slice(0, count * LOOKED_AT);
  const standing: Judged[] = [];
  for (const [i, { plant }] of likely.entries()) {
    yield i / likely.length;
    standing.push(judge(plant, conditionsStandingThere(engine, facts, plant, spotId, when.year)));
  }
  return gaining(standing)
    .slice(0, count)
    .map(({ plant, fit, scoreNow }) => ({ plantId: plant.id, fit: fit!, scoreNow }));
}

interface Judged {
  readonly plant: Plant;
  /** Null when its needs are not known. */
  readonly fit: YearFit | null;
  readonly scoreNow: number | null;
}

const gainOf = ({ fit, scoreNow }: Judged) => (fit?.verdict.score ?? 0) - (scoreNow ?? 0);

const isEndangered = ({ fit }: Judged) => fit !== null && fit.troubles.some(({ severity }) => severity === 'danger');

const gaining = (judged: readonly Judged[]) =>
  judged.filter((one) => gainOf(one) >= LEAST_GAIN && !isEndangered(one)).sort((p, q) => gainOf(q) - gainOf(p));

function judging(engine: HomeEngine, facts: HomeFacts, when: When, conditions: Conditions) {
  return (plant: Plant, there: Parameters<typeof rememberedFit>[1]): Judged => {
    const targets = engine.targetsOf(facts, plant, when.year);
    if (targets.length === 0) return { plant, fit: null, scoreNow: null };
    const now = standingOf(engine, facts, plant, when, conditions);
    const here = plant.spotId === null ? undefined : conditions.get(plant.spotId);
    return {
      plant,
      fit: rememberedFit(targets, there, when.month, now.reserveLeft),
      scoreNow: here ? scoreAt(now.targets, here, when.month, now.reserveLeft) : null,
    };
  };
}
