/** What a spot's straight daylight loses on its way in: outside, in glass, to shade and to curtains. */
import { placedSpots } from '../room';
import { leafPlaceOf, type Answerer } from './answers';
import { straightDli } from './conditions';
import type { HomeFacts, Spot } from './facts';
import { OPENING } from './lit-home';
import { sceneOf } from './scene';
import { bare, lightRoomOf, withWindowsOf } from './window-changes';

/** What a spot's straight daylight loses on its way, mol m-2 d-1, January first. */
export interface Losses {
  readonly outside: readonly number[];
  readonly glass: readonly number[];
  readonly shade: readonly number[];
  readonly curtain: readonly number[];
  readonly arrives: readonly number[];
}

/** What is lost between open windows and the leaf, step by step: things outside, glass with frame, dirt and reveal, shade inside, curtains. */
export function losses(answerer: Answerer, facts: HomeFacts, spotId: string, year: number): Losses | null {
  const placed = placedSpots(facts).find(({ spot }) => spot.id === spotId);
  if (!placed) return null;
  const straight = (given: HomeFacts) => straightOf(answerer, given, placed.spot, year);
  const room = lightRoomOf(facts, placed);
  const uncurtained = withWindowsOf(facts, room, bare);
  const shellOf = (given: HomeFacts, opened: (roomId: string) => boolean): HomeFacts => ({
    ...given,
    rooms: given.rooms.map((each) => (opened(each.id) ? { ...each, shellTransmittance: 1 } : each)),
  });
  const withoutCabinets = shellOf(uncurtained, (roomId) => roomId !== placed.room.id);
  const unshaded: HomeFacts = {
    ...withoutCabinets,
    blocks: [],
    plants: [],
    tiers: uncurtained.tiers.map((tier) => ({ ...tier, board: 'open' as const })),
  };
  const unglazed = withWindowsOf(
    shellOf(unshaded, () => true),
    room,
    (window) => ({ ...window, glazingId: OPENING, frameShare: 0, dirtShare: 0, revealM: 0 }),
  );
  const open: HomeFacts = {
    ...withWindowsOf(unglazed, room, (window) => ({ ...window, outsideKind: 'open', overhangM: 0 })),
    obstructions: [],
  };
  const steps = [open, unglazed, unshaded, uncurtained, facts].map(straight);
  const lost = (i: number) => steps[i]!.map((dli, month0) => Math.max(0, dli - steps[i + 1]![month0]!));
  return { outside: lost(0), glass: lost(1), shade: lost(2), curtain: lost(3), arrives: steps[4]! };
}

/** Straight daylight of a spot by month, as the model has it. */
function straightOf(answerer: Answerer, facts: HomeFacts, spot: Spot, year: number): number[] {
  const scene = sceneOf(facts, answerer.knowledge);
  const placed = placedSpots(facts).find((candidate) => candidate.spot.id === spot.id)!;
  const { year: daylight } = answerer.lit.daylight(scene, leafPlaceOf(scene, placed), answerer.lit.sky(facts, year));
  return Array.from({ length: 12 }, (_, month0) => straightDli(daylight, month0));
}
