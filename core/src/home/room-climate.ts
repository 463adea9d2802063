/** How a room is heated and aired: as it was said, or as it is assumed. */
import type { HomeFacts, Room, RoomClimate } from '../facts';

export type Climate = Omit<RoomClimate, 'id' | 'roomId'>;

/** What is taken for a room of which nothing was said of its heating and airing. */
export const ASSUMED_CLIMATE: Climate = {
  heating: 'set',
  dayC: 20,
  nightC: 17,
  dayFromMinute: 420,
  dayToMinute: 1320,
  envelope: 'usual',
  airing: 'leaky',
  peopleHours: 8,
  laundryLoadsWeek: 0,
  mealsDay: 0,
  showersDay: 0,
  shell: 'glass',
};
const ASSUMED_CABINET: Climate = { ...ASSUMED_CLIMATE, heating: 'none', peopleHours: 0 };

/** A room's climate as it was said, or as it is assumed. */
export function climateOf({ climates }: Pick<HomeFacts, 'climates'>, room: Room): Climate {
  const said = climates.find(({ roomId }) => roomId === room.id);
  return said ?? (room.insideRoomId === null ? ASSUMED_CLIMATE : ASSUMED_CABINET);
}
