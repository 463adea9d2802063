/** A spot held side by side with itself moved or otherwise curtained, and with other spots. */
import { placedSpots, plus, times, vec, windowMiddle, type PlacedSpot, type Vec } from '../room';
import { ALL_MONTHS } from '../units';
import type { HomeFacts, Window } from '../facts';
import { bare, lightRoomOf, withWindowsOf, type HomeEngine, type Steps } from '../home';

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

export interface BesideParams {
  readonly spotId: string;
  /** Spots to hold beside it. */
  readonly others: readonly string[];
  readonly year: number;
}

/** A place or a way that is asked for. */
interface Asked {
  readonly facts: HomeFacts;
  readonly key: string;
  readonly what: Beside['what'];
  readonly spotId: string;
}

/** A spot beside half a metre nearer to and farther from its nearest window, its curtains away, and other spots. */
export function* beside(engine: HomeEngine, facts: HomeFacts, { spotId, others, year }: BesideParams): Steps<Beside[]> {
  const placed = placedSpots(facts).find(({ spot }) => spot.id === spotId);
  if (!placed) return [];
  const here = (what: Beside['what'], changed: HomeFacts): Asked => ({ facts: changed, key: what, what, spotId });
  const asked: Asked[] = [here('here', facts)];
  for (const [what, by] of [
    ['nearer', STEP_ASIDE_M],
    ['farther', -STEP_ASIDE_M],
  ] as const) {
    const moved = movedToward(facts, placed, by);
    if (moved) asked.push(here(what, moved));
  }
  const room = lightRoomOf(facts, placed);
  const windows = facts.windows.filter((window) => window.roomId === room);
  if (windows.some((window) => window.curtains.length > 0)) {
    asked.push(here('no-curtain', withWindowsOf(facts, room, bare)));
  } else if (windows.length > 0) {
    asked.push(here('curtain', withWindowsOf(facts, room, sheer)));
  }
  for (const other of others) asked.push({ facts, key: `spot-${other}`, what: 'spot', spotId: other });
  const list: Beside[] = [];
  for (const [i, each] of asked.entries()) {
    yield i / asked.length;
    list.push(besideOf(engine, each, year));
  }
  return list;
}

function besideOf(engine: HomeEngine, { facts, key, what, spotId }: Asked, year: number): Beside {
  const conditions = engine.conditionsOf(facts, spotId, year);
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
  curtains: [{ curtainId: 'sheer', months: ALL_MONTHS, fromMinute: 0, toMinute: 1440 }],
});

/**
 * The home with one spot's leaves moved toward its nearest window's middle, level; null when that leads out of the
 * room or there is none.
 */
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
