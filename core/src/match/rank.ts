/** All spots of a home ranked for one plant, with the reason for each. */
import type { Plant, Spot } from '../home/facts';
import { fitMonth, fitYear, type Condition, type YearFit } from '../fit';
import type { Target } from '../plant';

export interface RankedSpot {
  readonly spotId: string;
  readonly fit: YearFit;
  /** Why the plant cannot stand there at all; null when it can. */
  readonly refusal: 'too-tall' | 'too-wide' | null;
  /** Other plants that stand there now. */
  readonly occupants: readonly string[];
}

/** The year's fit of twelve targets to twelve conditions. */
export function fitOfSpot(targets: readonly Target[], conditions: readonly Condition[]): YearFit {
  return fitYear(conditions.map((condition, i) => fitMonth(targets[i]!, condition)));
}

function refusalOf(plant: Plant, spot: Spot): RankedSpot['refusal'] {
  if (plant.heightCm !== null && plant.heightCm / 100 > spot.freeHeightM) return 'too-tall';
  if (plant.potCm !== null && plant.potCm / 100 > spot.sizeM) return 'too-wide';
  return null;
}

/**
 * Ranks spots for a plant: those where it can stand first, best fit first, free ones before taken ones on a par.
 * @param conditions twelve months of each spot, by spot id; spots without are left out
 */
export function rankSpots(
  plant: Plant,
  targets: readonly Target[],
  spots: readonly Spot[],
  conditions: ReadonlyMap<string, readonly Condition[]>,
  plants: readonly Plant[],
): RankedSpot[] {
  return spots
    .flatMap((spot): RankedSpot[] => {
      const year = conditions.get(spot.id);
      if (!year) return [];
      const occupants = plants.filter((other) => other.spotId === spot.id && other.id !== plant.id).map((other) => other.id);
      return [{ spotId: spot.id, fit: fitOfSpot(targets, year), refusal: refusalOf(plant, spot), occupants }];
    })
    .sort((p, q) => rankOf(q) - rankOf(p) || p.spotId.localeCompare(q.spotId));
}

function rankOf({ fit, refusal, occupants }: RankedSpot): number {
  return fit.whole - (refusal ? 10 : 0) - (occupants.length > 0 ? 0.02 : 0);
}
