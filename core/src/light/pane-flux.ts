/** What falls on what hangs at a window: at the pane itself, and at the room's side of its reveal. */
import { pointOn, rectangleFactor } from '../room/rectangle';
import { plus, times, type Vec } from '../room/vector';
import { addDirectLight, fluxThrough, type Coefficients, type DirectLight } from './coefficients';
import { factorise, solve, viewOf } from './exchange';
import { litPart, type LitPart, type Pane } from './pane';
import { glassFace, glassOf, revealOf, revealSides } from './reveal';
import { cellsOf, type Patch } from './cells';
import { DARKEST_REVEAL, evenLines, type Surface } from './surfaces';

export interface PaneFlux {
  /** On each square metre of a curtain at the room's side of the reveal. */
  readonly flux: Coefficients;
  /** On each square metre of the pane, for a film on it or a pane that scatters. */
  readonly veilFlux: Coefficients;
  /** What of an even exitance of 1 of the pane falls on the curtain. */
  readonly transfer: number;
  /** What of the beam that falls on the sides of the reveal they throw on the curtain. */
  readonly fromSides: number;
}

/** Works out a window's fluxes; for one that is flush with its wall they are one and the same. */
export function paneFlux(pane: Pane): PaneFlux {
  const flux = fluxThrough(pane);
  if (pane.revealM === 0) return { flux, veilFlux: flux, transfer: 1, fromSides: 0 };
  const glass = glassOf(pane);
  const veilFlux = fluxThrough(glass);
  const { patches, weights, viewOfGlass } = sidesToCurtain(pane);
  let transfer = viewOfGlass;
  let area = 0;
  let fromSides = 0;
  const light: DirectLight = { ...flux, sky: flux.sky.slice(), optics: 0, veil: 0 };
  patches.forEach((patch, i) => {
    const weight = weights[i]!;
    if (weight === 0) return;
    const receiver = { point: patch.centre, normal: patch.rectangle.normal };
    addDirectLight(light, weight, glass, receiver, [], SIDE_FINENESS);
    transfer += weight * rectangleFactor(glassFace({ ...revealOf(pane)! }), receiver.point, receiver.normal);
    area += patch.area;
    fromSides += weight;
  });
  const { sizeU, sizeV } = pane.opening;
  return {
    flux: { net: flux.net, sky: light.sky, ground: light.ground, obstruction: light.obstruction },
    veilFlux,
    transfer,
    fromSides: area > 0 ? (fromSides * sizeU * sizeV) / area : 0,
  };
}

const SIDE_FINENESS = { cellPerDistance: 0.4, least: 4, most: 12 };
const SIDE_PATCH_M = 0.3;

/** Places on the curtain from which the reveal is looked at, along each edge. */
const PLACES = [1 / 6, 3 / 6, 5 / 6];

/** What each patch of the reveal's sides counts for a curtain, after all bounces between them. */
function sidesToCurtain(pane: Pane): { patches: Patch[]; weights: Float64Array; viewOfGlass: number } {
  const { opening } = pane;
  const reveal = revealOf(pane) ?? { opening, depthM: pane.revealM, reflectance: 0 };
  const glass = glassFace(reveal);
  const mouth = { ...opening, corner: opening.corner };
  const isPale = reveal.reflectance > DARKEST_REVEAL;
  const surface = (rectangle: Surface['rectangle'], reflectance: number): Surface => ({
    rectangle,
    reflectance,
    lines: evenLines(rectangle, SIDE_PATCH_M),
    behind: null,
    of: null,
  });
  const surfaces = isPale
    ? [...revealSides(reveal).map((side) => surface(side, reveal.reflectance)), surface(glass, 0), surface(mouth, 0)]
    : [];
  const patches = surfaces.flatMap((one, index) => cellsOf(one, index, one.lines, [], []));
  const seen = new Float64Array(patches.length);
  let viewOfGlass = 0;
  for (const u of PLACES) {
    for (const v of PLACES) {
      const point = inFrontOf(pointOn(opening, u, v), opening.normal);
      viewOfGlass += rectangleFactor(glass, point, opening.normal) / PLACES.length ** 2;
      patches.forEach((patch, i) => {
        if (patch.reflectance > 0) seen[i]! += viewOf(patch, point, opening.normal) / PLACES.length ** 2;
      });
    }
  }
  return { patches, weights: isPale ? solve(factorise(patches), seen) : seen, viewOfGlass };
}

const inFrontOf = (point: Vec, normal: Vec): Vec => plus(point, times(normal, 1e-6));

const part: LitPart = { u0: 0, u1: 0, v0: 0, v1: 0 };

/** Share of an opening through which a beam comes past reveal and overhang. */
export function litShare(pane: Pane, toSun: Vec): number {
  litPart(part, pane, toSun.x, toSun.y, toSun.z);
  const { sizeU, sizeV } = pane.opening;
  return (Math.max(0, part.u1 - part.u0) * Math.max(0, part.v1 - part.v0)) / (sizeU * sizeV);
}

/** The same on each square metre of a curtain, with what the sides of the reveal throw on it. @param onGlass its share of the pane */
export function litOnCurtain(clear: number, onGlass: number, { fromSides }: Pick<PaneFlux, 'fromSides'>): number {
  return clear + (onGlass - clear) * fromSides;
}
