/** A month's day length, as far as growth minds it; what it does to flowers is told apart. */
import type { Target } from '../plant';
import type { Condition } from './condition';
import { factorFit, type FactorFit } from './factor-fit';
import { trapezoid } from './trapezoid';

/** An evening's light beyond its longest useful day does a plant neither good nor harm, hours. */
const LONG_DAY_BORNE_H = 2;
/** No plant that minds no night has a day too long below this, hours. */
const LONG_FOR_ALL_H = 18;
/** A day this much shorter or longer than the wanted one costs what a day length can cost. */
const MARGIN_H = 6;
/** Day length alone takes no more of growth than this: what a short day lacks is its light, which is counted already. */
const COSTS_AT_MOST = 0.3;

const longestOf = ({ growingDay: { kind, maxH } }: Target) =>
  kind === 'neutral' ? Math.max(LONG_FOR_ALL_H, maxH) : maxH + LONG_DAY_BORNE_H;

/** What a month's day length leaves of growth, 0.7 to 1. */
export function dayGrowth(target: Target, c: Pick<Condition, 'dayH'>): number {
  const { minH } = target.growingDay;
  if (target.isDormant) return 1;
  const longest = longestOf(target);
  return 1 - COSTS_AT_MOST * (1 - trapezoid(c.dayH, minH - MARGIN_H, minH, longest, longest + MARGIN_H));
}

export const dayFit = (target: Target, c: Condition): FactorFit =>
  factorFit({
    factor: 'day-length',
    aspect: 'day-length',
    score: dayGrowth(target, c),
    gets: c.dayH,
    wantsFrom: target.isDormant ? 0 : target.growingDay.minH,
    wantsTo: longestOf(target),
  });
