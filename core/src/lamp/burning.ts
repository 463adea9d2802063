/** When a timer burns. */
import type { Circuit } from '../facts';

const TIMER_STEP_MINUTES = 5;

/** When a timer burns so long about the same middle of the day, within it, in steps that timers have. @param hoursADay 0..24 */
export function burningFor(
  { onMinute, offMinute }: Pick<Circuit, 'onMinute' | 'offMinute'>,
  hoursADay: number,
): Pick<Circuit, 'onMinute' | 'offMinute'> {
  const steps = Math.min(
    1440 / TIMER_STEP_MINUTES,
    Math.max(1, Math.ceil((hoursADay * 60) / TIMER_STEP_MINUTES - 1e-9)),
  );
  const minutes = steps * TIMER_STEP_MINUTES;
  const earliest = Math.max(0, Math.min(1440 - minutes, (onMinute + offMinute - minutes) / 2));
  const on = Math.floor(earliest / TIMER_STEP_MINUTES) * TIMER_STEP_MINUTES;
  return { onMinute: on, offMinute: on + minutes };
}
