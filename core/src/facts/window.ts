/** An opening in a wall or roof, with what hangs at it and what stands before it. */
import type { Side } from './room';

/** What stands before a window, as one angle above the horizon. */
export type OutsideKind = 'open' | 'ring' | 'row';

/** A curtain, blind or film at a window, and when it is shut. */
export interface HungCurtain {
  /** Key of a curtain in the catalogue. */
  readonly curtainId: string;
  /**
   * Months (1..12) in which it is used, and the hours of the day it is shut, in minutes after midnight: over midnight where
   * it opens at an earlier minute than it is shut.
   */
  readonly months: readonly number[];
  readonly fromMinute: number;
  readonly toMinute: number;
}

export const MOST_CURTAINS = 2;

/** Whether what is shut between two minutes of the day is shut at a minute, over midnight as well. */
export const isShutAt = (
  { fromMinute, toMinute }: Pick<HungCurtain, 'fromMinute' | 'toMinute'>,
  minute: number,
): boolean =>
  fromMinute <= toMinute ? minute >= fromMinute && minute < toMinute : minute >= fromMinute || minute < toMinute;

export interface Window {
  readonly id: string;
  readonly roomId: string;
  readonly name: string;
  /** The side it looks out of. */
  readonly side: Side;
  /** From the left end of that side as drawn (x for A and C, y for B and D) to the window's near edge. */
  readonly offsetM: number;
  /** From the side's wall inward to the lower edge; 0 in a wall. */
  readonly insetM: number;
  /** Height of the lower edge above the floor. */
  readonly sillM: number;
  readonly widthM: number;
  /** Along the glass, so along the slope in a roof. */
  readonly heightM: number;
  /** 90 in a wall; less in a roof slope (0 would lie flat). */
  readonly slopeDeg: number;
  /** Key of a glazing in the catalogue. */
  readonly glazingId: string;
  /** Share of the opening taken by frame and bars. */
  readonly frameShare: number;
  /** Share of light lost to dirt. */
  readonly dirtShare: number;
  /** What hangs at it, outermost first; at most `MOST_CURTAINS`. */
  readonly curtains: readonly HungCurtain[];
  readonly outsideKind: OutsideKind;
  /** Height of what stands outside, degrees above the horizon. */
  readonly outsideDeg: number;
  /** How bright it is: its share of the light of open ground. */
  readonly outsideReflectance: number;
  readonly groundReflectance: number;
  /** From the room's side of the wall out to the glass. */
  readonly revealM: number;
  /** Share of light that the sides of the reveal throw back. */
  readonly revealReflectance: number;
  /** A balcony or roof that juts out over it (0: none), and how far above its upper edge. */
  readonly overhangM: number;
  readonly overhangAboveM: number;
}
