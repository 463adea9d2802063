/** How strongly the light of one instant is washed on a drawing, in steps a legend can name. */

export const PPFD_STEPS = [5, 15, 40, 100, 250, 600] as const;

/** Opacity 0..0.8 of the wash for a PPFD in umol m-2 s-1. */
export function instantOpacity(ppfd: number): number {
  const step = PPFD_STEPS.findLastIndex((from) => ppfd >= from) + 1;
  return (step / PPFD_STEPS.length) * 0.8;
}
