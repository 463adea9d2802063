/** A room's zone of air as its record taught it to be. */
import { raisedBy, timesAsMuch, type AirLink, type AirZone } from '../air';
import type { HomeFacts, LearntAir, Room } from '../facts';
import { climateOf } from './room-climate';

/** What is learnt of a zone: factors on its guesses, and how much warmer it is held. */
export type ZoneLesson = Pick<LearntAir, 'airing' | 'water' | 'walls' | 'sun' | 'holds' | 'dayK' | 'nightK'>;

/** What a record taught of a room, as long as its heating and airing are what they were; null where nothing holds. */
export function lessonOf(facts: Pick<HomeFacts, 'climates' | 'learntAir'>, room: Room): LearntAir | null {
  const { heating, airing, envelope } = climateOf(facts, room);
  return (
    facts.learntAir.find(
      (one) =>
        one.roomId === room.id &&
        one.heatingThen === heating &&
        one.airingThen === airing &&
        one.envelopeThen === envelope,
    ) ?? null
  );
}

/** A zone with its guesses moved. */
export function taughtZone(zone: AirZone, { airing, water, walls, sun, holds, dayK, nightK }: ZoneLesson): AirZone {
  const { heating, wet } = zone;
  return {
    ...zone,
    capacityJK: zone.capacityJK * holds,
    uaWK: zone.uaWK * walls,
    airChangesH: timesAsMuch(zone.airChangesH, airing),
    sources: zone.sources.map((source) => ({ ...source, gH: timesAsMuch(source.gH, water) })),
    solarW: zone.solarW && zone.solarW.map((watts) => watts * sun),
    heating: heating && { ...heating, setC: warmedBy(heating.setC, dayK, nightK) },
    wet: wet && { ...wet, areaM2: wet.areaM2 * water },
  };
}

/** What joins a cabinet to its room, with its guesses moved: its gaps are its airing, its shell its walls. */
export const taughtLink = (link: AirLink, { airing, walls }: ZoneLesson): AirLink => ({
  ...link,
  uaWK: link.uaWK * walls,
  flowKgS: link.flowKgS * airing,
});

/** A set point's parts are its days; one that never changes is held by day and by night alike. */
function warmedBy(setC: NonNullable<AirZone['heating']>['setC'], dayK: number, nightK: number) {
  if (setC.parts.length === 0) return raisedBy(setC, (dayK + nightK) / 2);
  return { base: setC.base + nightK, parts: setC.parts.map((one) => ({ ...one, value: one.value + dayK })) };
}
