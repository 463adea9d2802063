/** What a plan is worth, counted from the problem alone, and the rules it breaks: the judge of whatever found it. */
import { lightStates, stateUnder, widthOn, worthAt, type Plan, type PlanProblem, type PlanWish } from './problem';

export interface PlanValue {
  readonly objective: number;
  readonly worth: number;
  readonly energy: number;
  readonly moves: number;
}

/** The value of a plan, in the unit of worth. */
export function valueOfPlan(problem: PlanProblem, { spots, settings }: Plan): PlanValue {
  const { seasons, plants, circuits } = problem;
  const states = lightStates(problem);
  let [worth, energy, moves] = [0, 0, 0];
  seasons.forEach((weight, season) => {
    const set = settings[season]!;
    circuits.forEach(({ costs }, c) => {
      energy += weight * costs[set[c]!]!;
    });
    plants.forEach(({ moveCost, now }, plant) => {
      const spot = spots[season]![plant]!;
      const state = stateUnder(circuits, problem.spots[spot]!.circuits, set);
      worth += problem.worth[worthAt(problem, states, { season, plant, spot }) + state]!;
      const before = season === 0 ? now : spots[season - 1]![plant]!;
      if (before !== null && before !== spot) moves += moveCost;
    });
  });
  return { objective: worth - energy - moves, worth, energy, moves };
}

/** A rule that a plan breaks. */
export type Breach =
  | { readonly rule: 'height'; readonly season: number; readonly plant: number }
  | { readonly rule: 'width' | 'load'; readonly season: number; readonly spot: number }
  | { readonly rule: 'stand-load'; readonly season: number; readonly stand: number }
  | { readonly rule: 'wish'; readonly season: number; readonly wish: string };

const sumBy = (keys: readonly number[], size: number, of: (i: number) => number): number[] => {
  const sums = new Array<number>(size).fill(0);
  keys.forEach((key, i) => {
    sums[key]! += of(i);
  });
  return sums;
};

function keeps(wish: PlanWish, at: readonly number[], standOf: (spot: number) => number): boolean {
  switch (wish.kind) {
    case 'fix':
      return at[wish.plant] === wish.spot;
    case 'forbid':
      return !wish.spots.includes(at[wish.plant]!);
    case 'group':
      return new Set(wish.plants.map((plant) => standOf(at[plant]!))).size <= 1;
    case 'quarantine':
      return at.every((spot, plant) => plant === wish.plant || standOf(spot) !== standOf(at[wish.plant]!));
  }
}

/** Every rule a plan breaks; none where it can be done. */
export function breachesOf({ plants, spots, stands, wishes }: PlanProblem, plan: Pick<Plan, 'spots'>): Breach[] {
  return plan.spots.flatMap((at, season): Breach[] => {
    const widths = sumBy(at, spots.length, (p) => widthOn(plants[p]!, spots[at[p]!]!));
    const loads = sumBy(at, spots.length, (p) => plants[p]!.loadG);
    const standOf = (spot: number) => spots[spot]!.stand;
    const standLoads = sumBy(at.map(standOf), stands.length, (p) => plants[p]!.loadG);
    return [
      ...at.flatMap((spot, plant): Breach[] =>
        plants[plant]!.heightCm > spots[spot]!.heightCm ? [{ rule: 'height', season, plant }] : [],
      ),
      ...spots.flatMap(({ widthCm, loadG }, spot): Breach[] => [
        ...(widths[spot]! > widthCm ? [{ rule: 'width', season, spot } as const] : []),
        ...(loads[spot]! > loadG ? [{ rule: 'load', season, spot } as const] : []),
      ]),
      ...stands.flatMap(({ loadG }, stand): Breach[] =>
        standLoads[stand]! > loadG ? [{ rule: 'stand-load', season, stand }] : [],
      ),
      ...wishes.flatMap((wish): Breach[] =>
        keeps(wish, at, standOf) ? [] : [{ rule: 'wish', season, wish: wish.id }],
      ),
    ];
  });
}
