/** What a logger's record teaches of its room: leaks, water, walls, sun and set points, by least squares with a prior. */
import {
  learnt,
  relativeHumidity,
  statesByHour,
  type Evidence,
  type MeasuredMonth,
  type Outdoors,
  type ZoneState,
} from '../air';
import type { HomeFacts, LearntAir } from '../facts';
import { joinedRooms, zonesOf, type ZonePlan } from './air-zones';
import type { HomeEngine, Steps } from './engine';
import { taughtLink, taughtZone, type ZoneLesson } from './learnt-zone';
import { climateOf } from './room-climate';

/** How unsure each guess is before: of factors, the spread of their logarithm; K. */
const UNSURE = { airing: 0.45, water: 0.4, walls: 0.2, sun: 0.2, holds: 0.3, dayK: 0.8, nightK: 0.8 } as const;
/** A free-running room's neighbours are less sure than a set point, K. */
const NEIGHBOURS_UNSURE_K = 1.5;
/** The weather of a stretch beside a typical year's: K, and its water as the spread of a logarithm. */
const WEATHER = { celsius: 1.2, water: 0.08 } as const;
/** What is measured and computed over three hours differs by so much for reasons of its own, K and points. */
const OWN = { celsius: 0.5, rh: 2.5 } as const;
const BLOCK_H = 3;
const BLOCKS = 24 / BLOCK_H;

const NAMES = ['airing', 'water', 'walls', 'sun', 'holds', 'dayK', 'nightK'] as const;

/** Looked for from the guesses, and from a room held warmer: a set point below what the room comes to shows no trace. */
const STARTS = [NAMES.map(() => 0), NAMES.map((name) => (name === 'dayK' || name === 'nightK' ? 1.5 : 0))] as const;
/** More months teach hardly more, and each takes its time: so many are taken, spread over the year. */
const MOST_MONTHS = 4;

export interface LearnRoomParams {
  readonly roomId: string;
  readonly year: number;
  /** As measured in the room. */
  readonly months: readonly MeasuredMonth[];
}

/** What was learnt, as it is kept but for its keys. */
export type RoomLesson = Omit<LearntAir, 'id' | 'roomId'>;

/**
 * What measured months teach of a room; null when the room is not there, nothing was measured or nothing tells the
 * outdoors. The weather of each month is allowed to have been another than a typical year's.
 */
export function* learnRoom(
  engine: HomeEngine,
  facts: HomeFacts,
  { roomId, year, months }: LearnRoomParams,
): Steps<RoomLesson | null> {
  const room = facts.rooms.find(({ id }) => id === roomId);
  if (!room || months.length === 0) return null;
  const guessed: HomeFacts = {
    ...facts,
    learntAir: facts.learntAir.filter((one) => one.roomId !== roomId),
    air: facts.air.filter((one) => one.roomId !== roomId),
  };
  const climate = climateOf(facts, room);
  const warmth = climate.heating === 'set' ? UNSURE.dayK : NEIGHBOURS_UNSURE_K;
  const unsure = NAMES.map((name) => (name === 'dayK' || name === 'nightK' ? warmth : UNSURE[name]));
  const evidence: Evidence[] = [];
  for (const month of spreadOut(months)) {
    const one = evidenceOf(engine, guessed, { roomId, year, month, unsure });
    if (!one) return null;
    evidence.push(one);
  }
  const { values, spreads } = yield* learnt(STARTS, evidence);
  const doubt = (name: (typeof NAMES)[number]) => spreads[NAMES.indexOf(name)]! * unsure[NAMES.indexOf(name)]!;
  return {
    ...lessonFrom(values, unsure),
    airingSpread: doubt('airing'),
    waterSpread: doubt('water'),
    wallsSpread: doubt('walls'),
    sunSpread: doubt('sun'),
    holdsSpread: doubt('holds'),
    dayKSpread: doubt('dayK'),
    nightKSpread: doubt('nightK'),
    days: months.reduce((sum, { days }) => sum + days, 0),
    heatingThen: climate.heating,
    airingThen: climate.airing,
    envelopeThen: climate.envelope,
  };
}

const spreadOut = (months: readonly MeasuredMonth[]): readonly MeasuredMonth[] =>
  months.length <= MOST_MONTHS
    ? months
    : Array.from({ length: MOST_MONTHS }, (_, i) => months[Math.floor((i * months.length) / MOST_MONTHS)]!);

/** A lesson from values in parts of their prior spreads: factors are guessed as often too low by half as too high by two. */
function lessonFrom(values: readonly number[], unsure: readonly number[]): ZoneLesson {
  const at = (name: (typeof NAMES)[number]) => values[NAMES.indexOf(name)]! * unsure[NAMES.indexOf(name)]!;
  return {
    airing: Math.exp(at('airing')),
    water: Math.exp(at('water')),
    walls: Math.exp(at('walls')),
    sun: Math.exp(at('sun')),
    holds: Math.exp(at('holds')),
    dayK: at('dayK'),
    nightK: at('nightK'),
  };
}

interface MonthGiven {
  readonly roomId: string;
  readonly year: number;
  readonly month: MeasuredMonth;
  readonly unsure: readonly number[];
}

function evidenceOf(
  engine: HomeEngine,
  facts: HomeFacts,
  { roomId, year, month, unsure }: MonthGiven,
): Evidence | null {
  const setting = engine.airSettingOf(facts, year, month.month - 1);
  if (!setting) return null;
  const group = joinedRooms(facts).find((rooms) => rooms.some(({ id }) => id === roomId))!;
  const own = group.findIndex(({ id }) => id === roomId);
  const plan = zonesOf(setting.inputs, group);
  const { pressurePa } = setting.inputs;
  const measuredC = blocksOf(month.celsiusByHour);
  const measuredRh = blocksOf(month.rhByHour);
  let near: readonly ZoneState[] | null = null;
  return {
    owns: 2,
    off: (shared, [warmer, wetter]) => {
      const run = statesByHour({
        pressurePa,
        days: 1,
        outdoors: otherWeather(setting.outdoors, warmer!, wetter!),
        ...taughtPlan(plan, own, lessonFrom(shared, unsure)),
        start: near ? { near } : 'periodic',
      });
      near = run.map((states) => states[0]!);
      const states = run[own]!;
      const celsius = blocksOf(hoursOf(states.map((state) => state.celsius)));
      const rh = blocksOf(hoursOf(states.map((state) => relativeHumidity(state.celsius, state.ratio, pressurePa))));
      const off = (computed: readonly (number | null)[], measured: readonly (number | null)[], spread: number) =>
        computed.map((one, block) => (measured[block] === null ? 0 : (one! - measured[block]!) / spread));
      return [...off(celsius, measuredC, OWN.celsius), ...off(rh, measuredRh, OWN.rh)];
    },
  };
}

/** A plan whose own zone is as it was taught; a cabinet's air and warmth go by what joins it to its room. */
function taughtPlan({ rooms, zones, links }: ZonePlan, own: number, lesson: ZoneLesson): Omit<ZonePlan, 'rooms'> {
  const isCabinet = rooms.some(({ id }) => id === rooms[own]!.insideRoomId);
  return {
    zones: zones.map((zone, z) => (z === own ? taughtZone(zone, lesson) : zone)),
    links: isCabinet ? links.map((link) => (link.b === own ? taughtLink(link, lesson) : link)) : links,
  };
}

const otherWeather = ({ celsius, ratio }: Outdoors, warmer: number, wetter: number): Outdoors => ({
  celsius: celsius.map((one) => one + warmer * WEATHER.celsius),
  ratio: ratio.map((one) => one * Math.exp(wetter * WEATHER.water)),
});

/** Means of hours from values at full hours, the last midnight included. */
const hoursOf = (full: readonly number[]): number[] =>
  full.slice(0, -1).map((one, hour) => (one + full[hour + 1]!) / 2);

/** Means of three hours each; null where none of them was measured. */
function blocksOf(hours: readonly (number | null)[]): (number | null)[] {
  return Array.from({ length: BLOCKS }, (_, block) => {
    const known = hours.slice(block * BLOCK_H, (block + 1) * BLOCK_H).filter((one) => one !== null);
    return known.length === 0 ? null : known.reduce((sum, one) => sum + one, 0) / known.length;
  });
}
