/** A whole home: every spot's year, and how each plant fares where it stands. */
import type { HomeFacts, Plant } from '../facts';
import type { Condition, YearFit } from '../fit';
import type { ComparedReading, HomeEngine, SpotAnswer, SpotAnswers, Steps } from '../home';
import { bestFreeSpot, fitOfSpot, type SpotChoice } from '../match';
import type { Target } from '../plant';

export interface PlantAnswer {
  readonly plantId: string;
  readonly targets: readonly Target[];
  /** Where it stands now; null when it stands nowhere or its taxon is not known. */
  readonly fit: YearFit | null;
  /** The best spot that is free; null when none is. */
  readonly bestFree: SpotChoice | null;
}

export interface HomeAnswers {
  readonly year: number;
  readonly spots: readonly SpotAnswer[];
  readonly plants: readonly PlantAnswer[];
  /** Readings that count, each against the model without them. */
  readonly readings: readonly ComparedReading[];
}

/** Spots take nearly all of the time, plants what is left. */
const SPOTS_SHARE = 0.9;
const PLANTS_A_STEP = 50;

/** Everything about a home in a year (docs/measured.md tells how long that takes). */
export function* homeAnswers(
  engine: HomeEngine,
  facts: HomeFacts,
  { year }: { readonly year: number },
): Steps<HomeAnswers> {
  const ofSpots = engine.spotAnswers(facts, year);
  let step = ofSpots.next();
  for (; !step.done; step = ofSpots.next()) yield step.value * SPOTS_SHARE;
  const conditions = conditionsOf(step.value);
  const taken = new Set(facts.plants.map((plant) => plant.spotId));
  const free = new Map(facts.spots.filter((spot) => !taken.has(spot.id)).map((spot) => [spot.id, spot]));
  const plants: PlantAnswer[] = [];
  for (const [i, plant] of facts.plants.entries()) {
    if (i % PLANTS_A_STEP === 0) yield SPOTS_SHARE + ((1 - SPOTS_SHARE) * i) / facts.plants.length;
    plants.push(plantAnswer(engine, facts, plant, { year, conditions, free }));
  }
  return { year, ...step.value, plants };
}

/** Twelve months of every spot, by spot. */
type Conditions = ReadonlyMap<string, readonly Condition[]>;

const byAnswers = new WeakMap<SpotAnswers['spots'], Conditions>();

/** The same answers make the very same map, by which rankings are remembered. */
function conditionsOf({ spots }: SpotAnswers): Conditions {
  let conditions = byAnswers.get(spots);
  if (!conditions) byAnswers.set(spots, (conditions = new Map(spots.map((spot) => [spot.spotId, spot.conditions]))));
  return conditions;
}

interface Places {
  readonly year: number;
  readonly conditions: Conditions;
  readonly free: ReadonlyMap<string, HomeFacts['spots'][number]>;
}

function plantAnswer(engine: HomeEngine, facts: HomeFacts, plant: Plant, places: Places): PlantAnswer {
  const { year, conditions, free } = places;
  const targets = engine.targetsOf(facts, plant, year);
  if (targets.length === 0) return { plantId: plant.id, targets, fit: null, bestFree: null };
  const here = (plant.spotId !== null && conditions.get(plant.spotId)) || null;
  return {
    plantId: plant.id,
    targets,
    fit: here ? rememberedFit(targets, here) : null,
    bestFree: bestFreeSpot(plant, targets, conditions, free),
  };
}

const fits = new WeakMap<readonly Target[], WeakMap<readonly Condition[], YearFit>>();

/** The same targets under the same conditions have the very same fit. */
function rememberedFit(targets: readonly Target[], here: readonly Condition[]): YearFit {
  let ofTargets = fits.get(targets);
  if (!ofTargets) fits.set(targets, (ofTargets = new WeakMap()));
  let fit = ofTargets.get(here);
  if (!fit) ofTargets.set(here, (fit = fitOfSpot(targets, here)));
  return fit;
}
