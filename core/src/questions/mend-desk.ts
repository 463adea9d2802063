/** The desk at which mends are judged: a home with all that is known of it, and what changes lead to. */
import { roomsOfSpots, type HomeFacts, type Plant, type Spot } from '../facts';
import type { Condition } from '../fit';
import type { HomeEngine } from '../home';
import { scoreAt, type Effect, type Remedy } from '../match';
import { standingOf, type Conditions, type Standing, type When } from './home-answers';

/** A change is worth a word when the plant gains this much. */
export const WORTH_IT = 0.05;
/** No plant loses more than this by what helps another. */
export const MOST_LOST = 0.03;
/** A plant of this height changes the light of all on its board, cm; a lower one that of what stands next to it. */
export const SHADES_FROM_CM = 30;
export const SHADES_NEXT_FROM_CM = 10;
export const NEXT_M = 1;
/**
 * Spots worked out anew in one answer, the most urgent plants' first: under other settings, and from another place or
 * height, which takes ten times as long.
 */
const SPOTS_UNDER_SETTINGS = 400;
const SPOTS_ELSEWHERE = 48;

/** A home with all that mends are judged by. */
export interface Desk {
  readonly engine: HomeEngine;
  readonly facts: HomeFacts;
  readonly when: When;
  readonly conditions: Conditions;
  readonly standing: ReadonlyMap<string, Standing>;
  readonly occupants: ReadonlyMap<string, readonly Plant[]>;
  readonly free: readonly Spot[];
  /** The room of each spot. */
  readonly roomOf: ReadonlyMap<string, string>;
  /** What settings come to, by remedy: asked by several plants, worked out once. */
  readonly settings: Map<string, Conditions | null>;
  /** Spots that may still be worked out anew in this answer. */
  readonly left: { settings: number; elsewhere: number };
}

/** What a change leads to. */
export interface Prospect {
  readonly remedy: Remedy;
  readonly effects: readonly Effect[];
  /** The plant's own year after it. */
  readonly after: readonly Condition[];
}

/** Puts together what mends of a home are judged by. */
export function deskOf(engine: HomeEngine, facts: HomeFacts, when: When, conditions: Conditions): Desk {
  const occupants = new Map<string, Plant[]>();
  for (const plant of facts.plants) {
    if (plant.spotId === null) continue;
    const here = occupants.get(plant.spotId);
    if (here) here.push(plant);
    else occupants.set(plant.spotId, [plant]);
  }
  const standing = new Map(facts.plants.map((plant) => [plant.id, standingOf(engine, facts, plant, when, conditions)]));
  const free = facts.spots.filter(({ id }) => !occupants.has(id) && conditions.has(id));
  const left = { settings: SPOTS_UNDER_SETTINGS, elsewhere: SPOTS_ELSEWHERE };
  const roomOf = roomsOfSpots(facts);
  return { engine, facts, when, conditions, standing, occupants, free, roomOf, settings: new Map(), left };
}

/** A plant's score under some twelve months, with the reserve it has; null where nothing is known of it. */
export function scoreUnder(
  { standing, when }: Desk,
  plant: Pick<Plant, 'id'>,
  year: readonly Condition[],
): number | null {
  const { targets, reserveLeft } = standing.get(plant.id)!;
  return targets.length === 0 || year.length === 0 ? null : scoreAt(targets, year, when.month, reserveLeft);
}

/** A plant's score where it stands; 0 where it stands nowhere or nothing is known of it. */
export const scoreNow = (desk: Desk, { id, spotId }: Plant): number =>
  (spotId !== null && scoreUnder(desk, { id }, desk.conditions.get(spotId) ?? [])) || 0;

/** A spot and the taken ones on its board. @param withinM of it */
export function besideOn({ spots }: HomeFacts, spotId: string, taken: readonly string[], withinM = Infinity): string[] {
  const byId = new Map(spots.map((spot) => [spot.id, spot]));
  const here = byId.get(spotId);
  const isBeside = (id: string) => {
    const other = byId.get(id);
    if (!here || !other || other.tierId !== here.tierId) return false;
    return Math.hypot(other.alongM - here.alongM, other.acrossM - here.acrossM) <= withinM;
  };
  return [...new Set([spotId, ...taken.filter(isBeside)])];
}
