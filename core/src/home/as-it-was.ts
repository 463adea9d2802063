/** A home as it was when something was measured, as far as is known: who stood there then, how high lamps hung. */
import {
  roomIdOfSpot,
  type HomeFacts,
  type HungCurtain,
  type Lamp,
  type Plant,
  type Reading,
  type Window,
} from '../facts';
import { civilDateOf } from '../units';

/** YYYY-MM-DD of an instant in a home's own calendar. */
function dateOf(atMs: number, timeZone: string): string {
  const { year, month, day } = civilDateOf(atMs, timeZone);
  return `${year}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
}

/**
 * The home in which a reading was taken: plants of its tier that were moved later stand where they came from, lamps of
 * its tier that a plan had hung anew later hang as they did, and curtains of its room are drawn as they were then.
 * What was moved more than once is known by its last move alone. The very same facts where nothing has changed since.
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
  const drawnThen = new Map<string, readonly HungCurtain[]>();
  const later = facts.planSteps.filter(({ doneOn }) => doneOn !== null && doneOn > on);
  for (const { lampId, fromAboveM, windowId, fromCurtains } of later.reverse()) {
    if (lampId !== null && fromAboveM !== null) heightThen.set(lampId, fromAboveM);
    if (windowId !== null && fromCurtains !== null) drawnThen.set(windowId, fromCurtains);
  }
  const hungLater = (lamp: Lamp) => lamp.tierId === tierId && heightThen.has(lamp.id);
  const roomId = roomIdOfSpot(facts, spotId);
  const around = facts.rooms.find(({ id }) => id === roomId)?.insideRoomId ?? roomId;
  const drawnLater = (window: Window) => window.roomId === around && drawnThen.has(window.id);
  if (!facts.plants.some(cameLater) && !facts.lamps.some(hungLater) && !facts.windows.some(drawnLater)) return facts;
  return {
    ...facts,
    plants: facts.plants.map((plant) => (cameLater(plant) ? { ...plant, spotId: plant.cameFromSpotId } : plant)),
    windows: facts.windows.map((window) =>
      drawnLater(window) ? { ...window, curtains: drawnThen.get(window.id)! } : window,
    ),
    lamps: facts.lamps.map((lamp) => (hungLater(lamp) ? { ...lamp, aboveM: heightThen.get(lamp.id)! } : lamp)),
  };
}

/** Names how a home was otherwise than now, by the plants, lamps and curtains that stood or hung otherwise. */
export const differenceKey = (then: HomeFacts, now: HomeFacts): string => {
  const plants = then.plants.filter((plant, i) => plant !== now.plants[i]).map(({ id }) => id);
  const lamps = then.lamps.filter((lamp, i) => lamp !== now.lamps[i]).map(({ id, aboveM }) => `${id}@${aboveM}`);
  const windows = then.windows
    .filter((window, i) => window !== now.windows[i])
    .map(({ id, curtains }) => `${id}@${JSON.stringify(curtains)}`);
  return [...plants, ...lamps, ...windows].join('|');
};
