/** Questions about light that a screen asks one at a time: a room through a day, a spot's light year, spots side by side, what is lost on the way. */
import { DAY_THRESHOLD_PPFD, sunOnPlan } from '../light';
import { directionInRoom, placedSpots, plus, times, vec, type PlacedSpot, type Vec } from '../room';
import { momentAt, type Moment, type SkyKind } from '../sky';
import { MINUTE_MS, daysInMonth, startOfCivilDay, type CivilDate } from '../units';
import { leafPlaceOf, planGrid, type Answerer } from './answers';
import { straightDli } from './conditions';
import type { HomeFacts, Spot, Window } from './facts';
import type { Reading } from './light-facts';
import type { Knowledge } from './knowledge';
import { OPENING, type HomeSky, type LeafPlace } from './lit-home';
import { daylightOf, momentLight } from './moments';
import { comparedReadings, type ComparedReading } from './readings';
import { sceneOf } from './scene';

/** Frames of a day: every quarter of an hour from local midnight. */
export const DAY_FRAMES = 96;
const FRAME_MINUTES = 1440 / DAY_FRAMES;

/** A room's plan through one day. */
export interface RoomDay {
  readonly columns: number;
  readonly rows: number;
  readonly heightM: number;
  /** PPFD, umol m-2 s-1, `frame * columns * rows + row * columns + column`. */
  readonly ppfd: Float32Array;
  /** PPFD at the leaves of each of its spots, by frame. */
  readonly spots: readonly { readonly spotId: string; readonly ppfd: Float32Array }[];
  /** Sun's patches on the floor by frame: outlines as points on the plan, m. */
  readonly patches: readonly (readonly (readonly { readonly x: number; readonly y: number }[])[])[];
  /** The sun by frame, degrees. */
  readonly sunElevationDeg: readonly number[];
  readonly sunAzimuthDeg: readonly number[];
}

/** Steps of a spot's light year: half hours down, days across. */
export const YEAR_ROWS = 48;
const ROW_MINUTES = 1440 / YEAR_ROWS;

/** What shines most on a spot at a time. */
export const SHINING = ['dark', 'sun', 'diffuse', 'lamps'] as const;

export interface LightYear {
  readonly days: number;
  /** PPFD under the mean sky, `day * YEAR_ROWS + row`. */
  readonly ppfd: Float32Array;
  /** Index in `SHINING` of what gives most. */
  readonly source: Uint8Array;
  /** First day of each month, from 0. */
  readonly monthStarts: readonly number[];
}

/** One of several places or ways held side by side. */
export interface Beside {
  readonly key: string;
  readonly what: 'here' | 'nearer' | 'farther' | 'spot' | 'no-curtain' | 'curtain';
  readonly spotId: string | null;
  /** Mean DLI by month, poor and good years of it, January first; all sources. */
  readonly dli: readonly number[];
  readonly poor: readonly number[];
  readonly good: readonly number[];
  readonly peakPpfd: readonly number[];
  /** The part of lamps in the mean. */
  readonly lampDli: readonly number[];
}

/** How much a change of place is asked for, m. */
const STEP_ASIDE_M = 0.5;
const LEAST_FROM_PANE_M = 0.08;

/** What a spot's straight daylight loses on its way, mol m-2 d-1, January first. */
export interface Losses {
  readonly outside: readonly number[];
  readonly glass: readonly number[];
  readonly shade: readonly number[];
  readonly curtain: readonly number[];
  readonly arrives: readonly number[];
}

export class LightQuestions {
  private readonly knowledge: Knowledge;

  constructor(private readonly answerer: Answerer) {
    this.knowledge = answerer.knowledge;
  }

  /** A room through the day of a date, under a stated sky. */
  roomDay(facts: HomeFacts, roomId: string, date: CivilDate, skyKind: SkyKind): RoomDay | null {
    const scene = sceneOf(facts, this.knowledge);
    const room = scene.rooms.get(roomId);
    if (!room) return null;
    const { columns, rows, heightM } = planGrid(room.room);
    const sky = this.answerer.lit.sky(facts, date.year);
    const cells = columns * rows;
    const ppfd = new Float32Array(DAY_FRAMES * cells);
    const startMs = startOfCivilDay(date, facts.home.timeZone);
    const moments = Array.from({ length: DAY_FRAMES }, (_, frame) => this.moment(facts, sky, startMs + (frame + 0.5) * FRAME_MINUTES * MINUTE_MS, skyKind, date));
    const at = (place: LeafPlace, frame: number, onDaylight = 1, onLamps = 1) => {
      const minute = Math.floor((frame + 0.5) * FRAME_MINUTES);
      const light = momentLight({ lit: this.answerer.lit, knowledge: this.knowledge, scene, place, sky, moment: moments[frame]!, minute, curtains: 'as-programmed', lamps: 'as-programmed' });
      return daylightOf(light) * onDaylight + light.lamps * onLamps + light.roomLight;
    };
    for (let row = 0; row < rows; row++) {
      for (let column = 0; column < columns; column++) {
        const leaf = vec(((column + 0.5) / columns) * room.room.widthM, ((row + 0.5) / rows) * room.room.depthM, heightM);
        const place: LeafPlace = { room, leaf, neighbours: [] };
        for (let frame = 0; frame < DAY_FRAMES; frame++) ppfd[frame * cells + row * columns + column] = at(place, frame);
      }
    }
    const spots = placedSpots(facts)
      .filter((placed) => placed.room.id === roomId)
      .map((placed) => {
        const place = leafPlaceOf(scene, placed);
        const correction = this.answerer.correctionOf(facts, placed.spot.id, date.year);
        return { spotId: placed.spot.id, ppfd: Float32Array.from({ length: DAY_FRAMES }, (_, frame) => at(place, frame, correction?.daylight?.factor, correction?.lamps?.factor)) };
      });
    const middle: LeafPlace = { room, leaf: vec(room.room.widthM / 2, room.room.depthM / 2, heightM), neighbours: [] };
    const { windows } = this.answerer.lit.windowsAt(scene, middle);
    const patches = moments.map((moment) => {
      if (moment.dni <= 0 || room.room.insideRoomId !== null) return [];
      const toSun = directionInRoom(room.room, moment.sunAzimuthDeg, moment.sunElevationDeg);
      return windows
        .filter(({ pane }) => pane.months.includes(moment.month))
        .map(({ pane }) => sunOnPlan(pane, room.room, toSun, 0).map(({ x, y }) => ({ x, y })))
        .filter((outline) => outline.length > 0);
    });
    return { columns, rows, heightM, ppfd, spots, patches, sunElevationDeg: moments.map((m) => m.sunElevationDeg), sunAzimuthDeg: moments.map((m) => m.sunAzimuthDeg) };
  }

  /** A spot's year: each half hour of each day under the mean sky. */
  lightYear(facts: HomeFacts, spotId: string, year: number): LightYear | null {
    const scene = sceneOf(facts, this.knowledge);
    const placed = placedSpots(facts).find(({ spot }) => spot.id === spotId);
    if (!placed) return null;
    const place = leafPlaceOf(scene, placed);
    const sky = this.answerer.lit.sky(facts, year);
    const correction = this.answerer.correctionOf(facts, spotId, year);
    const onDaylight = correction?.daylight?.factor ?? 1;
    const onLamps = correction?.lamps?.factor ?? 1;
    const monthDays = Array.from({ length: 12 }, (_, i) => daysInMonth(year, i + 1));
    const days = monthDays.reduce((sum, count) => sum + count, 0);
    const ppfd = new Float32Array(days * YEAR_ROWS);
    const source = new Uint8Array(days * YEAR_ROWS);
    const monthStarts: number[] = [];
    let at = 0;
    monthDays.forEach((count, month0) => {
      monthStarts.push(at / YEAR_ROWS);
      for (let day = 1; day <= count; day++) {
        const date = { year, month: month0 + 1, day };
        const startMs = startOfCivilDay(date, facts.home.timeZone);
        for (let row = 0; row < YEAR_ROWS; row++, at++) {
          const minute = (row + 0.5) * ROW_MINUTES;
          const moment = this.moment(facts, sky, startMs + minute * MINUTE_MS, 'typical', date);
          const light = momentLight({
            lit: this.answerer.lit, knowledge: this.knowledge, scene, place, sky, moment, minute, curtains: 'as-programmed', lamps: 'as-programmed', sunPatch: 'between-nodes',
          });
          const sun = light.sun * onDaylight;
          const diffuse = daylightOf(light) * onDaylight - sun;
          const lamps = light.lamps * onLamps + light.roomLight;
          ppfd[at] = sun + diffuse + lamps;
          source[at] = strongest(sun, diffuse, lamps);
        }
      }
    });
    return { days, ppfd, source, monthStarts };
  }

  /** A spot beside half a metre nearer to and farther from its nearest window, its curtains away, and other spots. */
  beside(facts: HomeFacts, spotId: string, others: readonly string[], year: number): Beside[] {
    const placed = placedSpots(facts).find(({ spot }) => spot.id === spotId);
    if (!placed) return [];
    const list: Beside[] = [this.besideOf(facts, 'here', 'here', spotId, year)];
    for (const [what, by] of [['nearer', STEP_ASIDE_M], ['farther', -STEP_ASIDE_M]] as const) {
      const moved = movedToward(facts, placed, by);
      if (moved) list.push(this.besideOf(moved, what, what, spotId, year));
    }
    const windows = facts.windows.filter((window) => window.roomId === lightRoomOf(facts, placed));
    if (windows.some((window) => window.curtainId !== 'none' || window.secondCurtainId !== 'none')) {
      list.push(this.besideOf({ ...facts, windows: facts.windows.map((window) => (windows.includes(window) ? bare(window) : window)) }, 'no-curtain', 'no-curtain', spotId, year));
    } else if (windows.length > 0) {
      list.push(this.besideOf({ ...facts, windows: facts.windows.map((window) => (windows.includes(window) ? sheer(window) : window)) }, 'curtain', 'curtain', spotId, year));
    }
    for (const other of others) list.push(this.besideOf(facts, `spot-${other}`, 'spot', other, year));
    return list;
  }

  /** What is lost between open windows and the leaf, step by step: things outside, glass with frame, dirt and reveal, shade inside, curtains. */
  losses(facts: HomeFacts, spotId: string, year: number): Losses | null {
    const placed = placedSpots(facts).find(({ spot }) => spot.id === spotId);
    if (!placed) return null;
    const straight = (given: HomeFacts) => this.straightOf(given, placed.spot, year);
    const room = lightRoomOf(facts, placed);
    const of = (given: HomeFacts, change: (window: Window) => Window): HomeFacts => ({ ...given, windows: given.windows.map((window) => (window.roomId === room ? change(window) : window)) });
    const uncurtained = of(facts, bare);
    const shellOf = (given: HomeFacts, opened: (roomId: string) => boolean): HomeFacts => ({ ...given, rooms: given.rooms.map((each) => (opened(each.id) ? { ...each, shellTransmittance: 1 } : each)) });
    const withoutCabinets = shellOf(uncurtained, (roomId) => roomId !== placed.room.id);
    const unshaded: HomeFacts = { ...withoutCabinets, blocks: [], plants: [], tiers: uncurtained.tiers.map((tier) => ({ ...tier, board: 'open' as const })) };
    const unglazed = of(shellOf(unshaded, () => true), (window) => ({ ...window, glazingId: OPENING, frameShare: 0, dirtShare: 0, revealM: 0 }));
    const open: HomeFacts = { ...of(unglazed, (window) => ({ ...window, outsideKind: 'open', overhangM: 0 })), obstructions: [] };
    const steps = [open, unglazed, unshaded, uncurtained, facts].map(straight);
    const lost = (i: number) => steps[i]!.map((dli, month0) => Math.max(0, dli - steps[i + 1]![month0]!));
    return { outside: lost(0), glass: lost(1), shade: lost(2), curtain: lost(3), arrives: steps[4]! };
  }

  /** What the model says for a reading that is being taken, and how the two compare. */
  compare(facts: HomeFacts, reading: Reading, year: number): ComparedReading | null {
    const scene = sceneOf({ ...facts, readings: [reading] }, this.knowledge);
    const [compared] = comparedReadings({ lit: this.answerer.lit, knowledge: this.knowledge, scene, sky: this.answerer.lit.sky(facts, year), placeOf: (spot) => leafPlaceOf(scene, spot) });
    return compared ?? null;
  }

  private moment(facts: HomeFacts, { weather, turbidity }: HomeSky, atMs: number, sky: SkyKind, date: CivilDate): Moment {
    return momentAt({ atMs, place: facts.home, timeZone: facts.home.timeZone, date, sky, turbidity, weather });
  }

  private besideOf(facts: HomeFacts, key: string, what: Beside['what'], spotId: string, year: number): Beside {
    const conditions = this.answerer.conditionsOf(facts, spotId, year);
    return {
      key,
      what,
      spotId,
      dli: conditions.map((condition) => condition.dli),
      poor: conditions.map((condition) => condition.dliPoorYear),
      good: conditions.map((condition) => condition.dliGoodYear),
      peakPpfd: conditions.map((condition) => condition.peakPpfd),
      lampDli: conditions.map((condition) => condition.shares.roomLight + Object.values(condition.shares.lamps).reduce((sum, dli) => sum + dli, 0)),
    };
  }

  /** Straight daylight of a spot by month, as the model has it. */
  private straightOf(facts: HomeFacts, spot: Spot, year: number): number[] {
    const scene = sceneOf(facts, this.knowledge);
    const placed = placedSpots(facts).find((candidate) => candidate.spot.id === spot.id)!;
    const { year: daylight } = this.answerer.lit.daylight(scene, leafPlaceOf(scene, placed), this.answerer.lit.sky(facts, year));
    return Array.from({ length: 12 }, (_, month0) => straightDli(daylight, month0));
  }
}

function strongest(sun: number, diffuse: number, lamps: number): number {
  const most = Math.max(sun, diffuse, lamps);
  if (most < DAY_THRESHOLD_PPFD) return 0;
  return most === sun ? 1 : most === diffuse ? 2 : 3;
}

const bare = (window: Window): Window => ({ ...window, curtainId: 'none', secondCurtainId: 'none' });
const sheer = (window: Window): Window => ({ ...window, curtainId: 'sheer', curtainMonths: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12], curtainFromMinute: 0, curtainToMinute: 1440 });

/** The room whose windows light a spot: its own, or the one its cabinet stands in. */
const lightRoomOf = (facts: HomeFacts, { room }: PlacedSpot): string => (facts.rooms.some(({ id }) => id === room.insideRoomId) ? room.insideRoomId! : room.id);

/** The home with one spot's leaves moved toward its nearest window's middle, level; null when that leads out of the room or there is none. */
function movedToward(facts: HomeFacts, placed: PlacedSpot, byM: number): HomeFacts | null {
  const { room, leaf, spot } = placed;
  const centres = facts.windows.filter((window) => window.roomId === room.id).map((window) => windowMiddle(room, window));
  if (centres.length === 0) return null;
  const flat = (v: Vec) => vec(v.x, v.y, 0);
  const away = (centre: Vec) => Math.hypot(centre.x - leaf.x, centre.y - leaf.y);
  const nearest = centres.reduce((p, q) => (away(q) < away(p) ? q : p));
  const distance = away(nearest);
  if (distance < 1e-6) return null;
  const by = Math.min(byM, distance - LEAST_FROM_PANE_M);
  if (Math.abs(by) < 0.1) return null;
  const way = times(flat(vec(nearest.x - leaf.x, nearest.y - leaf.y, 0)), by / distance);
  const there = plus(leaf, way);
  if (there.x < LEAST_FROM_PANE_M || there.y < LEAST_FROM_PANE_M || there.x > room.widthM - LEAST_FROM_PANE_M || there.y > room.depthM - LEAST_FROM_PANE_M) return null;
  return { ...facts, spots: facts.spots.map((other) => (other.id === spot.id ? { ...other, alongM: other.alongM + way.x, acrossM: other.acrossM + way.y } : other)) };
}

function windowMiddle(room: HomeFacts['rooms'][number], window: Window): Vec {
  const along = window.offsetM + window.widthM / 2;
  switch (window.side) {
    case 'a':
      return vec(along, window.insetM, 0);
    case 'b':
      return vec(room.widthM - window.insetM, along, 0);
    case 'c':
      return vec(along, room.depthM - window.insetM, 0);
    case 'd':
      return vec(window.insetM, along, 0);
  }
}
