/** All spots of a home ranked for one plant, with the reason for each. */
import type { HomeFacts, Plant, Spot } from '../facts';
import { FULL, fitYear, verdictScore, type Condition, type YearFit } from '../fit';
import type { Target } from '../plant';
import { heightFree } from './height-free';

export interface SpotChoice {
  readonly spotId: string;
  /** 0..1, as in the verdict there. */
  readonly score: number;
  /** Why the plant cannot stand there at all; null when it can. */
  readonly refusal: 'too-tall' | 'too-wide' | null;
  /** Other plants that stand there now. */
  readonly occupants: readonly string[];
}

/** A choice with how it would fare there. */
export interface RankedSpot extends SpotChoice {
  readonly fit: YearFit;
}

const known = new WeakMap<readonly Target[], WeakMap<readonly Condition[], Float64Array>>();

/** The same targets meet the same conditions at every answer but one: what came of it is remembered as long as both live. */
export function scoreAt(
  targets: readonly Target[],
  conditions: readonly Condition[],
  fromMonth: number,
  leftNow = FULL,
): number {
  if (leftNow !== FULL) return verdictScore(targets, conditions, fromMonth, leftNow);
  let ofTargets = known.get(targets);
  if (!ofTargets) known.set(targets, (ofTargets = new WeakMap()));
  let byMonth = ofTargets.get(conditions);
  if (!byMonth) ofTargets.set(conditions, (byMonth = new Float64Array(12).fill(NaN)));
  let score = byMonth[fromMonth - 1]!;
  if (Number.isNaN(score)) byMonth[fromMonth - 1] = score = verdictScore(targets, conditions, fromMonth);
  return score;
}

/** Why a plant cannot stand on a spot at all. @param freeM height free there, under boards and lamps */
export function refusalOf(plant: Pick<Plant, 'heightCm' | 'potCm'>, spot: Spot, freeM: number): SpotChoice['refusal'] {
  if (plant.heightCm !== null && plant.heightCm / 100 > freeM) return 'too-tall';
  if (plant.potCm !== null && plant.potCm / 100 > spot.sizeM) return 'too-wide';
  return null;
}

export interface RankInputs {
  readonly plant: Plant;
  readonly targets: readonly Target[];
  readonly facts: HomeFacts;
  /** Twelve months of each spot, by spot id; spots without are left out. */
  readonly conditions: ReadonlyMap<string, readonly Condition[]>;
  /** 1..12, the month that is on. */
  readonly fromMonth: number;
  /** Share of its reserve that the plant has now. */
  readonly leftNow?: number;
}

/** Ranks spots for a plant: those where it can stand first, best fit first, free ones before taken ones on a par. */
export function rankSpots({ plant, targets, facts, conditions, fromMonth, leftNow = FULL }: RankInputs): RankedSpot[] {
  return facts.spots
    .flatMap((spot): RankedSpot[] => {
      const year = conditions.get(spot.id);
      if (!year) return [];
      const occupants = facts.plants
        .filter((other) => other.spotId === spot.id && other.id !== plant.id)
        .map((other) => other.id);
      const fit = fitYear(targets, year, fromMonth, leftNow);
      const refusal = refusalOf(plant, spot, heightFree(facts, spot));
      return [{ spotId: spot.id, score: fit.verdict.score, refusal, occupants, fit }];
    })
    .sort((p, q) => rankOf(q) - rankOf(p) || p.spotId.localeCompare(q.spotId));
}

function rankOf({ score, refusal, occupants }: SpotChoice): number {
  return score - (refusal ? 10 : 0) - (occupants.length > 0 ? 0.02 : 0);
}
