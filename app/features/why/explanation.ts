/** What an explanation of a figure holds, and what it is asked of. */
import { roomIdOfSpot, type ClimateFamily, type HomeFacts, type SpotAnswer } from '@dulvan/core';
import type { Units } from '../../state/settings';

export type Pair = readonly [name: string, value: string];

export interface Explanation {
  readonly title: string;
  readonly value: string;
  readonly parts: readonly Pair[];
  readonly inputs: readonly Pair[];
  readonly method: readonly string[];
  readonly assumptions: readonly string[];
  readonly doubt: string;
}

export interface Asked {
  readonly facts: HomeFacts;
  readonly spotId: string;
  readonly answer: SpotAnswer;
  readonly month: number;
  readonly units: Units;
  readonly climate: ClimateFamily | null;
}

/** The room a spot is in. */
export function roomOf(facts: HomeFacts, spotId: string) {
  const roomId = roomIdOfSpot(facts, spotId);
  return facts.rooms.find((room) => room.id === roomId);
}
