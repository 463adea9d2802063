/** Draws homes at random from what the facts allow, with spots and an instant: what the engine is held against the tracer on. */
import type { Block, HomeFacts, Lamp, Obstruction, Plant, Room, Side, Spot, Stand, Tier, Window } from '../src/facts';
import { ALL_MONTHS } from '../src/units';
import { openingFrame, type Optics, type Outdoors } from './scene-of-facts';
import { dot, randomFrom, sub, type V } from './vectors';

export interface Drawn {
  readonly seed: number;
  readonly facts: HomeFacts;
  readonly outdoors: Outdoors;
  /** Kinds of things present, by which errors are told apart. */
  readonly kinds: readonly string[];
}

export const tracerOptics: Optics = {
  glazing: (id) =>
    ({
      single: { panes: 1, normalTransmittance: 0.88 },
      double: { panes: 2, normalTransmittance: 0.79 },
      triple: { panes: 3, normalTransmittance: 0.66 },
      frosted: { panes: 2, normalTransmittance: 0.7, scatter: 0.85 },
    })[id]!,
  curtain: (id) =>
    ({
      net: { transmittance: 0.75, scatter: 0.5 },
      sheer: { transmittance: 0.5, scatter: 0.9 },
      blind: { transmittance: 0.25, scatter: 1 },
      film: { transmittance: 0.4, scatter: 0 },
    })[id]!,
  intensities: (fileKey) => (fileKey === 'wide' ? WIDE : NARROW),
};

/** A lamp that shines two ways sidewise, and one with a narrow beam that differs by plane. */
const anglesTo = (last: number) => Array.from({ length: last / 5 + 1 }, (_, i) => i * 5);
const spreadOf = (planes: readonly number[], last: number, intensity: (plane: number, angle: number) => number) => ({
  planes,
  angles: anglesTo(last),
  candela: planes.flatMap((plane) => anglesTo(last).map((angle) => Math.max(0, intensity(plane, angle)))),
});
const cosine = (degrees: number) => Math.cos((degrees * Math.PI) / 180);
const WIDE = spreadOf([0, 30, 60, 90], 90, (plane, angle) =>
  cosine(angle) <= 0.001 ? 0 : cosine(angle) * (1 + (plane / 90) * 1.5 * (1 - cosine(angle))) * 100,
);
const NARROW = spreadOf([0, 45, 90, 135, 180], 60, (plane, angle) => 400 * cosine(angle * 1.5) * (1 + plane / 360));

const HOME = {
  id: 'home',
  name: 'Drawn',
  latitude: 50,
  longitude: 0,
  elevationM: 50,
  timeZone: 'Etc/UTC',
  climateId: 'plain',
  restSchool: null,
  lightAim: 'whole',
  snowMonths: [],
} as const;

class Draw {
  private readonly random;
  readonly kinds = new Set<string>();

  constructor(readonly seed: number) {
    this.random = randomFrom(seed * 7919 + 17);
  }

  between(low: number, high: number): number {
    return Math.round((low + (high - low) * this.random()) * 1000) / 1000;
  }

  whole(low: number, high: number): number {
    return low + Math.floor(this.random() * (high - low + 1));
  }

  one<T>(list: readonly T[]): T {
    return list[this.whole(0, list.length - 1)]!;
  }

  chance(share: number): boolean {
    return this.random() < share;
  }

  /** True for some homes, which are then told by that kind. */
  has(kind: string, share: number): boolean {
    const is = this.chance(share);
    if (is) this.kinds.add(kind);
    return is;
  }
}

function roomOf(draw: Draw): Room {
  return {
    id: 'room',
    homeId: 'home',
    name: 'Room',
    widthM: draw.between(2, 6.5),
    depthM: draw.between(2, 6.5),
    heightM: draw.between(2.2, 3.2),
    wallABearing: draw.whole(0, 359),
    floorReflectance: draw.between(0.1, 0.45),
    wallReflectance: draw.between(0.3, 0.85),
    ceilingReflectance: draw.between(0.5, 0.9),
    airMovement: 'still',
    insideRoomId: null,
    insideXM: 0,
    insideYM: 0,
    insideZM: 0,
    shellTransmittance: 1,
    eveningLux: 0,
    eveningFromMinute: 1080,
    eveningToMinute: 1320,
  };
}

const SIDES: readonly Side[] = ['a', 'b', 'c', 'd'];

function windowsOf(draw: Draw, room: Room): Window[] {
  const count = draw.whole(1, 3);
  if (count > 1) draw.kinds.add('several windows');
  const sides = [...SIDES].sort(() => draw.between(-1, 1)).slice(0, count);
  const reveal = draw.has('reveal', 0.5);
  const overhang = draw.has('overhang', 0.2);
  const hung = draw.has('curtain', 0.2) ? draw.one(['net', 'sheer', 'blind', 'film']) : null;
  const glazing = draw.has('frosted', 0.08) ? 'frosted' : draw.one(['single', 'double', 'triple']);
  const outside = draw.has('row or ring', 0.2);
  return sides.map((side, i): Window => {
    const wall = side === 'a' || side === 'c' ? room.widthM : room.depthM;
    const isRoof = i === 0 && draw.has('roof window', 0.12);
    const widthM = draw.between(0.6, Math.min(3, wall - 0.3));
    const sillM = draw.between(0.1, room.heightM - 1.2);
    return {
      id: `window-${i}`,
      roomId: 'room',
      name: 'Window',
      side,
      offsetM: draw.between(0.1, wall - widthM - 0.1),
      insetM: isRoof ? draw.between(0.1, 0.4) : 0,
      sillM: isRoof ? room.heightM - 1 : sillM,
      widthM,
      heightM: isRoof ? draw.between(0.6, 1.2) : draw.between(0.5, Math.min(2, room.heightM - sillM - 0.1)),
      slopeDeg: isRoof ? draw.between(30, 50) : 90,
      glazingId: glazing,
      frameShare: draw.between(0, 0.25),
      dirtShare: draw.between(0, 0.1),
      curtains: hung ? [{ curtainId: hung, months: ALL_MONTHS, fromMinute: 0, toMinute: 1440 }] : [],
      outsideKind: outside ? draw.one(['row', 'ring'] as const) : 'open',
      outsideDeg: draw.between(5, 45),
      outsideReflectance: draw.between(0.1, 0.4),
      groundReflectance: draw.between(0.1, 0.3),
      revealM: reveal && !isRoof ? draw.between(0.05, 0.4) : 0,
      revealReflectance: draw.between(0.2, 0.85),
      overhangM: overhang && !isRoof ? draw.between(0.3, 1.5) : 0,
      overhangAboveM: draw.between(0, 0.4),
    };
  });
}

function obstructionsOf(draw: Draw): Obstruction[] {
  if (!draw.has('houses, hills, trees', 0.25)) return [];
  return Array.from({ length: draw.whole(1, 3) }, (_, i) => ({
    id: `thing-${i}`,
    roomId: 'room',
    name: 'Thing',
    kind: draw.one(['building', 'hill', 'evergreen', 'deciduous'] as const),
    fromBearing: draw.whole(0, 359),
    toBearing: draw.whole(0, 359),
    heightDeg: draw.between(5, 50),
    reflectance: draw.between(0.1, 0.4),
    leafMonths: [4, 5, 6, 7, 8, 9],
  }));
}

interface Furnished {
  readonly stands: readonly Stand[];
  readonly tiers: readonly Tier[];
  readonly spots: readonly Spot[];
}

/** Tables and shelves, and on each tier a spot or two. */
function standsOf(draw: Draw, room: Room, roomId: string, count: number): Furnished {
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
function sillOf(draw: Draw, room: Room, windows: readonly Window[]): Furnished {
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

const LAMP: Lamp = {
  id: 'lamp',
  circuitId: 'circuit',
  tierId: '',
  name: 'Lamp',
  form: 'bar',
  ppf: 100,
  powerW: 50,
  spectrum: 'white-warm',
  beamDeg: 120,
  lengthM: 1,
  breadthM: 0.05,
  alongM: 0,
  acrossM: 0,
  aboveM: 0.3,
  dimming: 1,
  ratedBy: 'ppf',
  lumens: null,
  tiltDeg: 0,
  tiltToward: 'a',
  burntHours: 0,
  lifeHours: null,
  photometryId: null,
};

function lampsOf(draw: Draw, { stands, tiers }: Furnished, room: Room): Lamp[] {
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

const PHOTOMETRIES = ['wide', 'narrow'].map((id) => ({
  id,
  homeId: 'home',
  name: id,
  lumens: 1000,
  powerW: 10,
  lengthM: 0.6,
  breadthM: 0.1,
  fileKey: id,
}));

function plantsOf(draw: Draw, { spots }: Furnished): Plant[] {
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
      stage: 'adult',
      growthState: 'growing',
      potCm: 12,
      heightCm: draw.whole(15, 60),
      arrivedOn: null,
      parents: [],
      traits: [],
      stateSeenOn: null,
      restSchool: null,
      foliage: draw.one(['sparse', 'medium', 'dense'] as const),
    }));
}

function outdoorsOf(draw: Draw): Outdoors {
  const clear = draw.has('sun', 0.55);
  const sunElevationDeg = draw.between(8, 65);
  return {
    month: draw.whole(1, 12),
    dhi: clear ? draw.between(60, 120) : draw.between(120, 250),
    dni: clear ? draw.between(400, 850) : 0,
    sunAzimuthDeg: draw.whole(0, 359),
    sunElevationDeg,
    sky: clear ? 'clear' : 'overcast',
  };
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
function freeOf(furnished: Furnished, windows: readonly Window[], blocks: readonly Block[], room: Room): Furnished {
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
function hangsFree(lamp: Lamp, { stands, tiers }: Furnished, blocks: readonly Block[], room: Room): boolean {
  const tier = tiers.find(({ id }) => id === lamp.tierId)!;
  const stand = stands.find(({ id }) => id === tier.standId)!;
  const centre: V = [stand.xM + lamp.alongM, stand.yM + lamp.acrossM, tier.heightM + lamp.aboveM];
  const file = PHOTOMETRIES.find(({ id }) => id === lamp.photometryId);
  const reach = Math.hypot(file?.lengthM ?? lamp.lengthM, file?.breadthM ?? lamp.breadthM) / 2 + 0.01;
  const fits = (at: number, size: number) => at > reach && at < size - reach;
  return fits(centre[0], room.widthM) && fits(centre[1], room.depthM) && !isInside(blocks, centre, reach);
}

/** One home with a room, what stands in it and before it, and an instant. */
export function drawnHome(seed: number): Drawn {
  const draw = new Draw(seed);
  const room = roomOf(draw);
  const windows = windowsOf(draw, room);
  const furniture = standsOf(draw, room, 'room', draw.whole(1, 3));
  const sill = sillOf(draw, room, windows);
  const furnished: Furnished = {
    stands: [...furniture.stands, ...sill.stands],
    tiers: [...furniture.tiers, ...sill.tiers],
    spots: [...furniture.spots, ...sill.spots],
  };
  const blocks = draw.has('cupboard', 0.35)
    ? Array.from({ length: draw.whole(1, 2) }, (_, i) => {
        const [widthM, depthM, heightM] = [draw.between(0.3, 1), draw.between(0.3, 0.7), draw.between(0.5, 2)];
        return {
          id: `block-${i}`,
          roomId: 'room',
          name: 'Cupboard',
          xM: draw.between(0, room.widthM - widthM),
          yM: draw.one([0, Math.round((room.depthM - depthM) * 1000) / 1000, draw.between(0, room.depthM - depthM)]),
          zM: 0,
          widthM,
          depthM,
          heightM,
          reflectance: draw.between(0.1, 0.8),
        };
      })
    : [];
  const free = freeOf(furnished, windows, blocks, room);
  const lamps = draw.chance(0.5)
    ? lampsOf(draw, furnished, room).filter((lamp) => hangsFree(lamp, furnished, blocks, room))
    : [];
  return {
    seed,
    facts: {
      home: HOME,
      rooms: [room],
      windows,
      ...free,
      circuits: [{ id: 'circuit', homeId: 'home', name: 'Timer', onMinute: 480, offMinute: 1200, months: ALL_MONTHS }],
      photometries: PHOTOMETRIES,
      lamps,
      plants: plantsOf(draw, free),
      air: [],
      ownTaxa: [],
      corrections: [],
      obstructions: obstructionsOf(draw),
      blocks,
      weathers: [],
      readings: [],
    },
    outdoors: outdoorsOf(draw),
    kinds: [...draw.kinds],
  };
}
