/** A plan that rises and a bound that falls toward each other, round by round. */
import { seeded } from '../sky';
import { placesOf, type Places } from './bound';
import { LeaningPlans } from './leaning-plan';
import { meanWorth } from './mean-worth';
import { polished } from './polish';
import { PriceDescent, pricesFrom } from './price-descent';
import { possibleSpots, type Plan, type PlanProblem } from './problem';
import { bettered } from './search';
import { breachesOf, valueOfPlan } from './value';

const SEED = 20_260_321;
/** Tries of the search for each plant and season. */
const TRIES_EACH = 400;
const FEWEST_TRIES = 10_000;
/** Steps of prices in a round. */
const PRICE_STEPS = 40;
/** Rounds through all circuits for a plan that is better than any before, and for the last. */
const TURNS = 1;
const LAST_TURNS = 4;
/** A plan is tried when so much of its worth is open, and each time that has come down to this share. */
const FIRST_TRIED = 0.05;
const TRIED_AT = 0.7;
/** A setting chosen less often than this is not tried. */
const RARE = 0.03;
/** After so many rounds in which neither plan nor bound came nearer by this share, it is left at that. */
const PATIENCE = 5;
const NEARER = 1e-4;
/** Spots of each plant that are tried most. */
const FAVOURITES = 12;

export interface PlanProgress {
  /** What the best plan so far is worth; null before the first. */
  readonly found: number | null;
  /** What no plan surpasses; null before it is known. */
  readonly bound: number | null;
}

/** A plan and what no plan surpasses, while better ones are looked for. */
export interface PlanFound extends PlanProgress {
  readonly plan: Plan;
}

export interface PlanKnown {
  readonly state: 'found';
  readonly plan: Plan;
  readonly objective: number;
  readonly bound: number;
}

export interface RaceWanted {
  /** A plan proven to be within this share of the best is good enough. */
  readonly gap: number;
  readonly rounds: number;
  readonly onProgress?: (progress: PlanProgress) => 'go-on' | 'stop';
}

/** The first plan bettered by tries at random and exchanges. */
function begun(problem: PlanProblem, first: Plan, { onProgress }: RaceWanted): Plan {
  const tries = Math.max(FEWEST_TRIES, TRIES_EACH * problem.plants.length * problem.seasons.length);
  const found = valueOfPlan(problem, first).objective;
  const told = () => onProgress?.({ found, bound: null }) ?? 'go-on';
  const given = { problem, start: first, favourites: byWorth(problem), random: seeded(SEED), tries, onProgress: told };
  return polished(problem, bettered(given));
}

/** A plan that rises and a bound that falls toward each other. */
export class Race {
  readonly places: Places;
  plan: Plan;
  objective: number;
  private readonly descent: PriceDescent;
  private readonly leaningPlans: LeaningPlans;
  private rounds = 0;
  /** The least that has lain between plan and bound, and what lay there when a plan was last tried. */
  private least = Infinity;
  private tried = Infinity;
  private since = 0;

  constructor(
    private readonly problem: PlanProblem,
    first: Plan,
    private readonly wanted: RaceWanted,
  ) {
    this.plan = begun(problem, first, wanted);
    this.objective = valueOfPlan(problem, this.plan).objective;
    this.places = placesOf(problem);
    this.leaningPlans = new LeaningPlans(problem, this.places);
    this.descent = new PriceDescent(problem, this.places, pricesFrom(problem, this.places, this.plan));
  }

  get bounding(): Pick<PriceDescent, 'bound' | 'prices'> {
    return this.descent;
  }

  asks = (): 'go-on' | 'stop' =>
    this.wanted.onProgress?.({ found: this.objective, bound: this.told().bound }) ?? 'go-on';

  told(): PlanFound {
    const { bound } = this.descent;
    return { plan: this.plan, found: this.objective, bound: Number.isFinite(bound) ? bound : null };
  }

  isNear = (): boolean => this.open() <= this.wanted.gap * Math.abs(this.objective);

  goesOn = (): boolean =>
    this.rounds < this.wanted.rounds && this.since < PATIENCE && !this.isNear() && this.asks() === 'go-on';

  outcome(): PlanKnown {
    return { state: 'found', plan: this.plan, objective: this.objective, bound: this.descent.bound };
  }

  /** Prices are moved; where they have come much nearer, or no nearer, the plan they lean to is tried. */
  round(): void {
    this.rounds += 1;
    this.descent.lower({ least: this.objective, gap: this.wanted.gap, steps: PRICE_STEPS });
    if (this.isNear()) return;
    const open = this.open();
    this.since = open < this.least - NEARER * Math.abs(this.objective) ? 0 : this.since + 1;
    this.least = Math.min(open, this.least);
    if (this.since === 0 && open > Math.min(TRIED_AT * this.tried, FIRST_TRIED * Math.abs(this.objective))) return;
    this.tried = open;
    const leaning = this.leaningPlans.of(this.descent.leaning);
    if (leaning && breachesOf(this.problem, leaning).length === 0) this.take(leaning, TURNS);
  }

  /** The plan in hand as far as exchanges go. */
  finish(): void {
    if (!this.isNear()) this.take(this.plan, LAST_TURNS);
  }

  /** What lies between plan and bound. */
  private open = (): number => this.descent.bound - this.objective;

  /** Settings that paid most now and then as prices moved. */
  private isLikely = (season: number, circuit: number, setting: number): boolean => {
    const often = this.descent.leaning.settings[season * this.problem.circuits.length + circuit]!;
    return often[setting]! >= RARE * often.reduce((sum, one) => sum + one, 0);
  };

  private take(start: Plan, rounds: number): void {
    const goOn = () => this.asks() === 'go-on';
    const plan = polished(this.problem, start, { rounds, isLikely: this.isLikely, goOn });
    const { objective } = valueOfPlan(this.problem, plan);
    if (objective > this.objective) [this.plan, this.objective] = [plan, objective];
  }
}

function byWorth(problem: PlanProblem): number[][] {
  const worth = meanWorth(problem);
  const { length } = problem.spots;
  return possibleSpots(problem).map((list, plant) =>
    [...list].sort((p, q) => worth[plant * length + q]! - worth[plant * length + p]!).slice(0, FAVOURITES),
  );
}
