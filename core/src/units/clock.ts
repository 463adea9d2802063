/** Times of the day as they are written. */

const MINUTES_AN_HOUR = 60;

/** A time of the day, "7:05", from minutes after midnight (0..1440, rounded to whole ones). */
export function clockOf(minute: number): string {
  const whole = Math.round(minute);
  return `${Math.floor(whole / MINUTES_AN_HOUR)}:${String(whole % MINUTES_AN_HOUR).padStart(2, '0')}`;
}
