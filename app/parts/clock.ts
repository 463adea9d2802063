/** Times of the day as they are typed. */

const MINUTES_AN_HOUR = 60;

/** Minutes after midnight of "7:05", "7.05" or "7"; NaN of anything else. */
export function minuteOfClock(text: string): number {
  const match = /^\s*(\d{1,2})(?:[:.](\d{2}))?\s*$/.exec(text);
  const minute = Number(match?.[2] ?? 0);
  return match && minute < MINUTES_AN_HOUR ? Number(match[1]) * MINUTES_AN_HOUR + minute : NaN;
}
