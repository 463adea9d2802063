/** A room made ready to light its spots: its panes, solids and surfaces, and what each window gives to each surface. */
import { FINE_NET, SKY_NODES, emptyAround, findAround, nodeDirection } from '../sky/nodes';
import { directionInRoom } from '../room/geometry';
import { clearWay, type Occluder, type Solid } from '../room/occluder';
import { distanceToRectangle, pointOn, type Rectangle } from '../room/rectangle';
import { liesInReveal } from '../room/sill';
import type { Vec } from '../room/vector';
import type { Room } from '../facts';
import { directLight, type DirectLight } from './coefficients';
import { enclosureOf, type Enclosure, type Importance } from './enclosure';
import type { Pane, Receiver } from './pane';
import { paneFlux, type PaneFlux } from './pane-flux';
import { DEFAULT_RESOLUTION, type Resolution } from './resolution';
import { glassOf, revealOf, type Reveal } from './reveal';
import { sunOnSurfaces, sunTracer, weighed, type SunOnSurfaces } from './sun-on-surfaces';
import { sunPatches, viewOfPatch, type SunlitPatch } from './sun-patch';
import { gather, surfaceLight, type SurfaceLight } from './surface-light';
import { ROOM_FACES, type Surface } from './surfaces';

/** What one window does to the room as a whole. */
interface PaneInRoom extends PaneFlux {
  readonly pane: Pane;
  readonly onSurfaces: SurfaceLight;
  /** For the sun in a node of the fine net; what hides it outside is not asked here. Traced when first asked for. */
  sunFrom(node: number): SunOnSurfaces;
  /** The same as outlines on the room's faces and the sides of this window's reveal. */
  patchesFrom(node: number): readonly SunlitPatch[];
}

export interface LitRoom {
  readonly resolution: Resolution;
  readonly room: Room;
  /** Boards and blocks. */
  readonly solids: readonly Solid[];
  /** Of cabinets in it. */
  readonly shells: readonly Occluder[];
  readonly enclosure: Enclosure;
  readonly panes: readonly PaneInRoom[];
}

/**
 * Traces a room's windows onto its surfaces, past what stands in it.
 * @param shells cabinets in the room: they dim what falls on the surfaces behind them
 */
export function litRoom(
  room: Room,
  panes: readonly Pane[],
  solids: readonly Solid[],
  shells: readonly Occluder[] = [],
  resolution = DEFAULT_RESOLUTION,
): LitRoom {
  const enclosure = enclosureOf(
    room,
    panes.map((pane) => pane.opening),
    resolution.patchesAlong,
    { reveals: revealsOf(panes), solids, patchM: resolution.thingPatchM },
  );
  return {
    resolution,
    room,
    solids,
    shells,
    enclosure,
    panes: panes.map((pane) => ({
      pane,
      ...paneFlux(pane),
      onSurfaces: surfaceLight(pane, enclosure, resolution, shells),
      sunFrom: sunTracer(room, pane, enclosure, resolution.sunCells, shells),
      patchesFrom: patchTracer(room, pane, enclosure),
    })),
  };
}

/** Trees in leaf and bare trees make two panes of one opening, with one reveal. */
function revealsOf(panes: readonly Pane[]): Reveal[] {
  const reveals = new Map<Rectangle, Reveal>();
  for (const pane of panes) {
    const reveal = revealOf(pane);
    if (reveal) reveals.set(pane.opening, reveal);
  }
  return [...reveals.values()];
}

function patchTracer(room: Room, pane: Pane, enclosure: Enclosure): (node: number) => readonly SunlitPatch[] {
  const known = new Map<number, readonly SunlitPatch[]>();
  const isExact = (surface: Surface, index: number) => index < ROOM_FACES || surface.behind === pane.opening;
  return (node) => {
    let patches = known.get(node);
    if (!patches) {
      const { azimuthDeg, elevationDeg } = nodeDirection(node);
      patches = sunPatches(enclosure, pane, directionInRoom(room, azimuthDeg, elevationDeg), isExact);
      known.set(node, patches);
    }
    return patches;
  };
}

/** What a spot gets through one window, straight and after reflection. */
export interface SpotWindow extends PaneFlux {
  /** As the spot sees it: in its own reveal, the glass. */
  readonly pane: Pane;
  readonly place: 'in-room' | 'in-reveal';
  readonly direct: DirectLight;
  readonly reflected: DirectLight;
  /** Irradiance after reflection for a beam of 1 W m-2 from a direction, degrees; read between nodes of the fine net. */
  sunReflected(azimuthDeg: number, elevationDeg: number): number;
  /** The same for the sun in one node of the fine net. */
  sunFromNode(node: number): number;
  /** The same for one instant, with the edge of the sun's patch exact. */
  sunReflectedExactly(toSun: Vec): number;
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
  const bare = known ?? lit.enclosure.importance(receiver, occluders);
  const crowns = neighbours.filter(isCrown);
  return lit.panes.map((seen) => {
    const importance = underCrowns(bare, lit.enclosure, seen.pane, crowns);
    const sunFromNode = sunReader(lit, seen, receiver, occluders, importance);
    const inReveal = liesInReveal(seen.pane.opening, seen.pane.revealM, receiver.point);
    const pane = inReveal ? glassOf(seen.pane) : seen.pane;
    return {
      pane,
      place: inReveal ? 'in-reveal' : 'in-room',
      direct: directLight(pane, receiver, occluders, lit.resolution.spot),
      reflected: gather(seen.onSurfaces, importance.whole, lit.enclosure),
      sunFromNode,
      sunReflected: (azimuthDeg, elevationDeg) => betweenNodes(sunFromNode, azimuthDeg, elevationDeg),
      sunReflectedExactly: (toSun) => exactSun(lit, seen.pane, receiver, occluders, importance, toSun),
      flux: inReveal ? seen.veilFlux : seen.flux,
      veilFlux: seen.veilFlux,
      transfer: inReveal ? 1 : seen.transfer,
      fromSides: inReveal ? 0 : seen.fromSides,
    };
  });
}

/** Crowns let a share through; shells, which do too, dim the room's surfaces once for all spots. */
const isCrown = (thing: Occluder) => thing.extinction !== Infinity && !('shellOf' in thing);

/** Places of a window that a piece looks to past crowns, as shares of its edges. */
const PAST_CROWNS = [0.25, 0.75];

/** A piece that counts for less than this share of all does not show where crowns stand in its light. */
const FAINT_PIECE = 5e-4;

/** Crowns around a spot stand in the light of the board and the walls beside it, too: what they leave of a window's light there. */
function underCrowns(
  { whole, byBounces }: Importance,
  { patches }: Enclosure,
  { opening }: Pane,
  crowns: readonly Occluder[],
): Importance {
  if (crowns.length === 0) return { whole, byBounces };
  const places = PAST_CROWNS.flatMap((u) => PAST_CROWNS.map((v) => pointOn(opening, u, v)));
  const faint = FAINT_PIECE * whole.reduce((sum, weight) => sum + weight, 0);
  const left = whole.map((weight, piece) => {
    if (weight <= faint) return 1;
    const { x, y, z } = patches[piece]!.centre;
    return places.reduce((sum, to) => sum + clearWay(crowns, x, y, z, to.x, to.y, to.z), 0) / places.length;
  });
  const dimmed = (importance: Float64Array) => importance.map((weight, piece) => weight * left[piece]!);
  return { whole: dimmed(whole), byBounces: dimmed(byBounces) };
}

const around = emptyAround();

/** A wall this close shows a leaf where on it the sun's patch lies: its outline is then taken exactly, m. */
const CLOSE_WALL_M = 0.6;

const FIRST_WALL = 2;

/** Tells what a beam from each node gives back, traced when it is first asked for. */
function sunReader(
  { enclosure }: LitRoom,
  seen: PaneInRoom,
  receiver: Receiver,
  occluders: readonly Occluder[],
  importance: Importance,
): (node: number) => number {
  const { pane } = seen;
  const read = new Float64Array(SKY_NODES).fill(NaN);
  const isClose = (which: (surface: Surface, index: number) => boolean) =>
    enclosure.surfaces.some(
      (surface, index) => which(surface, index) && distanceFrom(surface.rectangle, receiver.point) < CLOSE_WALL_M,
    );
  const isWall = (_: Surface, index: number) => index >= FIRST_WALL && index < ROOM_FACES;
  const isReveal = ({ behind }: Surface) => behind === pane.opening;
  const closeToWall = isClose(isWall);
  const closeToReveal =
    distanceToRectangle(pane.opening, receiver.point) < CLOSE_WALL_M && enclosure.surfaces.some(isReveal);
  const isExact = (face: number) =>
    (closeToWall && face < ROOM_FACES) || (closeToReveal && isReveal(enclosure.surfaces[face]!));
  const byPieces = closeToWall || closeToReveal ? withoutStraight(enclosure, importance, isExact) : importance.whole;
  const trace = (node: number) => {
    const spread = weighed(seen.sunFrom(node), byPieces);
    if (byPieces === importance.whole) return spread;
    const { azimuthDeg, elevationDeg } = nodeDirection(node);
    const toSun = directionInRoom(pane.room, azimuthDeg, elevationDeg);
    const patches = seen.patchesFrom(node).filter(({ face }) => isExact(face));
    return spread + straightFromPatches(enclosure, pane, patches, receiver, occluders, toSun);
  };
  return (node) => {
    if (Number.isNaN(read[node]!)) read[node] = trace(node);
    return read[node]!;
  };
}

/** Importance of which the pieces of some surfaces pass on their bounces only: what comes straight from them is told apart. */
function withoutStraight(
  { patches }: Enclosure,
  { whole, byBounces }: Importance,
  isApart: (face: number) => boolean,
): Float64Array {
  return whole.map((value, piece) => (isApart(patches[piece]!.face) ? byBounces[piece]! : value));
}

/** Reads a function of the sun's direction between the nodes of the fine net. */
export function betweenNodes(sunFromNode: (node: number) => number, azimuthDeg: number, elevationDeg: number): number {
  findAround(around, FINE_NET, azimuthDeg, elevationDeg);
  let sum = 0;
  for (let i = 0; i < 4; i++) sum += around.shares[i]! * sunFromNode(around.nodes[i]!);
  return sum;
}

function distanceFrom({ corner, normal }: Rectangle, point: Vec): number {
  return (point.x - corner.x) * normal.x + (point.y - corner.y) * normal.y + (point.z - corner.z) * normal.z;
}

/** What a beam of 1 W m-2 gives straight from its patches, by their exact outlines. */
function straightFromPatches(
  enclosure: Enclosure,
  pane: Pane,
  patches: readonly SunlitPatch[],
  receiver: Receiver,
  occluders: readonly Occluder[],
  toSun: Vec,
): number {
  const n = pane.opening.normal;
  const cosGlass = toSun.x * n.x + toSun.y * n.y + toSun.z * n.z;
  if (cosGlass <= 0) return 0;
  const passed = pane.glass(cosGlass) * pane.clearShare;
  return patches.reduce(
    (sum, patch) => sum + patch.exitance * passed * viewOfPatch(enclosure, patch, receiver, occluders),
    0,
  );
}

/** Cells along each edge of a window when one instant's beam is carried on by bounces. */
const EXACT_CELLS = 24;

/** What comes straight from the sun's patch by its exact outline on each face, what bounces on by cells. */
function exactSun(
  lit: LitRoom,
  pane: Pane,
  receiver: Receiver,
  occluders: readonly Occluder[],
  { byBounces }: Importance,
  toSun: Vec,
): number {
  const bounced = weighed(sunOnSurfaces(lit.room, pane, lit.enclosure, EXACT_CELLS, toSun, lit.shells), byBounces);
  const patches = sunPatches(lit.enclosure, pane, toSun);
  return straightFromPatches(lit.enclosure, pane, patches, receiver, occluders, toSun) + bounced;
}
