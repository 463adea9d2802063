/**
 * A year that three small loggers in the sail loft measured: hours drawn from a room with more leaks and more water
 * than is said of it, each logger with its own noise; one of them drifts.
 */
import { HOUR_MS, humidityRatio, relativeHumidity, type HomeFacts } from '@dulvan/core';
import type { BundlePart } from '@dulvan/formats/bundle';

const DAYS = 365;
const SEA_LEVEL_PA = 101_325;

/** Park and Miller's minimal standard generator: the same year each time. */
function drawn(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 48_271) % 2_147_483_647;
    return state / 2_147_483_647;
  };
}
/** About normal, mean 0, spread 1: twelve even draws. */
const normal = (draw: () => number) => Array.from({ length: 12 }, draw).reduce((sum, one) => sum + one, -6);

interface Hour {
  readonly celsius: number;
  readonly rh: number;
}

/** What the air of a heated room on a mild coast does through a year. */
function roomYear(
  fromMs: number,
  seed: number,
  given: { readonly dayC: number; readonly nightC: number; readonly waterG: number },
): Hour[] {
  const draw = drawn(seed);
  let weather = 0;
  return Array.from({ length: DAYS * 24 }, (_, i) => {
    const date = new Date(fromMs + i * HOUR_MS);
    const hour = date.getUTCHours();
    const yearPart = (date.getTime() - Date.UTC(date.getUTCFullYear(), 0, 28)) / (DAYS * 24 * HOUR_MS);
    const season = -Math.cos(2 * Math.PI * yearPart);
    // Spells of some days, warm and cold.
    weather = 0.985 * weather + 0.17 * normal(draw);
    const outdoorC = 8.8 + 5.4 * season + 2.2 * weather - 2.4 * Math.cos((2 * Math.PI * (hour - 3)) / 24);
    const isDay = hour >= 7 && hour < 22;
    const sun = Math.max(0, Math.sin((Math.PI * (hour - 7)) / 12)) * (1.2 + 1.6 * (season + 1));
    const heated = isDay ? given.dayC : given.nightC + 0.6 * Math.exp(-((hour + 2) % 24) / 3);
    const celsius = Math.max(heated, 0.55 * outdoorC + 9.5) + sun * 0.7 + 0.15 * normal(draw);
    const outdoors = humidityRatio(outdoorC, 82 - 4 * weather, SEA_LEVEL_PA);
    const cooking = hour >= 18 && hour < 21 ? 0.7 : 0;
    const ratio = outdoors + (given.waterG + cooking + 0.15 * normal(draw)) / 1000;
    return { celsius, rh: Math.max(15, Math.min(97, relativeHumidity(celsius, ratio, SEA_LEVEL_PA))) };
  });
}

interface Instrument {
  readonly id: string;
  readonly name: string;
  readonly roomId: string | null;
  readonly spotId: string | null;
  readonly year: readonly Hour[];
  /** What it tells beyond the truth: K, and points of humidity at the year's end. */
  readonly offC: number;
  readonly driftsBy: number;
}

const tenth = (value: number) => Math.round(value * 10) / 10;

/** @param untilMs the last midnight they measured */
export function sailLoftLoggers({ home }: HomeFacts, untilMs: number): BundlePart[] {
  const fromMs = untilMs - DAYS * 24 * HOUR_MS;
  const loft = roomYear(fromMs, 11, { dayC: 19.6, nightC: 16.4, waterG: 1.9 });
  const galley = roomYear(fromMs, 23, { dayC: 20.2, nightC: 16.8, waterG: 2.6 });
  const instruments: readonly Instrument[] = [
    { id: 'loft-logger', name: 'Loft logger', roomId: 'loft', spotId: null, year: loft, offC: 0, driftsBy: 0 },
    { id: 'bench-logger', name: 'Bench logger', roomId: null, spotId: 'bench-1a', year: loft, offC: 0.2, driftsBy: 13 },
    { id: 'galley-logger', name: 'Galley logger', roomId: 'galley', spotId: null, year: galley, offC: 0, driftsBy: 0 },
  ];
  const series = instruments.flatMap(({ id, name, roomId, spotId }) =>
    (['temperature', 'humidity'] as const).map((quantity) => ({
      id: `${id}-${quantity}`,
      name,
      quantity,
      roomId,
      spotId,
      plantId: null,
    })),
  );
  const at = loft.map((_, i) => fromMs + i * HOUR_MS);
  const samples = instruments.flatMap(({ id, year, offC, driftsBy }): BundlePart[] => {
    const draw = drawn(id.length * 7919);
    const told = year.map(({ celsius, rh }, i) => ({
      celsius: tenth(celsius + offC + 0.1 * normal(draw)),
      rh: Math.min(100, Math.round(rh + (driftsBy * i) / year.length + 0.6 * normal(draw))),
    }));
    const part = (quantity: string, values: number[]): BundlePart => ({
      what: 'samples',
      homeId: home.id,
      seriesId: `${id}-${quantity}`,
      samples: { at, values },
    });
    return [
      part(
        'temperature',
        told.map(({ celsius }) => celsius),
      ),
      part(
        'humidity',
        told.map(({ rh }) => rh),
      ),
    ];
  });
  return [{ what: 'series', homeId: home.id, series }, ...samples];
}
