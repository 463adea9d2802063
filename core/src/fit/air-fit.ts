/** A month's air movement. */
import type { AirMovement } from '../facts';
import type { Target } from '../plant';
import type { Condition } from './condition';
import { factorFit, type FactorFit } from './factor-fit';
import { along, type Line } from './piecewise';

const MOVEMENT: Record<AirMovement, number> = { still: 0, gentle: 1, brisk: 2, strong: 3 };
/** What each missing step of movement costs, by the moisture of the night: still air harms most where it is moist. */
const STILLNESS_COSTS: Line = [
  [75, 0.12],
  [85, 0.35],
];
/** What hangs in moving air at home, with bare roots, minds stillness whatever the moisture. */
const STILLNESS_COSTS_AIRY = 0.4;
const DRAUGHT_SCORE = 0.8;
/** The straight stream of a fan dries and bruises all but what hangs in the wind at home. */
const STREAM_SCORE = 0.75;

/** A draught dries thin leaves further when the air is dry already. */
const isDraughty = ({ air, moisture }: Target, c: Condition) =>
  air === 'still' && c.airMovement === 'brisk' && c.air.dayRh < moisture.thrivesFrom;

const isInStream = ({ air, nature }: Target, c: Condition) =>
  c.airMovement === 'strong' && air !== 'brisk' && !nature.storesWater;

/** What a month's air movement leaves of growth. */
export function airGrowth(target: Target, c: Condition): number {
  const missing = Math.max(0, MOVEMENT[target.air] - MOVEMENT[c.airMovement]);
  if (isInStream(target, c)) return STREAM_SCORE;
  if (missing === 0) return isDraughty(target, c) ? DRAUGHT_SCORE : 1;
  const cost = target.air === 'brisk' ? STILLNESS_COSTS_AIRY : along(STILLNESS_COSTS, c.air.nightRh);
  return 1 - cost * missing;
}

export const airFit = (target: Target, c: Condition): FactorFit =>
  factorFit({
    factor: 'air',
    aspect: 'movement',
    score: airGrowth(target, c),
    gets: MOVEMENT[c.airMovement],
    wantsFrom: MOVEMENT[target.air],
    wantsTo: isDraughty(target, c) ? MOVEMENT.gentle : isInStream(target, c) ? MOVEMENT.brisk : MOVEMENT.strong,
  });
