/**
 * What can still be part of a plan that is better than one in hand: at given prices, taking a place, a setting or a
 * plant onto a spot that the sides would not have chosen costs so much of the bound; where the bound falls below the
 * plan in hand, no better plan has it.
 */
import type { Places, Prices } from './bound';
import { chooseSettings, circuitBlocks } from './circuit-blocks';
import { gainsByWidth, wanting } from './packing';
import { lightStates, settingsOfState, worthAt, type PlanProblem } from './problem';

/** Whether a plant may stand on a spot in one of its light states in a season. */
export type IsOpen = (season: number, plant: number, spot: number, state: number) => boolean;

/** By season and place: by how much the bound falls if the plant takes it. Plants of groups are not held to it. */
function placeRegrets({ seasons, plants, wishes }: PlanProblem, { first, spot }: Places, { place }: Prices) {
  const count = spot.length;
  const regrets = new Float64Array(seasons.length * count);
  const isGrouped = new Set(wishes.flatMap((wish) => (wish.kind === 'group' ? wish.plants : [])));
  plants.forEach(({ moveCost, now }, plant) => {
    if (isGrouped.has(plant)) return;
    const [begin, end] = [first[plant]!, first[plant + 1]!];
    const own = seasons.map((_, season) => place.subarray(season * count + begin, season * count + end));
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

/** So that the plan in hand itself stays open. */
const ROUNDING = 1e-9;

/**
 * What is open to a plan that is better by more than nothing.
 * @param slack the bound at these prices, less the plan in hand
 */
export function openChoices(problem: PlanProblem, places: Places, prices: Prices, slack: number): IsOpen {
  const { seasons, plants, spots, circuits, worth } = problem;
  const states = lightStates(problem);
  const count = places.spot.length;
  const ofPlaces = placeRegrets(problem, places, prices);
  const open = new Set<number>();
  const key = (season: number, place: number, state: number) => (season * count + place) * states.all + state;
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
          wanted.width[wanted.count] = plants[places.plant[place]!]!.widthCm;
          wanted.count += 1;
        }
        return gainsByWidth(wanted, widthCm);
      }),
    );
    const values = packings.map((own) => own.map((gains) => gains[gains.length - 1]!));
    const settingRegret = new Map<number, readonly number[]>();
    for (const block of circuitBlocks(problem)) {
      const { value, valueWith } = chooseSettings(block, circuits, weight, values, spots);
      block.circuits.forEach((c, i) =>
        settingRegret.set(
          c,
          valueWith[i]!.map((one) => value - one),
        ),
      );
    }
    spots.forEach(({ circuits: lit, widthCm }, spot) => {
      for (let state = 0; state < states.count[spot]!; state++) {
        const set = settingsOfState(circuits, lit, state);
        const lighting = Math.max(0, ...lit.map((c, i) => settingRegret.get(c)![set[i]!]!));
        for (const place of places.ofSpot[spot]!) {
          const beside = packings[spot]![state]![widthCm - plants[places.plant[place]!]!.widthCm]!;
          const taking = Math.max(0, values[spot]![state]! - gainOf(place, spot, state) - beside);
          if (ofPlaces[season * count + place]! + lighting + taking <= slack + ROUNDING)
            open.add(key(season, place, state));
        }
      }
    });
  });
  const placeOf = new Map<number, number>();
  places.spot.forEach((spot, place) => placeOf.set(places.plant[place]! * spots.length + spot, place));
  return (season, plant, spot, state) => {
    const place = placeOf.get(plant * spots.length + spot);
    return place !== undefined && open.has(key(season, place, state));
  };
}
