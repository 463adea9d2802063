/**
 * The air of a home's rooms through the year, hour by hour of each month's typical day, with its cold and hot spells.
 */
import {
  airByHour,
  dayMean,
  hourlyAt,
  meanOf,
  nightMean,
  openShare,
  pressureAt,
  scheduledAt,
  spellShape,
  statesByHour,
  vapourPressureDeficit,
  type AirZone,
  type Outdoors,
  type ZoneHours,
  type ZoneState,
} from '../air';
import type { HomeFacts, Room } from '../facts';
import { vec } from '../room';
import { RADIANS } from '../units';
import { airKeyOf } from './air-key';
import { joinedRooms, zonesOf, type ZonePlan } from './air-zones';
import { outdoorsOf } from './home-outdoors';
import type { Sources } from './knowledge';
import { lessonOf } from './learnt-zone';
import type { HomeSky, LitHome } from './lit-home';
import { KNOWN_TO, spreadOf, wetHours, type HomeAir, type RoomAirMonth } from './room-air-month';
import { climateOf } from './room-climate';
import type { Scene } from './scene';
import type { ZoneInputs } from './zone-inputs';

const HOURS = 24;
/** A spell lasts so many days, from a typical one on. */
const SPELL_DAYS = 2;
/** Leaves breathe at this dryness in the first round, kPa; the second takes what came of it. */
const FIRST_VPD = 1;
/** Sun on the upright sides of a cabinet is reckoned at this height of the sun, degrees. */
const CABINET_SUN_DEG = 35;

export interface AirInputs {
  readonly facts: HomeFacts;
  readonly sources: Sources;
  readonly scene: Scene;
  readonly sky: HomeSky;
  readonly lit: LitHome;
  /** Keeps what a group of joined rooms came to, by what it depends on. */
  readonly remember: (key: string, make: () => HomeAir) => HomeAir;
}

/** Heat of daylight in a room or cabinet by hour bin, W. */
function sunIn({ scene, sky, lit }: AirInputs, room: Room): Float64Array {
  const here = scene.rooms.get(room.id)!;
  if (room.insideRoomId === null || !scene.rooms.has(room.insideRoomId)) return lit.heatOf(here, sky);
  const { widthM, depthM, heightM } = room;
  const middle = { room: here, leaf: vec(widthM / 2, depthM / 2, heightM / 2), neighbours: [] };
  const { byHour } = lit.daylight(scene, middle, sky).year;
  const floorM2 = widthM * depthM;
  const facingM2 = floorM2 + (heightM * Math.max(widthM, depthM)) / Math.tan(CABINET_SUN_DEG * RADIANS);
  return byHour.sun.map(
    (sun, bin) =>
      sun * facingM2 +
      floorM2 * (byHour.sky[bin]! + byHour.ground[bin]! + byHour.obstruction[bin]! + byHour.reflected[bin]!),
  );
}

/** What one month of joined rooms came to. */
interface Run {
  readonly plan: ZonePlan;
  readonly hours: readonly ZoneHours[];
}

/** The air of every room; null where nothing tells the outdoors. */
export function homeAir(inputs: AirInputs): HomeAir | null {
  const { facts } = inputs;
  if (outdoorsOf(inputs, 0, 'typical') === null) return null;
  const air = new Map<string, readonly RoomAirMonth[]>();
  for (const rooms of joinedRooms(facts)) {
    const joined = inputs.remember(airKeyOf(inputs, rooms), () => joinedAir(inputs, rooms));
    for (const [roomId, months] of joined) air.set(roomId, months);
  }
  return air;
}

type MonthZones = Pick<ZoneInputs, 'facts' | 'sources' | 'pressurePa' | 'month' | 'sunOf'>;

function monthInputs(
  { facts, sources }: AirInputs,
  month0: number,
  sunOf: (roomId: string) => Float64Array,
): MonthZones {
  return {
    facts,
    sources,
    pressurePa: pressureAt(facts.home.elevationM),
    month: month0 + 1,
    sunOf: (roomId) => Array.from(sunOf(roomId).subarray(month0 * HOURS, (month0 + 1) * HOURS)),
  };
}

/** What a month's zones are made from, as `homeAir` left them; null where nothing tells the outdoors. */
export interface MonthAirSetting {
  readonly inputs: ZoneInputs;
  readonly outdoors: Outdoors;
}

export function airSetting(inputs: AirInputs, air: HomeAir, month0: number): MonthAirSetting | null {
  const outdoors = outdoorsOf(inputs, month0, 'typical');
  if (!outdoors) return null;
  const rooms = new Map(inputs.facts.rooms.map((room) => [room.id, room]));
  const monthOfRoom = (roomId: string) => air.get(roomId)![month0]!;
  return {
    inputs: {
      ...monthInputs(inputs, month0, (roomId) => sunIn(inputs, rooms.get(roomId)!)),
      vpdOf: (roomId) => dryness(monthOfRoom(roomId)),
    },
    outdoors,
  };
}

function joinedAir(inputs: AirInputs, rooms: readonly Room[]): Map<string, RoomAirMonth[]> {
  const { facts } = inputs;
  const pressurePa = pressureAt(facts.home.elevationM);
  const sun = new Map(rooms.map((room) => [room.id, sunIn(inputs, room)]));
  const byRoom = new Map<string, RoomAirMonth[]>(rooms.map(({ id }) => [id, []]));
  let before: readonly ZoneState[] | null = null;
  const vpds = new Map<string, number>();
  for (let month0 = 0; month0 < 12; month0++) {
    const zoneInputs: ZoneInputs = {
      ...monthInputs(inputs, month0, (roomId) => sun.get(roomId)!),
      vpdOf: (roomId) => vpds.get(roomId) ?? FIRST_VPD,
    };
    const plan = zonesOf(zoneInputs, rooms);
    const { zones, links } = plan;
    const outdoors = outdoorsOf(inputs, month0, 'typical')!;
    const near: readonly ZoneState[] | null = before;
    const start = near ? { near } : ('periodic' as const);
    const hours = airByHour({ pressurePa, outdoors, zones, links, days: 1, start });
    const settled = hours.map(({ end }) => end);
    before = settled;
    hours.forEach((one, z) => vpds.set(rooms[z]!.id, dryness(one)));
    const spellOf = (spell: 'cold' | 'hot'): SpellRun => {
      const outdoors = outdoorsOf(inputs, month0, spell)!;
      const states = statesByHour({ pressurePa, outdoors, zones, links, days: SPELL_DAYS, start: settled });
      return { celsius: states.map((zone) => zone.map(({ celsius }) => celsius)), outdoors };
    };
    const [cold, hot] = [spellOf('cold'), spellOf('hot')];
    const typical = { plan, hours };
    rooms.forEach((room, z) =>
      byRoom.get(room.id)!.push(monthOf({ inputs, room, z, month0, typical, cold, hot, outdoors })),
    );
  }
  return byRoom;
}

interface SpellRun {
  /** By zone, at each full hour. */
  readonly celsius: readonly (readonly number[])[];
  readonly outdoors: Outdoors;
}

/** Vapour pressure that is missing by day, kPa: how dry leaves find it. */
const dryness = ({ celsius, rh }: Pick<ZoneHours, 'celsius' | 'rh'>): number =>
  vapourPressureDeficit(dayMean(celsius), dayMean(rh));

interface MonthInputs {
  readonly inputs: AirInputs;
  readonly room: Room;
  readonly z: number;
  readonly month0: number;
  readonly typical: Run;
  readonly cold: SpellRun;
  readonly hot: SpellRun;
  readonly outdoors: Outdoors;
}

const sum = (list: readonly number[]) => list.reduce((all, value) => all + value, 0);

/** Hours in which its windows stand open by a tenth or more. */
function openedHours({ venting }: AirZone, { meanC }: ZoneHours, outdoors: Outdoors): number {
  if (!venting) return 0;
  const isOpen = (celsius: number, hour: number) =>
    scheduledAt(venting.changesH, hour + 0.5) > 0 &&
    openShare(venting, celsius, hourlyAt(outdoors.celsius, hour)) > 0.1;
  return meanC.filter(isOpen).length;
}

/** One room's month from its runs, corrected by what was stated of its air. */
function monthOf({ inputs, room, z, month0, typical, cold, hot, outdoors }: MonthInputs): RoomAirMonth {
  const { facts } = inputs;
  const hours = typical.hours[z]!;
  const zone = typical.plan.zones[z]!;
  const pressurePa = pressureAt(facts.home.elevationM);
  const { envelope, heating } = climateOf(facts, room);
  const { celsius, ratio } = hours;
  const computed = {
    dayC: dayMean(hours.celsius),
    nightC: nightMean(hours.celsius),
    dayRh: dayMean(hours.rh),
    nightRh: nightMean(hours.rh),
  };
  return {
    month: month0 + 1,
    ...computed,
    basis: 'computed',
    celsius: hours.celsius,
    rh: hours.rh,
    outdoorC: outdoors.celsius,
    lowC: Math.min(...hours.celsius),
    highC: Math.max(...hours.celsius),
    coldNightC: Math.min(...cold.celsius[z]!),
    hotDayC: Math.max(...hot.celsius[z]!),
    coldSpell: spellShape(cold.celsius[z]!.slice(-HOURS), 'coldest'),
    hotSpell: spellShape(hot.celsius[z]!.slice(-HOURS), 'hottest'),
    coldNightOutdoorC: Math.min(...cold.outdoors.celsius),
    heatingShare: zone.heating ? meanOf(hours.heatingW) / zone.heating.maxW : 0,
    heatingKWh: heating === 'set' ? sum(hours.heatingW) / 1000 : 0,
    openedH: openedHours(zone, hours, outdoors),
    water: {
      sourcesG: sum(hours.sourcesG),
      evaporationG: sum(hours.evaporationG),
      humidifierG: sum(hours.humidifierG),
      dehumidifierG: -sum(hours.dehumidifierG),
      condensationG: -sum(hours.condensationG),
      airingG: sum(hours.airingG),
      linksG: sum(hours.linksG),
    },
    ...wetHours({ room, zone, envelope, celsius, ratio, outdoorC: outdoors.celsius, pressurePa }),
    spread: spreadOf(
      computed,
      meanOf(outdoors.ratio),
      pressurePa,
      KNOWN_TO[heating][lessonOf(facts, room) ? 'learnt' : 'guessed'],
    ),
  };
}
