/** A cabinet, dome or bag tried at a spot: what its air comes to by the hour, and how soon the sun overheats it. */
import {
  airByHour,
  between,
  dayMean,
  enclosedZone,
  minutesToHighest,
  minutesToSettle,
  nightMean,
  relativeHumidity,
  vapourPressureDeficit,
  type EnclosedAir,
} from '../air';
import type { HomeFacts, ShellKind } from '../facts';
import { placedSpots } from '../room';
import { PPFD_PER_WATT } from '../units';
import { joinedRooms, zonesOf } from './air-zones';
import type { HomeEngine } from './engine';

export interface EnclosureParams {
  readonly spotId: string;
  readonly year: number;
  /** 1..12. */
  readonly month: number;
  readonly widthM: number;
  readonly depthM: number;
  readonly heightM: number;
  readonly shell: ShellKind;
  /** Air exchanged with the room in an hour, of its own. */
  readonly changesH: number;
  readonly lampW: number;
  readonly lampFromMinute: number;
  readonly lampToMinute: number;
  /** Wet soil, moss and trays, m2. */
  readonly wetM2: number;
  /** The highest its plants survive, C. */
  readonly highestC: number;
}

export interface EnclosureAnswer {
  /** A typical day at each full hour: inside, and in the room round it. */
  readonly celsius: readonly number[];
  readonly rh: readonly number[];
  readonly roomC: readonly number[];
  readonly roomRh: readonly number[];
  readonly dayC: number;
  readonly nightC: number;
  readonly dayRh: number;
  readonly nightRh: number;
  readonly vpdDay: number;
  /** Two thirds of the way to what lamps and room come to, minutes. */
  readonly settlesMin: number;
  /** Its warmest hour on a clear day, C. */
  readonly clearHighC: number;
  /** Minutes of a clear day's strongest light until it is warmer than its plants survive; null where it stays cooler. */
  readonly overheatsMin: number | null;
  /** Hours of a typical day in which water runs down its shell. */
  readonly shellWetH: number;
}

/** Light that a shell lets in as heat; half of its widest side faces the sun beside its floor. Judgement. */
const SHELL_LETS_IN = 0.85;
const SIDE_FACING = 0.5;

/** An enclosure at a spot; null where the spot is not there, or nothing tells the outdoors. */
export function tryEnclosure(engine: HomeEngine, facts: HomeFacts, params: EnclosureParams): EnclosureAnswer | null {
  const { spotId, year, month, highestC } = params;
  const spot = placedSpots(facts).find((placed) => placed.spot.id === spotId);
  const light = engine.conditionsOf(facts, spotId, year)[month - 1];
  const setting = engine.airSettingOf(facts, year, month - 1);
  if (!spot || !light || !setting) return null;
  const { pressurePa } = setting.inputs;
  const rooms = joinedRooms(facts).find((group) => group.some(({ id }) => id === spot.room.id))!;
  const room = rooms.findIndex(({ id }) => id === spot.room.id);
  const { zones, links } = zonesOf(setting.inputs, rooms);
  const place = { room, own: zones.length };
  const facingM2 =
    params.widthM * params.depthM + SIDE_FACING * params.heightM * Math.max(params.widthM, params.depthM);
  const watts = (ppfd: readonly number[]) => ppfd.map((one) => (SHELL_LETS_IN * facingM2 * one) / PPFD_PER_WATT);
  const madeOf = (sunW: readonly number[]): EnclosedAir => ({
    ...params,
    lampW: between(params.lampFromMinute, params.lampToMinute, params.lampW),
    sunW,
  });
  const run = (ppfd: readonly number[]) => {
    const { zone, link } = enclosedZone(madeOf(watts(ppfd)), pressurePa, place);
    const outdoors = setting.outdoors;
    const both = { zones: [...zones, zone], links: [...links, link] };
    return airByHour({ pressurePa, days: 1, outdoors, ...both, start: 'periodic' });
  };
  const typical = run(light.byHour);
  const inside = typical[place.own]!;
  const around = typical[room]!;
  const clear = run(light.clearDay)[place.own]!;
  const made = enclosedZone(madeOf([]), pressurePa, place);
  const strongest = Math.max(...watts(light.clearDay)) + params.lampW;
  const { uValue } = made.zone.panes[0]!;
  const isRunning = (celsius: number, hour: number) => {
    const shellC = celsius - uValue * INNER_RESISTANCE * (celsius - around.celsius[hour]!);
    return relativeHumidity(shellC, inside.ratio[hour]!, pressurePa) >= RUNS_RH;
  };
  const [dayC, dayRh] = [dayMean(inside.celsius), dayMean(inside.rh)];
  return {
    celsius: inside.celsius,
    rh: inside.rh,
    roomC: around.celsius,
    roomRh: around.rh,
    dayC,
    nightC: nightMean(inside.celsius),
    dayRh,
    nightRh: nightMean(inside.rh),
    vpdDay: vapourPressureDeficit(dayC, dayRh),
    settlesMin: minutesToSettle(made),
    clearHighC: Math.max(...clear.celsius),
    overheatsMin: minutesToHighest(made, { gainW: strongest, roomC: dayMean(around.celsius), highestC }),
    shellWetH: inside.celsius.filter(isRunning).length,
  };
}

/** Air that is full at the shell. */
const RUNS_RH = 100;
/** Of the shell's inner film, m2 K W-1. */
const INNER_RESISTANCE = 0.13;
