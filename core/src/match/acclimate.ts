/** What a plant is used to, by where it stood before; and the steps in which it gets used to more. */
import type { Plant } from '../facts';
import type { Condition } from '../fit';
import { HARDENS_IN_WEEKS, weeksSince, type Target } from '../plant';

/** A rise of light above this many times needs getting used to. */
const JUMP = 2;

/**
 * Targets of a plant that was moved into stronger light: for six weeks its leaves are used to no more sun than they had.
 * The same list where nothing changes.
 * @param before twelve months of the spot it came from; @param here of the one it stands on
 */
export function usedToBefore(
  targets: readonly Target[],
  { movedOn }: Pick<Plant, 'movedOn'>,
  before: readonly Condition[],
  here: readonly Condition[],
  year: number,
): readonly Target[] {
  if (movedOn === null) return targets;
  let changed = 0;
  const used = targets.map((target, month0) => {
    const weeks = weeksSince(movedOn, year, month0 + 1);
    const isFresh = weeks !== null && weeks < HARDENS_IN_WEEKS;
    if (!isFresh || here[month0]!.dli <= JUMP * before[month0]!.dli) return target;
    changed++;
    const sunHoursUsed = Math.max(target.light.sunHoursFresh, before[month0]!.sunHoursPossible);
    const rise = (here[month0]!.dli / Math.max(before[month0]!.dli, 0.01)).toFixed(1);
    const rule = `Moved on ${movedOn} into ${rise} times the light: burns at half of what it tolerates when used to it`;
    return { ...target, isUsedToSun: false, light: { ...target.light, sunHoursUsed }, rules: [...target.rules, rule] };
  });
  return changed > 0 ? used : targets;
}

/** Each step of twice the light takes so long. */
const WEEKS_A_STEP = 2;
/** In the dark months of each half of the world daylight is too weak to burn: a plant may be moved at once. */
const DARK_MONTHS: ReadonlySet<number> = new Set([10, 11, 12, 1, 2]);

export interface LightSteps {
  /** How many times the light it has now. */
  readonly times: number;
  readonly weeks: number;
}

/**
 * The steps in which a plant gets used to a new light, each at most twice the light before; null where it can go at once.
 * @param seasonMonth the month that is on, on the northern calendar
 */
export function stepsInto(
  now: Pick<Condition, 'dli' | 'shares'>,
  then: Pick<Condition, 'dli' | 'shares'>,
  seasonMonth: number,
): LightSteps | null {
  const times = then.dli / Math.max(now.dli, 0.01);
  if (times <= JUMP) return null;
  const lampRise = lampDli(then) / Math.max(now.dli, 0.01);
  if (DARK_MONTHS.has(seasonMonth) && lampRise <= JUMP) return null;
  return { times, weeks: WEEKS_A_STEP * Math.ceil(Math.log2(times) - 1e-9) };
}

const lampDli = ({ shares }: Pick<Condition, 'shares'>): number =>
  Object.values(shares.lamps).reduce((sum, dli) => sum + dli, 0);
