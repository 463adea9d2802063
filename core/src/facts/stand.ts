/** What holds plants in a room. */
import { PLAIN_WOOD } from './brightness';

export type StandKind = 'sill' | 'shelf' | 'table' | 'trolley' | 'floor' | 'rail' | 'board';

/** Whether people or animals brush past it. */
export const STAND_TRAFFIC = ['quiet', 'busy'] as const;
export type StandTraffic = (typeof STAND_TRAFFIC)[number];

/** Whether the wall behind it may be climbed, which marks it for good. */
export const STAND_WALLS = ['any', 'keep-clean'] as const;
export type StandWall = (typeof STAND_WALLS)[number];

/** A stand of which nothing was said. */
export const PLAIN_STAND = { reflectance: PLAIN_WOOD, traffic: 'quiet', wall: 'any' } as const;

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
  readonly traffic: StandTraffic;
  readonly wall: StandWall;
}
