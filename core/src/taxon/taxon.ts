/** What is known of a taxon: the needs of a grown plant in growth, in the northern hemisphere's calendar. */

/** How sure a figure is: measured in published trials, common practice of growers, or inferred from habitat and relatives. */
export type Certainty = 'trial' | 'practice' | 'inferred';

/** Daily light integral, mol m-2 d-1, in rising order, and what the leaf tolerates at once. */
export interface LightNeed {
  /** Below this it uses up its reserve and dies in time. */
  readonly survives: number;
  /** Below this, in warmth, it stretches and loses its form, though it may live. */
  readonly keepsForm: number;
  readonly thrivesFrom: number;
  readonly thrivesTo: number;
  readonly scorches: number;
  /** Highest PPFD tolerated, umol m-2 s-1. */
  readonly peakPpfd: number;
  /** Hours a day of direct sun tolerated by a plant fresh from shade, and by one used to it. */
  readonly sunHoursFresh: number;
  readonly sunHoursUsed: number;
  /** Weeks that it lives on its reserve in the dark, at 20 C. */
  readonly reserveWeeks: number;
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
  /** Whether it dies, soon or within a few years, of being kept from its rest. */
  readonly isObligate: boolean;
  /** Whether that rest must be a cold winter: without one it weakens over two or three years. */
  readonly needsWinter: boolean;
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

/** What it bears of water, besides how much. */
export interface WaterNeed {
  /** Most dissolved solids it bears in its water for good, ppm: rain has about 10, hard tap water 300 and more. */
  readonly mostDissolvedPpm: number;
  readonly minds: readonly WaterFault[];
  readonly wetLeaves: WetLeaves;
  /** How fast it dries a pot, beside others of its size in the same light. */
  readonly dries: 'slow' | 'medium' | 'fast';
  /** Leaf over the ground it covers. */
  readonly leafArea: 'small' | 'medium' | 'large';
  /** When it breathes: those that open by night hardly drink by day. */
  readonly stomataOpen: 'by-day' | 'by-night' | 'either';
  readonly sure: Certainty;
}

export const WATER_FAULTS = ['lime', 'fluoride', 'salt'] as const;
export type WaterFault = (typeof WATER_FAULTS)[number];

/** What wet leaves or a wet crown do, in falling order of caution. */
export const WET_LEAVES = ['never', 'dry-by-night', 'any-time'] as const;
export type WetLeaves = (typeof WET_LEAVES)[number];

export const BUD_SETTERS = [
  'cool-nights',
  'cold-rest',
  'dry-rest',
  'long-nights',
  'long-days',
  'bright-light',
  'age',
] as const;
export type BudSetter = (typeof BUD_SETTERS)[number];

export interface BloomHabit {
  /** Months in which it blooms indoors, northern calendar; empty where it hardly does. */
  readonly months: readonly number[];
  readonly setBy: readonly BudSetter[];
  /** Usual days from a visible bud to the open flower; null where it is not known. */
  readonly daysFromBud: number | null;
  readonly sure: Certainty;
}

export const WAYS_OF_INCREASE = [
  'division',
  'stem-cutting',
  'leaf-cutting',
  'offsets',
  'runners',
  'layering',
  'plantlets',
  'seed',
  'spores',
  'grafting',
] as const;
export type WayOfIncrease = (typeof WAYS_OF_INCREASE)[number];

/** How it is increased at home, the usual way first. */
export interface IncreaseHabit {
  readonly ways: readonly WayOfIncrease[];
  /** Days until a cutting or division holds its soil, in growth and warmth; null where none is taken. */
  readonly daysToRoot: number | null;
  readonly sure: Certainty;
}

export const MANNERS = ['brittle', 'climbs', 'hangs', 'roots-into-walls', 'dark-leaved'] as const;
export type Manner = (typeof MANNERS)[number];

export const TREATMENTS = ['oil', 'soap', 'alcohol', 'copper', 'leaf-shine', 'warm-bath'] as const;
export type Treatment = (typeof TREATMENTS)[number];

/** How it behaves in a room, and what must not be done to it. */
export interface Handling {
  readonly manners: readonly Manner[];
  /** Treatments it does not bear. */
  readonly notWith: readonly Treatment[];
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
  readonly water: WaterNeed;
  readonly bloom: BloomHabit;
  readonly increase: IncreaseHabit;
  readonly handling: Handling;
  readonly hazard: Hazard;
}

/** The parts of what is known of a taxon that each say how sure they are. */
export const KNOWN_BLOCKS = [
  'light',
  'day',
  'warmth',
  'moisture',
  'rest',
  'care',
  'water',
  'bloom',
  'increase',
  'handling',
] as const;
export type KnownBlock = (typeof KNOWN_BLOCKS)[number];

/** The same figures as conclusions from a relative. */
export const inferredFrom = (taxon: Taxon): Taxon => ({
  ...taxon,
  ...(Object.fromEntries(
    KNOWN_BLOCKS.map((block) => [block, { ...taxon[block], sure: 'inferred' as const }]),
  ) as unknown as Pick<Taxon, KnownBlock>),
});

/** What grows on the calendar of the other hemisphere: a month half a year away. Months are 1..12. */
export function seasonalMonth(month: number, latitude: number): number {
  return latitude < 0 ? ((month + 5) % 12) + 1 : month;
}
