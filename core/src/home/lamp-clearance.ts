/** Plants that stand into a lamp: leaves that touch it burn, and what is over it is not lit by it. */
import type { HomeFacts, Lamp, Plant } from '../facts';

/** A plant and the lamp it reaches. */
export interface LampTouched {
  readonly plant: Plant;
  readonly lamp: Lamp;
  /** How far its top stands over the lit face, m; a little less than nothing where it all but touches. */
  readonly overM: number;
}

/** A top nearer to the lit face than this touches it, m. */
const TOUCHING_M = 0.01;

/** Every plant of known height whose leaves reach a lamp over them. */
export function lampsTouched({ stands, tiers, spots, lamps, plants }: HomeFacts): LampTouched[] {
  const byId = <T extends { readonly id: string }>(list: readonly T[]) => new Map(list.map((one) => [one.id, one]));
  const [standOf, tierOf, spotOf] = [byId(stands), byId(tiers), byId(spots)];
  const placed = (tierId: string) => {
    const tier = tierOf.get(tierId);
    const stand = tier && standOf.get(tier.standId);
    return stand && { stand, heightM: tier.heightM };
  };
  return plants.flatMap((plant): LampTouched[] => {
    const spot = plant.spotId === null ? undefined : spotOf.get(plant.spotId);
    const under = spot && placed(spot.tierId);
    if (!under || plant.heightCm === null) return [];
    const topM = under.heightM + plant.heightCm / 100;
    const half = Math.min(spot.sizeM, plant.heightCm / 100) / 2;
    const [x, y] = [under.stand.xM + spot.alongM, under.stand.yM + spot.acrossM];
    return lamps.flatMap((lamp): LampTouched[] => {
      const at = placed(lamp.tierId);
      if (!at || at.stand.roomId !== under.stand.roomId) return [];
      const lampM = at.heightM + lamp.aboveM;
      const isOver =
        Math.abs(at.stand.xM + lamp.alongM - x) < half + lamp.lengthM / 2 &&
        Math.abs(at.stand.yM + lamp.acrossM - y) < half + lamp.breadthM / 2;
      const reaches = lampM > under.heightM && topM > lampM - TOUCHING_M;
      return isOver && reaches ? [{ plant, lamp, overM: topM - lampM }] : [];
    });
  });
}
