/** The air of a room in each month: what the grower stated, and between stated months what follows from them. */
import type { AirMovement, AirStatement, AirThingKind } from '../facts';
import type { SpellShape } from './spell';

export interface AirMonth {
  readonly month: number;
  readonly dayC: number;
  readonly nightC: number;
  readonly dayRh: number;
  readonly nightRh: number;
  /**
   * `stated` by the grower for this month; `computed` from the room and its outdoors; `corrected`, the same with what
   * was stated for other months. Where nothing tells the outdoors: `between` stated months, or `assumed`.
   */
  readonly basis: 'stated' | 'computed' | 'corrected' | 'between' | 'assumed';
}

/** How far the truth may lie from what is computed: about four times in five it lies within. */
export interface AirSpread {
  readonly celsius: number;
  /** Humidity may be so many points less or more. */
  readonly rhBelow: number;
  readonly rhAbove: number;
}

/** One thing that parts a spot's air from its room's. */
export interface AirStep {
  readonly from: 'height' | 'pane' | 'lamp' | 'record' | AirThingKind;
  /** The thing or lamp, where it is one. */
  readonly id: string | null;
  readonly dayK: number;
  readonly nightK: number;
  /** Water in the air, as a factor on the room's. */
  readonly water: number;
}

/** The air at a spot in a month. */
export interface SpotAirMonth extends AirMonth {
  readonly lowC: number;
  readonly highC: number;
  readonly coldNightC: number;
  readonly hotDayC: number;
  /** How long that night and that day stay near their extremes. */
  readonly coldSpell: SpellShape;
  readonly hotSpell: SpellShape;
  readonly movement: AirMovement;
  readonly spread: AirSpread;
  /** What parts it from its room, the most first. */
  readonly steps: readonly AirStep[];
}

/** A heated room nobody has measured yet. */
const ASSUMED = { dayC: 20, nightC: 18, dayRh: 45, nightRh: 50 };

/** Values known for some months. */
interface KnownMonth {
  readonly month: number;
  readonly values: readonly number[];
}

/**
 * A value for each month (1..12) from those known for some: on straight lines between, round the turn of the year; one
 * holds for all months. @param known at least one
 */
export function statedLine(known: readonly KnownMonth[]): (month: number) => readonly number[] {
  const sorted = [...known].sort((p, q) => p.month - q.month);
  return (month) => {
    const exact = sorted.find((one) => one.month === month);
    if (exact) return exact.values;
    const after = sorted.find((one) => one.month > month) ?? sorted[0]!;
    const before = sorted.findLast((one) => one.month < month) ?? sorted[sorted.length - 1]!;
    const gap = (after.month - before.month + 12) % 12 || 12;
    const share = ((month - before.month + 12) % 12) / gap;
    return before.values.map((value, i) => value + (after.values[i]! - value) * share);
  };
}

/**
 * Twelve months of a room's air from statements alone. Months between two stated ones are read along a straight line;
 * none at all gives a plain heated room, marked as assumed.
 */
export function airYear(statements: readonly AirStatement[]): AirMonth[] {
  const months = Array.from({ length: 12 }, (_, i) => i + 1);
  if (statements.length === 0) return months.map((month) => ({ ...ASSUMED, month, basis: 'assumed' }));
  const line = statedLine(
    statements.map(({ month, dayC, nightC, dayRh, nightRh }) => ({ month, values: [dayC, nightC, dayRh, nightRh] })),
  );
  return months.map((month) => {
    const [dayC, nightC, dayRh, nightRh] = line(month) as [number, number, number, number];
    const isStated = statements.some((one) => one.month === month);
    return { month, dayC, nightC, dayRh, nightRh, basis: isStated ? 'stated' : 'between' };
  });
}
