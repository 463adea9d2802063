/** What a grower has said of a home: the facts from which every answer is computed. Lengths in metres, angles in degrees. */
import type { Figure } from '../plant/figures';
import type { Parent, School } from '../plant/taxon';
import type { LampSpectrum } from '../units';
import type { Block, Obstruction, Photometry, Reading, WeatherFile } from './light-facts';

export interface Home {
  readonly id: string;
  readonly name: string;
  /** North positive. */
  readonly latitude: number;
  /** East positive. */
  readonly longitude: number;
  readonly elevationM: number;
  /** IANA name. */
  readonly timeZone: string;
  /** Key of a climate family in the catalogue. */
  readonly climateId: string;
  /** How plants are rested here; null follows what is usual for each taxon. */
  readonly restSchool: School | null;
  /** Where in the band of light that a plant thrives in the grower aims. */
  readonly lightAim: LightAim;
  /** Months (1..12) in which snow lies. */
  readonly snowMonths: readonly number[];
}

export const LIGHT_AIMS = ['low', 'whole', 'high'] as const;
export type LightAim = (typeof LIGHT_AIMS)[number];

/** How much the air of a room moves. */
export type AirMovement = 'still' | 'gentle' | 'brisk';

/**
 * A box. Its frame: x along wall A to the right, y from wall A to wall C, z up; seen from above, A is the lower
 * wall, B the right, C the upper and D the left one.
 */
export interface Room {
  readonly id: string;
  readonly homeId: string;
  readonly name: string;
  readonly widthM: number;
  readonly depthM: number;
  readonly heightM: number;
  /** Azimuth in which wall A looks outward, clockwise from true north. */
  readonly wallABearing: number;
  /** Share of light that each surface throws back, 0..0.95. */
  readonly floorReflectance: number;
  readonly wallReflectance: number;
  readonly ceilingReflectance: number;
  readonly airMovement: AirMovement;
  /** For a cabinet, tent or dome: the room it stands in, where its corner is, and what share of light its shell lets in. */
  readonly insideRoomId: string | null;
  readonly insideXM: number;
  readonly insideYM: number;
  readonly insideZM: number;
  readonly shellTransmittance: number;
  /** The room's own light after dark, lux at the plants (0: none), and when it burns, in minutes after midnight. */
  readonly eveningLux: number;
  readonly eveningFromMinute: number;
  readonly eveningToMinute: number;
}

export type Side = 'a' | 'b' | 'c' | 'd';

/** What stands before a window, as one angle above the horizon. */
export type OutsideKind = 'open' | 'ring' | 'row';

export interface Window {
  readonly id: string;
  readonly roomId: string;
  readonly name: string;
  /** The side it looks out of. */
  readonly side: Side;
  /** From the left end of that side as drawn (x for A and C, y for B and D) to the window's near edge. */
  readonly offsetM: number;
  /** From the side's wall inward to the lower edge; 0 in a wall. */
  readonly insetM: number;
  /** Height of the lower edge above the floor. */
  readonly sillM: number;
  readonly widthM: number;
  /** Along the glass, so along the slope in a roof. */
  readonly heightM: number;
  /** 90 in a wall; less in a roof slope (0 would lie flat). */
  readonly slopeDeg: number;
  /** Key of a glazing in the catalogue. */
  readonly glazingId: string;
  /** Share of the opening taken by frame and bars. */
  readonly frameShare: number;
  /** Share of light lost to dirt. */
  readonly dirtShare: number;
  /** Key of a curtain in the catalogue; `none` hangs nothing. */
  readonly curtainId: string;
  /** Months (1..12) in which the curtain is used, and the hours of the day it is shut, in minutes after midnight. */
  readonly curtainMonths: readonly number[];
  readonly curtainFromMinute: number;
  readonly curtainToMinute: number;
  readonly outsideKind: OutsideKind;
  /** Height of what stands outside, degrees above the horizon. */
  readonly outsideDeg: number;
  /** How bright it is: its share of the light of open ground. */
  readonly outsideReflectance: number;
  readonly groundReflectance: number;
  /** From the room's side of the wall out to the glass. */
  readonly revealM: number;
  /** A balcony or roof that juts out over it (0: none), and how far above its upper edge. */
  readonly overhangM: number;
  readonly overhangAboveM: number;
  /** A second curtain, blind or film behind the first. */
  readonly secondCurtainId: string;
  readonly secondCurtainMonths: readonly number[];
  readonly secondCurtainFromMinute: number;
  readonly secondCurtainToMinute: number;
}

export type StandKind = 'sill' | 'shelf' | 'table' | 'trolley' | 'floor' | 'rail' | 'board';

/** What holds plants: a rectangle on the plan with one tier or more. */
export interface Stand {
  readonly id: string;
  readonly roomId: string;
  readonly name: string;
  readonly kind: StandKind;
  /** The corner nearest to the room's origin. */
  readonly xM: number;
  readonly yM: number;
  /** Along x and along y. */
  readonly widthM: number;
  readonly depthM: number;
}

export type BoardKind = 'solid' | 'open';

/** One level of a stand. A solid board keeps light from what is below it; an open one (wire, rail) does not. */
export interface Tier {
  readonly id: string;
  readonly standId: string;
  readonly heightM: number;
  readonly board: BoardKind;
}

export type Reach = 'easy' | 'step' | 'hard';

/** One place for plants on a tier. */
export interface Spot {
  readonly id: string;
  readonly tierId: string;
  readonly name: string;
  /** Centre, from the stand's corner. */
  readonly alongM: number;
  readonly acrossM: number;
  /** Width of the widest pot with its leaves. */
  readonly sizeM: number;
  /** Height free above the board. */
  readonly freeHeightM: number;
  readonly loadKg: number;
  readonly reach: Reach;
}

/** Lamps on one timer. Minutes after local midnight; on before off, 1440 is midnight at the day's end. */
export interface Circuit {
  readonly id: string;
  readonly homeId: string;
  readonly name: string;
  readonly onMinute: number;
  readonly offMinute: number;
  /** Months (1..12) in which the timer runs. */
  readonly months: readonly number[];
}

export const LAMP_FORMS = ['point', 'bar', 'panel', 'spot'] as const;
export type LampForm = (typeof LAMP_FORMS)[number];

/** The figure on its label that a lamp's light is known by. */
export const LAMP_RATINGS = ['ppf', 'lumens', 'watts'] as const;
export type LampRating = (typeof LAMP_RATINGS)[number];

export interface Lamp {
  readonly id: string;
  readonly circuitId: string;
  /** The tier it hangs over. */
  readonly tierId: string;
  readonly name: string;
  readonly form: LampForm;
  /** Photons in 400-700 nm, umol/s, at full power. */
  readonly ppf: number;
  /** Electrical power at full power, W. */
  readonly powerW: number;
  readonly spectrum: LampSpectrum;
  /** Full angle between the directions of half the peak intensity; 120 is Lambertian. */
  readonly beamDeg: number;
  /** Size of the lit part, along x and y of the room. */
  readonly lengthM: number;
  readonly breadthM: number;
  /** Centre, from the stand's corner, and height of the lit face above the tier's board. */
  readonly alongM: number;
  readonly acrossM: number;
  readonly aboveM: number;
  /** Share of full power, 0..1. */
  readonly dimming: number;
  readonly ratedBy: LampRating;
  /** Luminous flux at full power; null where it is not known. */
  readonly lumens: number | null;
  /** Turned from straight down by this much, toward a side of the room. */
  readonly tiltDeg: number;
  readonly tiltToward: Side;
  /** Hours burnt, and the hours after which its maker says that 70 % of its light is left; null is not known. */
  readonly burntHours: number;
  readonly lifeHours: number | null;
  /** A photometric file of the home that tells how its light is spread; null follows form and beam. */
  readonly photometryId: string | null;
}

export type Stage =
  | 'seed'
  | 'cutting'
  | 'rooted-cutting'
  | 'seedling'
  | 'juvenile'
  | 'adult'
  | 'in-bud'
  | 'in-bloom'
  | 'recovering'
  | 'just-arrived';

/** What the grower saw last; it rules over the calendar. `by-season` lets the calendar decide. */
export const GROWTH_STATES = ['by-season', 'new-leaf', 'root-tips', 'growing', 'finished', 'resting'] as const;
export type GrowthState = (typeof GROWTH_STATES)[number];

/** What is seen of a plant that shifts its needs against its taxon's. */
export const TRAITS = [
  'variegated',
  'felted',
  'silvered',
  'thick-leaved',
  'thin-leaved',
  'mounted',
  'juvenile-leaf',
  'mature-climbing',
] as const;
export type Trait = (typeof TRAITS)[number];

/** How much leaf a plant has over the ground it covers. */
export const FOLIAGES = ['sparse', 'medium', 'dense'] as const;
export type Foliage = (typeof FOLIAGES)[number];

export interface Plant {
  readonly id: string;
  readonly homeId: string;
  /** Key of a taxon in the catalogue, of a group there (`group-aroids`) while its name is not known, or of an own taxon. */
  readonly taxonId: string;
  /** Parents of a hybrid without a name of its own; with any, they stand in place of the taxon. */
  readonly parents: readonly Parent[];
  readonly traits: readonly Trait[];
  /** The grower's own name for it. */
  readonly name: string;
  readonly stage: Stage;
  readonly growthState: GrowthState;
  /** When that was seen, YYYY-MM-DD; null rules the whole year. */
  readonly stateSeenOn: string | null;
  /** The way it is taken through its rest, where that differs from the home's. */
  readonly restSchool: School | null;
  readonly potCm: number | null;
  readonly heightCm: number | null;
  readonly foliage: Foliage;
  readonly spotId: string | null;
  /** Date it arrived, YYYY-MM-DD. */
  readonly arrivedOn: string | null;
  readonly note: string;
}

/** Air of a room in one month, as the grower states or measured it. */
export interface AirStatement {
  readonly id: string;
  readonly roomId: string;
  readonly month: number;
  readonly dayC: number;
  readonly nightC: number;
  /** Relative humidity, per cent. */
  readonly dayRh: number;
  readonly nightRh: number;
}

/** A taxon of the grower's own: as another one or a group, until corrections say otherwise. */
export interface OwnTaxon {
  readonly id: string;
  readonly homeId: string;
  readonly name: string;
  readonly common: readonly string[];
  readonly synonyms: readonly string[];
  /** Key of the catalogue's taxon or group (`group-aroids`) whose figures it starts from. */
  readonly basedOn: string;
  /** What decides success with it. */
  readonly key: string;
}

/** A figure of a taxon or of one plant that the grower knows better, with the reason. */
export interface Correction {
  readonly id: string;
  readonly homeId: string;
  /** One of the two is null. A plant's own correction comes after its taxon's. */
  readonly taxonId: string | null;
  readonly plantId: string | null;
  readonly figure: Figure;
  readonly value: number;
  readonly reason: string;
  /** YYYY-MM-DD. */
  readonly on: string;
}

/** Everything known of one home. */
export interface HomeFacts {
  readonly home: Home;
  readonly rooms: readonly Room[];
  readonly windows: readonly Window[];
  readonly stands: readonly Stand[];
  readonly tiers: readonly Tier[];
  readonly spots: readonly Spot[];
  readonly circuits: readonly Circuit[];
  readonly lamps: readonly Lamp[];
  readonly plants: readonly Plant[];
  readonly air: readonly AirStatement[];
  readonly ownTaxa: readonly OwnTaxon[];
  readonly corrections: readonly Correction[];
  readonly obstructions: readonly Obstruction[];
  readonly blocks: readonly Block[];
  readonly photometries: readonly Photometry[];
  readonly weathers: readonly WeatherFile[];
  readonly readings: readonly Reading[];
}

/** The lists of a home's facts by name, without the home itself. */
export type FactList = Exclude<keyof HomeFacts, 'home'>;
