/** Solid things in a room. */

/** A cupboard, a chimney breast or another solid thing in a room. */
export interface Block {
  readonly id: string;
  readonly roomId: string;
  readonly name: string;
  /** The corner nearest to the room's origin, and its height above the floor. */
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
  readonly widthM: number;
  readonly depthM: number;
  readonly heightM: number;
  /** Share of light that its sides throw back. */
  readonly reflectance: number;
}
