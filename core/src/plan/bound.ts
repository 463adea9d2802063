/**
 * What no plan can surpass, by prices. Plants and circuits are taken apart: each plant is offered a price for each spot
 * and season, and takes its best way through the year by itself; each circuit, with the spots it lights, takes in the
 * plants that bring it most above their price, by itself, under the setting that pays most. What both sides gain
 * together is at least what any plan is worth, at any prices (Lagrangian relaxation); `price-descent.ts` moves them
 * until both nearly agree. Plants kept together go their way as one, from stand to stand; what a stand bears has
 * a price as well.
 */
import { groupsOf, lightStates, possibleSpots, stateUnder, widthOn, worthAt, type PlanProblem } from './problem';
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
  /** By season and circuit: the setting that paid most. */
  readonly settings: Int32Array;
  /** By season and place: whether its plant took it. */
  readonly taken: Uint8Array;
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
    const taken = new Uint8Array(seasons.length * count);
    const bearingLeft = new Float64Array(seasons.length * stands.length).fill(1);
    const settings = new Int32Array(seasons.length * circuits.length);
    let bound = bearing.reduce((sum, price) => sum + price, 0);
    const took = (season: number, place: number) => {
      disagreement[season * count + place]! += 1;
      taken[season * count + place] = 1;
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
    return { bound, disagreement, bearingLeft, settings, taken };
  };
}

type Took = (season: number, place: number) => void;

/** Gains of a plant's or a group's choices, and its ways through them; written over from one to the next. */
class Ways {
  /** By season and choice. */
  readonly gains: Float64Array;
  /** By choice: what beginning with it costs. */
  readonly starts: Float64Array;
  /** The best way, by season. */
  readonly way: Int32Array;
  private readonly came: Int32Array;
  private readonly value: Float64Array;

  constructor(
    private readonly seasons: number,
    private readonly most: number,
  ) {
    this.gains = new Float64Array(seasons * most);
    this.starts = new Float64Array(most);
    this.way = new Int32Array(seasons);
    this.came = new Int32Array(seasons * most);
    this.value = new Float64Array(most);
  }

  /** The best way through the seasons over so many choices, any change between which costs the same. */
  best(choices: number, changeCost: number): number {
    const { seasons, most, gains, starts, way, came, value } = this;
    for (let i = 0; i < choices; i++) value[i] = gains[i]! - starts[i]!;
    for (let season = 1; season < seasons; season++) {
      const best = mostOf(value, choices);
      const moved = value[best]! - changeCost;
      for (let i = 0, at = season * most; i < choices; i++, at++) {
        const moves = moved > value[i]!;
        came[at] = moves ? best : i;
        value[i] = gains[at]! + (moves ? moved : value[i]!);
      }
    }
    const end = mostOf(value, choices);
    way[seasons - 1] = end;
    for (let season = seasons - 1; season > 0; season--) way[season - 1] = came[season * most + way[season]!]!;
    return value[end]!;
  }

  /** Where a choice stands in a season. */
  at = (season: number, choice: number): number => season * this.most + choice;
}

/** Where the greatest of the first so many values stands; the first of them where several are. */
export function mostOf(values: ArrayLike<number>, count = values.length): number {
  let best = 0;
  for (let i = 1; i < count; i++) if (values[i]! > values[best]!) best = i;
  return best;
}

/** Ways of plants and of groups through the year. */
function waysOf({ seasons, plants, spots, stands }: PlanProblem, { first, spot }: Places) {
  const count = spot.length;
  const most = plants.reduce((n, _, plant) => Math.max(n, first[plant + 1]! - first[plant]!), stands.length);
  const ways = new Ways(seasons.length, most);
  return {
    plant(plant: number, net: Float64Array, took: Took): number {
      const [begin, choices] = [first[plant]!, first[plant + 1]! - first[plant]!];
      const { moveCost, now } = plants[plant]!;
      for (let season = 0; season < seasons.length; season++) {
        const from = season * count + begin;
        ways.gains.set(net.subarray(from, from + choices), ways.at(season, 0));
      }
      for (let i = 0; i < choices; i++) ways.starts[i] = now !== null && spot[begin + i] !== now ? moveCost : 0;
      const value = choices === 0 ? -Infinity : ways.best(choices, moveCost);
      if (choices > 0) ways.way.forEach((i, season) => took(season, begin + i));
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
      best.forEach((stands, season) =>
        stands.forEach((places, i) => {
          ways.gains[ways.at(season, i)] = places.reduce((sum, place) => sum + net[season * count + place]!, 0);
        }),
      );
      open.forEach((stand, i) => {
        ways.starts[i] = group.reduce((sum, plant) => {
          const { now, moveCost } = plants[plant]!;
          return sum + (now !== null && spots[now]!.stand !== stand ? moveCost : 0);
        }, 0);
      });
      const changeCost = group.reduce((sum, plant) => sum + plants[plant]!.moveCost, 0);
      const value = ways.best(open.length, changeCost);
      ways.way.forEach((i, season) => best[season]![i]!.forEach((place) => took(season, place)));
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
