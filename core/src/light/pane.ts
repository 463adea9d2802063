/** A window made ready for tracing: its opening in the room, its glass, what juts out over it and what stands outside. */
import { azimuthOf, openingOf } from '../room/geometry';
import type { Rectangle } from '../room/rectangle';
import type { Vec } from '../room/vector';
import type { Obstruction, OutsideKind, Room, Window } from '../facts';
import { RADIANS, wrapDegrees } from '../units/angle';
import { glassCurve, type Glass, type GlassCurve } from './glass';

export interface Pane {
  readonly windowId: string;
  readonly room: Pick<Room, 'wallABearing'>;
  readonly opening: Rectangle;
  readonly glass: GlassCurve;
  /** Share of the opening's light that frame and dirt leave. */
  readonly clearShare: number;
  readonly outside: Outside;
  /** What is seen by bearing, trees first. */
  readonly horizon: readonly Sector[];
  /** January first. */
  readonly groundByMonth: readonly number[];
  /** Months (1..12) in which the view is so: trees in leaf and bare trees are two panes of one window. */
  readonly months: readonly number[];
  readonly revealM: number;
  readonly revealReflectance: number;
  readonly overhang: Overhang;
}

interface Outside {
  readonly kind: OutsideKind;
  readonly tangent: number;
  readonly reflectance: number;
}

/** A stretch of the horizon: from an azimuth clockwise over a width, up to a height. */
interface Sector {
  readonly fromAzimuth: number;
  readonly widthDeg: number;
  readonly tangent: number;
  /** Share of light that comes through it: 0 but for trees. */
  readonly transmittance: number;
  readonly reflectance: number;
}

/** A slab that juts out level over the window, taken as long as the house. */
interface Overhang {
  /** How far it reaches from the opening in the wall's inner face: over the reveal, and on from the glass. */
  readonly depthM: number;
  readonly aboveM: number;
}

/** How bright the underside of a balcony is, as a share of open ground: it is lit by the ground below it alone. */
const UNDERSIDE_REFLECTANCE = 0.1;

/** Share of light that passes the crown of a tree: in leaf 0.1 to 0.25, bare 0.5 to 0.8. Canton, Cortegoso and de Rosa 1994. */
export const CROWN_TRANSMITTANCE = { evergreen: 0.12, inLeaf: 0.18, bare: 0.62 } as const;

/** Ground under snow, fresh and old taken together. Oke 1987 gives 0.4 to 0.95. */
export const SNOW_REFLECTANCE = 0.65;

function sectorOf(obstruction: Obstruction, month: number): Sector {
  const { kind, fromBearing, toBearing, heightDeg, reflectance, leafMonths } = obstruction;
  const inLeaf = leafMonths.includes(month) ? CROWN_TRANSMITTANCE.inLeaf : CROWN_TRANSMITTANCE.bare;
  const transmittance = kind === 'evergreen' ? CROWN_TRANSMITTANCE.evergreen : kind === 'deciduous' ? inLeaf : 0;
  const widthDeg = fromBearing === toBearing ? 360 : wrapDegrees(toBearing - fromBearing);
  return { fromAzimuth: fromBearing, widthDeg, tangent: Math.tan(heightDeg * RADIANS), transmittance, reflectance };
}

/** A pane nearer to the room's side of the wall than this is flush with it. */
const SHALLOWEST_REVEAL_M = 0.01;

/** Months that see the same trees in leaf, together. */
function leafSeasons(obstructions: readonly Obstruction[]): number[][] {
  const trees = obstructions.filter((obstruction) => obstruction.kind === 'deciduous');
  const seasons = new Map<string, number[]>();
  for (let month = 1; month <= 12; month++) {
    const key = trees.map((tree) => (tree.leafMonths.includes(month) ? '1' : '0')).join('');
    seasons.set(key, [...(seasons.get(key) ?? []), month]);
  }
  return [...seasons.values()];
}

/**
 * Makes a window of a room ready for tracing, with the glazing its key stands for: one pane, or one for each season in
 * which its view differs.
 */
export function panesOf(
  room: Room,
  window: Window,
  glazing: Glass,
  obstructions: readonly Obstruction[],
  snowMonths: readonly number[],
): Pane[] {
  const revealM = window.revealM < SHALLOWEST_REVEAL_M ? 0 : window.revealM;
  const pane = {
    windowId: window.id,
    room,
    opening: openingOf(room, window),
    glass: glassCurve(glazing),
    clearShare: (1 - window.frameShare) * (1 - window.dirtShare),
    outside: {
      kind: window.outsideKind,
      tangent: Math.tan(window.outsideDeg * RADIANS),
      reflectance: window.outsideReflectance,
    },
    groundByMonth: Array.from({ length: 12 }, (_, i) =>
      snowMonths.includes(i + 1) ? Math.max(SNOW_REFLECTANCE, window.groundReflectance) : window.groundReflectance,
    ),
    revealM,
    revealReflectance: window.revealReflectance,
    overhang: {
      depthM: window.overhangM > 0 ? revealM + window.overhangM : 0,
      aboveM: window.overhangAboveM,
    },
  };
  return leafSeasons(obstructions).map((months) => ({
    ...pane,
    months,
    horizon: obstructions
      .map((obstruction) => sectorOf(obstruction, months[0]!))
      .sort((p, q) => q.transmittance - p.transmittance),
  }));
}

/** As `panesOf` for a window that sees nothing but what it states itself. */
export function paneOf(room: Room, window: Window, glazing: Glass): Pane {
  return panesOf(room, window, glazing, [], [])[0]!;
}

/** What lies in a direction seen out of a window, in shares: sky, ground, and what stands there times its reflectance. */
export interface Look {
  sky: number;
  ground: number;
  obstruction: number;
}

/**
 * Looks out of a pane in a direction (unit vector in the room's frame, pointing outdoors) from a height on its opening.
 * @param vM metres up the opening from its lower edge
 */
export function lookOut(look: Look, pane: Pane, x: number, y: number, z: number, vM: number): void {
  look.sky = 0;
  look.ground = 0;
  look.obstruction = 0;
  if (z <= 0) {
    look.ground = 1;
    return;
  }
  if (pane.overhang.depthM > 0 && underOverhang(pane, x, y, z, vM)) {
    look.obstruction = UNDERSIDE_REFLECTANCE;
    return;
  }
  const { outside } = pane;
  if (outside.kind !== 'open') {
    // A row runs parallel to the window: the farther the look to the side, the lower it stands.
    const level = outside.kind === 'ring' ? Math.sqrt(x * x + y * y) : aheadOf(pane, x, y);
    if (z < outside.tangent * level) {
      look.obstruction = outside.reflectance;
      return;
    }
  }
  if (pane.horizon.length === 0) {
    look.sky = 1;
    return;
  }
  const level = Math.sqrt(x * x + y * y);
  const azimuth = paneAzimuth(pane, x, y);
  let left = 1;
  for (const sector of pane.horizon) {
    if (z >= sector.tangent * level || wrapDegrees(azimuth - sector.fromAzimuth) > sector.widthDeg) continue;
    look.obstruction += left * (1 - sector.transmittance) * sector.reflectance;
    left *= sector.transmittance;
  }
  look.sky = left;
}

/** How far a direction goes straight out of the window, seen from above. */
function aheadOf(pane: Pane, x: number, y: number): number {
  const { normal } = pane.opening;
  const flat = Math.hypot(normal.x, normal.y);
  return flat > 0 ? (x * normal.x + y * normal.y) / flat : 0;
}

function underOverhang(pane: Pane, x: number, y: number, z: number, vM: number): boolean {
  const { opening, overhang } = pane;
  const rise = (opening.sizeV - vM) * opening.edgeV.z + overhang.aboveM;
  return (rise / z) * aheadOf(pane, x, y) < overhang.depthM;
}

/** The part of an opening through which light of one direction comes, from its near corner, in metres. */
export interface LitPart {
  u0: number;
  u1: number;
  v0: number;
  v1: number;
}

/**
 * The part of a pane's opening that a beam toward (x, y, z) leaves through: the sides of the reveal and an overhang cut
 * the rest off. An empty part has u1 <= u0 or v1 <= v0.
 */
export function litPart(part: LitPart, pane: Pane, x: number, y: number, z: number): void {
  const { opening, revealM, overhang } = pane;
  const { edgeU, edgeV, normal, sizeU, sizeV } = opening;
  part.u0 = 0;
  part.u1 = sizeU;
  part.v0 = 0;
  part.v1 = sizeV;
  if (revealM > 0) {
    const cosGlass = x * normal.x + y * normal.y + z * normal.z;
    const du = (revealM * (x * edgeU.x + y * edgeU.y + z * edgeU.z)) / cosGlass;
    const dv = (revealM * (x * edgeV.x + y * edgeV.y + z * edgeV.z)) / cosGlass;
    part.u0 = Math.max(0, -du);
    part.u1 = sizeU - Math.max(0, du);
    part.v0 = Math.max(0, -dv);
    part.v1 = sizeV - Math.max(0, dv);
  }
  if (overhang.depthM > 0 && z > 0) {
    const ahead = aheadOf(pane, x, y);
    if (ahead > 0 && edgeV.z > 1e-6) {
      const shaded = (overhang.depthM * z) / ahead - overhang.aboveM;
      part.v1 = Math.min(part.v1, sizeV - Math.max(0, shaded) / edgeV.z);
    }
  }
}

const look: Look = { sky: 0, ground: 0, obstruction: 0 };

/** Share of the sun's beam that what stands far outside and glass, frame and dirt let through; 0 from behind. Overhang and reveal are told by `litPart`. */
export function beamThrough(pane: Pane, toSun: Vec): number {
  const n = pane.opening.normal;
  const cosGlass = toSun.x * n.x + toSun.y * n.y + toSun.z * n.z;
  if (cosGlass <= 0 || toSun.z <= 0) return 0;
  // From far below, no overhang is in the way.
  lookOut(look, pane, toSun.x, toSun.y, toSun.z, -1e6);
  return look.sky * pane.glass(cosGlass) * pane.clearShare;
}

/** Azimuth of a direction in the room's frame, degrees from north. */
export function paneAzimuth(pane: Pane, x: number, y: number): number {
  return azimuthOf(pane.room, x, y);
}

export interface Receiver {
  readonly point: Vec;
  readonly normal: Vec;
}
