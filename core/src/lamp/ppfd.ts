/** The PPFD that one lamp gives at a point: closed forms where they exist, subdivision where not. */
import {
  cross,
  dot,
  length,
  minus,
  plus,
  pointOn,
  rectangleFactor,
  times,
  unit,
  type Rectangle,
  type Vec,
} from '../room';

/** A small element of leaf: where it is and which way it faces (unit normal). */
export interface Receptor {
  readonly point: Vec;
  readonly normal: Vec;
}

/** A point that shines along `aim` with intensity proportional to cos^m of the angle from it. */
export interface BeamSource {
  readonly ppf: number;
  readonly source: Vec;
  readonly aim: Vec;
  /** Full angle between the directions of half the peak intensity, degrees, above 0 and below 180; 120 is Lambertian. */
  readonly beamDeg: number;
}

/** Exponent m of a cos^m beam from its full width at half peak intensity (degrees). */
export function beamExponent(beamDeg: number): number {
  return Math.log(0.5) / Math.log(Math.cos((beamDeg / 2) * (Math.PI / 180)));
}

/**
 * PPFD from a point with a cos^m beam: I = PPF (m + 1) / (2 pi) cos^m, over distance squared, times the cosine at the leaf.
 * @returns umol m-2 s-1; 0 behind the lamp or the leaf
 */
export function beamPpfd(lamp: BeamSource, receptor: Receptor): number {
  const way = minus(receptor.point, lamp.source);
  const distance = length(way);
  if (distance === 0) return 0;
  const cosAtLamp = dot(way, lamp.aim) / distance;
  const cosAtLeaf = -dot(way, receptor.normal) / distance;
  if (cosAtLamp <= 0 || cosAtLeaf <= 0) return 0;
  const m = beamExponent(lamp.beamDeg);
  return ((lamp.ppf * (m + 1)) / (2 * Math.PI)) * cosAtLamp ** m * (cosAtLeaf / distance ** 2);
}

/**
 * PPFD from a panel of even Lambertian exitance, exact by Lambert's polygon formula.
 * The panel's normal is the way it shines. @returns umol m-2 s-1
 */
export function panelPpfd(ppf: number, panel: Rectangle, receptor: Receptor): number {
  if (dot(minus(receptor.point, panel.corner), panel.normal) <= 0) return 0;
  return (ppf / (panel.sizeU * panel.sizeV)) * rectangleFactor(panel, receptor.point, receptor.normal);
}

/** A straight line that shines evenly along its length. */
export interface LineSource {
  readonly ppf: number;
  readonly centre: Vec;
  /** Unit vector along the line. */
  readonly axis: Vec;
  readonly lengthM: number;
  /** Unit vector the strip faces; null for a bare tube that shines all round. */
  readonly aim: Vec | null;
}

/** Parts a line is cut into for each metre of length and each metre of nearness. */
const PARTS_PER_NEARNESS = 48;

/**
 * PPFD from a line. A strip shines as Lambertian points facing `aim` (I = ppf / pi cos); a bare tube as a thin
 * Lambertian cylinder (I = ppf / pi^2 sin of the angle from the axis). By subdivision into points, the more the
 * nearer the leaf: within 0.1 % in the reference cases.
 */
export function linePpfd(line: LineSource, receptor: Receptor): number {
  const nearest = Math.max(distanceToLine(line, receptor.point), line.lengthM / 60);
  const parts = Math.min(400, Math.max(16, Math.ceil((PARTS_PER_NEARNESS * line.lengthM) / nearest)));
  let sum = 0;
  for (let i = 0; i < parts; i++) {
    const along = ((i + 0.5) / parts - 0.5) * line.lengthM;
    const way = minus(receptor.point, plus(line.centre, times(line.axis, along)));
    const distance = length(way);
    const cosAtLeaf = -dot(way, receptor.normal) / distance;
    if (cosAtLeaf <= 0) continue;
    const intensity = line.aim
      ? Math.max(0, dot(way, line.aim) / distance) / Math.PI
      : length(cross(way, line.axis)) / distance / Math.PI ** 2;
    sum += (intensity * cosAtLeaf) / distance ** 2;
  }
  return (line.ppf * sum) / parts;
}

function distanceToLine(line: LineSource, point: Vec): number {
  const way = minus(point, line.centre);
  const along = Math.max(-line.lengthM / 2, Math.min(line.lengthM / 2, dot(way, line.axis)));
  return length(minus(way, times(line.axis, along)));
}

/** How finely a lit face is looked at: from leaves, or from surfaces, which only pass light on. */
export type Looks = 'fine' | 'coarse';

/** A part of a lit face is no wider than this share of its way to the leaf. */
const PART_OF_WAY = { fine: 1 / 4, coarse: 0.4 } as const;
/** And where the beam is narrow, no wider than this share of the beam's half width there. */
const PART_OF_BEAM = { fine: 1 / 4, coarse: 0.4 } as const;
/** A way is taken for no shorter than this, m: leaves that stand into a lamp. */
const NEAREST_M = 0.01;

/**
 * Goes over a lit face part by part, each small beside its own way to a point: many below the lamp, few far along it.
 * @param beamDeg full beam angle; the narrower, the finer
 * @param visit is given the middle of each part and its share of the face
 */
export function eachPart(
  face: Rectangle,
  point: Vec,
  beamDeg: number,
  looks: Looks,
  visit: (middle: Vec, share: number) => void,
): void {
  const halfWidth = Math.tan((Math.min(beamDeg, 90) / 2) * (Math.PI / 180));
  const finest = Math.min(PART_OF_WAY[looks], PART_OF_BEAM[looks] * halfWidth);
  const halve = (u: number, v: number, du: number, dv: number) => {
    const middle = pointOn(face, u + du / 2, v + dv / 2);
    const most = finest * Math.max(NEAREST_M, length(minus(point, middle)));
    const isLong = du * face.sizeU > most;
    const isBroad = dv * face.sizeV > most;
    if (!isLong && !isBroad) {
      visit(middle, du * dv);
      return;
    }
    const [us, vs] = [isLong ? du / 2 : du, isBroad ? dv / 2 : dv];
    halve(u, v, us, vs);
    if (isLong) halve(u + us, v, us, vs);
    if (isBroad) halve(u, v + vs, us, vs);
    if (isLong && isBroad) halve(u + us, v + vs, us, vs);
  };
  halve(0, 0, 1, 1);
}

/**
 * PPFD from a panel or bar whose light is narrower or wider than Lambertian, as cos^m points, the finer the nearer the leaf:
 * within 3 % from 5 cm on.
 */
export function beamedPanelPpfd(
  ppf: number,
  panel: Rectangle,
  beamDeg: number,
  receptor: Receptor,
  looks: Looks = 'fine',
): number {
  const aim = unit(panel.normal);
  let sum = 0;
  eachPart(panel, receptor.point, beamDeg, looks, (source, share) => {
    sum += share * beamPpfd({ ppf, source, aim, beamDeg }, receptor);
  });
  return sum;
}
