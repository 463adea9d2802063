/** Light of lamps that walls, ceiling and floor of a room or a cabinet throw back. */
import { LOOK_ONCE, lampLight, type PlacedLamp } from '../lamp/placed';
import type { Occluder } from '../room/occluder';
import type { Enclosure } from './enclosure';

/** What a lamp gives to each piece of a room's surfaces, straight, umol m-2 s-1. */
export function lampOnSurfaces(lamp: PlacedLamp, { patches }: Enclosure, solids: readonly Occluder[]): Float64Array {
  return Float64Array.from(patches, ({ centre, rectangle, reflectance }) =>
    reflectance === 0 ? 0 : lampLight(lamp, { point: centre, normal: rectangle.normal }, solids, LOOK_ONCE),
  );
}

/** PPFD that reaches a receiver after one bounce or more, umol m-2 s-1, by what each piece counts for it. */
export function reflectedLamp(onSurfaces: Float64Array, importance: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < onSurfaces.length; i++) sum += onSurfaces[i]! * importance[i]!;
  return sum;
}
