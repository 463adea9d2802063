/** Reads a home's facts as the tracer needs them: its own reading, apart from the engine's. */
import type { Block, HomeFacts, Intensities, Room, Window } from '../src/facts';
import { lightOf, originOf } from './lamps';
import { beyondOf, fresnel, wayOf, type Outdoors } from './outdoors';
import { sheet, type Film, type Haze, type Opening, type Sheet, type TracerScene } from './sheets';
import { add, dot, mul, sub, type V } from './vectors';

/** What the catalogue would know of panes and curtains. */
export interface Optics {
  glazing(id: string): { readonly panes: number; readonly normalTransmittance: number; readonly scatter?: number };
  curtain(id: string): { readonly transmittance: number; readonly scatter: number };
  intensities(fileKey: string): Intensities;
}

const RAD = Math.PI / 180;

/** The scene of a room (and the cabinets in it), with what is hung at its windows shut. */
export function sceneOfFacts(facts: HomeFacts, room: Room, outdoors: Outdoors, optics: Optics): TracerScene {
  const openings = facts.windows
    .filter((window) => window.roomId === room.id)
    .map((window) => openingOf(facts, room, window, outdoors, optics));
  const reveals = facts.windows
    .filter((window) => window.roomId === room.id && window.revealM > 0)
    .flatMap((window) => revealOf(openingFrame(room, window), window));
  const cabinets = facts.rooms.filter((inner) => inner.insideRoomId === room.id);
  return {
    sheets: [...wallsOf(room, openings), ...reveals, ...solidsOf(facts, room), ...cabinets.map(floorOf)],
    hazes: [],
    films: cabinets.flatMap(filmsOf),
    openings,
    lights: facts.lamps.flatMap((lamp) => lightOf(facts, room, lamp, (key) => optics.intensities(key))),
    sun:
      outdoors.dni > 0 && outdoors.sunElevationDeg > 0
        ? { way: wayOf(room, outdoors.sunAzimuthDeg, outdoors.sunElevationDeg), beam: outdoors.dni }
        : null,
  };
}

function wallsOf({ widthM: w, depthM: d, heightM: h, ...room }: Room, openings: readonly Opening[]): Sheet[] {
  const walls: [V, V, V, number][] = [
    [[0, 0, 0], [w, 0, 0], [0, d, 0], room.floorReflectance],
    [[0, 0, h], [0, d, 0], [w, 0, 0], room.ceilingReflectance],
    [[0, 0, 0], [0, 0, h], [w, 0, 0], room.wallReflectance],
    [[w, 0, 0], [0, 0, h], [0, d, 0], room.wallReflectance],
    [[w, d, 0], [0, 0, h], [-w, 0, 0], room.wallReflectance],
    [[0, d, 0], [0, 0, h], [0, -d, 0], room.wallReflectance],
  ];
  return walls.map(([corner, u, v, reflectance]) => {
    const plain = sheet(corner, u, v, reflectance);
    const holes = openings
      .map(({ mouth }) => mouth)
      .filter(
        (mouth) =>
          dot(mouth.normal, plain.normal) < -0.999 && Math.abs(dot(sub(mouth.corner, corner), plain.normal)) < 1e-6,
      );
    return { ...plain, holes };
  });
}

interface Frame {
  readonly corner: V;
  readonly u: V;
  readonly v: V;
  readonly out: V;
}

/** A window's opening: a corner, its edges, and the way out. */
export function openingFrame({ widthM, depthM }: Room, window: Window): Frame {
  const sides: Record<Window['side'], [V, V, V]> = {
    a: [
      [0, 0, 0],
      [1, 0, 0],
      [0, -1, 0],
    ],
    b: [
      [widthM, 0, 0],
      [0, 1, 0],
      [1, 0, 0],
    ],
    c: [
      [0, depthM, 0],
      [1, 0, 0],
      [0, 1, 0],
    ],
    d: [
      [0, 0, 0],
      [0, 1, 0],
      [-1, 0, 0],
    ],
  };
  const [wall, along, out] = sides[window.side];
  const slope = window.slopeDeg * RAD;
  const up = add(mul(out, -Math.cos(slope)), [0, 0, Math.sin(slope)]);
  return {
    corner: add(add(wall, mul(along, window.offsetM)), add(mul(out, -window.insetM), [0, 0, window.sillM])),
    u: mul(along, window.widthM),
    v: mul(up, window.heightM),
    out: add(mul(out, Math.sin(slope)), [0, 0, Math.cos(slope)]),
  };
}

function revealOf({ corner, u, v, out }: Frame, { revealM, revealReflectance }: Window): Sheet[] {
  const deep = mul(out, revealM);
  const middle = add(corner, add(mul(add(u, v), 0.5), mul(deep, 0.5)));
  const sides = [
    sheet(corner, u, deep, revealReflectance),
    sheet(add(corner, v), u, deep, revealReflectance),
    sheet(corner, v, deep, revealReflectance),
    sheet(add(corner, u), v, deep, revealReflectance),
  ];
  // Each faces the middle of the reveal.
  return sides.map((side) =>
    dot(side.normal, sub(middle, side.corner)) > 0 ? side : sheet(side.corner, side.v, side.u, side.reflectance),
  );
}

function openingOf(facts: HomeFacts, room: Room, window: Window, outdoors: Outdoors, optics: Optics): Opening {
  const frame = openingFrame(room, window);
  const plain = sheet(frame.corner, frame.u, frame.v, 0, 2);
  const mouth = dot(plain.normal, frame.out) > 0 ? plain : { ...plain, normal: mul(plain.normal, -1) };
  const glass = { ...mouth, corner: add(mouth.corner, mul(mouth.normal, window.revealM)) };
  const glazing = optics.glazing(window.glazingId);
  const kept = (1 - window.frameShare) * (1 - window.dirtShare);
  const curve = fresnel(glazing.panes, glazing.normalTransmittance);
  let straight = 1;
  let whole = 1;
  for (const { curtainId } of window.curtains) {
    const { transmittance, scatter } = optics.curtain(curtainId);
    straight *= transmittance * (1 - scatter);
    whole *= transmittance;
  }
  const beyond = beyondOf(facts, room, window, glass, outdoors);
  const sunWay = wayOf(room, outdoors.sunAzimuthDeg, outdoors.sunElevationDeg);
  return {
    mouth,
    glass,
    passes: (cosine) => kept * curve(cosine),
    scatter: glazing.scatter ?? 0,
    straight,
    spread: whole - straight,
    radiance: (at, way) => beyond.radiance(at, way),
    sunShare: (at) => beyond.sunShare(at, sunWay),
  };
}

function boxOf(
  { xM, yM, zM, widthM, depthM, heightM }: Omit<Block, 'id' | 'roomId' | 'name' | 'reflectance'>,
  reflectance: number,
): Sheet[] {
  const [x, y, z]: [V, V, V] = [
    [widthM, 0, 0],
    [0, depthM, 0],
    [0, 0, heightM],
  ];
  const low: V = [xM, yM, zM];
  return [
    sheet(low, y, x, reflectance),
    sheet(add(low, z), x, y, reflectance),
    sheet(low, x, z, reflectance),
    sheet(add(low, y), z, x, reflectance),
    sheet(low, z, y, reflectance),
    sheet(add(low, x), y, z, reflectance),
  ];
}

function solidsOf(facts: HomeFacts, room: Room): Sheet[] {
  const rooms = [room, ...facts.rooms.filter((inner) => inner.insideRoomId === room.id)];
  return rooms.flatMap((one) => {
    const shift = originOf(one);
    const boards = facts.stands
      .filter((stand) => stand.roomId === one.id)
      .flatMap((stand) =>
        facts.tiers
          .filter((tier) => tier.standId === stand.id && tier.board === 'solid' && tier.heightM > 0.02)
          .map((tier) =>
            sheet(
              add([stand.xM, stand.yM, tier.heightM], shift),
              [stand.widthM, 0, 0],
              [0, stand.depthM, 0],
              stand.reflectance,
              2,
            ),
          ),
      );
    const blocks = facts.blocks
      .filter((block) => block.roomId === one.id)
      .flatMap((block) =>
        boxOf(
          { ...block, xM: block.xM + shift[0], yM: block.yM + shift[1], zM: block.zM + shift[2] },
          block.reflectance,
        ),
      );
    return [...boards, ...blocks];
  });
}

const boxAround = ({ insideXM, insideYM, insideZM, widthM, depthM, heightM }: Room) => ({
  xM: insideXM,
  yM: insideYM,
  zM: insideZM,
  widthM,
  depthM,
  heightM,
});

/** The top and the walls of a cabinet throw back on either side what its surfaces are said to. */
function filmsOf(cabinet: Room): Film[] {
  const { ceilingReflectance, wallReflectance, shellTransmittance } = cabinet;
  const [, ceiling, ...walls] = boxOf(boxAround(cabinet), wallReflectance);
  return [{ ...ceiling!, reflectance: ceilingReflectance }, ...walls].map((side) => ({
    sheet: side,
    transmittance: shellTransmittance,
  }));
}

/** The floor of a cabinet is solid. */
const floorOf = (cabinet: Room): Sheet => ({
  ...boxOf(boxAround(cabinet), cabinet.floorReflectance)[0]!,
  sides: 2,
});

/** Crowns of a room's plants as they rise above a leaf: half their width to each side, from three tenths of their height. */
export function crownsAbove(facts: HomeFacts, room: Room, ownSpotId: string, topM: number): Haze[] {
  return facts.plants.flatMap((plant): Haze[] => {
    const spot = facts.spots.find(({ id }) => id === plant.spotId);
    const tier = facts.tiers.find(({ id }) => id === spot?.tierId);
    const stand = facts.stands.find(({ id }) => id === tier?.standId);
    if (!spot || !tier || !stand || stand.roomId !== room.id || spot.id === ownSpotId || plant.heightCm === null)
      return [];
    const height = plant.heightCm / 100;
    const half = Math.min(spot.sizeM, height) / 2;
    const [x, y] = [stand.xM + spot.alongM, stand.yM + spot.acrossM];
    const area = { sparse: 1, medium: 2.5, dense: 5 }[plant.foliage];
    const low = tier.heightM + 0.3 * height;
    const high = tier.heightM + height;
    if (high <= topM + 0.02) return [];
    return [
      {
        low: [x - half, y - half, Math.max(low, topM)],
        high: [x + half, y + half, high],
        extinction: (0.5 * area) / (high - low),
      },
    ];
  });
}
