/** A home as it was when something was measured, as far as is known: who stood there then, how high lamps hung. */
import type { HomeFacts, Lamp, Plant, Reading } from '../facts';
import { civilDateOf } from '../units';

/** YYYY-MM-DD of an instant in a home's own calendar. */
function dateOf(atMs: number, timeZone: string): string {
  const { year, month, day } = civilDateOf(atMs, timeZone);
  return `${year}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
}

/**
 * The home in which a reading was taken: plants of its tier that were moved later stand where they came from, lamps of
 * its tier that a plan had hung anew later hang as they did. What was moved more than once is known by its last move
 * alone. The very same facts where nothing has changed since.
 */
export function asItWas(facts: HomeFacts, { spotId, atMs }: Pick<Reading, 'spotId' | 'atMs'>): HomeFacts {
  const on = dateOf(atMs, facts.home.timeZone);
  const tierOf = new Map(facts.spots.map((spot) => [spot.id, spot.tierId]));
  const tierId = tierOf.get(spotId);
  if (tierId === undefined) return facts;
  const isOnTier = (id: string | null) => id !== null && tierOf.get(id) === tierId;
  const cameLater = (plant: Plant) =>
    plant.movedOn !== null && plant.movedOn > on && (isOnTier(plant.spotId) || isOnTier(plant.cameFromSpotId));
  const heightThen = new Map<string, number>();
  for (const { kind, lampId, fromAboveM, doneOn } of [...facts.planSteps].reverse())
    if (kind === 'hang' && lampId !== null && fromAboveM !== null && doneOn !== null && doneOn > on)
      heightThen.set(lampId, fromAboveM);
  const hungLater = (lamp: Lamp) => lamp.tierId === tierId && heightThen.has(lamp.id);
  if (!facts.plants.some(cameLater) && !facts.lamps.some(hungLater)) return facts;
  return {
    ...facts,
    plants: facts.plants.map((plant) => (cameLater(plant) ? { ...plant, spotId: plant.cameFromSpotId } : plant)),
    lamps: facts.lamps.map((lamp) => (hungLater(lamp) ? { ...lamp, aboveM: heightThen.get(lamp.id)! } : lamp)),
  };
}

/** Names how a home was otherwise than now: the same for the same plants and lamps that stood or hung elsewhere. */
export const differenceKey = (then: HomeFacts, now: HomeFacts): string => {
  const plants = then.plants.filter((plant, i) => plant !== now.plants[i]).map(({ id }) => id);
  const lamps = then.lamps.filter((lamp, i) => lamp !== now.lamps[i]).map(({ id, aboveM }) => `${id}@${aboveM}`);
  return [...plants, ...lamps].join('|');
};
