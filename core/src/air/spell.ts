/** How long the coldest night, or the hottest day, of a spell stays near its extreme. */

/** Hours of which the shape of a spell tells, longest last. */
const TOLD_HOURS = [1, 3, 6, 12, 24] as const;

/** By `TOLD_HOURS`: how far from its extreme the day is at most for so many hours, K; the first is 0. */
export type SpellShape = readonly number[];

/**
 * The shape of a spell's day.
 * @param celsius 24 hours of the coldest night's or the hottest afternoon's day, C
 */
export function spellShape(celsius: readonly number[], extreme: 'coldest' | 'hottest'): SpellShape {
  const sign = extreme === 'coldest' ? 1 : -1;
  const away = celsius.map((one) => one * sign).sort((p, q) => p - q);
  return TOLD_HOURS.map((hours) => away[hours - 1]! - away[0]!);
}

/**
 * Hours of a spell's day within so many kelvin of its extreme: straight lines between the hours its shape tells of.
 * @param shape from `spellShape`
 * @param kelvin how far the extreme lies beyond a limit; none beyond it where this is 0 or less
 * @returns 0, or 1 to 24
 */
export function hoursWithin(shape: SpellShape, kelvin: number): number {
  if (kelvin <= 0) return 0;
  const next = shape.findIndex((away) => away > kelvin);
  if (next === -1) return TOLD_HOURS[TOLD_HOURS.length - 1]!;
  const [k0, k1] = [shape[next - 1]!, shape[next]!];
  const [h0, h1] = [TOLD_HOURS[next - 1]!, TOLD_HOURS[next]!];
  return h0 + ((kelvin - k0) / (k1 - k0)) * (h1 - h0);
}
