/** The lamp that a plant would need where no spot and no setting gives it enough. */
import type { Condition, YearFit } from '../fit';
import type { Target } from '../plant';
import { MOL_PER_UMOL_HOUR } from '../units';

export interface LampNeeded {
  /** What its dimmest month lacks to thriving, mol m-2 d-1. */
  readonly dli: number;
  /** PPFD at the leaves, umol m-2 s-1, that gives so much in so many hours a day. */
  readonly ppfd: number;
  readonly hours: number;
}

/** A lamp for a dim plant burns so long: about the longest day that suits most. */
const LAMP_DAY_H = 14;

/** What a lamp would have to give a plant on a spot; null where light is not what it lacks. */
export function lampNeeded(
  targets: readonly Target[],
  year: readonly Condition[],
  { troubles }: Pick<YearFit, 'troubles'>,
): LampNeeded | null {
  const dim = troubles.find(({ aspect, direction }) => aspect === 'dli' && direction === 'too-little');
  if (!dim) return null;
  const month0 = dim.worstMonth - 1;
  const dli = targets[month0]!.light.thrivesFrom - year[month0]!.dli;
  return dli <= 0 ? null : { dli, ppfd: dli / (LAMP_DAY_H * MOL_PER_UMOL_HOUR), hours: LAMP_DAY_H };
}
