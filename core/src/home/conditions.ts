/** What a spot gives in a month, put together from its daylight, its lamps and its room's air. */
import { vapourPressureDeficit, type SpotAirMonth } from '../air';
import type { Condition } from '../fit';
import { burningAtFull, burningIn, fullHours } from '../lamp';
import {
  DAY_THRESHOLD_PPFD,
  daybreakElevation,
  photoperiodOf,
  type DaylightYear,
  type FactorFrom,
  type Stretch,
} from '../light';
import { monthPercentiles, seededYears, type SeededYears } from '../sky';
import { halfDayMinutes, sunEquatorial } from '../sun';
import { HOUR_MS, LUX_PER_PPFD, MOL_PER_UMOL_HOUR, PPFD_PER_WATT, startOfCivilDay } from '../units';
import type { Circuit, HomeFacts, Room } from '../facts';
import { leafOffset } from './leaf-warmth';

/** A lamp that a leaf notices. */
export interface LitLamp {
  readonly id: string;
  /** Straight and thrown back together, as it burns. */
  readonly ppfd: number;
  readonly reflectedPpfd: number;
  /** The same on the top of the tallest plant. */
  readonly topPpfd: number;
  readonly circuit: Circuit;
}

/**
 * Draws the years by which single months are judged: the same for every home, so that the same facts give the same
 * figures.
 */
const YEARS_SEED = 1;
let drawnYears: SeededYears | null = null;

/** Lux of a room's own lamps for each umol m-2 s-1: most are warm white. */
const ROOM_LIGHT_LUX_PER_PPFD = LUX_PER_PPFD['white-warm'];

/** A room's own light after dark at its plants. */
export interface EveningLight {
  /** umol m-2 s-1. */
  readonly ppfd: number;
  readonly fromMinute: number;
  readonly toMinute: number;
}

/** The light of a room after dark; in a cabinet also that of the room around it, through its shell. */
export function eveningLightsOf({ rooms }: Pick<HomeFacts, 'rooms'>, room: Room): EveningLight[] {
  const outer = room.insideRoomId === null ? undefined : rooms.find(({ id }) => id === room.insideRoomId);
  const of = ({ eveningLux, eveningFromMinute, eveningToMinute }: Room, share: number): EveningLight => ({
    ppfd: (eveningLux / ROOM_LIGHT_LUX_PER_PPFD) * share,
    fromMinute: eveningFromMinute,
    toMinute: eveningToMinute,
  });
  return [of(room, 1), ...(outer ? [of(outer, room.shellTransmittance)] : [])].filter(({ ppfd }) => ppfd > 0);
}

/** Daylight of which a share is left: behind a shell, or as readings correct it. */
export function dimmed(daylight: DaylightYear, share: number): DaylightYear {
  const scaled = (field: Float64Array) => field.map((value) => value * share);
  const { byHour } = daylight;
  return {
    ...daylight,
    byHour: {
      sun: scaled(byHour.sun),
      sky: scaled(byHour.sky),
      ground: scaled(byHour.ground),
      obstruction: scaled(byHour.obstruction),
      reflected: scaled(byHour.reflected),
    },
    byDayType: scaled(daylight.byDayType),
    clearDay: scaled(daylight.clearDay),
    factors: daylight.factors.map((month) =>
      month.map(({ fromMinute, factor }) => ({ fromMinute, factor: factor * share })),
    ),
    daylightFactor: daylight.daylightFactor * share,
  };
}

/** DLI of one watt hour per square metre of broadband daylight. */
const DLI_PER_WATT_HOUR = PPFD_PER_WATT * MOL_PER_UMOL_HOUR;

function dayTypeDlis({ byDayType, dayTypes }: DaylightYear, month0: number): number[] {
  return Array.from({ length: dayTypes }, (_, type) => byDayType[month0 * dayTypes + type]! * DLI_PER_WATT_HOUR);
}

/** Mean DLI of a month, mol m-2 d-1. */
export function meanDli(daylight: DaylightYear, month0: number): number {
  const types = dayTypeDlis(daylight, month0);
  return types.reduce((sum, dli) => sum + dli, 0) / types.length;
}

/** DLI of a month's daylight that comes without meeting a wall first, mol m-2 d-1. */
export function straightDli({ byHour }: DaylightYear, month0: number): number {
  return [byHour.sun, byHour.sky, byHour.ground, byHour.obstruction].reduce(
    (sum, field) => sum + monthSum(field, month0),
    0,
  );
}

function monthSum(field: Float64Array, month0: number): number {
  let sum = 0;
  for (let hour = 0; hour < 24; hour++) sum += field[month0 * 24 + hour]!;
  return sum * DLI_PER_WATT_HOUR;
}

export interface ConditionInputs {
  readonly facts: HomeFacts;
  readonly room: Room;
  /** At the middle of the leaves, and at their top. */
  readonly daylight: DaylightYear;
  readonly topDaylight: Pick<DaylightYear, 'clearDay'>;
  readonly lit: readonly LitLamp[];
  readonly air: SpotAirMonth;
  readonly month0: number;
  readonly year: number;
}

/** What each lamp gives a day, mol m-2, and all of them. */
function lampShares(lit: readonly LitLamp[], month: number) {
  const lamps: Record<string, number> = {};
  let lampDli = 0;
  for (const lamp of lit) {
    const dli = lamp.ppfd * fullHours(lamp.circuit, month) * MOL_PER_UMOL_HOUR;
    lamps[lamp.id] = dli;
    lampDli += dli;
  }
  return { lamps, lampDli };
}

/** One spot's month. */
export function conditionOf({
  facts,
  room,
  daylight,
  topDaylight,
  lit,
  air,
  month0,
  year,
}: ConditionInputs): Condition {
  const month = month0 + 1;
  const { lamps, lampDli } = lampShares(lit, month);
  const days = dayTypeDlis(daylight, month0);
  const mean = days.reduce((sum, dli) => sum + dli, 0) / days.length;
  const { poor, typical, good } = yearsOf(daylight, days, month0);
  const evening = eveningLightsOf(facts, room);
  const roomLight = evening.reduce(
    (sum, { ppfd, fromMinute, toMinute }) => sum + (ppfd * MOL_PER_UMOL_HOUR * (toMinute - fromMinute)) / 60,
    0,
  );
  const steady = lampDli + roomLight;
  const { byHour } = daylight;
  const hours = ppfdByHour({ daylight, topDaylight, lit, evening, month0 });
  const photoperiod = photoperiodOf(stretchesOf({ facts, evening, daylight, lit, month, year }));
  return {
    month,
    dli: mean + steady,
    dliPoorYear: poor + steady,
    dliTypicalYear: typical + steady,
    dliGoodYear: good + steady,
    dliDullDay: Math.min(...days) + steady,
    dliBrightDay: Math.max(...days) + steady,
    shares: {
      sun: monthSum(byHour.sun, month0),
      sky: monthSum(byHour.sky, month0),
      ground: monthSum(byHour.ground, month0),
      obstruction: monthSum(byHour.obstruction, month0),
      reflected: monthSum(byHour.reflected, month0),
      roomLight,
      lamps,
    },
    clearDay: hours.clear,
    peakPpfd: Math.max(...hours.clear),
    sunHoursPossible: daylight.sunHoursPossible[month0]!,
    sunHoursLikely: daylight.sunHoursLikely[month0]!,
    dayH: photoperiod.dayH,
    longestNightH: photoperiod.longestNightH,
    air,
    coldNightC: air.coldNightC,
    hotDayC: air.hotDayC,
    airMovement: air.movement,
    vpdDay: vapourPressureDeficit(air.dayC, air.dayRh),
    ...leafOffset({ daylight: daylight.byHour, lit, month0, air }),
    byHour: hours.mean,
  };
}

/** PPFD by hour of the day. */
interface Hours {
  /** The mean day at the middle of the leaves. */
  readonly mean: number[];
  /** A clear day at their top. */
  readonly clear: number[];
}

/** PPFD of each hour of a month's day, all sources as they burn. */
function ppfdByHour({ daylight, topDaylight, lit, evening, month0 }: HoursInputs): Hours {
  const { sun, sky, ground, obstruction, reflected } = daylight.byHour;
  const mean = new Array<number>(24);
  const clear = new Array<number>(24);
  for (let hour = 0; hour < 24; hour++) {
    const bin = month0 * 24 + hour;
    mean[hour] = (sun[bin]! + sky[bin]! + ground[bin]! + obstruction[bin]! + reflected[bin]!) * PPFD_PER_WATT;
    clear[hour] = topDaylight.clearDay[bin]! * PPFD_PER_WATT;
  }
  for (const { ppfd, topPpfd, circuit } of lit) {
    const { spans, level } = burningAtFull(circuit, month0 + 1);
    for (const { onMinute, offMinute } of spans) {
      addHours(mean, level * ppfd, onMinute, offMinute);
      addHours(clear, level * topPpfd, onMinute, offMinute);
    }
  }
  for (const { ppfd, fromMinute, toMinute } of evening) {
    addHours(mean, ppfd, fromMinute, toMinute);
    addHours(clear, ppfd, fromMinute, toMinute);
  }
  return { mean, clear };
}

interface HoursInputs extends Pick<ConditionInputs, 'daylight' | 'topDaylight' | 'lit' | 'month0'> {
  readonly evening: readonly EveningLight[];
}

/** Adds what burns between two minutes of the day to the hours it burns in, each by its share. */
function addHours(hours: number[], ppfd: number, fromMinute: number, toMinute: number): void {
  for (let hour = Math.floor(fromMinute / 60); hour * 60 < toMinute; hour++)
    hours[hour]! += ppfd * shareWithin(fromMinute, toMinute, hour);
}

/** Poor, typical and good years of a month's mean. A weather without day types is the same every year. */
function yearsOf(daylight: DaylightYear, days: readonly number[], month0: number): Years {
  if (days.length === 1) return { poor: days[0]!, typical: days[0]!, good: days[0]! };
  let known = yearsKnown.get(daylight);
  if (!known) yearsKnown.set(daylight, (known = []));
  drawnYears ??= seededYears(YEARS_SEED);
  return (known[month0] ??= monthPercentiles(drawnYears, month0, days));
}

interface Years {
  readonly poor: number;
  readonly typical: number;
  readonly good: number;
}

/** A lamp's hours are tried under the same daylight again and again. */
const yearsKnown = new WeakMap<DaylightYear, Years[]>();

/** Share of an hour that lies between two minutes of the day. */
function shareWithin(fromMinute: number, toMinute: number, hour: number): number {
  return Math.max(0, Math.min(toMinute, hour * 60 + 60) - Math.max(fromMinute, hour * 60)) / 60;
}

interface DayInputs {
  readonly facts: HomeFacts;
  readonly evening: readonly EveningLight[];
  readonly daylight: DaylightYear;
  readonly lit: readonly LitLamp[];
  readonly month: number;
  readonly year: number;
}

/**
 * When the leaf notices light on the fifteenth of a month: daylight from the height of the sun at which it passes the
 * threshold through the curtains as they are drawn, lamps of its own and of other tiers, and the room's light after
 * dark.
 */
function stretchesOf({ facts, evening, daylight, lit, month, year }: DayInputs): Stretch[] {
  const stretches: Stretch[] = lit.flatMap((lamp) => {
    const { spans, level } = burningIn(lamp.circuit, month);
    if (level * lamp.ppfd < DAY_THRESHOLD_PPFD) return [];
    return spans.map(({ onMinute, offMinute }) => ({ fromMinute: onMinute, toMinute: offMinute }));
  });
  stretches.push(...evening.filter(({ ppfd }) => ppfd >= DAY_THRESHOLD_PPFD));
  return [...stretches, ...daylightStretches(facts, daylight.factors[month - 1]!, month, year)];
}

/** Daylight from curtain to curtain: each stretch of the day has its own height of the sun that is enough. */
function daylightStretches(facts: HomeFacts, factors: readonly FactorFrom[], month: number, year: number): Stretch[] {
  const { noonMinute, declinationDeg } = noonOf(facts, month, year);
  return factors.flatMap(({ fromMinute, factor }, i) => {
    if (factor <= 0) return [];
    const toMinute = factors[i + 1]?.fromMinute ?? 1440;
    const half = halfDayMinutes(facts.home.latitude, declinationDeg, daybreakElevation(factor));
    return wrapped(noonMinute - half, noonMinute + half).map((lit) => ({
      fromMinute: Math.max(fromMinute, lit.fromMinute),
      toMinute: Math.min(toMinute, lit.toMinute),
    }));
  });
}

/** The sun's noon on the fifteenth of a month: local minute and declination. */
interface Noon {
  readonly noonMinute: number;
  readonly declinationDeg: number;
}

/** Each of a home's spots asks for the same twelve. */
const noons = new WeakMap<HomeFacts['home'], Map<string, Noon>>();

function noonOf({ home }: HomeFacts, month: number, year: number): Noon {
  let known = noons.get(home);
  if (!known) noons.set(home, (known = new Map()));
  const key = `${year}-${month}`;
  let noon = known.get(key);
  if (!noon) {
    const middayMs = startOfCivilDay({ year, month, day: 15 }, home.timeZone) + 12 * HOUR_MS;
    const { declinationDeg, greenwichHourAngleDeg } = sunEquatorial(middayMs);
    const past = ((greenwichHourAngleDeg + home.longitude + 540) % 360) - 180;
    noon = { noonMinute: 720 - past * MINUTES_PER_DEGREE, declinationDeg };
    known.set(key, noon);
  }
  return noon;
}

/** Minutes the sky takes to turn by a degree. */
const MINUTES_PER_DEGREE = 4;

/** A stretch that may run over midnight, as stretches of one civil day. */
function wrapped(fromMinute: number, toMinute: number): Stretch[] {
  if (toMinute - fromMinute >= 1440) return [{ fromMinute: 0, toMinute: 1440 }];
  if (fromMinute < 0)
    return [
      { fromMinute: fromMinute + 1440, toMinute: 1440 },
      { fromMinute: 0, toMinute },
    ];
  if (toMinute > 1440)
    return [
      { fromMinute, toMinute: 1440 },
      { fromMinute: 0, toMinute: toMinute - 1440 },
    ];
  return [{ fromMinute, toMinute }];
}
