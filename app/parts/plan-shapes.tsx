/** What every plan from above draws alike: boxes to scale, and windows in walls and roofs. */
import { openingOf, pointOn, type Room, type Window } from '@dulvan/core';
import { G, Line, Rect } from 'react-native-svg';
import { useInk } from '../ui/use-ink';

/** Metres of a room to px of a drawing. */
export interface PlanScale {
  readonly pixelsPerM: number;
  readonly x: (metres: number) => number;
  /** Wall A is drawn below: y grows upward on a plan. */
  readonly y: (metres: number) => number;
}

interface Box {
  readonly xM: number;
  readonly yM: number;
  readonly widthM: number;
  readonly depthM: number;
}

export const boxOf = ({ x, y, pixelsPerM }: PlanScale, { xM, yM, widthM, depthM }: Box) => ({
  x: x(xM),
  y: y(yM + depthM),
  width: widthM * pixelsPerM,
  height: depthM * pixelsPerM,
});

interface WindowGiven {
  readonly room: Room;
  readonly window: Window;
  readonly scale: PlanScale;
}

/** An upright window as a gap in its wall; one in the roof dashed, where it lies. */
export function WindowOnPlan({ room, window, scale }: WindowGiven) {
  const ink = useInk();
  const { x, y } = scale;
  const opening = openingOf(room, window);
  const from = pointOn(opening, 0, 0);
  const to = pointOn(opening, 1, 1);
  if (window.slopeDeg >= 89.5) {
    const line = { x1: x(from.x), y1: y(from.y), x2: x(to.x), y2: y(to.y) };
    return (
      <G>
        <Line {...line} stroke={ink.paper} strokeWidth={5} />
        <Line {...line} stroke={ink.glass} strokeWidth={2.5} />
      </G>
    );
  }
  const box = boxOf(scale, {
    xM: Math.min(from.x, to.x),
    yM: Math.min(from.y, to.y),
    widthM: Math.abs(to.x - from.x),
    depthM: Math.abs(to.y - from.y),
  });
  return <Rect {...box} fill="none" stroke={ink.glass} strokeWidth={1.5} strokeDasharray="5 3" />;
}
