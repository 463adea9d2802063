/**
 * Settings tried where a plant stands: lamps, curtains, the spot's own place and the room's air, for every plant they
 * touch.
 */
import { vapourPressureDeficit } from '../air';
import { applied, type Plant } from '../facts';
import type { Condition } from '../fit';
import { changesOf, type AirRemedy, type Effect, type Remedy } from '../match';
import type { Conditions } from './home-answers';
import { SHADES_FROM_CM, besideOn, scoreNow, scoreUnder, type Desk, type Prospect } from './mend-desk';

/** What a setting does to every plant it touches; null where that is not worked out in this answer any more. */
export function settingOf(desk: Desk, remedy: Remedy, plant: Plant): Prospect | null {
  const key = JSON.stringify(remedy);
  let changed = desk.settings.get(key);
  if (changed === undefined) {
    changed = remedy.kind === 'air' ? airChanged(desk, remedy) : workedOut(desk, remedy);
    desk.settings.set(key, changed);
  }
  const after = changed?.get(plant.spotId!);
  if (!changed || !after) return null;
  const effects: Effect[] = [];
  for (const [spotId, year] of changed) {
    for (const each of desk.occupants.get(spotId) ?? []) {
      const score = scoreUnder(desk, each, year);
      if (score !== null) effects.push({ plantId: each.id, before: scoreNow(desk, each), after: score });
    }
  }
  return { remedy, effects, after };
}

function workedOut(desk: Desk, remedy: Remedy): Conditions | null {
  const { engine, facts, when, left } = desk;
  const touched = touchedBy(desk, remedy);
  const budget = remedy.kind === 'shift' ? 'elsewhere' : 'settings';
  if (touched.length > left[budget]) return null;
  left[budget] -= touched.length;
  const changed = applied(facts, changesOf(remedy, facts, ''));
  if (!changed) return null;
  // A lamp warms the air of a cabinet; in a room it hardly does.
  const inCabinet = touched.some((spotId) => {
    const roomId = desk.roomOf.get(spotId);
    return facts.rooms.some(({ id, insideRoomId }) => id === roomId && insideRoomId !== null);
  });
  return engine.conditionsAt(changed, touched, when.year, inCabinet ? changed : facts);
}

/**
 * A lamp that gives a spot less than this share of its light in every month does not touch it: no verdict moves by a
 * point for it.
 */
const TOUCHES_FROM_SHARE = 0.03;

/** Occupied spots whose light a setting changes. */
function touchedBy({ facts, conditions, occupants, roomOf }: Desk, remedy: Remedy): string[] {
  const taken = [...occupants.keys()].filter((id) => conditions.has(id));
  switch (remedy.kind) {
    case 'lamp-hours':
    case 'dim':
    case 'hang': {
      const lamps = facts.lamps.filter(({ id, circuitId }) =>
        remedy.kind === 'lamp-hours' ? circuitId === remedy.circuitId : id === remedy.lampId,
      );
      return taken.filter((spotId) =>
        conditions
          .get(spotId)!
          .some(({ shares, dli }) => lamps.some(({ id }) => (shares.lamps[id] ?? 0) > TOUCHES_FROM_SHARE * dli)),
      );
    }
    case 'curtain':
    case 'open': {
      const roomId = facts.windows.find(({ id }) => id === remedy.windowId)!.roomId;
      const rooms = new Set(
        facts.rooms.filter(({ id, insideRoomId }) => id === roomId || insideRoomId === roomId).map(({ id }) => id),
      );
      return taken.filter((spotId) => rooms.has(roomOf.get(spotId) ?? ''));
    }
    case 'shift': {
      const shades = (occupants.get(remedy.spotId) ?? []).some(({ heightCm }) => (heightCm ?? 0) >= SHADES_FROM_CM);
      return shades ? besideOn(facts, remedy.spotId, taken) : [remedy.spotId];
    }
    default:
      return [];
  }
}

/**
 * What is changed of a room's air when it is told to be otherwise: about what a heater's knob, a tray or a fan can do.
 */
const AIR_STEP_K = 3;

const AIR_STEP_RH = 15;

function airChanged({ conditions, occupants, roomOf }: Desk, remedy: Extract<Remedy, { kind: 'air' }>): Conditions {
  const here = [...occupants.keys()].filter((id) => conditions.has(id) && roomOf.get(id) === remedy.roomId);
  return new Map(
    here.map((spotId) => [
      spotId,
      conditions
        .get(spotId)!
        .map((condition) => (remedy.months.includes(condition.month) ? withAir(condition, remedy.what) : condition)),
    ]),
  );
}

function withAir(condition: Condition, what: AirRemedy): Condition {
  const { air, coldNightC, hotDayC, airMovement } = condition;
  const kelvin = what === 'warmer' ? AIR_STEP_K : what === 'cooler' ? -AIR_STEP_K : 0;
  const points = what === 'moister' ? AIR_STEP_RH : what === 'drier' ? -AIR_STEP_RH : 0;
  const rh = (given: number) => Math.max(5, Math.min(100, given + points));
  const changed = {
    ...air,
    dayC: air.dayC + kelvin,
    nightC: air.nightC + kelvin,
    dayRh: rh(air.dayRh),
    nightRh: rh(air.nightRh),
  };
  return {
    ...condition,
    air: changed,
    coldNightC: coldNightC + kelvin,
    hotDayC: hotDayC + kelvin,
    airMovement:
      what === 'moving' && airMovement === 'still'
        ? 'gentle'
        : what === 'moving' && airMovement === 'gentle'
          ? 'brisk'
          : airMovement,
    vpdDay: vapourPressureDeficit(changed.dayC, changed.dayRh),
  };
}
