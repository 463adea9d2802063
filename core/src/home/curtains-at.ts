/** Whether a curtain that dims a spot is meant to be shut at an instant. */
import { isShutAt, roomIdOfSpot, type HomeFacts } from '../facts';
import { civilDateOf, minuteOfCivilDay } from '../units';

/** Whether any curtain of the room that lights a spot is scheduled to be shut at an instant. @param atMs UTC epoch ms */
export function curtainsAt(facts: HomeFacts, spotId: string, atMs: number): 'open' | 'shut' {
  const { timeZone } = facts.home;
  const own = facts.rooms.find((room) => room.id === roomIdOfSpot(facts, spotId));
  const { month } = civilDateOf(atMs, timeZone);
  const minute = minuteOfCivilDay(atMs, timeZone);
  const isShut = facts.windows
    .filter((window) => window.roomId === (own?.insideRoomId ?? own?.id))
    .flatMap((window) => window.curtains)
    .some((curtain) => curtain.months.includes(month) && isShutAt(curtain, minute));
  return isShut ? 'shut' : 'open';
}
