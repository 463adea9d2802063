/**
 * Whether a plant flowers on a spot, what it lacks for that, and what would do it: a green plant without buds is well.
 */
import type { BudSetter } from '../taxon';
import type { Target } from '../plant';
import type { Condition } from './condition';
import { lightGrowth } from './light-fit';
import { WEEKS_A_MONTH } from './reserve';
import { hasWinter, weightedMean } from './doing';
import type { Verdict } from './verdict';

/** What it lacks to flower; `light` and `growth` for any plant, the others for those whose buds they set. */
export type FlowerLack = 'growth' | 'light' | Exclude<BudSetter, 'age' | 'bright-light'>;

export interface LackForFlowers {
  readonly lack: FlowerLack;
  /**
   * What it gets and wants: hours of night, degrees of night, share of full light (0..1); null where there is no
   * figure.
   */
  readonly gets: number | null;
  readonly wants: number | null;
  /** Weeks for which it wants it, where that is known. */
  readonly weeks: number | null;
  /** Months (1..12) in which it wants it; empty for any. */
  readonly months: readonly number[];
}

export interface Flowers {
  readonly likely: 'yes' | 'unlikely' | 'no';
  readonly lacks: readonly LackForFlowers[];
}

/** Growth under which a plant has nothing to spare for flowers, and of light alone under which it sets few. */
const LEAST_GROWTH = 0.25;
const LEAST_LIGHT = 0.4;
/** Those that flower in bright light alone want more of it. */
const LEAST_BRIGHT = 0.7;
/** Cool nights set buds when they last this long, months. */
const COOL_MONTHS = 2;

const SETS_NO_BUDS: ReadonlySet<FlowerLack> = new Set(['long-nights', 'long-days', 'cold-rest', 'growth']);

/** Whether it flowers; null where its kind hardly flowers indoors, or it is too young to. */
export function flowersOf(
  targets: readonly Target[],
  year: readonly Condition[],
  verdict: Pick<Verdict, 'weeks' | 'growth'>,
): Flowers | null {
  const need = targets[0]!.nature.flowers;
  if (!need || !targets[0]!.canFlower) return null;
  const lacks: LackForFlowers[] = [];
  if (verdict.weeks !== null || verdict.growth < LEAST_GROWTH) lacks.push(lackOf('growth'));
  const light = weightedMean(targets, (target, i) => lightGrowth(target, year[i]!)) ?? 0;
  const wanted = need.setBy.includes('bright-light') ? LEAST_BRIGHT : LEAST_LIGHT;
  if (light < wanted && lacks.length === 0) lacks.push({ ...lackOf('light'), gets: light, wants: wanted });
  // What hardly grows lacks that first: nothing else would do it.
  if (lacks[0]?.lack !== 'growth') {
    for (const setter of need.setBy) {
      const lack = SETTERS[setter]?.(targets, year);
      if (lack) lacks.push(lack);
    }
  }
  const likely = lacks.length === 0 ? 'yes' : lacks.some(({ lack }) => SETS_NO_BUDS.has(lack)) ? 'no' : 'unlikely';
  return { likely, lacks };
}

const lackOf = (lack: FlowerLack): LackForFlowers => ({ lack, gets: null, wants: null, weeks: null, months: [] });

type Looks = (targets: readonly Target[], year: readonly Condition[]) => LackForFlowers | null;

/** Whether nights are long (or short) enough for as many weeks as buds take. */
const byNight =
  (setter: 'long-nights' | 'long-days'): Looks =>
  (targets, year) => {
    const { day } = targets[0]!.nature.flowers!;
    const { criticalNightH, inductionWeeks } = day;
    if (day.kind === 'neutral' || criticalNightH === null) return null;
    const months = targets.filter(({ phase }) => phase === 'inducing').map(({ month }) => month);
    const isSet = (month: number) => {
      const night = year[month - 1]!.longestNightH;
      return setter === 'long-nights' ? night >= criticalNightH : night <= criticalNightH;
    };
    const weeks = inductionWeeks ?? WEEKS_A_MONTH;
    if (months.filter(isSet).length * WEEKS_A_MONTH >= weeks - WEEKS_A_MONTH / 2) return null;
    const nights = months.map((month) => year[month - 1]!.longestNightH);
    const gets = setter === 'long-nights' ? Math.max(0, ...nights) : Math.min(24, ...nights);
    return { lack: setter, gets, wants: criticalNightH, weeks, months };
  };

const byCoolNights: Looks = (targets, year) => {
  const wants = targets[0]!.nature.flowers!.coolNightC;
  const cool = year.filter(({ air }) => air.nightC <= wants).length;
  if (cool >= COOL_MONTHS) return null;
  const gets = Math.min(...year.map(({ air }) => air.nightC));
  return { lack: 'cool-nights', gets, wants, weeks: COOL_MONTHS * WEEKS_A_MONTH, months: [] };
};

const byColdRest: Looks = (targets, year) => {
  const resting = targets.filter(({ phase }) => phase === 'resting');
  if (resting.length > 0 && hasWinter(targets, year)) return null;
  const nights = (resting.length > 0 ? resting : targets).map(({ month }) => year[month - 1]!.air.nightC);
  return {
    lack: 'cold-rest',
    gets: Math.min(...nights),
    wants: targets[0]!.nature.flowers!.coolNightC,
    weeks: null,
    months: resting.map(({ month }) => month),
  };
};

/** A dry rest is given by the one who waters: it lacks only where the plant is kept growing. */
const byDryRest: Looks = (targets) =>
  targets.some(({ phase }) => phase === 'resting' || phase === 'tapering') ? null : lackOf('dry-rest');

const SETTERS: Readonly<Partial<Record<BudSetter, Looks>>> = {
  'long-nights': byNight('long-nights'),
  'long-days': byNight('long-days'),
  'cool-nights': byCoolNights,
  'cold-rest': byColdRest,
  'dry-rest': byDryRest,
};
