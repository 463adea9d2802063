/** The air of a room in each month: what the grower stated, and between stated months what follows from them. */
import type { AirStatement } from '../facts';

export interface AirMonth {
  readonly month: number;
  readonly dayC: number;
  readonly nightC: number;
  readonly dayRh: number;
  readonly nightRh: number;
  /** `stated` by the grower for this month, `between` stated months, or `assumed` because nothing was stated. */
  readonly basis: 'stated' | 'between' | 'assumed';
}

/** A heated room nobody has measured yet. */
const ASSUMED = { dayC: 20, nightC: 18, dayRh: 45, nightRh: 50 };

/**
 * Twelve months of a room's air. Months between two stated ones are read along a straight line, round the turn of
 * the year; one statement holds for all months; none at all gives a plain heated room, marked as assumed.
 */
export function airYear(statements: readonly AirStatement[]): AirMonth[] {
  const stated = [...statements].sort((p, q) => p.month - q.month);
  return Array.from({ length: 12 }, (_, i) => {
    const month = i + 1;
    const exact = stated.find((statement) => statement.month === month);
    if (exact) return { ...valuesOf(exact), month, basis: 'stated' };
    if (stated.length === 0) return { ...ASSUMED, month, basis: 'assumed' };
    const after = stated.find((statement) => statement.month > month) ?? stated[0]!;
    const before = stated.findLast((statement) => statement.month < month) ?? stated[stated.length - 1]!;
    const gap = (after.month - before.month + 12) % 12 || 12;
    const share = ((month - before.month + 12) % 12) / gap;
    const between = (p: number, q: number) => p + (q - p) * share;
    return {
      month,
      dayC: between(before.dayC, after.dayC),
      nightC: between(before.nightC, after.nightC),
      dayRh: between(before.dayRh, after.dayRh),
      nightRh: between(before.nightRh, after.nightRh),
      basis: 'between',
    };
  });
}

function valuesOf({ dayC, nightC, dayRh, nightRh }: AirStatement) {
  return { dayC, nightC, dayRh, nightRh };
}
