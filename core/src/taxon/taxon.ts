/** What is known of a taxon: the needs of a grown plant in growth, in the northern hemisphere's calendar. */

/** How sure a figure is: measured in published trials, common practice of growers, or inferred from habitat and relatives. */
export type Certainty = 'trial' | 'practice' | 'inferred';

/** Daily light integral, mol m-2 d-1, in rising order, and what the leaf tolerates at once. */
export interface LightNeed {
  readonly survives: number;
  readonly thrivesFrom: number;
  readonly thrivesTo: number;
  readonly scorches: number;
  /** Highest PPFD tolerated, umol m-2 s-1. */
  readonly peakPpfd: number;
  /** Hours a day of direct sun tolerated by a plant fresh from shade, and by one used to it. */
  readonly sunHoursFresh: number;
  readonly sunHoursUsed: number;
  readonly sure: Certainty;
}

export interface DayNeed {
  readonly kind: 'neutral' | 'short' | 'long';
  /** Night length that decides over flowering, hours; null for day-neutral plants. */
  readonly criticalNightH: number | null;
  /** Weeks of induction, and the months in which it is meant to happen (northern calendar). */
  readonly inductionWeeks: number | null;
  readonly inductionMonths: readonly number[];
  /** Shortest and longest useful day, hours. */
  readonly minH: number;
  readonly maxH: number;
  readonly sure: Certainty;
}

/** Degrees Celsius. */
export interface WarmthNeed {
  readonly lowest: number;
  readonly nightFrom: number;
  readonly nightTo: number;
  readonly dayFrom: number;
  readonly dayTo: number;
  readonly highest: number;
  /** Wanted fall from day to night, K. */
  readonly nightDrop: number;
  readonly sure: Certainty;
}

/** Relative humidity, per cent. */
export interface MoistureNeed {
  readonly survives: number;
  readonly thrivesFrom: number;
  readonly thrivesTo: number;
  /** Above this, still air harms it. */
  readonly tooMoistStill: number;
  /** Vapour pressure deficit in which it grows well, kPa. */
  readonly vpdFrom: number;
  readonly vpdTo: number;
  readonly sure: Certainty;
}

export interface RestNeed {
  readonly trigger: 'none' | 'short-days' | 'cool' | 'dry' | 'after-bloom';
  /** Months of rest, northern calendar; empty when it does not rest. */
  readonly months: readonly number[];
  /** Share of its usual light wanted while at rest. */
  readonly lightShare: number;
  /** Warmth at rest, Celsius; null keeps the usual. */
  readonly dayC: number | null;
  readonly nightC: number | null;
  readonly water: Water;
  readonly feed: Feed;
  /** The school by which most growers rest it; a home or a plant may follow another. */
  readonly school: School;
  readonly sure: Certainty;
}

export const WATERS = ['usual', 'less', 'little', 'none'] as const;
export type Water = (typeof WATERS)[number];

export const FEEDS = ['usual', 'less', 'none'] as const;
export type Feed = (typeof FEEDS)[number];

/** How growers take a plant through its rest; they disagree, each with a reason. */
export const SCHOOLS = ['hard', 'taper', 'grow-on'] as const;
export type School = (typeof SCHOOLS)[number];

export interface CareNeed {
  /** Share of the available water left in the pot when it is watered again, 0..1. */
  readonly waterAtShare: number;
  /** Nitrogen at each feed, ppm, and how many waterings to one feed. */
  readonly feedPpmN: number;
  readonly feedEvery: number;
  readonly substrate: 'peaty' | 'airy' | 'bark' | 'gritty' | 'mineral' | 'moss' | 'bog' | 'none';
  readonly growth: 'slow' | 'medium' | 'fast';
  readonly matureHeightCm: number;
  readonly matureWidthCm: number;
  readonly habit: 'upright' | 'rosette' | 'trailing' | 'climbing' | 'clump' | 'epiphyte' | 'tree' | 'stone';
  /** Air movement it wants at least. */
  readonly air: 'still' | 'gentle' | 'brisk';
  readonly sure: Certainty;
}

/** In rising order of caution: what is not known is treated as a hazard. */
export const HARMS = ['none-known', 'irritant', 'unknown', 'toxic'] as const;
export type Harm = (typeof HARMS)[number];

/** Whom a plant can harm when it is eaten. */
export const EATERS = ['people', 'cats', 'dogs', 'birds', 'smallMammals'] as const;
export type Eater = (typeof EATERS)[number];

export interface Hazard extends Readonly<Record<Eater, Harm>> {
  readonly sapOnSkin: Harm;
  readonly sapInEyes: Harm;
  readonly spines: 'none' | 'some' | 'many';
}

/** A parent and its share of a hybrid's make-up, 0..1. */
export interface Parent {
  readonly taxonId: string;
  readonly share: number;
}

export interface Taxon {
  readonly id: string;
  /** Accepted Latin name. */
  readonly name: string;
  readonly common: readonly string[];
  /** Older and other Latin names. */
  readonly synonyms: readonly string[];
  readonly cultivars: readonly string[];
  /** Key of the group whose profile it shares. */
  readonly group: string;
  /** For a hybrid group: what it is made of; empty for a species. */
  readonly parents: readonly Parent[];
  /** One sentence on what decides success. */
  readonly key: string;
  readonly light: LightNeed;
  readonly day: DayNeed;
  readonly warmth: WarmthNeed;
  readonly moisture: MoistureNeed;
  readonly rest: RestNeed;
  readonly care: CareNeed;
  readonly hazard: Hazard;
}

/** What grows on the calendar of the other hemisphere: a month half a year away. Months are 1..12. */
export function seasonalMonth(month: number, latitude: number): number {
  return latitude < 0 ? ((month + 5) % 12) + 1 : month;
}
