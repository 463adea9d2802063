/** The humidifier a room takes to hold a humidity. */
import { waterForHumidity, type SteadyRoom } from './steady';

/** A room with the water given off in it by plants, people and laundry, g/h. */
export interface WetRoom extends SteadyRoom {
  readonly sourceGH: number;
}

/** From least to most, where something is known that roughly. */
export type LeastToMost = readonly [least: number, most: number];

/** The largest humidifiers for one room give so much, g/h. */
const LARGEST_GH = 800;

const HOURS = 24;

export interface HumidifierSize {
  /** What it must give, g/h; 0 where the room is moist enough. */
  readonly gH: number;
  readonly litresADay: number;
  /** Whether one machine for a room can do it. */
  readonly within: 'reach' | 'no-sensible-size';
}

/** The humidifier that holds a humidity in a room. @param targetRh per cent, below 100 */
export function humidifierFor(room: WetRoom, targetRh: number): HumidifierSize {
  const gH = Math.max(0, waterForHumidity(room, targetRh) - room.sourceGH);
  return { gH, litresADay: (gH * HOURS) / 1000, within: gH <= LARGEST_GH ? 'reach' : 'no-sensible-size' };
}
