/** What a plan for the home may do, what it was told to keep to, and the plan that was accepted with its steps. */
import type { TimerMonths } from './circuit';
import type { HungCurtain } from './window';

/** How many arrangements a year has. */
export const ARRANGEMENTS = [1, 2, 4] as const;
export type Arrangements = (typeof ARRANGEMENTS)[number];

/** How readily plants are carried. */
export const MOVE_EFFORTS = ['few', 'as-it-pays', 'many'] as const;
export type MoveEffort = (typeof MOVE_EFFORTS)[number];

/** By which years plants are judged. */
export const PLANNED_YEARS = ['usual', 'poor'] as const;
export type PlannedYears = (typeof PLANNED_YEARS)[number];

/** How fast plants get used to more light: how long each doubling of it takes. */
export const HARDENING_PACES = ['gentle', 'usual', 'brisk'] as const;
export type HardeningPace = (typeof HARDENING_PACES)[number];

/** Whether a plan may propose that something in the home is set otherwise. */
export const MAY_BE_SET = ['leave', 'may-change'] as const;
export type MayBeSet = (typeof MAY_BE_SET)[number];

/** Who may get at plants. */
export const HOUSEHOLD = ['children', 'cats', 'dogs', 'birds', 'small-mammals'] as const;
export type HouseholdMember = (typeof HOUSEHOLD)[number];

/** What matters to the grower in a plan. A home has one of them at most. */
export interface PlanSettings {
  readonly id: string;
  readonly homeId: string;
  readonly arrangements: Arrangements;
  readonly moves: MoveEffort;
  readonly years: PlannedYears;
  readonly household: readonly HouseholdMember[];
  readonly hardening: HardeningPace;
  /** Curtains that hang: drawn in other months and hours. */
  readonly curtains: MayBeSet;
  /** Humidifiers: set to another humidity. */
  readonly humidifiers: MayBeSet;
  /** As it is written after a price. */
  readonly currency: string;
}

/** How much a plant counts beside others. */
export const CARES = ['little', 'usual', 'much'] as const;
export type Care = (typeof CARES)[number];

export const WISH_KINDS = ['stays', 'keep-off', 'together', 'apart', 'leave-out', 'matters'] as const;
export type WishKind = (typeof WISH_KINDS)[number];

/** What a plan keeps to. Each kind has some of the fields; the others are null or empty. */
export interface Wish {
  readonly id: string;
  readonly homeId: string;
  /**
   * `stays`: the plant on the spot; `keep-off`: the plant not on the stand; `together`: plants of the same `group` on
   * one stand; `apart`: no other plant on its stand; `leave-out`: nothing is carried to the stand or from it;
   * `matters`: how much the plant counts.
   */
  readonly kind: WishKind;
  readonly plantId: string | null;
  readonly spotId: string | null;
  readonly standId: string | null;
  readonly group: string;
  readonly care: Care;
}

/** What was promised of a plant when the plan was accepted. */
export interface Promised {
  readonly plantId: string;
  /** Verdicts, 0..1; null where it stood nowhere. */
  readonly before: number | null;
  readonly after: number;
}

export interface AcceptedPlan {
  readonly id: string;
  readonly homeId: string;
  /** YYYY-MM-DD. */
  readonly acceptedOn: string;
  readonly promised: readonly Promised[];
  /** Electricity of a year, kWh. */
  readonly kWhBefore: number;
  readonly kWhAfter: number;
}

export const STEP_KINDS = ['carry', 'timer', 'hang', 'curtain', 'humidifier', 'shade', 'unshade'] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** One thing to do. */
export interface PlanStep {
  readonly id: string;
  readonly planId: string;
  /** Where it stands in the order of work. */
  readonly order: number;
  /** The day it is for, YYYY-MM-DD. */
  readonly on: string;
  readonly kind: StepKind;
  /** Of a plant: where from and where to; null is a table beside. */
  readonly plantId: string | null;
  readonly fromSpotId: string | null;
  readonly spotId: string | null;
  /** Of a timer: what it is set to. */
  readonly circuitId: string | null;
  readonly programme: readonly TimerMonths[];
  /** Of a lamp: how high it hangs from then on, m above its tier's board. */
  readonly lampId: string | null;
  readonly aboveM: number | null;
  /** Once it is done: how high the lamp hung before, m; null until then. */
  readonly fromAboveM: number | null;
  /** Of a window: how its curtains are drawn from then on, and, once it is done, how they were before. */
  readonly windowId: string | null;
  readonly curtains: readonly HungCurtain[];
  readonly fromCurtains: readonly HungCurtain[] | null;
  /** Of a humidifier: what it is set to, per cent. */
  readonly airThingId: string | null;
  readonly setRh: number | null;
  /** The day it was done, YYYY-MM-DD; null while it is open. */
  readonly doneOn: string | null;
}

/** A step that names nothing yet: what each kind needs is put over it. */
export const PLAIN_STEP = {
  plantId: null,
  fromSpotId: null,
  spotId: null,
  circuitId: null,
  programme: [],
  lampId: null,
  aboveM: null,
  fromAboveM: null,
  windowId: null,
  curtains: [],
  fromCurtains: null,
  airThingId: null,
  setRh: null,
} as const satisfies Partial<PlanStep>;
