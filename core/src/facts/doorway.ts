/** Doors and openings between rooms, through which their air mixes. */

/** How much of the day it stands open. */
export const DOORWAY_STATES = ['open', 'by-day', 'ajar', 'shut'] as const;
export type DoorwayState = (typeof DOORWAY_STATES)[number];

export interface Doorway {
  readonly id: string;
  readonly roomId: string;
  readonly toRoomId: string;
  readonly widthM: number;
  readonly heightM: number;
  readonly stands: DoorwayState;
}
