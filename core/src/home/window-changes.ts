/** A home with its windows otherwise: which of them light a spot, and what they are without their curtains. */
import type { PlacedSpot } from '../room';
import type { HomeFacts, Window } from '../facts';

/** The room whose windows light a spot: its own, or the one its cabinet stands in. */
export const lightRoomOf = (facts: HomeFacts, { room }: PlacedSpot): string =>
  facts.rooms.some(({ id }) => id === room.insideRoomId) ? room.insideRoomId! : room.id;

/** The home with the windows of one room changed. */
export function withWindowsOf(facts: HomeFacts, roomId: string, change: (window: Window) => Window): HomeFacts {
  return { ...facts, windows: facts.windows.map((window) => (window.roomId === roomId ? change(window) : window)) };
}

/** Without its curtains. */
export const bare = (window: Window): Window => ({ ...window, curtains: [] });
