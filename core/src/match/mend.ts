/** What would mend a trouble: the change that helps most, or the reason why none does. */
import { roomIdOfSpot, type HomeFacts, type Plant } from '../facts';
import type { Condition, Trouble } from '../fit';
import type { SpotChoice } from './rank';

export type Mend =
  | { readonly kind: 'move'; readonly spotId: string; readonly wholeBefore: number; readonly wholeAfter: number }
  /** Let a circuit burn longer or shorter: the new hour at which it goes off or comes on. */
  | { readonly kind: 'lamp-hours'; readonly circuitId: string; readonly onMinute: number; readonly offMinute: number }
  /** Hang or shut a curtain of this kind at a window in the months given. */
  | {
      readonly kind: 'curtain';
      readonly windowId: string;
      readonly curtainId: string;
      readonly months: readonly number[];
    }
  | { readonly kind: 'place'; readonly why: 'no-spot-here-suits' | 'stands-nowhere' }
  /** No spot or lamp helps: the room's air itself must change. */
  | {
      readonly kind: 'air';
      readonly roomId: string;
      readonly what: 'warmer' | 'cooler' | 'moister' | 'drier' | 'moving' | 'calmer';
    };

/** A move is worth the effort when the year's fit rises at least this much. */
const WORTH_MOVING = 0.08;
/** Longest day a lamp is asked to make, minutes. */
const LONGEST_LAMP_DAY = 16 * 60;
const HALF_HOUR = 30;

export interface MendInputs {
  readonly facts: HomeFacts;
  readonly plant: Plant;
  readonly trouble: Trouble;
  /** Where it stands now, in the trouble's worst month. */
  readonly condition: Condition;
  readonly whole: number;
  readonly bestFree: SpotChoice | null;
}

/** The one change to try first for a trouble. */
export function mendOf(question: MendInputs): Mend {
  const { facts, plant, trouble, condition, whole, bestFree } = question;
  if (plant.spotId === null) return bestFree ? moveTo(bestFree, 0) : { kind: 'place', why: 'stands-nowhere' };
  const byLamp =
    trouble.factor === 'light' || trouble.factor === 'day-length' ? lampHours(facts, trouble, condition) : null;
  if (byLamp) return byLamp;
  if (bestFree && bestFree.whole > whole + WORTH_MOVING) return moveTo(bestFree, whole);
  if (trouble.factor === 'light' && trouble.direction === 'too-much') {
    const curtain = sheerCurtain(facts, plant.spotId, trouble);
    if (curtain) return curtain;
  }
  const roomId = roomIdOfSpot(facts, plant.spotId);
  if (roomId !== null) {
    if (trouble.factor === 'warmth')
      return { kind: 'air', roomId, what: trouble.direction === 'too-little' ? 'warmer' : 'cooler' };
    if (trouble.factor === 'moisture')
      return { kind: 'air', roomId, what: trouble.direction === 'too-little' ? 'moister' : 'drier' };
    if (trouble.factor === 'air')
      return { kind: 'air', roomId, what: trouble.direction === 'too-little' ? 'moving' : 'calmer' };
  }
  return { kind: 'place', why: 'no-spot-here-suits' };
}

function moveTo(best: SpotChoice, wholeBefore: number): Mend {
  return { kind: 'move', spotId: best.spotId, wholeBefore, wholeAfter: best.whole };
}

/** The circuit that gives the spot most of its lamp light, and the hours that would bring what is wanted. */
function lampHours(facts: HomeFacts, trouble: Trouble, condition: Condition): Mend | null {
  const strongest = Object.entries(condition.shares.lamps).sort(([, p], [, q]) => q - p)[0];
  const lamp = strongest && facts.lamps.find((candidate) => candidate.id === strongest[0]);
  const circuit = lamp && facts.circuits.find((candidate) => candidate.id === lamp.circuitId);
  if (!circuit || !circuit.months.includes(condition.month)) return null;
  const burnsMin = circuit.offMinute - circuit.onMinute;
  if (trouble.aspect === 'dli') {
    const lampDli = facts.lamps
      .filter((other) => other.circuitId === circuit.id)
      .reduce((sum, other) => sum + (condition.shares.lamps[other.id] ?? 0), 0);
    if (lampDli <= 0) return null;
    const wanted = trouble.direction === 'too-little' ? trouble.worst.wantsFrom : trouble.worst.wantsTo;
    const minutes = burnsMin * (1 + (wanted - condition.dli) / lampDli);
    return resized(circuit, trouble.direction === 'too-little' ? minutes + HALF_HOUR : minutes, trouble.direction);
  }
  if (trouble.aspect === 'night-length' || trouble.aspect === 'day-length') {
    const wantedDayH =
      trouble.aspect === 'night-length'
        ? 24 - trouble.worst.wantsFrom
        : trouble.direction === 'too-little'
          ? trouble.worst.wantsFrom
          : trouble.worst.wantsTo;
    const direction = trouble.aspect === 'night-length' ? 'too-much' : trouble.direction;
    // Where daylight alone is too long, no timer helps.
    return burnsMin / 60 > wantedDayH || direction === 'too-little'
      ? resized(circuit, wantedDayH * 60, direction)
      : null;
  }
  return null;
}

function resized(
  circuit: { readonly id: string; readonly onMinute: number; readonly offMinute: number },
  wantedMinutes: number,
  direction: Trouble['direction'],
): Mend | null {
  const minutes = Math.round(wantedMinutes / HALF_HOUR) * HALF_HOUR;
  const now = circuit.offMinute - circuit.onMinute;
  const useful =
    direction === 'too-little' ? minutes > now && minutes <= LONGEST_LAMP_DAY : minutes < now && minutes >= HALF_HOUR;
  if (!useful) return null;
  const offMinute = Math.min(1440, circuit.onMinute + minutes);
  return { kind: 'lamp-hours', circuitId: circuit.id, onMinute: offMinute - minutes, offMinute };
}

function sheerCurtain(facts: HomeFacts, spotId: string, trouble: Trouble): Mend | null {
  const roomId = roomIdOfSpot(facts, spotId);
  const window = facts.windows
    .filter((candidate) => candidate.roomId === roomId && candidate.curtains.length === 0)
    .sort((p, q) => q.widthM * q.heightM - p.widthM * p.heightM)[0];
  return window ? { kind: 'curtain', windowId: window.id, curtainId: 'sheer', months: trouble.months } : null;
}
