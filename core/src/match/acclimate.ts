/** What a plant is used to, by where it stood before; and the steps in which it gets used to more. */
import type { HardeningPace, Plant } from '../facts';
import type { Condition } from '../fit';
import { HARDENS_IN_WEEKS, weeksSince, type Target } from '../plant';

/** A rise of light above this many times needs getting used to. */
const JUMP = 2;

/**
 * Targets of a plant that was moved into stronger light: for six weeks its leaves are used to no more sun than they
 * had. The same list where nothing changes.
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

/** Each step of twice the light takes so long, weeks, as its grower chose. */
const WEEKS_A_STEP: Readonly<Record<HardeningPace, number>> = { gentle: 3, usual: 2, brisk: 1 };
/** In the dark months of each half of the world daylight is too weak to burn: a plant may be moved at once. */
const DARK_MONTHS: ReadonlySet<number> = new Set([10, 11, 12, 1, 2]);

export interface LightSteps {
  /** How many times the light it has now. */
  readonly times: number;
  readonly weeks: number;
}

/** A plant that gets used to more light. */
export interface Hardening {
  /** Mol a day that it lives on: what is below starves it, and no leaf needs getting used to so little. */
  readonly survivesMol: number;
  readonly pace: HardeningPace;
  /** The month that is on, on the northern calendar. */
  readonly seasonMonth: number;
}

/**
 * The steps in which a plant gets used to a new light, each at most twice the light before; null where it can go at
 * once.
 * A starved plant has the light it lives on at once: to wait in the dark would harm it more.
 */
export function stepsInto(
  now: Pick<Condition, 'dli' | 'shares'>,
  then: Pick<Condition, 'dli' | 'shares'>,
  { survivesMol, pace, seasonMonth }: Hardening,
): LightSteps | null {
  const usedTo = Math.max(now.dli, survivesMol, LEAST_MOL);
  const rise = then.dli / usedTo;
  if (rise <= JUMP) return null;
  if (DARK_MONTHS.has(seasonMonth) && lampDli(then) / usedTo <= JUMP) return null;
  const times = then.dli / Math.max(now.dli, LEAST_MOL);
  return { times, weeks: WEEKS_A_STEP[pace] * Math.ceil(Math.log2(rise) - 1e-9) };
}

/** Less than this is dark, mol a day. */
const LEAST_MOL = 0.01;

const lampDli = ({ shares }: Pick<Condition, 'shares'>): number =>
  Object.values(shares.lamps).reduce((sum, dli) => sum + dli, 0);
