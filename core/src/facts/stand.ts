/** What holds plants in a room. */

export type StandKind = 'sill' | 'shelf' | 'table' | 'trolley' | 'floor' | 'rail' | 'board';

/** What holds plants: a rectangle on the plan with one tier or more. */
export interface Stand {
  readonly id: string;
  readonly roomId: string;
  readonly name: string;
  readonly kind: StandKind;
  /** The corner nearest to the room's origin. */
  readonly xM: number;
  readonly yM: number;
  /** Along x and along y. */
  readonly widthM: number;
  readonly depthM: number;
  /** Share of light that its boards throw back. */
  readonly reflectance: number;
}
