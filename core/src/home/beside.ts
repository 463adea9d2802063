/** A spot held side by side with itself moved or otherwise curtained, and with other spots. */
import { placedSpots, plus, times, vec, type PlacedSpot, type Vec } from '../room';
import { ALL_MONTHS } from '../units';
import type { Answerer } from './answers';
import type { HomeFacts, Window } from './facts';
import { bare, lightRoomOf, withWindowsOf } from './window-changes';

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

/** A spot beside half a metre nearer to and farther from its nearest window, its curtains away, and other spots. */
export function beside(
  answerer: Answerer,
  facts: HomeFacts,
  spotId: string,
  others: readonly string[],
  year: number,
): Beside[] {
  const placed = placedSpots(facts).find(({ spot }) => spot.id === spotId);
  if (!placed) return [];
  const list: Beside[] = [besideOf(answerer, facts, 'here', 'here', spotId, year)];
  for (const [what, by] of [
    ['nearer', STEP_ASIDE_M],
    ['farther', -STEP_ASIDE_M],
  ] as const) {
    const moved = movedToward(facts, placed, by);
    if (moved) list.push(besideOf(answerer, moved, what, what, spotId, year));
  }
  const room = lightRoomOf(facts, placed);
  const windows = facts.windows.filter((window) => window.roomId === room);
  if (windows.some((window) => window.curtainId !== 'none' || window.secondCurtainId !== 'none')) {
    list.push(besideOf(answerer, withWindowsOf(facts, room, bare), 'no-curtain', 'no-curtain', spotId, year));
  } else if (windows.length > 0) {
    list.push(besideOf(answerer, withWindowsOf(facts, room, sheer), 'curtain', 'curtain', spotId, year));
  }
  for (const other of others) list.push(besideOf(answerer, facts, `spot-${other}`, 'spot', other, year));
  return list;
}

function besideOf(
  answerer: Answerer,
  facts: HomeFacts,
  key: string,
  what: Beside['what'],
  spotId: string,
  year: number,
): Beside {
  const conditions = answerer.conditionsOf(facts, spotId, year);
  return {
    key,
    what,
    spotId,
    dli: conditions.map((condition) => condition.dli),
    poor: conditions.map((condition) => condition.dliPoorYear),
    good: conditions.map((condition) => condition.dliGoodYear),
    peakPpfd: conditions.map((condition) => condition.peakPpfd),
    lampDli: conditions.map(
      (condition) =>
        condition.shares.roomLight + Object.values(condition.shares.lamps).reduce((sum, dli) => sum + dli, 0),
    ),
  };
}

const sheer = (window: Window): Window => ({
  ...window,
  curtainId: 'sheer',
  curtainMonths: [...ALL_MONTHS],
  curtainFromMinute: 0,
  curtainToMinute: 1440,
});

/** The home with one spot's leaves moved toward its nearest window's middle, level; null when that leads out of the room or there is none. */
function movedToward(facts: HomeFacts, placed: PlacedSpot, byM: number): HomeFacts | null {
  const { room, leaf, spot } = placed;
  const centres = facts.windows
    .filter((window) => window.roomId === room.id)
    .map((window) => windowMiddle(room, window));
  if (centres.length === 0) return null;
  const away = (centre: Vec) => Math.hypot(centre.x - leaf.x, centre.y - leaf.y);
  const nearest = centres.reduce((p, q) => (away(q) < away(p) ? q : p));
  const distance = away(nearest);
  if (distance < 1e-6) return null;
  const by = Math.min(byM, distance - LEAST_FROM_PANE_M);
  if (Math.abs(by) < 0.1) return null;
  const way = times(vec(nearest.x - leaf.x, nearest.y - leaf.y, 0), by / distance);
  const there = plus(leaf, way);
  if (
    there.x < LEAST_FROM_PANE_M ||
    there.y < LEAST_FROM_PANE_M ||
    there.x > room.widthM - LEAST_FROM_PANE_M ||
    there.y > room.depthM - LEAST_FROM_PANE_M
  )
    return null;
  return {
    ...facts,
    spots: facts.spots.map((other) =>
      other.id === spot.id ? { ...other, alongM: other.alongM + way.x, acrossM: other.acrossM + way.y } : other,
    ),
  };
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
