/** The lamp that a plant would need where no spot and no setting gives it enough. */
import type { TariffBand } from '../facts';
import type { Condition, YearFit } from '../fit';
import { priceOver } from '../lamp';
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

/** Ground of one spot that such a lamp lights, m2, the share of its light that gets there, and light for power. */
const SPOT_M2 = 0.3 * 0.3;
const REACHES_SHARE = 0.5;
export const LED_UMOL_J = 2.4;
const DAYS = 365;

/** A white LED over one spot. */
export interface LedOverSpot {
  readonly watts: number;
  readonly kWhYear: number;
  /** In the home's currency; null where no price was said. */
  readonly costYear: number | null;
}

/** Burning hours begin here for their price, minutes after midnight. */
const ON_MINUTE = 8 * 60;

/** The LED that gives a plant what it lacks, and what it costs to run. Judgement: within a factor of two. */
export function ledFor({ ppfd, hours }: LampNeeded, tariff: readonly TariffBand[]): LedOverSpot {
  const watts = Math.ceil((ppfd * SPOT_M2) / REACHES_SHARE / LED_UMOL_J);
  const kWhYear = (watts * hours * DAYS) / 1000;
  const price = priceOver(tariff, [{ onMinute: ON_MINUTE, offMinute: Math.min(1440, ON_MINUTE + hours * 60) }]);
  return { watts, kWhYear, costYear: price === null ? null : price * kWhYear };
}

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
