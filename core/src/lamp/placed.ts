/** A lamp where it hangs: the light it gives to a leaf or a wall of its room. */
import type { HomeFacts, Intensities, Lamp, Photometry } from '../facts';
import {
  DOWN,
  UP,
  clearWay,
  dot,
  length,
  mayStandBetween,
  minus,
  outwardOf,
  plus,
  pointOn,
  spanOf,
  times,
  unit,
  vec,
  type Occluder,
  type Rectangle,
  type Span,
  type Vec,
} from '../room';
import { RADIANS } from '../units';
import { lampOutput } from './output';
import { candelaAt, fluxOf } from './photometry';
import {
  beamExponent,
  beamPpfd,
  beamedPanelPpfd,
  eachPart,
  linePpfd,
  panelPpfd,
  type Looks,
  type Receptor,
} from './ppfd';

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
  /** The box around the lit face, along the room's axes. */
  readonly span: Span;
  /** Photons at present power and age, umol/s. */
  readonly ppf: number;
  readonly photometry: MeasuredSpread | null;
}

/** A photometric file with its intensities. */
export type MeasuredSpread = Pick<Photometry, 'lengthM' | 'breadthM' | 'fileKey'> & Intensities;

/** Gives the intensities of a stored file; throws when it is not at hand. */
export type IntensitiesOf = (fileKey: string) => Intensities;

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
    const face = faceOf(sizeOf(lamp, photometry), centre, ways);
    return [
      {
        lamp,
        roomId: stand.roomId,
        centre,
        ...ways,
        face,
        span: spanOf(face),
        ppf: lampOutput(lamp).ppf * lamp.dimming,
        photometry,
      },
    ];
  });
}

/** A lamp as the frame sees it whose origin lies at `by` before its own, with a share of its light. */
export function movedLamp(placed: PlacedLamp, by: Vec, share: number): PlacedLamp {
  const face = { ...placed.face, corner: plus(placed.face.corner, by) };
  return { ...placed, centre: plus(placed.centre, by), face, span: spanOf(face), ppf: placed.ppf * share };
}

/** The lamp's own directions, turned from straight down toward a side of the room. */
function turned({ tiltDeg, tiltToward }: Lamp): Pick<PlacedLamp, 'aim' | 'along' | 'across'> {
  if (tiltDeg === 0) return { aim: DOWN, along: vec(1, 0, 0), across: vec(0, 1, 0) };
  const way = outwardOf(tiltToward);
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

/** The lit part: as the file tells, or by the form; a point has none. */
function sizeOf({ form, lengthM, breadthM }: Lamp, photometry: MeasuredSpread | null): Size {
  if (photometry) return photometry;
  return form === 'point' || form === 'spot' ? { lengthM: 0, breadthM: 0 } : { lengthM, breadthM };
}

type Size = Pick<Lamp, 'lengthM' | 'breadthM'>;

function faceOf(
  { lengthM, breadthM }: Size,
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
 * to places spread over the lit face; what they hide of those, they take of the light that comes from there.
 */
export function lampLight(placed: PlacedLamp, receptor: Receptor, occluders: readonly Occluder[]): number {
  const { x, y, z } = receptor.point;
  const between = mayStandBetween(occluders, placed.span, { x0: x, y0: y, z0: z, x1: x, y1: y, z1: z });
  return lampLightPast(placed, receptor, between, 'fine');
}

/** As `lampLight`, where it is known what may stand between. */
export function lampLightPast(
  placed: PlacedLamp,
  receptor: Receptor,
  between: readonly Occluder[],
  looks: Looks,
): number {
  const bare = bareLight(placed, receptor, looks);
  return bare === 0 || between.length === 0 ? bare : bare * shareClear(placed, receptor, between, looks);
}

function bareLight(
  { lamp, centre, aim, along, across, face, ppf, photometry }: PlacedLamp,
  receptor: Receptor,
  looks: Looks,
): number {
  if (photometry) return measuredLight({ aim, along, across, face, ppf, photometry }, receptor, looks);
  if (lamp.form === 'point' || lamp.form === 'spot')
    return beamPpfd({ ppf, source: centre, aim, beamDeg: lamp.beamDeg }, receptor);
  const lambertian = Math.abs(lamp.beamDeg - LAMBERTIAN_BEAM_DEG) < 1;
  if (lamp.form === 'bar' && lambertian) {
    const axis = lamp.lengthM >= lamp.breadthM ? along : across;
    return linePpfd({ ppf, centre, axis, lengthM: Math.max(lamp.lengthM, lamp.breadthM), aim }, receptor);
  }
  return lambertian ? panelPpfd(ppf, face, receptor) : beamedPanelPpfd(ppf, face, lamp.beamDeg, receptor, looks);
}

/** How finely a measured lamp is cut: its file tells of narrow beams by itself, and is true from afar only. */
const MEASURED_BEAM_DEG = 40;

/** Light by a measured distribution: the lit face is cut into points the more the nearer the surface lies. */
function measuredLight(
  {
    aim,
    along,
    across,
    face,
    ppf,
    photometry,
  }: Pick<PlacedLamp, 'aim' | 'along' | 'across' | 'face' | 'ppf'> & { photometry: MeasuredSpread },
  receptor: Receptor,
  looks: Looks,
): number {
  const flux = fluxOf(photometry);
  if (flux <= 0) return 0;
  const { x, y, z } = receptor.point;
  let sum = 0;
  eachPart(face, receptor.point, MEASURED_BEAM_DEG, looks, (middle, share) => {
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

/** Places looked at are no farther apart than this share of the way, nor nearer than this, m. */
const LOOK_OF_WAY = { fine: 0.08, coarse: 0.5 } as const;
const LOOK_M = { fine: 0.03, coarse: 0.15 } as const;
/** A face wider than this is looked over at no fewer places across it. */
const THIN_M = 0.02;
const LEAST_LOOKS = { fine: 5, coarse: 2 } as const;
const MOST_LOOKS = { fine: 20, coarse: 3 } as const;

/** Share of a lamp's light that gets past what stands between, each place of the face by the light it gives. */
function shareClear(
  { lamp, face, aim, photometry }: PlacedLamp,
  { point, normal }: Receptor,
  between: readonly Occluder[],
  looks: Looks,
): number {
  const away = length(minus(pointOn(face, 0.5, 0.5), point));
  const step = Math.max(LOOK_M[looks], LOOK_OF_WAY[looks] * away);
  const least = (size: number) => (size > THIN_M ? LEAST_LOOKS[looks] : 1);
  const count = (size: number) => Math.max(least(size), Math.min(MOST_LOOKS[looks], Math.ceil(size / step)));
  const along = count(face.sizeU);
  const across = count(face.sizeV);
  // A file tells of its own beam; here it is enough to know that its light falls off to the side.
  const power = photometry ? 1 : beamExponent(lamp.beamDeg);
  let clear = 0;
  let all = 0;
  for (let i = 0; i < along; i++) {
    for (let j = 0; j < across; j++) {
      const at = pointOn(face, (i + 0.5) / along, (j + 0.5) / across);
      const way = minus(point, at);
      const square = dot(way, way);
      const distance = Math.sqrt(square);
      const weight =
        (Math.max(0, dot(way, aim) / distance) ** power * Math.max(0, -dot(way, normal) / distance)) / square;
      if (weight === 0) continue;
      all += weight;
      clear += weight * clearWay(between, point.x, point.y, point.z, at.x, at.y, at.z);
    }
  }
  return all > 0 ? clear / all : 0;
}
