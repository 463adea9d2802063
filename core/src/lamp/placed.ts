/** A lamp where it hangs: the light it gives to a leaf of its room. */
import type { HomeFacts, Lamp } from '../home/facts';
import { crosses, vec, DOWN, UP, type Rectangle, type Vec } from '../room';
import { beamPpfd, beamedPanelPpfd, linePpfd, panelPpfd } from './ppfd';

/** A lamp and the middle of its lit face in its room's frame. */
export interface PlacedLamp {
  readonly lamp: Lamp;
  readonly roomId: string;
  readonly centre: Vec;
}

/** Every lamp of a home where it hangs; lamps whose tier or stand is missing are left out. */
export function placedLamps(facts: HomeFacts): PlacedLamp[] {
  const stands = new Map(facts.stands.map((stand) => [stand.id, stand]));
  const tiers = new Map(facts.tiers.map((tier) => [tier.id, tier]));
  return facts.lamps.flatMap((lamp) => {
    const tier = tiers.get(lamp.tierId);
    const stand = tier && stands.get(tier.standId);
    if (!tier || !stand) return [];
    const centre = vec(stand.xM + lamp.alongM, stand.yM + lamp.acrossM, tier.heightM + lamp.aboveM);
    return [{ lamp, roomId: stand.roomId, centre }];
  });
}

/** Beam angle at which a cos^m source is Lambertian. */
const LAMBERTIAN_BEAM_DEG = 120;

/**
 * PPFD of a placed lamp, dimmed as set, on a level leaf, umol m-2 s-1. Boards between lamp and leaf (judged from
 * the lamp's middle) shut it off. Light thrown back by walls and shelves is not counted.
 */
export function lampPpfd({ lamp, centre }: PlacedLamp, leaf: Vec, boards: readonly Rectangle[]): number {
  if (boards.some((board) => crosses(board, centre, leaf))) return 0;
  const ppf = lamp.ppf * lamp.dimming;
  const receptor = { point: leaf, normal: UP };
  if (lamp.form === 'point') return beamPpfd({ ppf, source: centre, aim: DOWN, beamDeg: lamp.beamDeg }, receptor);
  const lambertian = Math.abs(lamp.beamDeg - LAMBERTIAN_BEAM_DEG) < 1;
  if (lamp.form === 'bar' && lambertian) {
    const alongX = lamp.lengthM >= lamp.breadthM;
    const axis = alongX ? vec(1, 0, 0) : vec(0, 1, 0);
    return linePpfd({ ppf, centre, axis, lengthM: Math.max(lamp.lengthM, lamp.breadthM), aim: DOWN }, receptor);
  }
  const face: Rectangle = {
    corner: vec(centre.x - lamp.lengthM / 2, centre.y - lamp.breadthM / 2, centre.z),
    edgeU: vec(1, 0, 0),
    edgeV: vec(0, 1, 0),
    sizeU: lamp.lengthM,
    sizeV: lamp.breadthM,
    normal: DOWN,
  };
  return lambertian ? panelPpfd(ppf, face, receptor) : beamedPanelPpfd(ppf, face, lamp.beamDeg, receptor);
}

/** Hours a day a circuit burns in a month (1..12). */
export function circuitHours(
  circuit: { readonly onMinute: number; readonly offMinute: number; readonly months: readonly number[] },
  month: number,
): number {
  return circuit.months.includes(month) ? Math.max(0, circuit.offMinute - circuit.onMinute) / 60 : 0;
}
