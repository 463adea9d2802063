/**
 * Draws homes at random from what the facts allow, with spots and an instant: what the engine is held against the
 * tracer on.
 */
import {
  NOTHING_PLANNED,
  PLAIN_TIMER,
  type Block,
  type HomeFacts,
  type Obstruction,
  type Room,
  type Window,
} from '../src/facts';
import { ALL_MONTHS } from '../src/units';
import { Draw } from './draw';
import { cabinetOf } from './random-cabinet';
import type { Outdoors } from './outdoors';
import {
  PHOTOMETRIES,
  SIDES,
  freeOf,
  hangsFree,
  lampsOf,
  plantsOf,
  sillOf,
  standsOf,
  type Furnished,
} from './random-furniture';
import type { Optics } from './scene-of-facts';

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

function cupboardsOf(draw: Draw, room: Room): Block[] {
  if (!draw.has('cupboard', 0.35)) return [];
  return Array.from({ length: draw.whole(1, 2) }, (_, i) => {
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
  });
}

/** The one timer of every home that is drawn. */
const CIRCUIT = {
  id: 'circuit',
  homeId: 'home',
  name: 'Timer',
  onMinute: 480,
  offMinute: 1200,
  months: ALL_MONTHS,
  ...PLAIN_TIMER,
};

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
  const blocks = cupboardsOf(draw, room);
  const free = freeOf(furnished, windows, blocks, room);
  const lamps = draw.chance(0.5)
    ? lampsOf(draw, furnished, room).filter((lamp) => hangsFree(lamp, furnished, blocks, room))
    : [];
  const plants = plantsOf(draw, free);
  const obstructions = obstructionsOf(draw);
  const outdoors = outdoorsOf(draw);
  const cabinet = cabinetOf(draw, room, { windows, blocks, lamps, ...free });
  return {
    seed,
    facts: {
      home: HOME,
      rooms: [room, ...cabinet.rooms],
      windows,
      stands: [...free.stands, ...cabinet.stands],
      tiers: [...free.tiers, ...cabinet.tiers],
      spots: [...free.spots, ...cabinet.spots],
      circuits: [CIRCUIT],
      photometries: PHOTOMETRIES,
      lamps: [...lamps, ...cabinet.lamps],
      plants,
      air: [],
      ownTaxa: [],
      corrections: [],
      obstructions,
      blocks,
      weathers: [],
      readings: [],
      outcomes: [],
      climates: [],
      airThings: [],
      doorways: [],
      learntAir: [],
      spotAir: [],
      ...NOTHING_PLANNED,
    },
    outdoors,
    kinds: [...draw.kinds],
  };
}
