/** Which plants to take onto one spot so that they gain most within its width. */

/** Plants a spot may take in, written over from spot to spot. */
export interface Wanting {
  count: number;
  readonly key: Int32Array;
  /** Above 0. */
  readonly gain: Float64Array;
  /** Whole cm, so that a best choice is found width by width. */
  readonly width: Int32Array;
}

export const wanting = (most: number): Wanting => ({
  count: 0,
  key: new Int32Array(most),
  gain: new Float64Array(most),
  width: new Int32Array(most),
});

/** Written over from spot to spot; as long as the widest so far. */
let best = new Float64Array(256);

/** The most that plants side by side gain within a width; by width exactly, while what they weigh is let go. */
export function packedGain({ count, gain, width }: Wanting, room: number): number {
  let least = Infinity;
  let most = 0;
  for (let i = 0; i < count; i++) {
    if (width[i]! < least) least = width[i]!;
    if (gain[i]! > most) most = gain[i]!;
  }
  if (count <= 1 || 2 * least > room) return most;
  if (best.length < room + 1) best = new Float64Array(room + 1);
  best.fill(0, 0, room + 1);
  for (let i = 0; i < count; i++) {
    const [own, more] = [width[i]!, gain[i]!];
    for (let at = room; at >= own; at--) {
      const withIt = best[at - own]! + more;
      if (withIt > best[at]!) best[at] = withIt;
    }
  }
  return best[room]!;
}

/** The most that is gained within each width up to the room's. */
export function gainsByWidth({ count, gain, width }: Wanting, room: number): Float64Array {
  const gains = new Float64Array(room + 1);
  for (let i = 0; i < count; i++)
    for (let at = gains.length - 1; at >= width[i]!; at--)
      gains[at] = Math.max(gains[at]!, gains[at - width[i]!]! + gain[i]!);
  return gains;
}

/** By plant and width: whether the plant is among those that gain most there. Written over from spot to spot. */
let isTaken = new Uint8Array(4096);

/** The keys of those that gain it. */
export function packedKeys({ count, key, gain, width }: Wanting, room: number): number[] {
  const across = room + 1;
  if (best.length < across) best = new Float64Array(across);
  if (isTaken.length < count * across) isTaken = new Uint8Array(2 * count * across);
  best.fill(0, 0, across);
  isTaken.fill(0, 0, count * across);
  for (let i = 0; i < count; i++) {
    const [own, more] = [width[i]!, gain[i]!];
    for (let at = room; at >= own; at--) {
      const withIt = best[at - own]! + more;
      if (withIt <= best[at]!) continue;
      best[at] = withIt;
      isTaken[i * across + at] = 1;
    }
  }
  const keys: number[] = [];
  let left = room;
  for (let i = count - 1; i >= 0; i--) {
    if (isTaken[i * across + left] === 0) continue;
    keys.push(key[i]!);
    left -= width[i]!;
  }
  return keys;
}
