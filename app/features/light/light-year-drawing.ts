/** A light year as shapes: stretches of hours alike in source and strength, and the sums of each day. */
import { MOL_PER_UMOL_HOUR, SHINING, YEAR_ROWS, type LightYear } from '@dulvan/core';

/** From which PPFD each step of strength begins, umol m-2 s-1. */
export const STRENGTHS = [0.5, 10, 50, 150, 400] as const;

export interface Stretches {
  readonly source: (typeof SHINING)[number];
  /** Index in `STRENGTHS`. */
  readonly strength: number;
  /** An SVG path of all its stretches, at an origin and so many px a day and a row. */
  readonly path: (left: number, top: number, perDay: number, perRow: number) => string;
}

/** Puts cells alike into one path for each source and strength: a few paths instead of thousands of boxes. */
export function stretchPaths(year: LightYear): Stretches[] {
  const byKind = new Map<
    string,
    { source: number; strength: number; runs: [day: number, from: number, to: number][] }
  >();
  for (let day = 0; day < year.days; day++) {
    let row = 0;
    while (row < YEAR_ROWS) {
      const source = year.source[day * YEAR_ROWS + row]!;
      const strength = strengthOf(year.ppfd[day * YEAR_ROWS + row]!);
      let end = row + 1;
      while (
        end < YEAR_ROWS &&
        year.source[day * YEAR_ROWS + end] === source &&
        strengthOf(year.ppfd[day * YEAR_ROWS + end]!) === strength
      )
        end++;
      if (source !== 0 && strength >= 0) {
        const key = `${source}/${strength}`;
        const kind = byKind.get(key) ?? { source, strength, runs: [] };
        kind.runs.push([day, row, end]);
        byKind.set(key, kind);
      }
      row = end;
    }
  }
  return [...byKind.values()].map(({ source, strength, runs }) => ({
    source: SHINING[source]!,
    strength,
    path: (left, top, perDay, perRow) =>
      runs
        .map(
          ([day, from, to]) =>
            `M${(left + day * perDay).toFixed(1)} ${(top + from * perRow).toFixed(1)}h${(perDay + 0.15).toFixed(2)}v${((to - from) * perRow).toFixed(1)}h${(-perDay - 0.15).toFixed(2)}z`,
        )
        .join(''),
  }));
}

function strengthOf(ppfd: number): number {
  return STRENGTHS.findLastIndex((from) => ppfd >= from);
}

const HOURS_A_ROW = 24 / YEAR_ROWS;

/** Light of each day, mol m-2. */
export function dailyDli({ ppfd, days }: LightYear): number[] {
  return Array.from(
    { length: days },
    (_, day) =>
      ppfd.subarray(day * YEAR_ROWS, (day + 1) * YEAR_ROWS).reduce((sum, value) => sum + value, 0) *
      HOURS_A_ROW *
      MOL_PER_UMOL_HOUR,
  );
}

/** Hours of each day in which a leaf notices light. */
export function lightHours({ source, days }: LightYear): number[] {
  return Array.from(
    { length: days },
    (_, day) =>
      source.subarray(day * YEAR_ROWS, (day + 1) * YEAR_ROWS).reduce((sum, value) => sum + (value === 0 ? 0 : 1), 0) *
      HOURS_A_ROW,
  );
}
