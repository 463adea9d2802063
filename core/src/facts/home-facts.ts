/** Everything a grower has said of one home: the facts from which every answer is computed. Metres and degrees. */
import type { AirStatement, SpotAirStatement } from './air';
import type { AirThing } from './air-thing';
import type { Block } from './block';
import type { Circuit } from './circuit';
import type { Correction } from './correction';
import type { Doorway } from './doorway';
import type { Home } from './home';
import type { Lamp } from './lamp';
import type { LearntAir } from './learnt-air';
import type { Obstruction } from './obstruction';
import type { Outcome } from './outcome';
import type { OwnTaxon } from './own-taxon';
import type { Photometry } from './photometry';
import type { Plant } from './plant';
import type { AcceptedPlan, PlanSettings, PlanStep, Wish } from './plan';
import type { Reading } from './reading';
import type { Room } from './room';
import type { RoomClimate } from './room-climate';
import type { Spot } from './spot';
import type { Stand } from './stand';
import type { Supply } from './supply';
import type { TariffBand } from './tariff';
import type { Tier } from './tier';
import type { WeatherFile } from './weather';
import type { Window } from './window';

/** The type of each kind of fact. A new kind begins here; the compiler then asks for the rest. */
export interface FactOf {
  rooms: Room;
  windows: Window;
  stands: Stand;
  tiers: Tier;
  spots: Spot;
  circuits: Circuit;
  photometries: Photometry;
  lamps: Lamp;
  plants: Plant;
  air: AirStatement;
  ownTaxa: OwnTaxon;
  corrections: Correction;
  obstructions: Obstruction;
  blocks: Block;
  weathers: WeatherFile;
  readings: Reading;
  outcomes: Outcome;
  climates: RoomClimate;
  airThings: AirThing;
  doorways: Doorway;
  learntAir: LearntAir;
  spotAir: SpotAirStatement;
  supplies: Supply;
  tariffs: TariffBand;
  planSettings: PlanSettings;
  wishes: Wish;
  plans: AcceptedPlan;
  planSteps: PlanStep;
}

/** The lists of a home's facts by name, without the home itself. */
export type FactList = keyof FactOf;

/** The lists of a home for which nothing was ever planned. */
export const NOTHING_PLANNED = {
  supplies: [],
  tariffs: [],
  planSettings: [],
  wishes: [],
  plans: [],
  planSteps: [],
} as const satisfies Partial<Record<FactList, readonly []>>;

export type HomeFacts = { readonly home: Home } & { readonly [L in FactList]: readonly FactOf[L][] };
