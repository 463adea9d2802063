/** What stands and hangs in a drawn home: tables, shelves, sills, lamps, plants; and which places of it are free. */
import {
  PLAIN_STAND,
  type Block,
  type Lamp,
  type Plant,
  type Room,
  type Side,
  type Spot,
  type Stand,
  type Tier,
  type Window,
} from '../src/facts';
import { smallHome } from '../src/home/small-home.fixture';
import type { Draw } from './draw';
import { openingFrame } from './scene-of-facts';
import { dot, sub, type V } from './vectors';

export const SIDES: readonly Side[] = ['a', 'b', 'c', 'd'];

export interface Furnished {
  readonly stands: readonly Stand[];
  readonly tiers: readonly Tier[];
  readonly spots: readonly Spot[];
}

/** Tables and shelves, and on each tier a spot or two. */
export function standsOf(draw: Draw, room: Room, roomId: string, count: number): Furnished {
  const stands: Stand[] = [];
  const tiers: Tier[] = [];
  const spots: Spot[] = [];
  for (let i = 0; i < count; i++) {
    const levels = draw.chance(0.5) ? 1 : draw.whole(2, 4);
    if (levels > 1) draw.kinds.add('shelves');
    const widthM = draw.between(0.3, Math.min(1.5, room.widthM - 0.1));
    const depthM = draw.between(0.2, Math.min(0.7, room.depthM - 0.1));
    const id = `${roomId}-stand-${i}`;
    const against = draw.chance(0.6);
    stands.push({
      id,
      roomId,
      name: 'Stand',
      kind: levels > 1 ? 'shelf' : 'table',
      xM: draw.between(0, room.widthM - widthM),
      yM: against
        ? draw.one([0, Math.round((room.depthM - depthM) * 1000) / 1000])
        : draw.between(0, room.depthM - depthM),
      widthM,
      depthM,
      ...PLAIN_STAND,
      reflectance: draw.between(0.1, 0.8),
    });
    const lowest = draw.between(0.1, Math.min(0.8, room.heightM / 2));
    const step = levels > 1 ? Math.min(0.5, (room.heightM - lowest - 0.3) / levels) : 0;
    for (let level = 0; level < levels; level++) {
      const tierId = `${id}-${level}`;
      tiers.push({
        id: tierId,
        standId: id,
        heightM: lowest + step * level,
        board: draw.chance(0.85) ? 'solid' : 'open',
      });
      spots.push({
        id: `${tierId}-spot`,
        tierId,
        name: 'Spot',
        alongM: draw.between(0.05, widthM - 0.05),
        acrossM: draw.between(0.05, depthM - 0.05),
        sizeM: 0.3,
        freeHeightM: 0.3,
        loadKg: 5,
        reach: 'easy',
      });
    }
  }
  return { stands, tiers, spots };
}

/** A sill in the opening of a window, with a spot on it. */
export function sillOf(draw: Draw, room: Room, windows: readonly Window[]): Furnished {
  const window = windows.find(({ slopeDeg, revealM }) => slopeDeg === 90 && revealM > 0.12);
  if (!window || !draw.has('sill in the reveal', 0.5)) return { stands: [], tiers: [], spots: [] };
  const alongX = window.side === 'a' || window.side === 'c';
  const beyond = window.side === 'a' || window.side === 'd' ? -window.revealM : 0;
  const wall = window.side === 'b' ? room.widthM : window.side === 'c' ? room.depthM : 0;
  const [along, across] = [window.widthM, window.revealM];
  const stand: Stand = {
    id: 'sill',
    roomId: 'room',
    name: 'Sill',
    kind: 'sill',
    xM: alongX ? window.offsetM : wall + beyond,
    yM: alongX ? wall + beyond : window.offsetM,
    widthM: alongX ? along : across,
    depthM: alongX ? across : along,
    ...PLAIN_STAND,
    reflectance: window.revealReflectance,
  };
  const [atAlong, atAcross] = [draw.between(0.1, along - 0.1), draw.between(0.03, across - 0.03)];
  const spot: Spot = {
    id: 'sill-spot',
    tierId: 'sill-tier',
    name: 'Sill',
    alongM: alongX ? atAlong : atAcross,
    acrossM: alongX ? atAcross : atAlong,
    sizeM: 0.2,
    freeHeightM: 0.3,
    loadKg: 5,
    reach: 'easy',
  };
  // Open, so that the reveal's own lower side throws the light back.
  return {
    stands: [stand],
    tiers: [{ id: 'sill-tier', standId: 'sill', heightM: window.sillM, board: 'open' }],
    spots: [spot],
  };
}

export const LAMP: Lamp = { ...smallHome.lamps[0]!, id: 'lamp', circuitId: 'circuit', name: 'Lamp' };

export function lampsOf(draw: Draw, { stands, tiers }: Furnished, room: Room): Lamp[] {
  return tiers.flatMap((tier, i): Lamp[] => {
    if (tier.id === 'sill-tier' || !draw.chance(0.5)) return [];
    const stand = stands.find(({ id }) => id === tier.standId)!;
    const above = tiers.filter(({ standId, heightM }) => standId === tier.standId && heightM > tier.heightM);
    const top = Math.min(room.heightM, ...above.map(({ heightM }) => heightM));
    const form = draw.one(['point', 'bar', 'panel', 'spot'] as const);
    const file = draw.has('lamp file', 0.15) ? draw.one(['wide', 'narrow']) : null;
    const tilted = draw.has('tilted lamp', 0.25);
    draw.kinds.add('lamps');
    return [
      {
        ...LAMP,
        id: `lamp-${i}`,
        tierId: tier.id,
        form,
        ppf: draw.between(20, 200),
        beamDeg: draw.chance(0.4) ? 120 : draw.between(30, 140),
        lengthM: draw.between(0.15, Math.max(0.2, stand.widthM)),
        breadthM: form === 'panel' ? draw.between(0.1, 0.4) : 0.03,
        alongM: draw.between(0, stand.widthM),
        acrossM: draw.between(0, stand.depthM),
        aboveM: draw.between(0.18, Math.max(0.2, Math.min(0.8, top - tier.heightM - 0.03))),
        tiltDeg: tilted ? draw.between(5, 60) : 0,
        tiltToward: draw.one(SIDES),
        photometryId: file,
      },
    ];
  });
}

export const PHOTOMETRIES = ['wide', 'narrow'].map((id) => ({
  id,
  homeId: 'home',
  name: id,
  lumens: 1000,
  powerW: 10,
  lengthM: 0.6,
  breadthM: 0.1,
  fileKey: id,
}));

export function plantsOf(draw: Draw, { spots }: Furnished): Plant[] {
  if (!draw.has('crowns', 0.3)) return [];
  return spots
    .filter(() => draw.chance(0.6))
    .map((spot, i): Plant => ({
      id: `plant-${i}`,
      homeId: 'home',
      taxonId: 'plain',
      spotId: spot.id,
      name: 'Plant',
      note: '',
      goal: 'grow',
      stage: 'adult',
      stageSeenOn: null,
      growthState: 'growing',
      potCm: 12,
      heightCm: draw.whole(15, 60),
      cameFromSpotId: null,
      movedOn: null,
      arrivedOn: null,
      parents: [],
      traits: [],
      stateSeenOn: null,
      restSchool: null,
      foliage: draw.one(['sparse', 'medium', 'dense'] as const),
    }));
}

/** Whether a place lies inside a solid thing, or nearer than a centimetre to it. */
const isInside = (blocks: readonly Block[], [x, y, z]: V, marginM = 0.01): boolean =>
  blocks.some(
    ({ xM, yM, zM, widthM, depthM, heightM }) =>
      x > xM - marginM &&
      x < xM + widthM + marginM &&
      y > yM - marginM &&
      y < yM + depthM + marginM &&
      z > zM - marginM &&
      z < zM + heightM + marginM,
  );

/** Leaves are stated this far above the board, m. */
const LEAF_M = 0.12;

/** What is left when spots inside cupboards and on the outer side of a roof's glass are taken out. */
export function freeOf(
  furnished: Furnished,
  windows: readonly Window[],
  blocks: readonly Block[],
  room: Room,
): Furnished {
  const roofs = windows.filter(({ slopeDeg }) => slopeDeg < 90).map((window) => openingFrame(room, window));
  const spots = furnished.spots.filter(({ tierId, alongM, acrossM }) => {
    const tier = furnished.tiers.find(({ id }) => id === tierId)!;
    const stand = furnished.stands.find(({ id }) => id === tier.standId)!;
    const leaf: V = [stand.xM + alongM, stand.yM + acrossM, tier.heightM + LEAF_M];
    return !isInside(blocks, leaf) && roofs.every(({ corner, out }) => dot(sub(leaf, corner), out) < -0.05);
  });
  return { ...furnished, spots };
}

/** Whether a lamp hangs within the room and clear of cupboards. */
export function hangsFree(lamp: Lamp, { stands, tiers }: Furnished, blocks: readonly Block[], room: Room): boolean {
  const tier = tiers.find(({ id }) => id === lamp.tierId)!;
  const stand = stands.find(({ id }) => id === tier.standId)!;
  const centre: V = [stand.xM + lamp.alongM, stand.yM + lamp.acrossM, tier.heightM + lamp.aboveM];
  const file = PHOTOMETRIES.find(({ id }) => id === lamp.photometryId);
  const reach = Math.hypot(file?.lengthM ?? lamp.lengthM, file?.breadthM ?? lamp.breadthM) / 2 + 0.01;
  const fits = (at: number, size: number) => at > reach && at < size - reach;
  return fits(centre[0], room.widthM) && fits(centre[1], room.depthM) && !isInside(blocks, centre, reach);
}
