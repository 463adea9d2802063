/** What a remedy for dry air does in a room and month: the room's own day worked out again with it. */
import {
  SPRAYED_G_M2,
  WET_COEFFICIENT,
  airByHour,
  always,
  dayMean,
  dayShare,
  hoursWet,
  humidifierFor,
  humidityRatio,
  meanOf,
  nightMean,
  possibleRh,
  raisedBy,
  relativeHumidity,
  saturationRatio,
  scheduledAt,
  timesAsMuch,
  transpiration,
  vapourPressureDeficit,
  type AirZone,
  type HumidifierSize,
  type LeastToMost,
  type Schedule,
  type ZoneHours,
} from '../air';
import type { AirMovement, HomeFacts, Room } from '../facts';
import { joinedRooms, zonesOf } from './air-zones';
import { coversOf, type Cover } from './leaf-covers';
import { wetHours, type RoomAirMonth } from './room-air-month';
import { climateOf } from './room-climate';
import type { MonthAirSetting } from './air-year';
import type { HomeEngine } from './engine';

export type RoomRemedy =
  /** Leaves sprayed wet, so many times a day. */
  | { readonly kind: 'mist'; readonly timesADay: number }
  | { readonly kind: 'tray'; readonly areaM2: number }
  /** Pots moved together, leaf to leaf. */
  | { readonly kind: 'group' }
  | { readonly kind: 'humidifier'; readonly gramsH: number }
  | { readonly kind: 'cooler'; readonly byK: number }
  /** @property share of the airing that is left, 0..1 */
  | { readonly kind: 'less-airing'; readonly share: number };

export interface RemedyEffect {
  /** Per cent by day and by night, and the air's missing vapour by day, kPa, at the plants. */
  readonly dayRh: LeastToMost;
  readonly nightRh: LeastToMost;
  readonly vpdDay: LeastToMost;
  /** Hours of the day with at least the target. */
  readonly hoursAtTarget: LeastToMost;
  readonly litresADay: LeastToMost;
  /** More than before; below 0 where it saves. */
  readonly kWhADay: LeastToMost;
  /** Hours a day in which water settles on the coldest pane, and in which a cold corner may grow mould. */
  readonly paneWetH: number;
  readonly mouldH: number;
  /** Hours until a sprayed leaf is dry, by day and by night. */
  readonly leafWetH: readonly [day: number, night: number];
}

export interface RemedyAnswer {
  readonly before: RemedyEffect;
  readonly after: RemedyEffect;
  /** The humidifier that holds the target by day. */
  readonly humidifier: HumidifierSize;
}

export interface RemedyParams {
  readonly roomId: string;
  readonly year: number;
  /** 1..12. */
  readonly month: number;
  /** Humidity that is wanted, per cent. */
  readonly targetRh: number;
  /** Null asks for the room as it is. */
  readonly remedy: RoomRemedy | null;
}

/** When leaves are sprayed. */
const SPRAYED = { fromH: 8, toH: 20 } as const;
const DRIES_H = 0.5;
/** What open water gives is known to a factor of two. */
const TRAY_LEAST = 0.5;
/** A humidifier's own power, W for each g/h. Judgement, between mist makers (0.08) and fans on wet pads (0.15). */
const HUMIDIFIER_W_PER_GH = 0.1;
/** Air among leaves is changed so often in an hour; it is as high as they are. Judgement, within a half either way. */
const AMONG_LEAVES_H: Readonly<Record<AirMovement, number>> = { still: 40, gentle: 80, brisk: 200, strong: 500 };
const AMONG_LEAVES_M = 0.3;
const AMONG_FACTOR = 1.5;
const AIR_KG_M3 = 1.2;
const DAY_PPFD = 60;
const HOURS = 24;

const pulses = (timesADay: number, gramsEach: number): Schedule => ({
  base: 0,
  parts: Array.from({ length: timesADay }, (_, i) => {
    const fromH = SPRAYED.fromH + Math.floor(((SPRAYED.toH - SPRAYED.fromH) / timesADay) * i * 2) / 2;
    return { fromH, toH: fromH + DRIES_H, value: gramsEach / DRIES_H };
  }),
});

/** A room's zone with a remedy at one end of what it may do. */
function zoneWith(zone: AirZone, remedy: RoomRemedy, covers: readonly Cover[], end: 0 | 1): AirZone {
  const leafM2 = sumOf(covers.map(({ areaM2 }) => areaM2));
  switch (remedy.kind) {
    case 'mist': {
      const gH = pulses(remedy.timesADay, leafM2 * SPRAYED_G_M2);
      return { ...zone, sources: [...zone.sources, { gH, heat: 'from-the-room' }] };
    }
    case 'tray': {
      const coefficient = WET_COEFFICIENT * (end === 0 ? TRAY_LEAST : 1);
      const before = zone.wet ?? { areaM2: 0, coefficient: WET_COEFFICIENT };
      const areaM2 = before.areaM2 + (remedy.areaM2 * coefficient) / before.coefficient;
      return { ...zone, wet: { areaM2, coefficient: before.coefficient } };
    }
    case 'humidifier': {
      const watts = always(remedy.gramsH * HUMIDIFIER_W_PER_GH);
      const gH = always(remedy.gramsH);
      const sources = [...zone.sources, { gH, heat: 'from-the-room' } as const];
      return { ...zone, sources, internalW: [...zone.internalW, watts] };
    }
    case 'cooler': {
      if (!zone.heating) return zone;
      return { ...zone, heating: { ...zone.heating, setC: raisedBy(zone.heating.setC, -remedy.byK) } };
    }
    case 'less-airing':
      return { ...zone, airChangesH: timesAsMuch(zone.airChangesH, remedy.share) };
    case 'group':
      return zone;
  }
}

/** Humidity among leaves that stand together, points more than in the room by day. */
function amongLeaves(
  covers: readonly Cover[],
  { dayC, dayRh }: Pick<RoomAirMonth, 'dayC' | 'dayRh'>,
  movement: AirMovement,
  pressurePa: number,
): LeastToMost {
  const leafM2 = sumOf(covers.map(({ areaM2 }) => areaM2));
  if (leafM2 === 0) return [0, 0];
  const vpd = vapourPressureDeficit(dayC, dayRh);
  const gH = covers.reduce(
    (sum, cover) => sum + transpiration(cover, { ppfd: DAY_PPFD, vpd, air: movement, pressurePa }),
    0,
  );
  // Two layers of leaf over the ground they cover.
  const airKgH = (leafM2 / 2) * AMONG_LEAVES_M * AIR_KG_M3 * AMONG_LEAVES_H[movement];
  const points = (100 * gH) / 1000 / airKgH / saturationRatio(dayC, pressurePa);
  return [points / AMONG_FACTOR, Math.min(100 - dayRh, points * AMONG_FACTOR)];
}

interface Run {
  readonly hours: ZoneHours;
  readonly zone: AirZone;
}

/** A room's own day, and how it is run again with something else in its zone. */
interface Bench extends Pick<MonthAirSetting, 'outdoors'> {
  readonly facts: HomeFacts;
  readonly room: Room;
  readonly here: RoomAirMonth;
  readonly pressurePa: number;
  readonly covers: readonly Cover[];
  readonly before: Run;
  run(zone: AirZone): Run;
}

function benchOf(engine: HomeEngine, facts: HomeFacts, { roomId, year, month }: RemedyParams): Bench | null {
  const room = facts.rooms.find(({ id }) => id === roomId);
  const here = engine.roomAirOf(facts, year).get(roomId)?.[month - 1];
  const setting = engine.airSettingOf(facts, year, month - 1);
  if (!room || !here || !setting) return null;
  const { inputs, outdoors } = setting;
  const { pressurePa } = inputs;
  const rooms = joinedRooms(facts).find((group) => group.some(({ id }) => id === roomId))!;
  const { zones, links } = zonesOf(inputs, rooms);
  const own = rooms.findIndex(({ id }) => id === roomId);
  const run = (zone: AirZone): Run => {
    const tried = zones.map((one, z) => (z === own ? zone : one));
    const hours = airByHour({ pressurePa, days: 1, outdoors, zones: tried, links, start: 'periodic' });
    return { hours: hours[own]!, zone };
  };
  const covers = coversOf(facts, engine.sources, roomId);
  return { facts, room, here, outdoors, pressurePa, covers, run, before: run(zones[own]!) };
}

/** A remedy in a room, beside the room without it; null where the room or its outdoors is not known. */
export function airRemedy(engine: HomeEngine, facts: HomeFacts, params: RemedyParams): RemedyAnswer | null {
  const bench = benchOf(engine, facts, params);
  if (!bench) return null;
  const { remedy, targetRh } = params;
  const before = effectOf(bench, targetRh, bench.before);
  const after = remedy ? spanned(bench, remedy, targetRh) : spannedEnds(before, before);
  return { before: spannedEnds(before, before), after, humidifier: humidifierIn(bench, targetRh) };
}

/** What a remedy comes to, from the least to the most it may do. */
function spanned(bench: Bench, remedy: RoomRemedy, targetRh: number): RemedyEffect {
  const { before, covers, here, room, pressurePa } = bench;
  const among = remedy.kind === 'group' ? amongLeaves(covers, here, room.airMovement, pressurePa) : ([0, 0] as const);
  const least = bench.run(zoneWith(before.zone, remedy, covers, 0));
  // A tray alone gives what is known to a factor.
  const most = remedy.kind === 'tray' ? bench.run(zoneWith(before.zone, remedy, covers, 1)) : least;
  return spannedEnds(effectOf(bench, targetRh, least, among[0]), effectOf(bench, targetRh, most, among[1]));
}

/** The humidifier that holds a target by day in a room that is otherwise as it is. */
function humidifierIn({ room, here, outdoors, pressurePa, before }: Bench, targetRh: number): HumidifierSize {
  const outdoorC = meanOf(outdoors.celsius);
  const changes = Array.from({ length: HOURS }, (_, hour) => scheduledAt(before.zone.airChangesH, hour + 0.5));
  return humidifierFor(
    {
      volumeM3: room.widthM * room.depthM * room.heightM,
      airChangesH: meanOf(changes),
      indoorC: here.dayC,
      outdoorC,
      outdoorRh: relativeHumidity(outdoorC, meanOf(outdoors.ratio), pressurePa),
      pressurePa,
      sourceGH: (here.water.sourcesG + here.water.evaporationG) / HOURS,
    },
    targetRh,
  );
}

const sumOf = (list: readonly number[]) => list.reduce((sum, one) => sum + one, 0);

/** One end of an effect. */
type EffectEnd = { readonly [K in Exclude<keyof RemedyEffect, 'leafWetH'>]: number } & Pick<RemedyEffect, 'leafWetH'>;

function spannedEnds(one: EffectEnd, other: EffectEnd): RemedyEffect {
  const span = (key: Exclude<keyof EffectEnd, 'leafWetH'>): LeastToMost => [
    Math.min(one[key], other[key]),
    Math.max(one[key], other[key]),
  ];
  return {
    dayRh: span('dayRh'),
    nightRh: span('nightRh'),
    vpdDay: span('vpdDay'),
    hoursAtTarget: span('hoursAtTarget'),
    litresADay: span('litresADay'),
    kWhADay: span('kWhADay'),
    paneWetH: other.paneWetH,
    mouldH: other.mouldH,
    leafWetH: other.leafWetH,
  };
}

/** Water that is used beyond what was before, litres a day. */
function litresOf(before: Run, hours: ZoneHours): number {
  const used = ({ sourcesG, evaporationG, humidifierG }: ZoneHours) =>
    sumOf(sourcesG) + sumOf(evaporationG) + sumOf(humidifierG);
  return Math.max(0, (used(hours) - used(before.hours)) / 1000);
}

/**
 * A run as an effect: moved by what the grower's own figures differ from the run without a remedy.
 * @param among points of humidity more among the leaves by day than in the room
 */
function effectOf(bench: Bench, targetRh: number, { hours, zone }: Run, among = 0): EffectEnd {
  const { before, here, room, facts, outdoors, pressurePa } = bench;
  const { heating, envelope } = climateOf(facts, room);
  const rh = here.rh.map((one, hour) => possibleRh(one + hours.meanRh[hour]! - before.hours.meanRh[hour]!));
  const atLeaves = rh.map((one, hour) => possibleRh(one + among * dayShare(hour)));
  const celsius = here.celsius.map((one, hour) => one + hours.meanC[hour]! - before.hours.meanC[hour]!);
  const devicesW = (run: AirZone) => sumOf(run.internalW.map(({ base }) => base));
  const heatKWh = heating === 'set' ? (sumOf(hours.heatingW) - sumOf(before.hours.heatingW)) / 1000 : 0;
  const deviceKWh = ((devicesW(zone) - devicesW(before.zone)) * HOURS) / 1000;
  const ratio = rh.map((value, hour) => humidityRatio(celsius[hour]!, value, pressurePa));
  const dayRh = dayMean(atLeaves);
  const wetAfter = (degrees: number, moist: number) =>
    hoursWet({ celsius: degrees, rh: moist, movement: room.airMovement, pressurePa });
  return {
    dayRh,
    nightRh: nightMean(atLeaves),
    vpdDay: vapourPressureDeficit(dayMean(celsius), dayRh),
    leafWetH: [wetAfter(dayMean(celsius), dayRh), wetAfter(nightMean(celsius), nightMean(atLeaves))],
    hoursAtTarget: atLeaves.filter((value) => value >= targetRh).length,
    litresADay: litresOf(before, hours),
    kWhADay: heatKWh + deviceKWh,
    ...wetHours({ room, zone, envelope, celsius, ratio, outdoorC: outdoors.celsius, pressurePa }),
  };
}
