/**
 * The leaves in a room, by how they breathe and when they are lit: what its plants give to its air follows from them.
 */
import { tiersIn, type HomeFacts } from '../facts';
import { leafAreaM2 } from '../room';
import type { Taxon } from '../taxon';
import type { Sources } from './knowledge';

/** A leaf that is not known is taken for a usual one. */
const USUAL_LEAF: Pick<Taxon['water'], 'dries' | 'stomataOpen'> = { dries: 'medium', stomataOpen: 'by-day' };

/** Leaves of one kind under one timer, or by day where no lamp hangs over them. */
export interface Cover {
  readonly dries: Taxon['water']['dries'];
  readonly stomataOpen: Taxon['water']['stomataOpen'];
  readonly circuitId: string | null;
  readonly areaM2: number;
}

/**
 * Leaf areas are taken in steps of a sixth: they are known no better, and one pot moved need not move the room's air.
 */
const AREA_STEP = 7 / 6;
const LEAST_AREA_M2 = 0.02;
const inSteps = (areaM2: number) =>
  areaM2 < LEAST_AREA_M2 ? 0 : AREA_STEP ** Math.round(Math.log(areaM2) / Math.log(AREA_STEP));

/** The leaves in a room. */
export function coversOf(facts: HomeFacts, sources: Sources, roomId: string): Cover[] {
  const tiers = tiersIn(facts, [roomId]);
  const spots = new Map(facts.spots.filter(({ tierId }) => tiers.has(tierId)).map((spot) => [spot.id, spot]));
  const lampOf = new Map(facts.lamps.map((lamp) => [lamp.tierId, lamp.circuitId]));
  const covers = new Map<string, Cover>();
  for (const plant of facts.plants) {
    const spot = plant.spotId === null ? undefined : spots.get(plant.spotId);
    if (!spot) continue;
    const { dries, stomataOpen } = sources.taxon(plant.taxonId)?.water ?? USUAL_LEAF;
    const circuitId = lampOf.get(spot.tierId) ?? null;
    const key = `${dries}|${stomataOpen}|${circuitId ?? ''}`;
    const areaM2 = (covers.get(key)?.areaM2 ?? 0) + leafAreaM2(plant, spot);
    covers.set(key, { dries, stomataOpen, circuitId, areaM2 });
  }
  return [...covers.values()].map((cover) => ({ ...cover, areaM2: inSteps(cover.areaM2) }));
}
