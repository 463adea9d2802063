/** The air outdoors of a home: of its weather file where that tells it, else of its climate family. */
import { measuredDay, outdoorDay, pressureAt, type Outdoors, type Spell } from '../air';
import { YEAR_HOURS, type HomeFacts } from '../facts';
import { seasonalMonth } from '../taxon';
import type { Sources } from './knowledge';
import type { HomeSky } from './lit-home';

const HOURS = 24;

/** The outdoor air of a month; null where neither the climate nor a file tells it. */
export function outdoorsOf(
  { facts, sources, sky }: { readonly facts: HomeFacts; readonly sources: Sources; readonly sky: HomeSky },
  month0: number,
  spell: Spell,
): Outdoors | null {
  const { home, weathers } = facts;
  const pressurePa = pressureAt(home.elevationM);
  const [file] = weathers;
  const hours = file && sources.weatherHours(file.fileKey);
  const measured = hours?.flatMap(({ celsius, rh }) =>
    celsius !== undefined && rh !== undefined ? [{ celsius, rh }] : [],
  );
  if (measured?.length === YEAR_HOURS) return measuredDay(monthHours(measured, month0), spell, pressurePa);
  const climate = sources.climate(home.climateId);
  if (!climate) return null;
  const own = seasonalMonth(month0 + 1, home.latitude) - 1;
  const { dayC, nightC, rh } = climate;
  const rises = Array.from({ length: HOURS / 2 }, (_, hour) => hour).find((hour) => sky.sky.lit[month0 * HOURS + hour]);
  const month = { dayC: dayC[own]!, nightC: nightC[own]!, rh: rh[own]! };
  return outdoorDay(month, spell, { sunriseH: rises ?? 6, pressurePa });
}

const MONTH_DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

const monthHours = <T>(hours: readonly T[], month0: number): readonly T[] => {
  const before = MONTH_DAYS.slice(0, month0).reduce((sum, days) => sum + days, 0);
  return hours.slice(before * HOURS, (before + MONTH_DAYS[month0]!) * HOURS);
};
