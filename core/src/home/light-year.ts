/** A spot's light year: what shines on it, and how strongly, at each half hour of each day. */
import { DAY_THRESHOLD_PPFD } from '../light';
import { placedSpots } from '../room';
import { MINUTE_MS, daysInMonth, startOfCivilDay } from '../units';
import { leafPlaceOf, type Answerer } from './answers';
import type { HomeFacts } from './facts';
import { daylightOf, momentLight, momentOf } from './moments';
import { sceneOf } from './scene';

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

/** A spot's year: each half hour of each day under the mean sky. */
export function lightYear(answerer: Answerer, facts: HomeFacts, spotId: string, year: number): LightYear | null {
  const scene = sceneOf(facts, answerer.knowledge);
  const placed = placedSpots(facts).find(({ spot }) => spot.id === spotId);
  if (!placed) return null;
  const place = leafPlaceOf(scene, placed);
  const sky = answerer.lit.sky(facts, year);
  const correction = answerer.correctionOf(facts, spotId, year);
  const onDaylight = correction?.daylight?.factor ?? 1;
  const onLamps = correction?.lamps?.factor ?? 1;
  const monthDays = Array.from({ length: 12 }, (_, i) => daysInMonth(year, i + 1));
  const days = monthDays.reduce((sum, count) => sum + count, 0);
  const ppfd = new Float32Array(days * YEAR_ROWS);
  const source = new Uint8Array(days * YEAR_ROWS);
  const monthStarts: number[] = [];
  let at = 0;
  monthDays.forEach((count, month0) => {
    monthStarts.push(at / YEAR_ROWS);
    for (let day = 1; day <= count; day++) {
      const date = { year, month: month0 + 1, day };
      const startMs = startOfCivilDay(date, facts.home.timeZone);
      for (let row = 0; row < YEAR_ROWS; row++, at++) {
        const minute = (row + 0.5) * ROW_MINUTES;
        const moment = momentOf(facts, sky, startMs + minute * MINUTE_MS, 'typical', date);
        const light = momentLight({
          lit: answerer.lit,
          knowledge: answerer.knowledge,
          scene,
          place,
          sky,
          moment,
          minute,
          curtains: 'as-programmed',
          lamps: 'as-programmed',
          sunPatch: 'between-nodes',
        });
        const sun = light.sun * onDaylight;
        const diffuse = daylightOf(light) * onDaylight - sun;
        const lamps = light.lamps * onLamps + light.roomLight;
        ppfd[at] = sun + diffuse + lamps;
        source[at] = strongest(sun, diffuse, lamps);
      }
    }
  });
  return { days, ppfd, source, monthStarts };
}

function strongest(sun: number, diffuse: number, lamps: number): number {
  const most = Math.max(sun, diffuse, lamps);
  if (most < DAY_THRESHOLD_PPFD) return 0;
  return most === sun ? 1 : most === diffuse ? 2 : 3;
}
