/** What the glass beside a leaf does to its air: cold nights and hot afternoons, until the air itself is computed. */
import type { AirMonth } from '../air';
import type { HomeFacts } from '../facts';
import { distanceToRectangle, openingOf, type PlacedSpot } from '../room';
import { seasonalMonth } from '../taxon';
import type { Sources } from './knowledge';

export interface NearGlass {
  /** How far the leaf lives in the air at the pane, 0..1. */
  readonly share: number;
  /** Of that pane, W m-2 K-1. */
  readonly uValue: number;
  /** Outdoor temperature of a cold night in each month, C, January first; null where the climate is not known. */
  readonly coldNights: readonly number[] | null;
}

const AWAY: NearGlass = { share: 0, uValue: 0, coldNights: null };

/** Air at this distance from a pane, and nearer, is the pane's own; beyond the other it is the room's, m. Judgement. */
const AT_PANE_M = 0.1;
const AWAY_FROM_PANE_M = 0.8;
/** A pane whose glazing is not known loses as two plain panes do. */
const PLAIN_U_VALUE = 2.8;
/** A cold night is this much below the mean night of its month, K: about the coldest of twenty, from daily records of mild climates. */
const COLD_SPELL_OUTDOORS_K = 8;

/** The nearest pane of a spot's own room; a cabinet's shell keeps its air apart from the glass. */
export function nearGlass(facts: HomeFacts, { room, leaf }: PlacedSpot, sources: Sources): NearGlass {
  if (room.insideRoomId !== null) return AWAY;
  let nearest = AWAY;
  for (const window of facts.windows) {
    if (window.roomId !== room.id) continue;
    const away = distanceToRectangle(openingOf(room, window), leaf);
    const share = Math.max(0, Math.min(1, (AWAY_FROM_PANE_M - away) / (AWAY_FROM_PANE_M - AT_PANE_M)));
    if (share <= nearest.share) continue;
    nearest = { share, uValue: sources.glazing(window.glazingId)?.uValue ?? PLAIN_U_VALUE, coldNights: null };
  }
  if (nearest.share === 0) return AWAY;
  const climate = sources.climate(facts.home.climateId);
  const coldNights =
    climate?.nightC.map(
      (_, month0) => climate.nightC[seasonalMonth(month0 + 1, facts.home.latitude) - 1]! - COLD_SPELL_OUTDOORS_K,
    ) ?? null;
  return { ...nearest, coldNights };
}

/** A heated room's coldest night and hottest afternoon beside the means of its month, K. */
const COLD_SPELL_INDOORS_K = 2;
const HOT_SPELL_INDOORS_K = 3;
/** Inner side of a pane to the room's air, W m-2 K-1 (EN ISO 6946), and the share of the pane's cold that the leaf beside it feels. */
const INNER_SURFACE = 7.7;
const FELT_AT_PANE = 0.6;
/** Sun on the glass warms the air between it and the room by so much for each hour of it, K, and by no more than the other. */
const WARMED_BY_SUN_K = 1;
const WARMED_AT_MOST_K = 6;

/**
 * The coldest night and the hottest afternoon to be expected at a leaf in a month, C: the room's own, and what the pane
 * beside it takes by night and gives by day.
 * @param sunHours of a clear day
 */
export function extremesAt(
  { dayC, nightC }: Pick<AirMonth, 'dayC' | 'nightC'>,
  { share, uValue, coldNights }: NearGlass,
  month0: number,
  sunHours: number,
): { readonly coldNightC: number; readonly hotDayC: number } {
  const coldRoom = nightC - COLD_SPELL_INDOORS_K;
  const outdoors = coldNights?.[month0] ?? coldRoom;
  const paneDrop = Math.max(0, (coldRoom - outdoors) * Math.min(1, uValue / INNER_SURFACE)) * FELT_AT_PANE;
  return {
    coldNightC: coldRoom - share * paneDrop,
    hotDayC: dayC + HOT_SPELL_INDOORS_K + share * Math.min(WARMED_AT_MOST_K, WARMED_BY_SUN_K * sunHours),
  };
}
