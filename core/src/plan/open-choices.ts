/**
 * What can still be part of a plan that is better than one in hand: at given prices, taking a place, a setting or a
 * plant onto a spot that the sides would not have chosen costs so much of the bound; where the bound falls below the
 * plan in hand, no better plan has it.
 */
import { netPrices, type Places, type Prices } from './bound';
import { circuitBlocks, valuesWithSettings } from './circuit-blocks';
import { gainsByWidth, wanting } from './packing';
import { groupsOf, lightStates, settingsOfState, widthOn, worthAt, type PlanProblem } from './problem';

/** Whether a plant may stand on a spot in one of its light states in a season. */
export type IsOpen = (season: number, plant: number, spot: number, state: number) => boolean;

export interface Regrets {
  /** By how much the bound falls, at these prices, if a plant stands on a spot in one of its states in a season. */
  readonly of: (season: number, plant: number, spot: number, state: number) => number;
  /** How many choices cost no more than that. */
  readonly upTo: (most: number) => number;
}

/** By season and place: by how much the bound falls if the plant takes it. Plants of groups are not held to it. */
function placeRegrets(problem: PlanProblem, places: Places, prices: Prices) {
  const { seasons, plants } = problem;
  const { first, spot } = places;
  const net = netPrices(problem, places, prices);
  const count = spot.length;
  const regrets = new Float64Array(seasons.length * count);
  const isGrouped = new Set(groupsOf(problem).flat());
  plants.forEach(({ moveCost, now }, plant) => {
    if (isGrouped.has(plant)) return;
    const [begin, end] = [first[plant]!, first[plant + 1]!];
    const own = seasons.map((_, season) => net.subarray(season * count + begin, season * count + end));
    /** Best ways up to a season, that season's place left out. */
    const upTo = (order: readonly number[], startCost: (i: number) => number) => {
      const ways: Float64Array[] = [];
      order.forEach((_, step) => {
        const before = ways[step - 1];
        if (!before) {
          ways.push(Float64Array.from({ length: end - begin }, (_place, i) => -startCost(i)));
          return;
        }
        const reached = before.map((value, i) => value + own[order[step - 1]!]![i]!);
        const most = Math.max(...reached);
        ways.push(reached.map((value) => Math.max(value, most - moveCost)));
      });
      return ways;
    };
    const order = seasons.map((_, season) => season);
    const from = upTo(order, (i) => (now !== null && spot[begin + i] !== now ? moveCost : 0));
    const back = upTo([...order].reverse(), () => 0).reverse();
    const through = order.map((season) => own[season]!.map((gain, i) => gain + from[season]![i]! + back[season]![i]!));
    through.forEach((ways, season) => {
      const best = Math.max(...ways);
      ways.forEach((value, i) => {
        regrets[season * count + begin + i] = best - value;
      });
    });
  });
  return regrets;
}

/** By circuit: what each of its settings loses beside the best. @param values by spot and light state */
function settingRegrets(
  { spots, circuits }: PlanProblem,
  weight: number,
  values: readonly (readonly number[])[],
): ReadonlyMap<number, readonly number[]> {
  const regrets = new Map<number, readonly number[]>();
  for (const block of circuitBlocks({ spots, circuits })) {
    const valuesWith = valuesWithSettings(block, circuits, weight, values, spots);
    block.circuits.forEach((c, i) => {
      const value = Math.max(...valuesWith[i]!);
      const losses = valuesWith[i]!.map((one) => value - one);
      regrets.set(c, losses);
    });
  }
  return regrets;
}

/** What each choice costs the bound at given prices. */
export function choiceRegrets(problem: PlanProblem, places: Places, prices: Prices): Regrets {
  const { seasons, plants, spots, circuits, worth } = problem;
  const states = lightStates(problem);
  const count = places.spot.length;
  const ofPlaces = placeRegrets(problem, places, prices);
  /** By season, place and state of its spot. */
  const statesOf = places.spot.map((spot) => states.count[spot]!);
  const firstOf = new Int32Array(count + 1);
  statesOf.forEach((own, place) => {
    firstOf[place + 1] = firstOf[place]! + own;
  });
  const width = firstOf[count]!;
  const regrets = new Float64Array(seasons.length * width);
  const wanted = wanting(plants.length);
  seasons.forEach((weight, season) => {
    const gainOf = (place: number, spot: number, state: number) =>
      worth[worthAt(problem, states, { season, plant: places.plant[place]!, spot }) + state]! -
      prices.place[season * count + place]!;
    const packings = spots.map(({ widthCm }, spot) =>
      Array.from({ length: states.count[spot]! }, (_, state) => {
        wanted.count = 0;
        for (const place of places.ofSpot[spot]!) {
          const gain = gainOf(place, spot, state);
          if (gain <= 0) continue;
          wanted.gain[wanted.count] = gain;
          wanted.width[wanted.count] = widthOn(plants[places.plant[place]!]!, { widthCm });
          wanted.count += 1;
        }
        return gainsByWidth(wanted, widthCm);
      }),
    );
    const values = packings.map((own) => own.map((gains) => gains[gains.length - 1]!));
    const settingRegret = settingRegrets(problem, weight, values);
    spots.forEach(({ circuits: lit, widthCm }, spot) => {
      for (let state = 0; state < states.count[spot]!; state++) {
        const set = settingsOfState(circuits, lit, state);
        const lighting = Math.max(0, ...lit.map((c, i) => settingRegret.get(c)![set[i]!]!));
        for (const place of places.ofSpot[spot]!) {
          const beside = packings[spot]![state]![widthCm - widthOn(plants[places.plant[place]!]!, { widthCm })]!;
          const taking = Math.max(0, values[spot]![state]! - gainOf(place, spot, state) - beside);
          regrets[season * width + firstOf[place]! + state] = ofPlaces[season * count + place]! + lighting + taking;
        }
      }
    });
  });
  const placeOf = new Map<number, number>();
  places.spot.forEach((spot, place) => placeOf.set(places.plant[place]! * spots.length + spot, place));
  return {
    of: (season, plant, spot, state) =>
      regrets[season * width + firstOf[placeOf.get(plant * spots.length + spot)!]! + state]!,
    upTo: (most) => regrets.reduce((count, regret) => count + Number(regret <= most), 0),
  };
}
