/** A lamp where it hangs: the light it gives to a leaf or a wall of its room. */
import type { HomeFacts, Intensities, Lamp, Photometry, Side } from '../facts';
import { clearWay, dot, plus, times, unit, vec, DOWN, UP, type Occluder, type Rectangle, type Vec } from '../room';
import { RADIANS } from '../units';
import { lampOutput } from './output';
import { candelaAt, fluxOf } from './photometry';
import { beamPpfd, beamedPanelPpfd, eachPart, linePpfd, panelPpfd, type Receptor } from './ppfd';

/** A lamp and the middle of its lit face in its room's frame, with the way it is turned. */
export interface PlacedLamp {
  readonly lamp: Lamp;
  readonly roomId: string;
  readonly centre: Vec;
  /** The way it shines, and its length and breadth. */
  readonly aim: Vec;
  readonly along: Vec;
  readonly across: Vec;
  /** The lit face, where light leaves it. */
  readonly face: Rectangle;
  /** Photons at present power and age, umol/s. */
  readonly ppf: number;
  readonly photometry: MeasuredSpread | null;
}

/** A photometric file with its intensities. */
export type MeasuredSpread = Pick<Photometry, 'lengthM' | 'breadthM' | 'fileKey'> & Intensities;

/** Gives the intensities of a stored file; throws when it is not at hand. */
export type IntensitiesOf = (fileKey: string) => Intensities;

const TOWARD: Readonly<Record<Side, Vec>> = { a: vec(0, -1, 0), b: vec(1, 0, 0), c: vec(0, 1, 0), d: vec(-1, 0, 0) };

/** Every lamp of a home where it hangs; lamps whose tier or stand is missing are left out. */
export function placedLamps(
  facts: Pick<HomeFacts, 'stands' | 'tiers' | 'lamps' | 'photometries'>,
  intensitiesOf: IntensitiesOf,
): PlacedLamp[] {
  const stands = new Map(facts.stands.map((stand) => [stand.id, stand]));
  const tiers = new Map(facts.tiers.map((tier) => [tier.id, tier]));
  const photometries = new Map(facts.photometries.map((photometry) => [photometry.id, photometry]));
  return facts.lamps.flatMap((lamp) => {
    const tier = tiers.get(lamp.tierId);
    const stand = tier && stands.get(tier.standId);
    if (!tier || !stand) return [];
    const centre = vec(stand.xM + lamp.alongM, stand.yM + lamp.acrossM, tier.heightM + lamp.aboveM);
    const file = lamp.photometryId === null ? undefined : photometries.get(lamp.photometryId);
    const photometry = file ? { ...file, ...intensitiesOf(file.fileKey) } : null;
    const ways = turned(lamp);
    return [
      {
        lamp,
        roomId: stand.roomId,
        centre,
        ...ways,
        face: faceOf(lamp, centre, ways),
        ppf: lampOutput(lamp).ppf * lamp.dimming,
        photometry,
      },
    ];
  });
}

/** The lamp's own directions, turned from straight down toward a side of the room. */
function turned({ tiltDeg, tiltToward }: Lamp): Pick<PlacedLamp, 'aim' | 'along' | 'across'> {
  if (tiltDeg === 0) return { aim: DOWN, along: vec(1, 0, 0), across: vec(0, 1, 0) };
  const way = TOWARD[tiltToward];
  const tilt = tiltDeg * RADIANS;
  const turn = (v: Vec): Vec => {
    // About the level axis at right angles to the way; what points that way rises, what points down goes that way.
    const ahead = dot(v, way);
    const up = v.z;
    const level = plus(v, plus(times(way, -ahead), vec(0, 0, -up)));
    return plus(
      level,
      plus(
        times(way, ahead * Math.cos(tilt) - up * Math.sin(tilt)),
        vec(0, 0, ahead * Math.sin(tilt) + up * Math.cos(tilt)),
      ),
    );
  };
  return { aim: unit(turn(DOWN)), along: turn(vec(1, 0, 0)), across: turn(vec(0, 1, 0)) };
}

function faceOf(
  { lengthM, breadthM }: Lamp,
  centre: Vec,
  { aim, along, across }: Pick<PlacedLamp, 'aim' | 'along' | 'across'>,
): Rectangle {
  const corner = plus(centre, plus(times(along, -lengthM / 2), times(across, -breadthM / 2)));
  return { corner, edgeU: along, edgeV: across, sizeU: lengthM, sizeV: breadthM, normal: aim };
}

/** Beam angle at which a cos^m source is Lambertian. */
const LAMBERTIAN_BEAM_DEG = 120;

/** PPFD of a placed lamp, dimmed as set, on a level leaf, umol m-2 s-1. */
export function lampPpfd(placed: PlacedLamp, leaf: Vec, occluders: readonly Occluder[]): number {
  return lampLight(placed, { point: leaf, normal: UP }, occluders);
}

/**
 * PPFD of a placed lamp on a small surface, straight from it. Boards, blocks and crowns are looked for from the surface
 * to places spread over the lit face; what they hide of those, they take of the light.
 */
export function lampLight(
  placed: PlacedLamp,
  receptor: Receptor,
  occluders: readonly Occluder[],
  looks: readonly number[] = LOOKS,
): number {
  const bare = bareLight(placed, receptor);
  if (bare === 0 || occluders.length === 0) return bare;
  return bare * shareClear(placed, receptor.point, occluders, looks);
}

function bareLight(
  { lamp, centre, aim, along, across, face, ppf, photometry }: PlacedLamp,
  receptor: Receptor,
): number {
  if (photometry) return measuredLight({ centre, aim, along, across, ppf, photometry }, receptor);
  if (lamp.form === 'point' || lamp.form === 'spot')
    return beamPpfd({ ppf, source: centre, aim, beamDeg: lamp.beamDeg }, receptor);
  const lambertian = Math.abs(lamp.beamDeg - LAMBERTIAN_BEAM_DEG) < 1;
  if (lamp.form === 'bar' && lambertian) {
    const axis = lamp.lengthM >= lamp.breadthM ? along : across;
    return linePpfd({ ppf, centre, axis, lengthM: Math.max(lamp.lengthM, lamp.breadthM), aim }, receptor);
  }
  return lambertian ? panelPpfd(ppf, face, receptor) : beamedPanelPpfd(ppf, face, lamp.beamDeg, receptor);
}

/** How finely a measured lamp is cut: its file tells of narrow beams by itself, and is true from some sizes away only. */
const MEASURED_BEAM_DEG = 40;

/** Light by a measured distribution: the lit face is cut into points the more the nearer the surface lies. */
function measuredLight(
  {
    centre,
    aim,
    along,
    across,
    ppf,
    photometry,
  }: Pick<PlacedLamp, 'centre' | 'aim' | 'along' | 'across' | 'ppf'> & { photometry: MeasuredSpread },
  receptor: Receptor,
): number {
  const flux = fluxOf(photometry);
  if (flux <= 0) return 0;
  const { x, y, z } = receptor.point;
  const corner = plus(centre, plus(times(along, -photometry.lengthM / 2), times(across, -photometry.breadthM / 2)));
  const lit = {
    corner,
    edgeU: along,
    edgeV: across,
    sizeU: photometry.lengthM,
    sizeV: photometry.breadthM,
    normal: aim,
  };
  let sum = 0;
  eachPart(lit, receptor.point, MEASURED_BEAM_DEG, (middle, share) => {
    const wayX = x - middle.x;
    const wayY = y - middle.y;
    const wayZ = z - middle.z;
    const square = wayX * wayX + wayY * wayY + wayZ * wayZ;
    const distance = Math.sqrt(square);
    const cosAtLeaf = -(wayX * receptor.normal.x + wayY * receptor.normal.y + wayZ * receptor.normal.z) / distance;
    if (cosAtLeaf <= 0) return;
    const cosAim = (wayX * aim.x + wayY * aim.y + wayZ * aim.z) / distance;
    const angleDeg = Math.acos(Math.max(-1, Math.min(1, cosAim))) / RADIANS;
    const planeDeg =
      Math.atan2(
        wayX * across.x + wayY * across.y + wayZ * across.z,
        wayX * along.x + wayY * along.y + wayZ * along.z,
      ) / RADIANS;
    sum += (share * candelaAt(photometry, planeDeg, angleDeg) * cosAtLeaf) / square;
  });
  return (ppf * sum) / flux;
}

/** Places along the lit face from which the way to a surface is looked over. */
const LOOKS: readonly number[] = [-0.4, 0, 0.4];

/** One look, for surfaces that only pass light on. */
export const LOOK_ONCE: readonly number[] = [0];

function shareClear(
  { lamp, centre, along, across, photometry }: PlacedLamp,
  point: Vec,
  occluders: readonly Occluder[],
  looks: readonly number[],
): number {
  const lengthM = photometry ? photometry.lengthM : lamp.form === 'point' || lamp.form === 'spot' ? 0 : lamp.lengthM;
  const breadthM = photometry ? photometry.breadthM : lamp.form === 'panel' ? lamp.breadthM : 0;
  const lengthwise = lengthM > 0.05 ? looks : LOOK_ONCE;
  const breadthwise = breadthM > 0.05 ? looks : LOOK_ONCE;
  let sum = 0;
  for (const a of lengthwise) {
    for (const b of breadthwise) {
      const at = plus(centre, plus(times(along, a * lengthM), times(across, b * breadthM)));
      sum += clearWay(occluders, point.x, point.y, point.z, at.x, at.y, at.z);
    }
  }
  return sum / (lengthwise.length * breadthwise.length);
}

/** Hours a day a circuit burns in a month (1..12). */
export function circuitHours(
  circuit: { readonly onMinute: number; readonly offMinute: number; readonly months: readonly number[] },
  month: number,
): number {
  return circuit.months.includes(month) ? Math.max(0, circuit.offMinute - circuit.onMinute) / 60 : 0;
}
