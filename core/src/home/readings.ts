/** What the grower's light readings correct, spot by spot, and by how much. */
import { calibrationOf, type Compared, type LightCalibration } from '../light';
import { placedSpots, type PlacedSpot } from '../room';
import { momentAt, type Moment } from '../sky';
import { LUX_PER_PPFD, MOL_PER_UMOL_HOUR, PPFD_PER_WATT, RADIANS, civilDateOf, minuteOfCivilDay } from '../units';
import { fullHours, lumensPerUmol } from '../lamp';
import type { Reading, ReadingSky, ReadingUnit } from '../facts';
import { asItWas, differenceKey } from './as-it-was';
import { meanDli } from './conditions';
import type { Sources } from './knowledge';
import type { HomeSky, LitHome } from './lit-home';
import { daylightOf, momentLight, type MomentLight } from './moments';
import { leafPlaceOf, sceneOf, type LeafPlace, type Scene } from './scene';

/** Readings of a spot and its neighbours taken together; null where none bears on it. */
export interface SpotCalibration {
  readonly daylight: LightCalibration | null;
  readonly lamps: LightCalibration | null;
}

/** A reading set against the model. */
export interface ComparedReading {
  readonly reading: Reading;
  readonly of: 'daylight' | 'lamps';
  /** PPFD as measured (what the other light gave taken off) and as computed for its place and instant. */
  readonly measuredPpfd: number;
  readonly computedPpfd: number;
  readonly doubt: number;
}

/** Lux in a foot-candle. */
export const LUX_PER_FOOT_CANDLE = 10.764;

/** Relative doubt of a hand-held meter, and of turning lux into PPFD. */
const METER_DOUBT = 0.08;
const LUX_DOUBT = 0.06;
const RED_BLUE_LUX_DOUBT = 0.6;

/**
 * Relative doubt of a sky as it is called: a clear one is known, cloud is not, and a month's mean parts from a typical
 * year's by an eighth. Held against an outdoor reading, it falls away.
 */
const SKY_DOUBT: Readonly<Record<ReadingSky, number>> = {
  clear: 0.15,
  broken: 0.5,
  overcast: 0.45,
  dark: 0,
  month: 0.12,
};
const OUTDOOR_PAIR_DOUBT = 0.1;

/** Less computed light than this cannot be held against a meter, umol m-2 s-1. */
const LEAST_COMPUTED = 0.05;

/** A reading as PPFD. @param luxPerPpfd of the light that was measured */
export function ppfdOfReading(value: number, unit: ReadingUnit, luxPerPpfd: number): number {
  return unit === 'ppfd' ? value : (unit === 'fc' ? value * LUX_PER_FOOT_CANDLE : value) / luxPerPpfd;
}

interface ReadingInputs {
  readonly lit: LitHome;
  readonly knowledge: Sources;
  readonly scene: Scene;
  readonly sky: HomeSky;
}

/**
 * Sets readings against the model as it stands without them. A withdrawn reading, one whose spot is gone and one for
 * which nothing is computed are left out.
 */
export function comparedReadings(question: ReadingInputs): ComparedReading[] {
  const { scene, knowledge } = question;
  const { facts } = scene;
  const live = facts.readings.filter((reading) => reading.withdrawnOn === null);
  const scenes = new Map<string, Then>();
  return live.flatMap((reading): ComparedReading[] => {
    // What has been carried or hung anew since was not there when the meter was held.
    const home = asItWas(facts, reading);
    const key = differenceKey(home, facts);
    let then = scenes.get(key);
    if (!then) scenes.set(key, (then = thenIn(home === facts ? scene : sceneOf(home, knowledge))));
    const spot = then.placed.get(reading.spotId);
    const compared = spot && compareReading({ ...question, scene: then.scene }, reading, leafPlaceOf(then.scene, spot));
    return compared && compared.computedPpfd > LEAST_COMPUTED && compared.measuredPpfd > 0 ? [compared] : [];
  });
}

/** A home as it was when readings were taken. */
interface Then {
  readonly scene: Scene;
  readonly placed: ReadonlyMap<string, PlacedSpot>;
}

const thenIn = (scene: Scene): Then => ({
  scene,
  placed: new Map(placedSpots(scene.facts).map((spot) => [spot.spot.id, spot])),
});

/** One reading against the model. */
function compareReading(question: ReadingInputs, reading: Reading, place: LeafPlace): ComparedReading {
  if (reading.sky === 'month') return overMonth(question, reading, place);
  const { home } = question.scene.facts;
  const kind = reading.sky === 'clear' ? 'clear' : reading.sky === 'overcast' ? 'overcast' : 'typical';
  const outdoors = momentAt({
    atMs: reading.atMs,
    place: home,
    timeZone: home.timeZone,
    sky: kind,
    turbidity: question.sky.turbidity,
    weather: question.sky.weather,
  });
  const moment = reading.sky === 'dark' ? { ...outdoors, dni: 0, dhi: 0 } : outdoors;
  const { lit, knowledge, scene, sky } = question;
  const minute = minuteOfCivilDay(reading.atMs, home.timeZone);
  const { curtains, lamps } = reading;
  const computed = momentLight({ lit, knowledge, scene, place, sky, moment, minute, curtains, lamps });
  return reading.sky === 'dark' ? inTheDark(reading, computed, place) : byDay(reading, computed, moment);
}

/** The mean of a month against a typical year's: what lamps give in it is taken off. */
function overMonth({ lit, scene, sky }: ReadingInputs, reading: Reading, place: LeafPlace): ComparedReading {
  const { value, unit, atMs } = reading;
  const { month } = civilDateOf(atMs, scene.facts.home.timeZone);
  const lamps = lit
    .lampsAt(scene, place, sky)
    .reduce((sum, { ppfd, circuit }) => sum + (ppfd * fullHours(circuit, month)) / HOURS_A_DAY, 0);
  const dli = meanDli(lit.daylight(scene, place, sky).year, month - 1);
  return {
    reading,
    of: 'daylight',
    measuredPpfd: Math.max(0, ppfdOfReading(value, unit, LUX_PER_PPFD.daylight) - lamps),
    computedPpfd: dli / (HOURS_A_DAY * MOL_PER_UMOL_HOUR),
    doubt: Math.hypot(METER_DOUBT, unit === 'ppfd' ? 0 : LUX_DOUBT, SKY_DOUBT.month),
  };
}
const HOURS_A_DAY = 24;

/** With every curtain tight, or at night: the lamps alone. */
function inTheDark(reading: Reading, computed: MomentLight, place: LeafPlace): ComparedReading {
  const { luxPerPpfd, doubt } = lampLux(place);
  return {
    reading,
    of: 'lamps',
    measuredPpfd: Math.max(0, ppfdOfReading(reading.value, reading.unit, luxPerPpfd) - computed.roomLight),
    computedPpfd: computed.lamps,
    doubt: Math.hypot(METER_DOUBT, reading.unit === 'ppfd' ? 0 : doubt),
  };
}

/** What lamps give is taken off what was measured. */
function byDay(reading: Reading, computed: MomentLight, moment: Moment): ComparedReading {
  const { value, unit, outdoorValue } = reading;
  const other = reading.lamps === 'on' ? computed.lamps + computed.roomLight : 0;
  const measuredPpfd = Math.max(0, ppfdOfReading(value, unit, LUX_PER_PPFD.daylight) - other);
  const daylight = daylightOf(computed);
  if (outdoorValue !== null && outdoorValue > 0) {
    // The same meter outdoors tells how bright the sky truly was: the model is held to its share of that.
    const global = (moment.dhi + moment.dni * Math.max(0, Math.sin(moment.sunElevationDeg * RADIANS))) * PPFD_PER_WATT;
    const outdoorPpfd = ppfdOfReading(outdoorValue, unit, LUX_PER_PPFD.daylight);
    const computedPpfd = global > 0 ? (daylight * outdoorPpfd) / global : 0;
    return { reading, of: 'daylight', measuredPpfd, computedPpfd, doubt: Math.hypot(METER_DOUBT, OUTDOOR_PAIR_DOUBT) };
  }
  const doubt = Math.hypot(METER_DOUBT, unit === 'ppfd' ? 0 : LUX_DOUBT, SKY_DOUBT[reading.sky]);
  return { reading, of: 'daylight', measuredPpfd, computedPpfd: daylight, doubt };
}

/** What a lux meter shows for each umol of the lamps over a place, and how far that is to be doubted. */
function lampLux(place: LeafPlace): { luxPerPpfd: number; doubt: number } {
  const ownLamps = place.room.lights.filter(({ cabinetId }) => cabinetId === null);
  const spectra = [...new Set(ownLamps.map(({ placed }) => placed.lamp.spectrum))];
  if (spectra.length === 0) return { luxPerPpfd: LUX_PER_PPFD['white-neutral'], doubt: LUX_DOUBT };
  const mean = spectra.reduce((sum, spectrum) => sum + lumensPerUmol(spectrum), 0) / spectra.length;
  return {
    luxPerPpfd: mean,
    doubt: spectra.includes('red-blue') ? RED_BLUE_LUX_DOUBT : spectra.length > 1 ? 0.15 : LUX_DOUBT,
  };
}

/** How far a reading counts at a spot of the same stand: less than half at best, and less the farther away. */
const NEIGHBOUR_SHARE = 0.4;
const NEIGHBOUR_REACH_M = 0.6;

/** What readings correct at a spot. */
export function calibrationAt(
  spot: PlacedSpot,
  compared: readonly ComparedReading[],
  placed: ReadonlyMap<string, PlacedSpot>,
): SpotCalibration | null {
  const near = compared.flatMap((entry): (Compared & { readonly of: ComparedReading['of'] })[] => {
    const there = placed.get(entry.reading.spotId);
    if (!there || there.standId !== spot.standId) return [];
    const away = Math.hypot(there.leaf.x - spot.leaf.x, there.leaf.y - spot.leaf.y, there.leaf.z - spot.leaf.z);
    const nearness = there.spot.id === spot.spot.id ? 1 : NEIGHBOUR_SHARE * Math.exp(-away / NEIGHBOUR_REACH_M);
    return [
      {
        readingId: entry.reading.id,
        ratio: entry.measuredPpfd / entry.computedPpfd,
        doubt: entry.doubt,
        nearness,
        of: entry.of,
      },
    ];
  });
  const of = (kind: ComparedReading['of']) =>
    calibrationOf(near.filter((entry) => entry.of === kind).map(({ of: _of, ...rest }) => rest));
  const daylight = of('daylight');
  const lamps = of('lamps');
  return daylight || lamps ? { daylight, lamps } : null;
}
