/** Angles: degrees at every public face, radians inside. */

export const RADIANS = Math.PI / 180;

/** Degrees to the range [0, 360). */
export function wrapDegrees(deg: number): number {
  const wrapped = deg % 360;
  return wrapped < 0 ? wrapped + 360 : wrapped;
}

/** The 16 compass words, clockwise from north. */
const COMPASS = [
  'north',
  'north-north-east',
  'north-east',
  'east-north-east',
  'east',
  'east-south-east',
  'south-east',
  'south-south-east',
  'south',
  'south-south-west',
  'south-west',
  'west-south-west',
  'west',
  'west-north-west',
  'north-west',
  'north-north-west',
] as const;

/** The compass word nearest to an azimuth (degrees clockwise from true north). */
export function compassWord(azimuthDeg: number): string {
  return COMPASS[Math.round(wrapDegrees(azimuthDeg) / 22.5) % 16]!;
}
