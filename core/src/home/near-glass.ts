/** What the glass beside a leaf does to its air: cold nights and hot afternoons. */
import type { HomeFacts } from '../facts';
import { distanceToRectangle, openingOf, type PlacedSpot } from '../room';
import { PLAIN_U_VALUE } from './zone-building';
import type { Sources } from './knowledge';

export interface NearGlass {
  /** How far the leaf lives in the air at the pane, 0..1. */
  readonly share: number;
  /** Of that pane, W m-2 K-1. */
  readonly uValue: number;
}

const AWAY: NearGlass = { share: 0, uValue: 0 };

/** Air at this distance from a pane, and nearer, is the pane's own; beyond the other it is the room's, m. Judgement. */
const AT_PANE_M = 0.1;
const AWAY_FROM_PANE_M = 0.8;

/** The nearest pane of a spot's own room; a cabinet's shell keeps its air apart from the glass. */
export function nearGlass(
  facts: HomeFacts,
  { room, leaf }: Pick<PlacedSpot, 'room' | 'leaf'>,
  sources: Sources,
): NearGlass {
  if (room.insideRoomId !== null) return AWAY;
  let nearest = AWAY;
  for (const window of facts.windows) {
    if (window.roomId !== room.id) continue;
    const away = distanceToRectangle(openingOf(room, window), leaf);
    const share = Math.max(0, Math.min(1, (AWAY_FROM_PANE_M - away) / (AWAY_FROM_PANE_M - AT_PANE_M)));
    if (share <= nearest.share) continue;
    nearest = { share, uValue: sources.glazing(window.glazingId)?.uValue ?? PLAIN_U_VALUE };
  }
  return nearest;
}

/** Inner side of a pane to the room's air, W m-2 K-1 (EN ISO 6946). */
const INNER_SURFACE = 7.7;
/**
 * Share of the pane's cold that a leaf beside it feels: of the air that falls along it, and in a cold night also of
 * what it radiates to the glass. Judgement.
 */
const FELT = { usual: 0.35, 'cold-night': 0.6 } as const;
/**
 * Sun on the glass warms the air between it and the room by so much for each hour of it, K, and by no more than the
 * other.
 */
const WARMED_BY_SUN_K = 1;
const WARMED_AT_MOST_K = 6;

/** What the cold of a pane takes from the air at a leaf, K: 0 or less. */
export function paneFelt(
  { share, uValue }: NearGlass,
  roomC: number,
  outdoorC: number,
  when: keyof typeof FELT,
): number {
  const colderBy = Math.max(0, (roomC - outdoorC) * Math.min(1, uValue / INNER_SURFACE));
  // Taken from nought: a pane no colder than the room gives 0, where a change of sign would give -0, which JSON loses.
  return 0 - share * FELT[when] * colderBy;
}

/** What the sun on a pane adds to the air at a leaf in the afternoon, K. @param sunHours in the day */
export function paneWarmed({ share }: NearGlass, sunHours: number): number {
  return share * Math.min(WARMED_AT_MOST_K, WARMED_BY_SUN_K * sunHours);
}
