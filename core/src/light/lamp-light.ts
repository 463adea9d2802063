/** Light of lamps that walls, ceiling, floor and whatever stands in a room or a cabinet throw back. */
import { lampLightPast, type PlacedLamp } from '../lamp';
import { clearWay, type Occluder } from '../room/occluder';
import { distanceToRectangle, pointOn } from '../room/rectangle';
import { mayStandBetween, spanOf } from '../room/span';
import type { Enclosure } from './enclosure';
import { passesOpening } from './reveal';
import type { Patch } from './cells';

/**
 * What a lamp gives to each piece of a room's surfaces, straight, as its mean over the piece, umol m-2 s-1. All pieces
 * together get what leaves the lamp, less what goes out of windows, within 1 %.
 */
export function lampOnSurfaces(
  lamp: PlacedLamp,
  { patches, coarse, patchOf }: Pick<Enclosure, 'patches' | 'coarse' | 'patchOf'>,
  solids: readonly Occluder[],
): Float64Array {
  const onPatch = coarse.map((patch) =>
    patch.reflectance > 0 && isSeenAlike(patch, lamp, solids) ? meanOn(patch, lamp, solids) : null,
  );
  return Float64Array.from(patches, (piece, index) => {
    if (piece.reflectance === 0 || piece.openArea === 0) return 0;
    return onPatch[patchOf[index]!] ?? meanOn(piece, lamp, solids);
  });
}

/**
 * The same past the crowns of plants: each piece gets what the way to its middle from the lamp's leaves.
 * @returns a new list
 */
export function pastCrowns(
  onSurfaces: Float64Array,
  { patches }: Pick<Enclosure, 'patches'>,
  { centre: { x, y, z } }: PlacedLamp,
  crowns: readonly Occluder[],
): Float64Array {
  return onSurfaces.map((light, piece) => {
    if (light === 0) return 0;
    const { centre } = patches[piece]!;
    return light * clearWay(crowns, x, y, z, centre.x, centre.y, centre.z);
  });
}

/** A patch farther from a lamp than this many times its own size is looked at as one where nothing stands between. */
const FAR_PATCH = 4;

function isSeenAlike({ rectangle, centre, behind }: Patch, lamp: PlacedLamp, solids: readonly Occluder[]): boolean {
  return (
    !behind &&
    distanceToRectangle(lamp.face, centre) > FAR_PATCH * Math.max(rectangle.sizeU, rectangle.sizeV) &&
    mayStandBetween(solids, spanOf(rectangle), lamp.span).length === 0
  );
}

/** A near piece is looked at in parts no wider than this share of the way to the lamp. */
const PART_OF_WAY = 0.4;
const MOST_PARTS = 14;
/** Parts each way where something may throw its shadow over the piece. */
const LEAST_IN_SHADE = 2;

function meanOn({ rectangle, centre, behind }: Patch, lamp: PlacedLamp, solids: readonly Occluder[]): number {
  const { normal, sizeU, sizeV } = rectangle;
  const half = Math.hypot(sizeU, sizeV) / 2;
  const away = Math.max(0.01, distanceToRectangle(lamp.face, centre) - half);
  const between = mayStandBetween(solids, spanOf(rectangle), lamp.span);
  const least = between.length > 0 ? LEAST_IN_SHADE : 1;
  const parts = (size: number) => Math.max(least, Math.min(MOST_PARTS, Math.ceil(size / (PART_OF_WAY * away))));
  const [along, up] = [parts(sizeU), parts(sizeV)];
  const { x, y, z } = lamp.centre;
  let sum = 0;
  for (let i = 0; i < along; i++) {
    for (let j = 0; j < up; j++) {
      const point = pointOn(rectangle, (i + 0.5) / along, (j + 0.5) / up);
      if (behind && !passesOpening(behind, x, y, z, point.x, point.y, point.z)) continue;
      sum += lampLightPast(lamp, { point, normal }, between, 'coarse');
    }
  }
  return sum / (along * up);
}

/** PPFD that reaches a receiver after one bounce or more, umol m-2 s-1, by what each piece counts for it. */
export function reflectedLamp(onSurfaces: Float64Array, importance: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < onSurfaces.length; i++) sum += onSurfaces[i]! * importance[i]!;
  return sum;
}
