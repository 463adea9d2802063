/** What a spot's straight daylight loses on its way in: outside, in glass, to shade and to curtains. */
import { placedSpots, type PlacedSpot } from '../room';
import type { HomeFacts, Spot } from '../facts';
import {
  OPENING,
  bare,
  leafPlaceOf,
  lightRoomOf,
  sceneOf,
  straightDli,
  withWindowsOf,
  type HomeEngine,
  type Steps,
} from '../home';

/** What a spot's straight daylight loses on its way, mol m-2 d-1, January first. */
export interface Losses {
  readonly outside: readonly number[];
  readonly glass: readonly number[];
  readonly shade: readonly number[];
  readonly curtain: readonly number[];
  readonly arrives: readonly number[];
}

export interface LossesParams {
  readonly spotId: string;
  readonly year: number;
}

/**
 * What is lost between open windows and the leaf, step by step: things outside, glass with frame, dirt and reveal, shade
 * inside, curtains. Null when the spot is not there.
 */
export function* losses(engine: HomeEngine, facts: HomeFacts, { spotId, year }: LossesParams): Steps<Losses | null> {
  const placed = placedSpots(facts).find(({ spot }) => spot.id === spotId);
  if (!placed) return null;
  const steps: number[][] = [];
  const homes = openedStepByStep(facts, placed);
  for (const [i, home] of homes.entries()) {
    yield i / homes.length;
    steps.push(straightOf(engine, home, placed.spot, year));
  }
  const lost = (i: number) => steps[i]!.map((dli, month0) => Math.max(0, dli - steps[i + 1]![month0]!));
  return { outside: lost(0), glass: lost(1), shade: lost(2), curtain: lost(3), arrives: steps[4]! };
}

/** The home without all that takes light, then with more and more of it: outside, glass, shade, curtains. */
function openedStepByStep(facts: HomeFacts, placed: PlacedSpot): HomeFacts[] {
  const room = lightRoomOf(facts, placed);
  const uncurtained = withWindowsOf(facts, room, bare);
  const shellOf = (given: HomeFacts, opened: (roomId: string) => boolean): HomeFacts => ({
    ...given,
    rooms: given.rooms.map((each) => (opened(each.id) ? { ...each, shellTransmittance: 1 } : each)),
  });
  const unshaded: HomeFacts = {
    ...shellOf(uncurtained, (roomId) => roomId !== placed.room.id),
    blocks: [],
    plants: uncurtained.plants.filter((plant) => plant.spotId === placed.spot.id),
    tiers: uncurtained.tiers.map((tier) => ({ ...tier, board: 'open' as const })),
  };
  const opening = { glazingId: OPENING, frameShare: 0, dirtShare: 0, revealM: 0 };
  const unglazed = withWindowsOf(
    shellOf(unshaded, () => true),
    room,
    (window) => ({ ...window, ...opening }),
  );
  const open: HomeFacts = {
    ...withWindowsOf(unglazed, room, (window) => ({ ...window, outsideKind: 'open', overhangM: 0 })),
    obstructions: [],
  };
  return [open, unglazed, unshaded, uncurtained, facts];
}

/** Straight daylight of a spot by month, as the model has it. */
function straightOf(engine: HomeEngine, facts: HomeFacts, spot: Spot, year: number): number[] {
  const scene = sceneOf(facts, engine.sources);
  const placed = placedSpots(facts).find((candidate) => candidate.spot.id === spot.id)!;
  const { year: daylight } = engine.lit.daylight(scene, leafPlaceOf(scene, placed), engine.lit.sky(facts, year));
  return Array.from({ length: 12 }, (_, month0) => straightDli(daylight, month0));
}
