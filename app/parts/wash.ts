/** How strongly a DLI is washed on a drawing: in steps, so that a legend can name them. */

export const WASH_STEPS = [0.25, 0.5, 1, 2, 4, 8, 16] as const;

/** Opacity 0..0.78 of the wash for a DLI in mol m-2 d-1. */
export function washOpacity(dli: number): number {
  const step = WASH_STEPS.findLastIndex((from) => dli >= from) + 1;
  return (step / WASH_STEPS.length) * 0.78;
}
