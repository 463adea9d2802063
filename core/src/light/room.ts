/** A room made ready to light its spots: its panes, solids and surfaces, and what each window gives to each surface. */
import { FINE_NET, SKY_NODES, emptyAround, findAround, nodeDirection } from '../sky/nodes';
import { directionInRoom } from '../room/geometry';
import type { Occluder } from '../room/occluder';
import type { Rectangle } from '../room/rectangle';
import type { Vec } from '../room/vector';
import type { Room } from '../facts';
import { directLight, fluxThrough, type Coefficients, type DirectLight } from './coefficients';
import { enclosureOf, type Enclosure, type Importance } from './enclosure';
import type { Pane, Receiver } from './pane';
import { DEFAULT_RESOLUTION, type Resolution } from './resolution';
import { sunOnSurfaces, sunTracer, weighed, type SunOnSurfaces } from './sun-on-surfaces';
import { sunPolygons } from './sun-patch';
import { gather, surfaceLight, type SurfaceLight } from './surface-light';

/** What one window does to the room as a whole. */
interface PaneInRoom {
  readonly pane: Pane;
  readonly flux: Coefficients;
  readonly onSurfaces: SurfaceLight;
  /** For the sun in a node of the fine net; what hides it outside is not asked here. Traced when first asked for. */
  sunFrom(node: number): SunOnSurfaces;
}

export interface LitRoom {
  readonly resolution: Resolution;
  readonly room: Room;
  /** Boards and blocks. */
  readonly solids: readonly Occluder[];
  readonly enclosure: Enclosure;
  readonly panes: readonly PaneInRoom[];
}

/** Traces a room's windows onto its own surfaces. Boards and blocks shade spots, not walls. */
export function litRoom(
  room: Room,
  panes: readonly Pane[],
  solids: readonly Occluder[],
  resolution = DEFAULT_RESOLUTION,
): LitRoom {
  const enclosure = enclosureOf(
    room,
    panes.map((pane) => pane.opening),
    resolution.patchesAlong,
  );
  return {
    resolution,
    room,
    solids,
    enclosure,
    panes: panes.map((pane) => ({
      pane,
      flux: fluxThrough(pane),
      onSurfaces: surfaceLight(pane, enclosure, resolution),
      sunFrom: sunTracer(room, pane, enclosure, resolution.sunCells),
    })),
  };
}

/** What a spot gets through one window, straight and after reflection. */
export interface SpotWindow {
  readonly pane: Pane;
  readonly direct: DirectLight;
  readonly reflected: DirectLight;
  /** Irradiance after reflection for a beam of 1 W m-2 from a direction, degrees; read between nodes of the fine net. */
  sunReflected(azimuthDeg: number, elevationDeg: number): number;
  /** The same for the sun in one node of the fine net. */
  sunFromNode(node: number): number;
  /** The same for one instant, with the edge of the sun's patch exact. */
  sunReflectedExactly(toSun: Vec): number;
  readonly flux: Coefficients;
}

/**
 * Daylight coefficients of a receiver in a lit room, window by window.
 * @param neighbours crowns and whatever else stands in the light at this spot alone
 * @param known its importance in the room, where that was asked for before
 */
export function spotWindows(
  lit: LitRoom,
  receiver: Receiver,
  neighbours: readonly Occluder[] = [],
  known?: Importance,
): SpotWindow[] {
  const occluders = neighbours.length > 0 ? [...lit.solids, ...neighbours] : lit.solids;
  const importance = known ?? lit.enclosure.importance(receiver, occluders);
  return lit.panes.map((seen) => {
    const sunFromNode = sunReader(lit, seen, receiver, occluders, importance);
    return {
      pane: seen.pane,
      direct: directLight(seen.pane, receiver, occluders, lit.resolution.spot),
      reflected: gather(seen.onSurfaces, importance.whole, lit.enclosure),
      sunFromNode,
      sunReflected: (azimuthDeg, elevationDeg) => betweenNodes(sunFromNode, azimuthDeg, elevationDeg),
      sunReflectedExactly: (toSun) => exactSun(lit, seen.pane, receiver, occluders, importance, toSun),
      flux: seen.flux,
    };
  });
}

const around = emptyAround();

/** A wall this close shows a leaf where on it the sun's patch lies: its outline is then taken exactly, m. */
const CLOSE_WALL_M = 0.6;

const FIRST_WALL = 2;

/** Tells what a beam from each node gives back, traced when it is first asked for. */
function sunReader(
  lit: LitRoom,
  seen: PaneInRoom,
  receiver: Receiver,
  occluders: readonly Occluder[],
  importance: Importance,
): (node: number) => number {
  const read = new Float64Array(SKY_NODES).fill(NaN);
  const close = lit.enclosure.faces.some(
    (face, index) => index >= FIRST_WALL && distanceFrom(face, receiver.point) < CLOSE_WALL_M,
  );
  const trace = (node: number) => {
    if (!close) return weighed(seen.sunFrom(node), importance.whole);
    const { azimuthDeg, elevationDeg } = nodeDirection(node);
    const straight = straightFromPatch(
      lit,
      seen.pane,
      receiver,
      occluders,
      directionInRoom(lit.room, azimuthDeg, elevationDeg),
    );
    return straight + weighed(seen.sunFrom(node), importance.byBounces);
  };
  return (node) => {
    if (Number.isNaN(read[node]!)) read[node] = trace(node);
    return read[node]!;
  };
}

function betweenNodes(sunFromNode: (node: number) => number, azimuthDeg: number, elevationDeg: number): number {
  findAround(around, FINE_NET, azimuthDeg, elevationDeg);
  let sum = 0;
  for (let i = 0; i < 4; i++) sum += around.shares[i]! * sunFromNode(around.nodes[i]!);
  return sum;
}

function distanceFrom({ corner, normal }: Rectangle, point: Vec): number {
  return (point.x - corner.x) * normal.x + (point.y - corner.y) * normal.y + (point.z - corner.z) * normal.z;
}

/** What a beam of 1 W m-2 gives straight from its patch, by the patch's exact outline on each face. */
function straightFromPatch(
  lit: LitRoom,
  pane: Pane,
  receiver: Receiver,
  occluders: readonly Occluder[],
  toSun: Vec,
): number {
  const n = pane.opening.normal;
  const cosGlass = toSun.x * n.x + toSun.y * n.y + toSun.z * n.z;
  if (cosGlass <= 0) return 0;
  const passed = pane.glass(cosGlass) * pane.clearShare;
  let straight = 0;
  for (const { share, view } of sunPolygons(lit, pane, receiver, occluders, toSun)) straight += share * view * passed;
  return straight;
}

/** Cells along each edge of a window when one instant's beam is carried on by bounces. */
const EXACT_CELLS = 10;

/** What comes straight from the sun's patch by its exact outline on each face, what bounces on by cells. */
function exactSun(
  lit: LitRoom,
  pane: Pane,
  receiver: Receiver,
  occluders: readonly Occluder[],
  { byBounces }: Importance,
  toSun: Vec,
): number {
  const bounced = weighed(sunOnSurfaces(lit.room, pane, lit.enclosure, EXACT_CELLS, toSun), byBounces);
  return straightFromPatch(lit, pane, receiver, occluders, toSun) + bounced;
}
