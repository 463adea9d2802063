/** What lamps over a tier give at its spots, what comes besides, and between which heights its lamps may hang. */
import type { Circuit, HomeFacts, Tier } from '../facts';
import { leafPlaceOf, meanDli, sceneOf, topPlaceOf, type HomeEngine, type LeafPlace } from '../home';
import { fullHours } from '../lamp';
import { LEAF_HEIGHT_M, placedSpots, vec } from '../room';
import { ALL_MONTHS, MOL_PER_UMOL_HOUR } from '../units';

/** Lamps hang at least this far over the leaves of an empty tier, and over the tallest plant, m. */
const OVER_LEAVES_M = 0.08;
const OVER_TOPS_M = 0.05;
const LOWEST_LAMP_M = LEAF_HEIGHT_M + OVER_LEAVES_M;
/** Nobody hangs a lamp higher above its plants, m. */
const HIGHEST_LAMP_M = 1.5;

/** Points along and across a tier without spots. */
const GRID = [1 / 6, 3 / 6, 5 / 6];

/** A place on the tier that is looked at. */
interface Place {
  readonly spotId: string | null;
  readonly middle: LeafPlace;
  readonly top: LeafPlace;
}

/** What one place of a tier gets. */
export interface PlaceLight {
  readonly spotId: string | null;
  /** PPFD of the tier's own lamps at the middle of the leaves, and at their top, umol m-2 s-1. */
  readonly ppfd: number;
  readonly topPpfd: number;
  /** Daylight and what other lamps give, by month, mol m-2 d-1. */
  readonly besides: readonly number[];
}

interface Asked {
  readonly tier: Tier;
  readonly year: number;
  /** Which lamps are the tier's own; all others come besides. */
  readonly isOwn: (lamp: { readonly circuit: Circuit; readonly lampId: string }) => boolean;
}

/** @returns one entry a spot, each at its own plant's heights; a grid over the board where there is none */
export function tierLight(engine: HomeEngine, facts: HomeFacts, { tier, year, isOwn }: Asked): PlaceLight[] {
  const scene = sceneOf(facts, engine.sources);
  const sky = engine.lit.sky(facts, year);
  return placesOf(facts, scene, tier).map(({ spotId, middle, top }) => {
    const lamps = engine.lit.lampsAt(scene, middle, sky, top);
    const own = lamps.filter(({ circuit, id }) => isOwn({ circuit, lampId: id }));
    const others = lamps.filter((lamp) => !own.includes(lamp));
    const { year: days } = engine.lit.daylight(scene, middle, sky);
    const besides = ALL_MONTHS.map((month) =>
      others.reduce(
        (sum, { ppfd, circuit }) => sum + ppfd * fullHours(circuit, month) * MOL_PER_UMOL_HOUR,
        meanDli(days, month - 1),
      ),
    );
    return {
      spotId,
      ppfd: own.reduce((sum, { ppfd }) => sum + ppfd, 0),
      topPpfd: own.reduce((sum, { topPpfd }) => sum + topPpfd, 0),
      besides,
    };
  });
}

/** Hours a day in which a PPFD brings what is there besides to what is wanted; Infinity where it cannot. */
export function hoursFor(wantedDli: number, besides: number, ppfd: number): number {
  const missing = Math.max(0, wantedDli - besides);
  return missing === 0 ? 0 : ppfd > 0 ? missing / (ppfd * MOL_PER_UMOL_HOUR) : Infinity;
}

function placesOf(facts: HomeFacts, scene: ReturnType<typeof sceneOf>, tier: Tier): Place[] {
  const spots = placedSpots(facts).filter(({ tierId }) => tierId === tier.id);
  if (spots.length > 0) {
    return spots.map((placed) => {
      const middle = leafPlaceOf(scene, placed);
      return { spotId: placed.spot.id, middle, top: topPlaceOf(middle, placed) };
    });
  }
  const stand = facts.stands.find(({ id }) => id === tier.standId)!;
  const room = scene.rooms.get(stand.roomId)!;
  return GRID.flatMap((u) =>
    GRID.map((v): Place => {
      const leaf = vec(stand.xM + u * stand.widthM, stand.yM + v * stand.depthM, tier.heightM + LEAF_HEIGHT_M);
      const place = { room, leaf, neighbours: [] };
      return { spotId: null, middle: place, top: place };
    }),
  );
}

/** Heights above a tier's board, m: what its plants leave free, and as high as the board above or the ceiling lets hang. */
export function hangingRange(facts: HomeFacts, tier: Tier): { readonly clear: number; readonly top: number } {
  const tops = placedSpots(facts).flatMap((placed) => (placed.tierId === tier.id ? [placed.heights.topM] : []));
  const stand = facts.stands.find(({ id }) => id === tier.standId)!;
  const room = facts.rooms.find(({ id }) => id === stand.roomId)!;
  const above = facts.tiers
    .filter((other) => other.standId === stand.id && other.heightM > tier.heightM)
    .map((other) => other.heightM - tier.heightM - 0.03);
  const free = Math.min(room.heightM - tier.heightM - 0.02, ...above);
  const hung = facts.lamps.filter(({ tierId }) => tierId === tier.id).map(({ aboveM }) => aboveM);
  return {
    clear: Math.max(LOWEST_LAMP_M, ...tops.map((topM) => topM + OVER_TOPS_M)),
    top: Math.max(LOWEST_LAMP_M + 0.05, Math.min(free, Math.max(HIGHEST_LAMP_M, ...hung))),
  };
}
