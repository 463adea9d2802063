/** The air outdoors hour by hour: a typical day of a month, and the spells that a grower fears. */
import { humidityRatio, saturationRatio } from './moist';
import type { Outdoors } from './zones';

/** What a climate says of a month's air. */
export interface OutdoorMonth {
  /** Mean of the days' highest and lowest, C. */
  readonly dayC: number;
  readonly nightC: number;
  /** Mean over day and night, per cent. */
  readonly rh: number;
}

export const SPELLS = ['typical', 'cold', 'hot', 'damp', 'dry'] as const;
export type Spell = (typeof SPELLS)[number];

/**
 * How a spell differs from its month: highest and lowest of the day, K, and the water in its air, as a part of what it
 * could hold. Judgement: about the most unusual of twenty days, from daily records of mild climates.
 */
const SPELL: Readonly<Record<Spell, { readonly dayK: number; readonly nightK: number; readonly water: number }>> = {
  typical: { dayK: 0, nightK: 0, water: 1 },
  cold: { dayK: -7, nightK: -8, water: 1 },
  hot: { dayK: 8, nightK: 4, water: 0.9 },
  damp: { dayK: -2, nightK: 1, water: 1.15 },
  dry: { dayK: 2, nightK: -2, water: 0.65 },
};

/** The warmest hour, by the clock. */
const WARMEST_H = 15;
/** Air outdoors is seldom wetter, part of what it can hold. */
const FULL = 0.98;

/**
 * Part of the way from the day's lowest to its highest at an hour: half waves from sunrise to the warmest hour and
 * back. Goudriaan and van Laar 1994.
 */
function warmthShare(hour: number, sunriseH: number): number {
  const rising = WARMEST_H - sunriseH;
  const since = (hour - sunriseH + 24) % 24;
  const phase = since <= rising ? since / rising : 1 + (since - rising) / (24 - rising);
  return (1 - Math.cos(phase * Math.PI)) / 2;
}

/**
 * A day's air outdoors, on each full hour. Its water stays the same through the day, but for what settles as dew at
 * night.
 * @param sunriseH by the clock, 0 to 12; 6 where the sun does not rise
 */
export function outdoorDay(
  month: OutdoorMonth,
  spell: Spell,
  { sunriseH, pressurePa }: { readonly sunriseH: number; readonly pressurePa: number },
): Outdoors {
  const { dayK, nightK, water } = SPELL[spell];
  const [highest, lowest] = [month.dayC + dayK, Math.min(month.dayC + dayK, month.nightC + nightK)];
  const celsius = Array.from({ length: 24 }, (_, hour) => lowest + (highest - lowest) * warmthShare(hour, sunriseH));
  const mean = celsius.reduce((sum, one) => sum + one, 0) / 24;
  const held = humidityRatio(mean, Math.min(100 * FULL, month.rh * water), pressurePa);
  return { celsius, ratio: celsius.map((one) => Math.min(held, FULL * saturationRatio(one, pressurePa))) };
}
