/**
 * What no plan can surpass, by prices. Plants and circuits are taken apart: each plant is offered a price for each spot
 * and season, and takes its best way through the year by itself; each circuit, with the spots it lights, takes in the
 * plants that bring it most above their price, by itself, under the setting that pays most. What both sides gain
 * together is at least what any plan is worth, at any prices (Lagrangian relaxation); prices are moved until they
 * nearly agree (Polyak's step along a direction that remembers the last ones, after Camerini, Fratta and Maffioli).
 * Plants kept together go their way as one, from stand to stand; what a stand bears has a price as well.
 */
import {
  groupsOf,
  lightStates,
  possibleSpots,
  stateUnder,
  widthOn,
  worthAt,
  type Plan,
  type PlanProblem,
} from './problem';
import { packedGain, packedKeys, wanting } from './packing';
import { chooseSettings, circuitBlocks, type CircuitBlock } from './circuit-blocks';

export interface Prices {
  /** By season and place of a plant (`Places`): what the plant gains by taking it. */
  readonly place: Float64Array;
  /** By season and stand: what the whole of what it bears costs. */
  readonly bearing: Float64Array;
}

/** Each spot a plant can stand on is a place of its own. */
export interface Places {
  /** By plant: its first place; one more than the last of them at the end. */
  readonly first: Int32Array;
  readonly spot: Int32Array;
  readonly plant: Int32Array;
  /** By spot: its places. */
  readonly ofSpot: readonly (readonly number[])[];
}

export function placesOf(problem: PlanProblem): Places {
  const possible = possibleSpots(problem);
  const first = new Int32Array(possible.length + 1);
  possible.forEach((list, plant) => {
    first[plant + 1] = first[plant]! + list.length;
  });
  const ofSpot: number[][] = problem.spots.map(() => []);
  possible.forEach((list, plant) => list.forEach((spot, i) => ofSpot[spot]!.push(first[plant]! + i)));
  return {
    first,
    spot: Int32Array.from(possible.flat()),
    plant: Int32Array.from(possible.flatMap((list, plant) => list.map(() => plant))),
    ofSpot,
  };
}

/** What both sides would do at some prices, and what no plan surpasses. */
export interface Response {
  readonly bound: number;
  /** By season and place: taken by its plant (1), or by its circuit (-1), both (0) or neither (0). */
  readonly disagreement: Int8Array;
  /** By season and stand: the share of what it bears that is left. */
  readonly bearingLeft: Float64Array;
}

/** Answers prices; made once for a problem. */
export type Responder = (prices: Prices) => Response;

/** By place: its stand, and the share of what the stand bears that the plant weighs. */
interface Weighed {
  readonly standsOf: Int32Array;
  readonly shares: Float64Array;
}

function weighed({ plants, spots, stands }: PlanProblem, { spot, plant }: Places): Weighed {
  const standsOf = Int32Array.from(spot, (one) => spots[one]!.stand);
  const shares = Float64Array.from(standsOf, (stand, place) => plants[plant[place]!]!.loadG / stands[stand]!.loadG);
  return { standsOf, shares };
}

/** By season and place: what a plant gains by taking it, less what its weight costs on the stand. */
export const netPrices = (problem: PlanProblem, places: Places, prices: Prices): Float64Array =>
  netOf(problem, weighed(problem, places), prices);

function netOf({ seasons, stands }: PlanProblem, { standsOf, shares }: Weighed, { place, bearing }: Prices) {
  const net = Float64Array.from(place);
  const count = shares.length;
  for (let season = 0; season < seasons.length; season++)
    for (let at = 0; at < count; at++)
      net[season * count + at]! -= bearing[season * stands.length + standsOf[at]!]! * shares[at]!;
  return net;
}

export function responder(problem: PlanProblem, places: Places): Responder {
  const { seasons, stands, circuits } = problem;
  const ways = waysOf(problem, places);
  const blocks = blocksOf(problem, places);
  const count = places.spot.length;
  const weight = weighed(problem, places);
  const { standsOf, shares } = weight;
  const groups = groupsOf(problem);
  const isGrouped = new Set(groups.flat());
  return ({ place: prices, bearing }) => {
    const net = netOf(problem, weight, { place: prices, bearing });
    const disagreement = new Int8Array(seasons.length * count);
    const bearingLeft = new Float64Array(seasons.length * stands.length).fill(1);
    const settings = new Int32Array(seasons.length * circuits.length);
    let bound = bearing.reduce((sum, price) => sum + price, 0);
    const took = (season: number, place: number) => {
      disagreement[season * count + place]! += 1;
      bearingLeft[season * stands.length + standsOf[place]!]! -= shares[place]!;
    };
    problem.plants.forEach((_, plant) => {
      if (!isGrouped.has(plant)) bound += ways.plant(plant, net, took);
    });
    for (const group of groups) bound += ways.group(group, net, took);
    seasons.forEach((_, season) => {
      bound += blocks(season, prices, settings, (place) => {
        disagreement[season * count + place]! -= 1;
      });
    });
    return { bound, disagreement, bearingLeft };
  };
}

type Took = (season: number, place: number) => void;

/**
 * The best way through the seasons over choices, any change between which costs the same.
 * @param startCost what beginning with a choice costs
 */
function bestWay(
  seasons: number,
  choices: number,
  gainOf: (season: number, choice: number) => number,
  changeCost: number,
  startCost: (choice: number) => number,
): { readonly value: number; readonly way: readonly number[] } {
  const most = (values: Float64Array) => {
    let best = 0;
    for (let i = 1; i < choices; i++) if (values[i]! > values[best]!) best = i;
    return best;
  };
  let value = Float64Array.from({ length: choices }, (_, i) => gainOf(0, i) - startCost(i));
  const from: Int32Array[] = [];
  for (let season = 1; season < seasons; season++) {
    const best = most(value);
    const came = new Int32Array(choices);
    const next = new Float64Array(choices);
    for (let i = 0; i < choices; i++) {
      const moves = value[best]! - changeCost > value[i]!;
      came[i] = moves ? best : i;
      next[i] = gainOf(season, i) + (moves ? value[best]! - changeCost : value[i]!);
    }
    from.push(came);
    value = next;
  }
  const end = most(value);
  const way = [end];
  for (let season = from.length - 1; season >= 0; season--) way.unshift(from[season]![way[0]!]!);
  return { value: value[end]!, way };
}

/** Ways of plants and of groups through the year. */
function waysOf({ seasons, plants, spots, stands }: PlanProblem, { first, spot }: Places) {
  const count = spot.length;
  return {
    plant(plant: number, net: Float64Array, took: Took): number {
      const [begin, end] = [first[plant]!, first[plant + 1]!];
      const { moveCost, now } = plants[plant]!;
      const { value, way } = bestWay(
        seasons.length,
        end - begin,
        (season, i) => net[season * count + begin + i]!,
        moveCost,
        (i) => (now !== null && spot[begin + i] !== now ? moveCost : 0),
      );
      way.forEach((i, season) => took(season, begin + i));
      return value;
    },
    /** On a stand each takes its best spot; moves within a stand are not counted, which only raises the bound. */
    group(group: readonly number[], net: Float64Array, took: Took): number {
      const bestOn = (plant: number, stand: number, season: number): number => {
        let best = -1;
        for (let place = first[plant]!; place < first[plant + 1]!; place++)
          if (spots[spot[place]!]!.stand === stand)
            if (best < 0 || net[season * count + place]! > net[season * count + best]!) best = place;
        return best;
      };
      const open = stands.flatMap((_, stand) => (group.every((plant) => bestOn(plant, stand, 0) >= 0) ? [stand] : []));
      if (open.length === 0) return -Infinity;
      const best = seasons.map((_, season) => open.map((stand) => group.map((plant) => bestOn(plant, stand, season))));
      const { value, way } = bestWay(
        seasons.length,
        open.length,
        (season, i) => best[season]![i]!.reduce((sum, place) => sum + net[season * count + place]!, 0),
        group.reduce((sum, plant) => sum + plants[plant]!.moveCost, 0),
        (i) =>
          group.reduce((sum, plant) => {
            const { now, moveCost } = plants[plant]!;
            return sum + (now !== null && spots[now]!.stand !== open[i] ? moveCost : 0);
          }, 0),
      );
      way.forEach((i, season) => best[season]![i]!.forEach((place) => took(season, place)));
      return value;
    },
  };
}

/** By season, spot and light state: what each of the spot's places is worth, one beside the other in memory. */
function worthsBySpot(problem: PlanProblem, ofSpot: Places['ofSpot'], plantOf: Int32Array): Float64Array[][][] {
  const states = lightStates(problem);
  return problem.seasons.map((_, season) =>
    ofSpot.map((places, spot) =>
      Array.from({ length: states.count[spot]! }, (_state, state) =>
        Float64Array.from(
          places,
          (place) => problem.worth[worthAt(problem, states, { season, plant: plantOf[place]!, spot }) + state]!,
        ),
      ),
    ),
  );
}

/** What circuits and their spots take in, season by season. */
function blocksOf(problem: PlanProblem, { ofSpot, plant, spot: spotOf }: Places) {
  const { seasons, plants, spots, circuits } = problem;
  const states = lightStates(problem);
  const count = plant.length;
  const blocks: readonly CircuitBlock[] = circuitBlocks(problem);
  const wanted = wanting(plants.length);
  const widths = Int32Array.from(plant, (one, place) => widthOn(plants[one]!, spots[spotOf[place]!]!));
  const values = spots.map((_, spot) => new Float64Array(states.count[spot]!));
  const worths = worthsBySpot(problem, ofSpot, plant);
  const placesBySpot = ofSpot.map((list) => Int32Array.from(list));
  const priced = new Float64Array(plants.length);
  /** Looks up the prices of a spot's places in a season. */
  const price = (season: number, spot: number, prices: Float64Array): void => {
    const here = placesBySpot[spot]!;
    for (let i = 0; i < here.length; i++) priced[i] = prices[season * count + here[i]!]!;
  };
  /** Finds who gains on that spot in one of its states, above their prices. */
  const look = (season: number, spot: number, state: number): void => {
    const own = worths[season]![spot]![state]!;
    const here = placesBySpot[spot]!;
    let found = 0;
    for (let i = 0; i < here.length; i++) {
      const gain = own[i]! - priced[i]!;
      if (gain <= 0) continue;
      wanted.key[found] = here[i]!;
      wanted.gain[found] = gain;
      wanted.width[found] = widths[here[i]!]!;
      found += 1;
    }
    wanted.count = found;
  };
  return (season: number, prices: Float64Array, settings: Int32Array, took: (place: number) => void): number => {
    spots.forEach(({ widthCm }, spot) => {
      const own = values[spot]!;
      price(season, spot, prices);
      for (let state = 0; state < own.length; state++) {
        look(season, spot, state);
        own[state] = packedGain(wanted, widthCm);
      }
    });
    let sum = 0;
    for (const block of blocks) {
      const { value, chosen } = chooseSettings(block, circuits, seasons[season]!, values, spots);
      sum += value;
      block.circuits.forEach((c, i) => {
        settings[season * circuits.length + c] = chosen[i]!;
      });
    }
    const set = settings.subarray(season * circuits.length, (season + 1) * circuits.length);
    spots.forEach(({ circuits: lit, widthCm }, spot) => {
      const state = stateUnder(circuits, lit, set);
      if (lit.length === 0) sum += values[spot]![0]!;
      if (values[spot]![state] === 0) return;
      price(season, spot, prices);
      look(season, spot, state);
      for (const place of packedKeys(wanted, widthCm)) took(place);
    });
    return sum;
  };
}

/** Prices at which every place is worth to its plant what the plant has in a plan. */
export function pricesFrom(problem: PlanProblem, places: Places, { spots: at, settings }: Plan): Prices {
  const { seasons, stands, spots, circuits } = problem;
  const states = lightStates(problem);
  const count = places.spot.length;
  const place = new Float64Array(seasons.length * count);
  seasons.forEach((_, season) => {
    const has = problem.plants.map((_plant, plant) => {
      const spot = at[season]![plant]!;
      const state = stateUnder(circuits, spots[spot]!.circuits, settings[season]!);
      return problem.worth[worthAt(problem, states, { season, plant, spot }) + state]!;
    });
    for (let i = 0; i < count; i++) place[season * count + i] = has[places.plant[i]!]!;
  });
  return { place, bearing: new Float64Array(seasons.length * stands.length) };
}

export interface Bounding {
  readonly bound: number;
  /** The prices at which it was reached. */
  readonly prices: Prices;
}

/** How much of the last direction the next one keeps. */
const REMEMBERED = 0.85;
/** The step is halved after so many tries without a better bound. */
const PATIENCE = 30;

/**
 * Moves prices until they prove that a plan is within a share of the best, or the tries are used up.
 * @param least what the best known plan is worth
 */
export function lowered(
  problem: PlanProblem,
  start: Prices,
  {
    least,
    gap,
    tries,
    onProgress,
  }: {
    readonly least: number;
    readonly gap: number;
    readonly tries: number;
    readonly onProgress?: (bound: number) => 'go-on' | 'stop';
  },
): Bounding {
  const places = placesOf(problem);
  const respond = responder(problem, places);
  const place = Float64Array.from(start.place);
  const bearing = Float64Array.from(start.bearing);
  let best: Prices = { place: Float64Array.from(place), bearing: Float64Array.from(bearing) };
  let bound = Infinity;
  const [placeWay, bearingWay] = [new Float64Array(place.length), new Float64Array(bearing.length)];
  let [pace, since] = [1, 0];
  for (let i = 0; i < tries; i++) {
    const response = respond({ place, bearing });
    if (response.bound < bound) {
      since = response.bound < bound - 1e-4 * Math.abs(least) ? 0 : since + 1;
      bound = response.bound;
      best = { place: Float64Array.from(place), bearing: Float64Array.from(bearing) };
    } else since += 1;
    if (since > PATIENCE) [pace, since] = [pace / 2, 0];
    if (bound - least <= gap * Math.abs(least) || onProgress?.(bound) === 'stop') break;
    let norm = 0;
    for (let at = 0; at < placeWay.length; at++) {
      const way = REMEMBERED * placeWay[at]! + response.disagreement[at]!;
      placeWay[at] = way;
      norm += way * way;
    }
    response.bearingLeft.forEach((left, at) => {
      bearingWay[at] = REMEMBERED * bearingWay[at]! + (bearing[at] === 0 && left > 0 ? 0 : left);
      norm += bearingWay[at]! ** 2;
    });
    if (norm === 0) break;
    const step = (pace * (response.bound - least)) / norm;
    for (let at = 0; at < place.length; at++) place[at]! -= step * placeWay[at]!;
    bearing.forEach((price, at) => {
      bearing[at] = Math.max(0, price - step * bearingWay[at]!);
    });
  }
  return { bound, prices: best };
}
