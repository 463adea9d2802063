/** All spots of a home ranked for one plant, with the reason for each. */
import type { Plant, Spot } from '../facts';
import {
  fitMonth,
  fitYear,
  wholeOfMonth,
  wholeOfYear,
  type Condition,
  type MonthFit,
  type Trouble,
  type YearFit,
} from '../fit';
import type { Target } from '../plant';

export interface SpotChoice {
  readonly spotId: string;
  /** 0..1, as in the year's fit. */
  readonly whole: number;
  /** Why the plant cannot stand there at all; null when it can. */
  readonly refusal: 'too-tall' | 'too-wide' | null;
  /** Other plants that stand there now. */
  readonly occupants: readonly string[];
}

/** A choice with what would be wrong there. */
export interface RankedSpot extends SpotChoice {
  readonly months: readonly MonthFit[];
  readonly troubles: readonly Trouble[];
}

/** The year's fit of twelve targets to twelve conditions. */
export function fitOfSpot(targets: readonly Target[], conditions: readonly Condition[]): YearFit {
  return fitYear(monthsOf(targets, conditions));
}

function monthsOf(targets: readonly Target[], conditions: readonly Condition[]): MonthFit[] {
  return conditions.map((condition, i) => fitMonth(targets[i]!, condition));
}

const known = new WeakMap<readonly Target[], WeakMap<readonly Condition[], number>>();

/** The same targets meet the same conditions at every answer but one: what came of it is remembered as long as both live. */
function wholeAt(targets: readonly Target[], conditions: readonly Condition[]): number {
  let ofTargets = known.get(targets);
  if (!ofTargets) known.set(targets, (ofTargets = new WeakMap()));
  let whole = ofTargets.get(conditions);
  if (whole === undefined) {
    whole = wholeOfYear(conditions.map((condition, i) => wholeOfMonth(targets[i]!, condition)));
    ofTargets.set(conditions, whole);
  }
  return whole;
}

function refusalOf(plant: Plant, spot: Spot): SpotChoice['refusal'] {
  if (plant.heightCm !== null && plant.heightCm / 100 > spot.freeHeightM) return 'too-tall';
  if (plant.potCm !== null && plant.potCm / 100 > spot.sizeM) return 'too-wide';
  return null;
}

export interface RankInputs {
  readonly plant: Plant;
  readonly targets: readonly Target[];
  readonly spots: readonly Spot[];
  /** Twelve months of each spot, by spot id; spots without are left out. */
  readonly conditions: ReadonlyMap<string, readonly Condition[]>;
  readonly plants: readonly Plant[];
}

function choicesOf({ plant, targets, spots, conditions, plants }: RankInputs): SpotChoice[] {
  return spots
    .flatMap((spot) => {
      const year = conditions.get(spot.id);
      if (!year) return [];
      const occupants = plants
        .filter((other) => other.spotId === spot.id && other.id !== plant.id)
        .map((other) => other.id);
      return [{ spotId: spot.id, whole: wholeAt(targets, year), refusal: refusalOf(plant, spot), occupants }];
    })
    .sort((p, q) => rankOf(q) - rankOf(p) || p.spotId.localeCompare(q.spotId));
}

/** Ranks spots for a plant: those where it can stand first, best fit first, free ones before taken ones on a par. */
export function rankSpots(question: RankInputs): RankedSpot[] {
  return choicesOf(question).map((choice) => {
    const months = monthsOf(question.targets, question.conditions.get(choice.spotId)!);
    return { ...choice, months, troubles: fitYear(months).troubles };
  });
}

/** Spots as far as they were rated for some targets, best first. */
interface Rating {
  readonly rated: Set<string>;
  ranked: SpotChoice[];
  /** The free spots that were asked for last: all of them are rated. */
  free: ReadonlyMap<string, Spot> | null;
}

type Conditions = ReadonlyMap<string, readonly Condition[]>;

const ratings = new WeakMap<Conditions, WeakMap<readonly Target[], Rating>>();

function ratingOf(targets: readonly Target[], conditions: Conditions): Rating {
  let ofConditions = ratings.get(conditions);
  if (!ofConditions) ratings.set(conditions, (ofConditions = new WeakMap()));
  let rating = ofConditions.get(targets);
  if (!rating) ofConditions.set(targets, (rating = { rated: new Set(), ranked: [], free: null }));
  return rating;
}

/**
 * The best free spot that takes a plant; null when there is none. What was rated for its targets is remembered as long as
 * they and the conditions live, so that plants that want the same are ranked once.
 */
export function bestFreeSpot(
  plant: Plant,
  targets: readonly Target[],
  conditions: Conditions,
  free: ReadonlyMap<string, Spot>,
): SpotChoice | null {
  const rating = ratingOf(targets, conditions);
  if (rating.free !== free) rateMore(rating, targets, conditions, free);
  const takes = ({ spotId }: SpotChoice) => {
    const spot = free.get(spotId);
    return spot !== undefined && refusalOf(plant, spot) === null;
  };
  return rating.ranked.find(takes) ?? null;
}

function rateMore(
  rating: Rating,
  targets: readonly Target[],
  conditions: Conditions,
  free: ReadonlyMap<string, Spot>,
): void {
  const more: SpotChoice[] = [];
  for (const spotId of free.keys()) {
    const year = conditions.get(spotId);
    if (!year || rating.rated.has(spotId)) continue;
    rating.rated.add(spotId);
    more.push({ spotId, whole: wholeAt(targets, year), refusal: null, occupants: [] });
  }
  rating.free = free;
  if (more.length === 0) return;
  rating.ranked = [...rating.ranked, ...more];
  rating.ranked.sort((p, q) => q.whole - p.whole || (p.spotId < q.spotId ? -1 : 1));
}

function rankOf({ whole, refusal, occupants }: SpotChoice): number {
  return whole - (refusal ? 10 : 0) - (occupants.length > 0 ? 0.02 : 0);
}
