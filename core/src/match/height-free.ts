/** How tall a plant can stand on a spot: under what is stated, the board above and the lamps over it. */
import type { HomeFacts, Spot } from '../facts';

/** A board takes this much of the height under its upper side, m. */
const BOARD_M = 0.02;
/** Leaves keep this far from a lamp's lit face, m. */
const FROM_LAMP_M = 0.05;

interface Above {
  /** Height free over each spot, m, by spot id. */
  readonly bySpot: Map<string, number>;
}

const known = new WeakMap<HomeFacts, Above>();

/** Height free over a spot, m: the least of what is stated for it, the next board of its stand, and any lamp over it. */
export function heightFree(facts: HomeFacts, spot: Spot): number {
  let above = known.get(facts);
  if (!above) known.set(facts, (above = { bySpot: aboveSpots(facts) }));
  return above.bySpot.get(spot.id) ?? spot.freeHeightM;
}

function aboveSpots({ stands, tiers, spots, lamps }: HomeFacts): Map<string, number> {
  const standOf = new Map(stands.map((stand) => [stand.id, stand]));
  const tierOf = new Map(tiers.map((tier) => [tier.id, tier]));
  const hung = lamps.flatMap((lamp) => {
    const tier = tierOf.get(lamp.tierId);
    const stand = tier && standOf.get(tier.standId);
    return stand
      ? [
          {
            lamp,
            roomId: stand.roomId,
            x: stand.xM + lamp.alongM,
            y: stand.yM + lamp.acrossM,
            z: tier.heightM + lamp.aboveM,
          },
        ]
      : [];
  });
  const free = new Map<string, number>();
  for (const spot of spots) {
    const tier = tierOf.get(spot.tierId);
    const stand = tier && standOf.get(tier.standId);
    if (!stand) continue;
    let least = spot.freeHeightM;
    for (const other of tiers)
      if (other.standId === stand.id && other.heightM > tier.heightM)
        least = Math.min(least, other.heightM - tier.heightM - BOARD_M);
    const [x, y] = [stand.xM + spot.alongM, stand.yM + spot.acrossM];
    const half = spot.sizeM / 2;
    for (const { lamp, roomId, x: lampX, y: lampY, z } of hung) {
      const isOver =
        roomId === stand.roomId &&
        z > tier.heightM &&
        Math.abs(lampX - x) < half + lamp.lengthM / 2 &&
        Math.abs(lampY - y) < half + lamp.breadthM / 2;
      if (isOver) least = Math.min(least, z - tier.heightM - FROM_LAMP_M);
    }
    free.set(spot.id, Math.max(0, least));
  }
  return free;
}
