/**
 * The plan that prices lean to: each circuit at the setting that paid most of late, each plant where it went most, as
 * far as there is room: what both sides agreed on first, the rest on the best spot that is left.
 */
import { mostOf, type Places } from './bound';
import type { Leaning } from './price-descent';
import {
  groupsOf,
  lightStates,
  stateUnder,
  widthOn,
  worthAt,
  type LightStates,
  type Plan,
  type PlanProblem,
} from './problem';

const NOWHERE = -1;

/** Spots of one season while plants are put on them. */
class Filling {
  readonly at: number[];
  private readonly room: number[];
  private readonly bearing: number[];
  private readonly standBearing: number[];

  constructor(
    private readonly problem: PlanProblem,
    /** What a plant is worth on a spot. */
    private readonly worth: (plant: number, spot: number) => number,
  ) {
    this.at = problem.plants.map(() => NOWHERE);
    this.room = problem.spots.map(({ widthCm }) => widthCm);
    this.bearing = problem.spots.map(({ loadG }) => loadG);
    this.standBearing = problem.stands.map(({ loadG }) => loadG);
  }

  isPlaced = (plant: number): boolean => this.at[plant] !== NOWHERE;

  /** Puts a plant on a spot, if there is room. */
  take(plant: number, spot: number): boolean {
    if (!this.fits(plant, spot)) return false;
    this.use(plant, spot, 1);
    this.at[plant] = spot;
    return true;
  }

  /** Puts a plant on the best of some spots that has room. */
  takeBest(plant: number, spots: readonly number[]): boolean {
    const open = spots.filter((spot) => this.fits(plant, spot));
    return open.length > 0 && this.take(plant, open[mostOf(open.map((spot) => this.worth(plant, spot)))]!);
  }

  /** Puts plants together on the first of some stands that has room for all. */
  takeTogether(plants: readonly number[], stands: readonly number[], onStand: OnStand): boolean {
    return stands.some((stand) => {
      if (plants.every((plant) => this.takeBest(plant, onStand(plant, stand)))) return true;
      for (const plant of plants) if (this.isPlaced(plant)) this.leave(plant);
      return false;
    });
  }

  private leave(plant: number): void {
    this.use(plant, this.at[plant]!, -1);
    this.at[plant] = NOWHERE;
  }

  private fits(plant: number, spot: number): boolean {
    const { plants, spots } = this.problem;
    const { loadG } = plants[plant]!;
    return (
      widthOn(plants[plant]!, spots[spot]!) <= this.room[spot]! &&
      loadG <= this.bearing[spot]! &&
      loadG <= this.standBearing[spots[spot]!.stand]!
    );
  }

  private use(plant: number, spot: number, sign: 1 | -1): void {
    const { plants, spots } = this.problem;
    this.room[spot]! -= sign * widthOn(plants[plant]!, spots[spot]!);
    this.bearing[spot]! -= sign * plants[plant]!.loadG;
    this.standBearing[spots[spot]!.stand]! -= sign * plants[plant]!.loadG;
  }
}

type OnStand = (plant: number, stand: number) => readonly number[];

/** Makes plans of what prices lean to; made once for a problem. Such a plan may break a wish. */
export class LeaningPlans {
  private readonly states: LightStates;
  private readonly groups: readonly (readonly number[])[];
  /** By plant: its places. */
  private readonly places: readonly (readonly number[])[];
  /** The widest plant first. */
  private readonly wide: readonly number[];
  private readonly spotOf: Int32Array;

  constructor(
    private readonly problem: PlanProblem,
    { first, spot }: Places,
  ) {
    const { plants } = problem;
    this.states = lightStates(problem);
    this.groups = groupsOf(problem);
    this.spotOf = spot;
    this.places = plants.map((_, plant) =>
      Array.from({ length: first[plant + 1]! - first[plant]! }, (_place, i) => first[plant]! + i),
    );
    this.wide = plants.map((_, plant) => plant).sort((p, q) => plants[q]!.widthCm - plants[p]!.widthCm);
  }

  /** The plan, or null where some plant finds no room. */
  of(leaning: Leaning): Plan | null {
    const { seasons, circuits } = this.problem;
    const settings = seasons.map((_, season) =>
      circuits.map((_c, c) => mostOf(leaning.settings[season * circuits.length + c]!)),
    );
    const spots: number[][] = [];
    for (const season of seasons.keys()) {
      const at = this.filled(season, leaning, settings[season]!, spots[season - 1]);
      if (!at) return null;
      spots.push(at);
    }
    return { spots, settings };
  }

  private filled(season: number, leaning: Leaning, set: readonly number[], last?: readonly number[]): number[] | null {
    const begin = season * this.spotOf.length;
    const filling = new Filling(this.problem, this.worthIn(season, set, last));
    const wanted = this.places.map((places) => places[mostOf(places.map((place) => leaning.taken[begin + place]!))]!);
    const left = () => this.wide.filter((plant) => !filling.isPlaced(plant));
    const spotsOf = (plant: number) => this.places[plant]!.map((place) => this.spotOf[place]!);
    for (const plant of this.wide)
      if (this.places[plant]!.length === 1 && !filling.takeBest(plant, spotsOf(plant))) return null;
    for (const group of this.groups) if (!this.together(filling, group, wanted, spotsOf)) return null;
    const isAgreed = (place: number) => leaning.agreed[begin + place]! > leaning.taken[begin + place]! / 2;
    for (const isDue of [isAgreed, () => true])
      for (const plant of left()) if (isDue(wanted[plant]!)) filling.take(plant, this.spotOf[wanted[plant]!]!);
    return left().every((plant) => filling.takeBest(plant, spotsOf(plant))) ? filling.at : null;
  }

  /** What a plant is worth on a spot in a season, less its move from the season before. */
  private worthIn(season: number, set: readonly number[], last?: readonly number[]) {
    const { problem, states } = this;
    const { spots, circuits, plants } = problem;
    return (plant: number, spot: number): number => {
      const state = stateUnder(circuits, spots[spot]!.circuits, set);
      const moves = last !== undefined && last[plant] !== spot;
      return (
        problem.worth[worthAt(problem, states, { season, plant, spot }) + state]! -
        (moves ? plants[plant]!.moveCost : 0)
      );
    };
  }

  /** A group on the stand it leans to, or else on any other. */
  private together(
    filling: Filling,
    group: readonly number[],
    wanted: readonly number[],
    spotsOf: (plant: number) => readonly number[],
  ): boolean {
    const { spots, stands } = this.problem;
    const standOf = (place: number) => spots[this.spotOf[place]!]!.stand;
    const onStand: OnStand = (plant, stand) => spotsOf(plant).filter((spot) => spots[spot]!.stand === stand);
    const open = group.filter((plant) => !filling.isPlaced(plant));
    return filling.takeTogether(open, [standOf(wanted[group[0]!]!), ...stands.keys()], onStand);
  }
}
