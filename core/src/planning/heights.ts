/** What spots under lamps give to plants of several heights, whoever stands there: nearer to the lamp is brighter. */
import type { HomeFacts, Plant } from '../facts';
import type { HomeEngine, Steps } from '../home';
import type { Layout } from './home-problem';
import { lightUnder, type SpotLight } from './light-under';

/** Heights that stand for all, cm, and where one class ends and the next begins. */
const HEIGHTS_CM = [12, 45] as const;
const ENDS_CM = [26] as const;
const UNKNOWN_HEIGHT_CM = 20;

/** The class of height of a plant, an index of what `lightAtHeights` gives. */
export function heightClass({ heightCm }: Pick<Plant, 'heightCm'>): number {
  const found = ENDS_CM.findIndex((end) => (heightCm ?? UNKNOWN_HEIGHT_CM) <= end);
  return found < 0 ? ENDS_CM.length : found;
}

/** A home with one plant as tall on each of some spots and none elsewhere; leaf enough to shade as a neighbour does. */
function filledWith(facts: HomeFacts, spotIds: readonly string[], heightCm: number): HomeFacts {
  const [model] = facts.plants;
  const plants = spotIds.map((spotId, i): Plant => ({ ...model!, id: `stand-in-${i}`, spotId, heightCm }));
  return { ...facts, plants };
}

export interface HeightsAsked {
  readonly year: number;
  /** By spot: the timers it follows, and its light as it is. */
  readonly timers: readonly (readonly number[])[];
  readonly lights: readonly SpotLight[];
}

/** By class of height and spot. Where no timer lights a spot, or no plant is as tall, it is taken as it is now. */
export function* lightAtHeights(
  engine: HomeEngine,
  { facts, spots, menus, plants }: Layout,
  { year, timers, lights }: HeightsAsked,
): Steps<SpotLight[][]> {
  const lit = spots.flatMap((_, s) => (timers[s]!.length > 0 ? [s] : []));
  const spotIds = lit.map((s) => spots[s]!.spot.id);
  const classes = new Set(plants.map(heightClass));
  const found: SpotLight[][] = [];
  for (const [i, heightCm] of HEIGHTS_CM.entries()) {
    const own = [...lights];
    found.push(own);
    if (!classes.has(i) || lit.length === 0) continue;
    const working = lightUnder(engine, filledWith(facts, spotIds, heightCm), {
      year,
      menus,
      spotIds,
      timers: lit.map((s) => timers[s]!),
      airOf: facts,
    });
    let step = working.next();
    for (; !step.done; step = working.next()) yield (i + step.value) / HEIGHTS_CM.length;
    step.value.forEach((light, at) => (own[lit[at]!] = light));
  }
  return found;
}
