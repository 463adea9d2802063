/**
 * Prices moved until plants and circuits nearly agree, which lowers the bound (Polyak's step along a direction that
 * remembers the last ones, after Camerini, Fratta and Maffioli). What both sides chose on the way, later choices
 * weighing more, leans toward a plan (the volume algorithm's idea, after Barahona and Anbil).
 */
import { responder, type Places, type Prices, type Responder, type Response } from './bound';
import { lightStates, stateUnder, worthAt, type Plan, type PlanProblem } from './problem';

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

/** What both sides chose lately; each step before counts by `FORGOTTEN` less. */
export interface Leaning {
  /** By season and place: how often its plant took it. */
  readonly taken: Float64Array;
  /** By season and place: how often its circuit took it in as well. */
  readonly agreed: Float64Array;
  /** By season and circuit: how often each setting paid most. */
  readonly settings: readonly Float64Array[];
}

/** How much of the last direction the next one keeps. */
const REMEMBERED = 0.85;
/** Every so many steps the pace is slowed if the bound has not come nearer by this share of what is open. */
const WATCHED = 20;
const NEARER = 0.02;
const SLOWER = 0.6;
/** What a choice still counts for after the next step. */
const FORGOTTEN = 0.9;

const copied = ({ place, bearing }: Prices): Prices => ({
  place: Float64Array.from(place),
  bearing: Float64Array.from(bearing),
});

/** A descent that goes on where it was left. */
export class PriceDescent {
  /** What no plan surpasses, and the prices that prove it. */
  bound = Infinity;
  prices: Prices;
  readonly leaning: Leaning;
  private readonly respond: Responder;
  private readonly now: Prices;
  private readonly placeWay: Float64Array;
  private readonly bearingWay: Float64Array;
  private pace = 1;
  private steps = 0;
  /** The bound when the pace was last looked at. */
  private watched = Infinity;

  constructor(problem: PlanProblem, places: Places, start: Prices) {
    this.respond = responder(problem, places);
    this.prices = start;
    this.now = copied(start);
    this.placeWay = new Float64Array(start.place.length);
    this.bearingWay = new Float64Array(start.bearing.length);
    this.leaning = {
      taken: new Float64Array(start.place.length),
      agreed: new Float64Array(start.place.length),
      settings: problem.seasons.flatMap(() => problem.circuits.map(({ costs }) => new Float64Array(costs.length))),
    };
  }

  /**
   * Moves prices so often, or until they prove that a plan is within a share of the best.
   * @param least what the best known plan is worth
   */
  lower({ least, gap, steps }: { readonly least: number; readonly gap: number; readonly steps: number }): void {
    for (let step = 0; step < steps; step++) {
      const response = this.respond(this.now);
      this.lean(response);
      this.note(response.bound, least);
      if (this.bound - least <= gap * Math.abs(least) || !this.move(response, least)) return;
    }
  }

  private note(bound: number, least: number): void {
    if (bound < this.bound) {
      this.bound = bound;
      this.prices = copied(this.now);
    }
    this.steps += 1;
    if (this.steps % WATCHED !== 0) return;
    if (this.bound > this.watched - NEARER * (this.bound - least)) this.pace *= SLOWER;
    this.watched = this.bound;
  }

  /** Moves the prices; false where both sides agree on everything. */
  private move({ bound, disagreement, bearingLeft }: Response, least: number): boolean {
    const { placeWay, bearingWay } = this;
    const { place, bearing } = this.now;
    let norm = 0;
    for (let at = 0; at < placeWay.length; at++) {
      const way = REMEMBERED * placeWay[at]! + disagreement[at]!;
      placeWay[at] = way;
      norm += way * way;
    }
    for (let at = 0; at < bearingWay.length; at++) {
      const left = bearingLeft[at]!;
      bearingWay[at] = REMEMBERED * bearingWay[at]! + (bearing[at] === 0 && left > 0 ? 0 : left);
      norm += bearingWay[at]! ** 2;
    }
    if (norm === 0) return false;
    const step = (this.pace * (bound - least)) / norm;
    for (let at = 0; at < place.length; at++) place[at]! -= step * placeWay[at]!;
    for (let at = 0; at < bearing.length; at++) bearing[at] = Math.max(0, bearing[at]! - step * bearingWay[at]!);
    return true;
  }

  private lean({ taken, disagreement, settings }: Response): void {
    const { leaning } = this;
    for (let at = 0; at < taken.length; at++) {
      leaning.taken[at] = FORGOTTEN * leaning.taken[at]! + taken[at]!;
      leaning.agreed[at] = FORGOTTEN * leaning.agreed[at]! + (disagreement[at] === 0 ? taken[at]! : 0);
    }
    leaning.settings.forEach((often, at) => {
      for (let setting = 0; setting < often.length; setting++) often[setting]! *= FORGOTTEN;
      often[settings[at]!]! += 1;
    });
  }
}
