/** Places for plants. */

export type Reach = 'easy' | 'step' | 'hard';

/** One place for plants on a tier. */
export interface Spot {
  readonly id: string;
  readonly tierId: string;
  readonly name: string;
  /** Centre, from the stand's corner. */
  readonly alongM: number;
  readonly acrossM: number;
  /** Width of the widest pot with its leaves. */
  readonly sizeM: number;
  /** Height free above the board. */
  readonly freeHeightM: number;
  readonly loadKg: number;
  readonly reach: Reach;
}
