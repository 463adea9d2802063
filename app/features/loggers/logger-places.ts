/** Where loggers hang: in a room, or at a spot. */
import type { HomeFacts } from '@dulvan/core';
import { spotPlace } from '../../parts/words';
import { LOGGERS_SCREEN as WORDS } from './loggers-words';

/** Where a logger hangs, in words. */
export function loggerPlace(
  facts: HomeFacts,
  { roomId, spotId }: { readonly roomId: string | null; readonly spotId: string | null },
): string {
  if (spotId !== null) return spotPlace(facts, spotId);
  return facts.rooms.find(({ id }) => id === roomId)?.name ?? WORDS.nowhere;
}

/** Where one may hang, as choices. */
export const placesOf = (facts: HomeFacts) => [
  ...facts.rooms.map(({ id, name }) => ({ value: `room/${id}`, word: name })),
  ...facts.spots.map(({ id }) => ({ value: `spot/${id}`, word: spotPlace(facts, id) })),
];

/** A choice as it is kept. */
export function atPlace(choice: string): { readonly roomId: string | null; readonly spotId: string | null } {
  const [kind, id] = choice.split('/') as ['room' | 'spot', string];
  return { roomId: kind === 'room' ? id : null, spotId: kind === 'spot' ? id : null };
}
