/** The air outdoors from a year of measured hours: a month's typical day, and its spells. */
import { humidityRatio, relativeHumidity } from './moist';
import type { Spell } from './outdoor-day';
import type { Outdoors } from './zones';

/** One hour of a year's air. */
export interface AirHour {
  readonly celsius: number;
  /** Per cent. */
  readonly rh: number;
}

const HOURS = 24;
/** A spell's day is the most unusual of so many: what comes once or twice in a month, not the record. */
const ONE_OF = 20;

interface Day {
  readonly celsius: readonly number[];
  readonly ratio: readonly number[];
}

const mean = (list: readonly number[]) => list.reduce((sum, value) => sum + value, 0) / list.length;

/** How much of a spell a day has: the most first. */
function rankOf(spell: Exclude<Spell, 'typical'>, { celsius, ratio }: Day, pressurePa: number): number {
  const warmth = mean(celsius);
  const moisture = mean(celsius.map((one, hour) => relativeHumidity(one, ratio[hour]!, pressurePa)));
  switch (spell) {
    case 'cold':
      return -warmth;
    case 'hot':
      return warmth;
    case 'damp':
      return moisture;
    case 'dry':
      return -moisture;
  }
}

/**
 * A day's air outdoors from a month of measured hours.
 * @param hours of whole days, from midnight by the home's clock @param pressurePa of the home
 */
export function measuredDay(hours: readonly AirHour[], spell: Spell, pressurePa: number): Outdoors {
  const days = Array.from({ length: Math.floor(hours.length / HOURS) }, (_, i): Day => {
    const own = hours.slice(i * HOURS, (i + 1) * HOURS);
    return {
      celsius: own.map(({ celsius }) => celsius),
      ratio: own.map(({ celsius, rh }) => humidityRatio(celsius, rh, pressurePa)),
    };
  });
  if (spell === 'typical') {
    const byHour = (of: (day: Day) => readonly number[]) =>
      Array.from({ length: HOURS }, (_, hour) => mean(days.map((day) => of(day)[hour]!)));
    return { celsius: byHour(({ celsius }) => celsius), ratio: byHour(({ ratio }) => ratio) };
  }
  const ranked = days.map((day) => ({ day, rank: rankOf(spell, day, pressurePa) })).sort((p, q) => q.rank - p.rank);
  return ranked[Math.floor(days.length / ONE_OF)]!.day;
}
