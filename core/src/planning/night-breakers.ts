/** What keeps a plant's nights too short for its buds where a plan has it: the room's own light, its timers, or both. */
import { applied, patch, roomIdOfSpot, type Change, type HomeFacts } from '../facts';
import { flowersOf, verdictOf, type Condition } from '../fit';
import type { HomeEngine } from '../home';
import type { Wanting } from './worth';

export type NightBreaker =
  { readonly what: 'room'; readonly roomId: string } | { readonly what: 'timer'; readonly circuitId: string };

interface Asked {
  readonly engine: HomeEngine;
  /** The home as the plan has it. */
  readonly home: HomeFacts;
  readonly spotId: string;
  /** The timers that light the spot. */
  readonly circuitIds: readonly string[];
  readonly year: number;
  /** 1..12, the month that is on. */
  readonly month: number;
}

const out = (breaker: NightBreaker): Change =>
  breaker.what === 'room'
    ? patch('rooms', breaker.roomId, { eveningLux: 0 })
    : patch('circuits', breaker.circuitId, { months: [], programme: [] });

/**
 * The fewest lights without which its nights would be long enough for buds; none where they are, where the plant is not
 * grown for flowers, or where daylight itself is too long.
 */
export function nightBreakers(wanting: Wanting, through: readonly Condition[], asked: Asked): readonly NightBreaker[] {
  if (wanting.goal !== 'flower') return [];
  const { engine, home, spotId, circuitIds, year, month } = asked;
  const { targets, reserveLeft } = wanting;
  const lacksNight = (conditions: readonly Condition[]): boolean =>
    flowersOf(targets, conditions, verdictOf(targets, through, month, reserveLeft))?.lacks.some(
      ({ lack }) => lack === 'long-nights',
    ) ?? false;
  if (!lacksNight(through)) return [];
  const roomId = roomIdOfSpot(home, spotId);
  const room = home.rooms.find(({ id }) => id === roomId);
  const lights: NightBreaker[] = [
    ...(room && room.eveningLux > 0 ? [{ what: 'room', roomId: room.id } as const] : []),
    ...circuitIds.map((circuitId) => ({ what: 'timer', circuitId }) as const),
  ];
  const sets = [...lights.map((light) => [light]), ...(lights.length > 1 ? [lights] : [])];
  return (
    sets.find((set) => {
      const dark = applied(home, set.map(out))!;
      return !lacksNight(engine.conditionsAt(dark, [spotId], year, home).get(spotId)!);
    }) ?? []
  );
}
