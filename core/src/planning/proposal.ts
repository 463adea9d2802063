/** What a plan proposes, as plain data that crosses to a worker. */
import type { HouseholdMember, TimerFreedom, TimerMonths } from '../facts';
import type { MonthFit, Trouble, Verdict } from '../fit';
import type { MonthEnergy } from '../lamp';
import type { LampNeeded, LedOverSpot, LightSteps } from '../match';
import type { NightBreaker } from './night-breakers';
import type { OtherSetting } from './other-settings';
import type { SpotRefusal } from './refusals';

/** Where one plant goes, and what that does. */
export interface PlantProposal {
  readonly plantId: string;
  readonly fromSpotId: string | null;
  /** One spot a season, that of the month that is on first. */
  readonly spotIds: readonly string[];
  /** Verdicts, 0..1: as it is (null where it stands nowhere) and by the plan. */
  readonly before: number | null;
  readonly after: number;
  /** Spots that would suit it best under the plan's timers whoever stands there, best first, without its own. */
  readonly elsewhere: readonly { readonly spotId: string; readonly score: number }[];
  /** How it does there by the engines; null while the plan is still looked for. */
  readonly there: ThereFit | null;
  /** How it gets used to more light; null where it can have it at once. */
  readonly settling: LightSteps | null;
  /** The best that its present spot could be by its timers alone; null where none lights it or it stands nowhere. */
  readonly here: HereAtBest | null;
}

/** A timer that lights a plant where it stands, set as is best for that plant alone. */
export interface HereAtBest {
  readonly circuitId: string;
  readonly hours: number;
  /** Share of full power, 0..1. */
  readonly level: number;
  /** How much higher its lamps would hang, m; less than 0 is lower. */
  readonly raiseM: number;
  readonly score: number;
}

/** What a timer would do for a plant alone if more of it might be changed. */
export interface IfFreer extends HereAtBest {
  readonly freedom: TimerFreedom;
}

/** How a plant does where the plan has it: its verdict, what is most wrong, and the month that is on. */
export interface ThereFit {
  readonly verdict: Verdict;
  readonly worst: Trouble | null;
  readonly month: MonthFit;
  /** Lights that keep its nights too short for the flowers it is grown for. */
  readonly nightBrokenBy: readonly NightBreaker[];
  /** The lamp that would give it what it lacks of light, over its spot alone; null where light is not what it lacks. */
  readonly lacks: (LampNeeded & LedOverSpot) | null;
  /** Null where it does well enough, or nothing more could be changed that would help. */
  readonly ifFreer: IfFreer | null;
}

export interface HungLamp {
  readonly lampId: string;
  readonly aboveM: number;
}

export interface TimerProposal {
  readonly circuitId: string;
  readonly programme: readonly TimerMonths[];
  readonly isChanged: boolean;
  /** By season: how high each of its lamps that is hung anew hangs, m above its tier's board. */
  readonly hung: readonly (readonly HungLamp[])[];
  readonly kWhBefore: number;
  readonly kWhAfter: number;
}

/** A curtain or humidifier that is set otherwise, and what that alone does to plants, by how much. */
export interface OtherProposal {
  readonly setting: OtherSetting;
  /** In verdicts, those that change most first; less than 0 is a loss. */
  readonly gains: readonly { readonly plantId: string; readonly points: number }[];
}

export interface Energy {
  /** January first. */
  readonly months: readonly MonthEnergy[];
  readonly year: MonthEnergy;
}

/** How near to the best it is known to be. */
export interface Proof {
  /** In verdicts of plants, weighted, less energy and moves; `bound` is what no plan surpasses. */
  readonly objective: number;
  readonly bound: number;
  /** (bound - objective) / objective, at least 0. */
  readonly gap: number;
}

/** A table of verdicts for the drawing: by plant and spot. */
export interface FitTable {
  readonly plantIds: readonly string[];
  readonly spotIds: readonly string[];
  /** `plant * spots + spot`, 0..1; -1 where the plant cannot stand. */
  readonly now: Float32Array;
  readonly planned: Float32Array;
  /** Why not, by the same index; null where it can. */
  readonly refusals: readonly (SpotRefusal | null)[];
}

export interface FoundPlan {
  readonly state: 'found';
  /** `worked-out`: every figure is by the engines for the changed home; `so-far`: by the table while it is planned. */
  readonly certainty: 'worked-out' | 'so-far';
  /** Months (1..12) of each season, that of the month that is on first. */
  readonly seasons: readonly (readonly number[])[];
  readonly plants: readonly PlantProposal[];
  readonly timers: readonly TimerProposal[];
  readonly others: readonly OtherProposal[];
  readonly energyBefore: Energy;
  readonly energyAfter: Energy;
  readonly proof: Proof;
  readonly table: FitTable;
  /** How often it was planned as the light told more, and how far verdicts still were from what was planned by. */
  readonly rounds: number;
  readonly stillOff: number;
  readonly alwaysInReach: readonly { readonly plantId: string; readonly who: readonly HouseholdMember[] }[];
  /** Plants that are left out, since nothing is known of them. */
  readonly unknown: readonly string[];
  /** Plants whose pot or height was not said: usual ones are taken. */
  readonly assumed: readonly string[];
}

export type HomePlan =
  | FoundPlan
  /** Keys of wishes that cannot be kept together, the smallest such set; none where the rules alone cannot be met. */
  | { readonly state: 'impossible'; readonly clash: readonly string[] }
  | { readonly state: 'undecided' }
  /** Nothing to plan: no plant that is known, or no spot. */
  | { readonly state: 'nothing' };

/** Between two steps: how far it is, and the best plan so far. */
export interface PlanInterim {
  readonly share: number;
  readonly interim: HomePlan;
}

export type PlanWork = Generator<number | PlanInterim, HomePlan, void>;
