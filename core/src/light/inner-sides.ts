/** Light that enters a cabinet through its shell, falls on its inner sides and boards, and is thrown back onto a leaf. */
import { COARSE_NET, SKY_NODES, nodeDirection } from '../sky/nodes';
import { directionInRoom } from '../room/geometry';
import type { Occluder } from '../room/occluder';
import { pointOn, type Rectangle } from '../room/rectangle';
import { dot, minus, type Vec } from '../room/vector';
import { addDirectLight, emptyCoefficients, type Coefficients, type DirectLight } from './coefficients';
import type { Enclosure } from './enclosure';
import { beamOnOpening } from './instant';
import type { Pane, Receiver } from './pane';
import { betweenNodes, spotWindows, type LitRoom, type SpotWindow } from './room';

/** A part of an inner side of a cabinet in the light of the room around it, the shell left out. */
export interface InnerPart {
  /** Where on it the straight light of windows and lamps is told. */
  readonly receiver: Receiver;
  /** What stands in its light. */
  readonly occluders: readonly Occluder[];
  /** What each piece of the room's surfaces counts for it. */
  readonly importance: Float64Array;
  /** By pane of the room: its irradiance, straight and thrown back by the room, for each unit outdoors. */
  readonly light: readonly DirectLight[];
  /** By pane: the same for a beam of 1 W m-2 from a node of the fine net, or from any direction. */
  readonly sunFromNode: readonly ((node: number) => number)[];
  readonly sunExactly: readonly ((toSun: Vec) => number)[];
}

/** Parts along each edge of a side. */
const PARTS = 3;

/** The parts of a side, row by row, as `weightsOf` counts them. */
export const PARTS_OF_SIDE = PARTS ** 2;

/**
 * Lights one inner side, part by part, through every window of the room. What the room throws back is told at the side's
 * middle, since it differs little over it.
 * @param side in the room's frame, its normal into the cabinet
 * @param neighbours what stands in its light besides the room's own solids: the boards in the cabinet, other cabinets
 */
export function litParts(lit: LitRoom, side: Rectangle, neighbours: readonly Occluder[]): InnerPart[] {
  const { normal } = side;
  const occluders = [...lit.solids, ...neighbours];
  const middle = { point: pointOn(side, 0.5, 0.5), normal };
  const importance = lit.enclosure.importance(middle, occluders);
  const thrownBack = spotWindows(lit, middle, neighbours, importance);
  return Array.from({ length: PARTS_OF_SIDE }, (_, part) => {
    const point = pointOn(side, (Math.floor(part / PARTS) + 0.5) / PARTS, ((part % PARTS) + 0.5) / PARTS);
    const receiver = { point, normal };
    const straightSun = (pane: Pane, toSun: Vec) =>
      beamOnOpening(pane, point, toSun, occluders) * Math.max(0, dot(toSun, normal));
    return {
      receiver,
      occluders,
      importance: importance.whole,
      light: lit.panes.map(({ pane }, i) => {
        const light: DirectLight = { ...emptyCoefficients(COARSE_NET), optics: 0, veil: 0 };
        addDirectLight(light, 1, pane, receiver, occluders, lit.resolution.surface);
        addShare(light, thrownBack[i]!.reflected, 1);
        return light;
      }),
      sunFromNode: lit.panes.map(({ pane }, i) =>
        remembered((node) => {
          const { azimuthDeg, elevationDeg } = nodeDirection(node);
          const toSun = directionInRoom(lit.room, azimuthDeg, elevationDeg);
          return thrownBack[i]!.sunFromNode(node) + straightSun(pane, toSun);
        }),
      ),
      sunExactly: lit.panes.map(
        ({ pane }, i) =>
          (toSun: Vec) =>
            thrownBack[i]!.sunReflectedExactly(toSun) + straightSun(pane, toSun),
      ),
    };
  });
}

function remembered(work: (node: number) => number): (node: number) => number {
  const known = new Float64Array(SKY_NODES).fill(NaN);
  return (node) => {
    if (Number.isNaN(known[node]!)) known[node] = work(node);
    return known[node]!;
  };
}

function addShare(sum: DirectLight, light: DirectLight, share: number): void {
  addSky(sum, light, share);
  sum.ground += share * light.ground;
  sum.obstruction += share * light.obstruction;
  sum.optics += share * light.optics;
  sum.veil += share * light.veil;
}

function addSky({ sky }: Coefficients, light: Coefficients, share: number): void {
  for (let node = 0; node < sky.length; node++) sky[node]! += share * light.sky[node]!;
}

/** A part of an inner side, and the irradiance at a leaf for each unit on it, after all bounces in the cabinet. */
export interface WeighedPart {
  readonly part: InnerPart;
  readonly weight: number;
}

/** What each part of each surface of a cabinet counts for a leaf in it, `surface * PARTS_OF_SIDE + part`, from what its pieces count. */
export function weightsOf({ surfaces, patches }: Enclosure, importance: ArrayLike<number>): number[] {
  const weights = new Array<number>(surfaces.length * PARTS_OF_SIDE).fill(0);
  patches.forEach(({ face, centre }, piece) => {
    const { corner, edgeU, edgeV, sizeU, sizeV } = surfaces[face]!.rectangle;
    const arm = minus(centre, corner);
    const at = (along: number, size: number) => Math.min(PARTS - 1, Math.floor((PARTS * along) / size));
    const part = at(dot(arm, edgeU), sizeU) * PARTS + at(dot(arm, edgeV), sizeV);
    weights[face * PARTS_OF_SIDE + part]! += importance[piece]!;
  });
  return weights;
}

/** The windows of a leaf in a cabinet, with what the cabinet's inner sides throw back of their light. */
export function withInnerSides(windows: readonly SpotWindow[], parts: readonly WeighedPart[]): readonly SpotWindow[] {
  if (parts.length === 0) return windows;
  return windows.map((window, i): SpotWindow => {
    const reflected: DirectLight = { ...window.reflected, sky: window.reflected.sky.slice() };
    for (const { part, weight } of parts) addShare(reflected, part.light[i]!, weight);
    const byAll = (own: number, of: (part: InnerPart) => number) =>
      parts.reduce((sum, { part, weight }) => sum + weight * of(part), own);
    const sunFromNode = (node: number) => byAll(window.sunFromNode(node), (part) => part.sunFromNode[i]!(node));
    return {
      ...window,
      reflected,
      sunFromNode,
      sunReflected: (azimuthDeg, elevationDeg) => betweenNodes(sunFromNode, azimuthDeg, elevationDeg),
      sunReflectedExactly: (toSun) => byAll(window.sunReflectedExactly(toSun), (part) => part.sunExactly[i]!(toSun)),
    };
  });
}
