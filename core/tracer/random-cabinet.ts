/** A glazed cabinet in a drawn room, with boards, spots and perhaps a lamp of its own. */
import { PLAIN_STAND, type Block, type Lamp, type Room, type Stand, type Window } from '../src/facts';
import type { Draw } from './draw';
import { LAMP, type Furnished } from './random-furniture';

interface Around extends Furnished {
  readonly windows: readonly Window[];
  readonly blocks: readonly Block[];
  readonly lamps: readonly Lamp[];
}

export interface Cabinet extends Furnished {
  readonly rooms: readonly Room[];
  readonly lamps: readonly Lamp[];
}

const NONE: Cabinet = { rooms: [], stands: [], tiers: [], spots: [], lamps: [] };

/** Ground that a thing takes up, m. */
interface Footprint {
  readonly xM: number;
  readonly yM: number;
  readonly widthM: number;
  readonly depthM: number;
}

/** Things stand at least this far apart, m. */
const APART_M = 0.05;

const overlap = (p: Footprint, q: Footprint): boolean =>
  p.xM < q.xM + q.widthM + APART_M &&
  q.xM < p.xM + p.widthM + APART_M &&
  p.yM < q.yM + q.depthM + APART_M &&
  q.yM < p.yM + p.depthM + APART_M;

/** The ground under a lamp, whichever way it is turned. */
function under(lamp: Lamp, { stands, tiers }: Furnished): Footprint {
  const tier = tiers.find(({ id }) => id === lamp.tierId)!;
  const stand = stands.find(({ id }) => id === tier.standId)!;
  const reach = lamp.photometryId === null ? Math.hypot(lamp.lengthM, lamp.breadthM) / 2 : 0.31;
  const [x, y] = [stand.xM + lamp.alongM, stand.yM + lamp.acrossM];
  return { xM: x - reach, yM: y - reach, widthM: 2 * reach, depthM: 2 * reach };
}

const TRIES = 20;

/** None where the room has no free ground for it, or a roof that might cut through it. */
export function cabinetOf(draw: Draw, room: Room, around: Around): Cabinet {
  if (!draw.chance(0.3) || around.windows.some(({ slopeDeg }) => slopeDeg < 90)) return NONE;
  const taken: Footprint[] = [...around.stands, ...around.blocks, ...around.lamps.map((lamp) => under(lamp, around))];
  for (let i = 0; i < TRIES; i++) {
    const [widthM, depthM] = [draw.between(0.4, 1.2), draw.between(0.35, 0.7)];
    const place = {
      xM: draw.between(0, room.widthM - widthM),
      yM: draw.between(0, room.depthM - depthM),
      widthM,
      depthM,
    };
    if (taken.some((one) => overlap(one, place))) continue;
    draw.kinds.add('cabinet');
    return furnished(draw, shellOf(draw, room, place));
  }
  return NONE;
}

/** What passes the shell and what it throws back are together no more than falls on it. */
function shellOf(draw: Draw, room: Room, { xM, yM, widthM, depthM }: Footprint): Room {
  const shellTransmittance = draw.between(0.3, 0.92);
  const reflectance = () => draw.between(0.04, Math.min(0.6, 0.98 - shellTransmittance));
  const heightM = draw.between(0.5, Math.min(1.8, room.heightM - 0.3));
  return {
    ...room,
    id: 'cabinet',
    name: 'Cabinet',
    widthM,
    depthM,
    heightM,
    floorReflectance: draw.between(0.1, 0.6),
    wallReflectance: reflectance(),
    ceilingReflectance: reflectance(),
    insideRoomId: room.id,
    insideXM: xM,
    insideYM: yM,
    insideZM: draw.between(0.02, Math.min(0.9, room.heightM - heightM - 0.05)),
    shellTransmittance,
  };
}

function furnished(draw: Draw, cabinet: Room): Cabinet {
  const { widthM, depthM, heightM } = cabinet;
  const stand: Stand = {
    id: 'cabinet-stand',
    roomId: cabinet.id,
    name: 'Shelves',
    kind: 'shelf',
    xM: 0.02,
    yM: 0.02,
    widthM: widthM - 0.04,
    depthM: depthM - 0.04,
    ...PLAIN_STAND,
    reflectance: draw.between(0.1, 0.8),
  };
  const low = draw.between(0.05, 0.15);
  const heights = heightM > 0.9 && draw.chance(0.6) ? [low, low + (heightM - low) / 2] : [low];
  const tiers = heights.map((tierM, i) => ({
    id: `cabinet-tier-${i}`,
    standId: stand.id,
    heightM: tierM,
    board: 'solid' as const,
  }));
  const spots = tiers.map(({ id }) => ({
    id: `${id}-spot`,
    tierId: id,
    name: 'Spot',
    alongM: draw.between(0.05, stand.widthM - 0.05),
    acrossM: draw.between(0.05, stand.depthM - 0.05),
    sizeM: 0.15,
    freeHeightM: 0.3,
    loadKg: 5,
    reach: 'easy' as const,
  }));
  const top = tiers[tiers.length - 1]!;
  const lamp: Lamp = {
    ...LAMP,
    id: 'cabinet-lamp',
    tierId: top.id,
    ppf: draw.between(10, 80),
    lengthM: stand.widthM * 0.8,
    breadthM: 0.03,
    alongM: stand.widthM / 2,
    acrossM: stand.depthM / 2,
    aboveM: heightM - top.heightM - 0.04,
  };
  return { rooms: [cabinet], stands: [stand], tiers, spots, lamps: draw.has('cabinet with a lamp', 0.5) ? [lamp] : [] };
}
