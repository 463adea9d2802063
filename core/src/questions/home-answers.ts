/** A whole home: every spot's year, and how each plant fares where it stands. */
import type { HomeFacts, Plant } from '../facts';
import { FULL, fitYear, reserveAfter, type Condition, type YearFit } from '../fit';
import type { ComparedReading, HomeEngine, SpotAnswer, SpotAnswers, Steps } from '../home';
import { usedToBefore } from '../match';
import { isHardened } from '../planning';
import type { Target } from '../plant';

export interface PlantAnswer {
  readonly plantId: string;
  readonly targets: readonly Target[];
  /** Share of its reserve that it has now, by how long it has stood there; full where that is not known. */
  readonly reserveLeft: number;
  /** Where it stands now; null when it stands nowhere or its taxon is not known. */
  readonly fit: YearFit | null;
}

export interface HomeAnswers {
  readonly year: number;
  /** 1..12, the month from which lives are told. */
  readonly month: number;
  readonly spots: readonly SpotAnswer[];
  readonly plants: readonly PlantAnswer[];
  /** Readings that count, each against the model without them. */
  readonly readings: readonly ComparedReading[];
}

/** The year that is meant, and the month that is on (1..12), from which lives are told. */
export interface When {
  readonly year: number;
  readonly month: number;
}

/** Spots take nearly all of the time, plants what is left. */
const SPOTS_SHARE = 0.9;
const PLANTS_A_STEP = 50;

/** Everything about a home in a year (docs/measured.md tells how long that takes). */
export function* homeAnswers(engine: HomeEngine, facts: HomeFacts, { year, month }: When): Steps<HomeAnswers> {
  const ofSpots = engine.spotAnswers(facts, year);
  let step = ofSpots.next();
  for (; !step.done; step = ofSpots.next()) yield step.value * SPOTS_SHARE;
  const conditions = conditionsOf(step.value);
  const plants: PlantAnswer[] = [];
  for (const [i, plant] of facts.plants.entries()) {
    if (i % PLANTS_A_STEP === 0) yield SPOTS_SHARE + ((1 - SPOTS_SHARE) * i) / facts.plants.length;
    plants.push(plantAnswer(engine, facts, plant, { year, month }, conditions));
  }
  return { year, month, ...step.value, plants };
}

/** Twelve months of every spot, by spot. */
export type Conditions = ReadonlyMap<string, readonly Condition[]>;

const byAnswers = new WeakMap<SpotAnswers['spots'], Conditions>();

/** The same answers make the very same map, by which rankings are remembered. */
export function conditionsOf({ spots }: SpotAnswers): Conditions {
  let conditions = byAnswers.get(spots);
  if (!conditions) byAnswers.set(spots, (conditions = new Map(spots.map((spot) => [spot.spotId, spot.conditions]))));
  return conditions;
}

/** A plant where it stands: what it wants there, and what is left of its reserve. */
export interface Standing {
  readonly targets: readonly Target[];
  readonly reserveLeft: number;
}

/** What a plant is used to depends on where it stood before, and its reserve on how long it has stood where it stands. */
export function standingOf(
  engine: HomeEngine,
  facts: HomeFacts,
  plant: Plant,
  { year, month }: When,
  conditions: Conditions,
): Standing {
  const targets = engine.targetsOf(facts, plant, year);
  const here = plant.spotId !== null && conditions.get(plant.spotId);
  if (targets.length === 0 || !here) return { targets, reserveLeft: FULL };
  const before = plant.cameFromSpotId !== null && conditions.get(plant.cameFromSpotId);
  const since = plant.movedOn ?? plant.arrivedOn;
  return {
    targets: before && !isHardened(facts, plant) ? usedToBefore(targets, plant, before, here, year) : targets,
    reserveLeft: (since && reserveSince(targets, here, since, { year, month })) || FULL,
  };
}

/** A plant that has stood there for longer has shown what it lives on: its account is not carried further back, months. */
const LONGEST_ACCOUNT = 60;

function reserveSince(
  targets: readonly Target[],
  here: readonly Condition[],
  since: string,
  { year, month }: When,
): number | null {
  const [sinceYear, sinceMonth] = since.split('-').map(Number) as [number, number];
  const months = (year - sinceYear) * 12 + month - sinceMonth;
  return months <= 0 || months > LONGEST_ACCOUNT ? FULL : reserveAfter(targets, here, sinceMonth, months);
}

function plantAnswer(
  engine: HomeEngine,
  facts: HomeFacts,
  plant: Plant,
  when: When,
  conditions: Conditions,
): PlantAnswer {
  const { targets, reserveLeft } = standingOf(engine, facts, plant, when, conditions);
  const here = plant.spotId !== null && conditions.get(plant.spotId);
  const fit = targets.length > 0 && here ? rememberedFit(targets, here, when.month, reserveLeft) : null;
  return { plantId: plant.id, targets, reserveLeft, fit };
}

type Fits = Map<string, YearFit>;
const fits = new WeakMap<readonly Target[], WeakMap<readonly Condition[], Fits>>();

/** The same targets under the same conditions have the very same fit. */
export function rememberedFit(
  targets: readonly Target[],
  here: readonly Condition[],
  month: number,
  reserveLeft: number,
): YearFit {
  const key = `${month}|${reserveLeft}`;
  let ofTargets = fits.get(targets);
  if (!ofTargets) fits.set(targets, (ofTargets = new WeakMap()));
  let byMonth = ofTargets.get(here);
  if (!byMonth) ofTargets.set(here, (byMonth = new Map()));
  let fit = byMonth.get(key);
  if (!fit) byMonth.set(key, (fit = fitYear(targets, here, month, reserveLeft)));
  return fit;
}
