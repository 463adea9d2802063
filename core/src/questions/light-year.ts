/** A spot's light year: what shines on it, and how strongly, at each half hour of each day. */
import { DAY_THRESHOLD_PPFD } from '../light';
import { placedSpots } from '../room';
import type { Condition } from '../fit';
import { MOL_PER_UMOL_HOUR, daysInMonth, instantOfWallClock, monthShares, type CivilDate } from '../units';
import type { HomeFacts } from '../facts';
import { daylightOf, leafPlaceOf, momentLight, momentOf, sceneOf, type HomeEngine, type Steps } from '../home';

/** Steps of a spot's light year: half hours down, days across. */
export const YEAR_ROWS = 48;
const ROW_MINUTES = 1440 / YEAR_ROWS;

/** What shines most on a spot at a time. */
export const SHINING = ['dark', 'sun', 'diffuse', 'lamps'] as const;

export interface LightYear {
  readonly days: number;
  /** PPFD under the mean sky, `day * YEAR_ROWS + row`. */
  readonly ppfd: Float32Array;
  /** Index in `SHINING` of what gives most. */
  readonly source: Uint8Array;
  /** First day of each month, from 0. */
  readonly monthStarts: readonly number[];
}

export interface LightYearParams {
  readonly spotId: string;
  readonly year: number;
}

/** A spot's year: each half hour of each day, as the clock on the wall shows it, under the mean sky. */
export function* lightYear(
  engine: HomeEngine,
  facts: HomeFacts,
  { spotId, year }: LightYearParams,
): Steps<LightYear | null> {
  const shiningAt = shiningOn(engine, facts, spotId, year);
  if (!shiningAt) return null;
  const months = engine.conditionsOf(facts, spotId, year);
  const monthDays = Array.from({ length: 12 }, (_, i) => daysInMonth(year, i + 1));
  const days = monthDays.reduce((sum, count) => sum + count, 0);
  const drawn: DrawnDay[] = [];
  const monthStarts: number[] = [];
  for (const [month0, count] of monthDays.entries()) {
    monthStarts.push(drawn.length);
    for (let day = 1; day <= count; day++) {
      yield drawn.length / days;
      const date = { year, month: month0 + 1, day };
      const cells = Array.from({ length: YEAR_ROWS }, (_, row) =>
        shiningAt(date, (row + 0.5) * ROW_MINUTES, (row + momentWithin(day)) * ROW_MINUTES),
      );
      const daylight = cells.reduce((sum, { sun, diffuse }) => sum + sun + diffuse, 0);
      drawn.push({ date, cells, dli: daylight * (ROW_MINUTES / 60) * MOL_PER_UMOL_HOUR });
    }
  }
  const wanted = months.map((condition, month0) => daylightIn(condition) * monthDays[month0]!);
  return { days, ...written(drawn, scalesByDay(drawn, wanted)), monthStarts };
}

/** A day of the picture before it is scaled. */
interface DrawnDay {
  readonly date: CivilDate;
  readonly cells: readonly Shining[];
  /** Of daylight, mol m-2 d-1. */
  readonly dli: number;
}

function written(drawn: readonly DrawnDay[], scales: readonly number[]): Pick<LightYear, 'ppfd' | 'source'> {
  const ppfd = new Float32Array(drawn.length * YEAR_ROWS);
  const source = new Uint8Array(drawn.length * YEAR_ROWS);
  for (const [i, { cells }] of drawn.entries()) {
    const scale = scales[i]!;
    for (const [row, { sun, diffuse, lamps }] of cells.entries()) {
      ppfd[i * YEAR_ROWS + row] = (sun + diffuse) * scale + lamps;
      source[i * YEAR_ROWS + row] = strongest(sun * scale, diffuse * scale, lamps);
    }
  }
  return { ppfd, source };
}

/** PPFD by source, umol m-2 s-1. */
interface Shining {
  readonly sun: number;
  readonly diffuse: number;
  readonly lamps: number;
}

/**
 * The sun is taken at another moment within the half hour each day, so that a narrow patch is not always missed:
 * Weyl's sequence.
 */
const momentWithin = (day: number) => (day * 0.6180339887) % 1;

/** A month's mean daylight, mol m-2 d-1. */
const daylightIn = ({ shares: { sun, sky, ground, obstruction, reflected } }: Condition): number =>
  sun + sky + ground + obstruction + reflected;

/** No picture is scaled by more than this to what its month gives. */
const MOST_SCALED = 1.5;

/** Scales set between months move the sums of both: so often are they set right. */
const ROUNDS = 4;

/**
 * What each day's daylight is scaled by so that its months have their own sums: single half hours stand for a patch
 * that moves on. From the middle of a month to that of the next the scale goes evenly, so that no month ends in a
 * step.
 * @param wanted daylight of each month, mol m-2
 */
function scalesByDay(drawn: readonly DrawnDay[], wanted: readonly number[]): number[] {
  const byMonth = wanted.map(() => 1);
  const byDay = () =>
    drawn.map(({ date }) => monthShares(date).reduce((sum, { month0, share }) => sum + byMonth[month0]! * share, 0));
  for (let round = 0; round < ROUNDS; round++) {
    const scales = byDay();
    const sums = wanted.map(() => 0);
    for (const [i, { date, dli }] of drawn.entries()) sums[date.month - 1]! += dli * scales[i]!;
    for (const [month0, sum] of sums.entries()) {
      const scale = sum > 0 ? (byMonth[month0]! * wanted[month0]!) / sum : 1;
      byMonth[month0] = Math.max(1 / MOST_SCALED, Math.min(MOST_SCALED, scale));
    }
  }
  return byDay();
}

/** What shines on a spot at a minute of a date, readings counted in; null when the spot is not there. */
function shiningOn(engine: HomeEngine, facts: HomeFacts, spotId: string, year: number) {
  const scene = sceneOf(facts, engine.sources);
  const placed = placedSpots(facts).find(({ spot }) => spot.id === spotId);
  if (!placed) return null;
  const place = leafPlaceOf(scene, placed);
  const sky = engine.lit.sky(facts, year);
  const calibration = engine.calibrationOf(facts, spotId, year);
  const onDaylight = calibration?.daylight?.factor ?? 1;
  const onLamps = calibration?.lamps?.factor ?? 1;
  const { lit, sources: knowledge } = engine;
  const as = { curtains: 'as-scheduled', lamps: 'as-scheduled', sunPatch: 'between-nodes' } as const;
  /** @param minute by which curtains and lamps go; @param sunMinute at which the sky is taken */
  return (date: CivilDate, minute: number, sunMinute: number): Shining => {
    const moment = momentOf(facts, sky, instantOfWallClock(date, sunMinute, facts.home.timeZone), 'typical', date);
    const light = momentLight({ lit, knowledge, scene, place, sky, moment, minute, ...as });
    const sun = light.sun * onDaylight;
    return { sun, diffuse: daylightOf(light) * onDaylight - sun, lamps: light.lamps * onLamps + light.roomLight };
  };
}

function strongest(sun: number, diffuse: number, lamps: number): number {
  const most = Math.max(sun, diffuse, lamps);
  if (most < DAY_THRESHOLD_PPFD) return 0;
  return most === sun ? 1 : most === diffuse ? 2 : 3;
}
