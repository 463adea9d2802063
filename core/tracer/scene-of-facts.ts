/** Reads a home's facts as the tracer needs them: its own reading, apart from the engine's. */
import type { Block, HomeFacts, Intensities, Lamp, Obstruction, Room, Window } from '../src/facts';
import { sheet, type Film, type Haze, type Light, type Opening, type Sheet, type TracerScene } from './tracer';
import { add, cross, dot, mul, norm, sub, unit, type V } from './vectors';

/** The outdoors at one instant, in the words of the reference cases. */
export interface Outdoors {
  readonly month: number;
  readonly dhi: number;
  readonly dni: number;
  readonly sunAzimuthDeg: number;
  readonly sunElevationDeg: number;
  readonly sky: 'overcast' | 'clear';
}

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
  return {
    sheets: [...wallsOf(room, openings), ...reveals, ...solidsOf(facts, room)],
    hazes: [],
    films: facts.rooms.filter((inner) => inner.insideRoomId === room.id).flatMap(filmsOf),
    openings,
    lights: facts.lamps.flatMap((lamp) => lightOf(facts, room, lamp, optics)),
    sun:
      outdoors.dni > 0 && outdoors.sunElevationDeg > 0
        ? { way: wayOf(room, outdoors.sunAzimuthDeg, outdoors.sunElevationDeg), beam: outdoors.dni }
        : null,
  };
}

/** Toward an azimuth and elevation in the room's frame: y points away from where wall A looks. */
function wayOf(room: Room, azimuthDeg: number, elevationDeg: number): V {
  const facade = room.wallABearing * RAD;
  const north: V = [Math.sin(facade), -Math.cos(facade), 0];
  const east: V = [-Math.cos(facade), -Math.sin(facade), 0];
  const level = Math.cos(elevationDeg * RAD);
  return add(add(mul(north, level * Math.cos(azimuthDeg * RAD)), mul(east, level * Math.sin(azimuthDeg * RAD))), [
    0,
    0,
    Math.sin(elevationDeg * RAD),
  ]);
}

function bearingOf(room: Room, way: V): number {
  const north = wayOf(room, 0, 0);
  const east = wayOf(room, 90, 0);
  return (Math.atan2(dot(way, east), dot(way, north)) / RAD + 360) % 360;
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

/** Light through clear panes one behind the other, index 1.526, by the cosine of incidence. */
export function fresnel(panes: number, normalTransmittance: number): (cosine: number) => number {
  if (panes === 0) return (cosine) => (cosine > 0 ? normalTransmittance : 0);
  const index = 1.526;
  const passing = (cosine: number, thickness: number): number => {
    const inner = Math.sqrt(1 - (1 - cosine * cosine) / index ** 2);
    const absorbed = Math.exp(-thickness / inner);
    const ways = [
      ((cosine - index * inner) / (cosine + index * inner)) ** 2,
      ((index * cosine - inner) / (index * cosine + inner)) ** 2,
    ];
    return (
      ways.reduce((sum, r) => {
        // One pane: rays that go to and fro inside it; then panes before panes.
        const t = ((1 - r) ** 2 * absorbed) / (1 - r * r * absorbed * absorbed);
        const back = r + (r * (1 - r) ** 2 * absorbed * absorbed) / (1 - r * r * absorbed * absorbed);
        let [through, mirrored] = [t, back];
        for (let pane = 1; pane < panes; pane++) {
          const between = 1 / (1 - mirrored * back);
          [through, mirrored] = [through * t * between, mirrored + through * through * back * between];
        }
        return sum + through;
      }, 0) / 2
    );
  };
  let [low, high] = [0, 6];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (passing(1, middle) > normalTransmittance) low = middle;
    else high = middle;
  }
  return (cosine) => (cosine <= 0 ? 0 : passing(Math.min(1, cosine), low));
}

/** Radiance of an overcast or clear sky (CIE) by direction, that gives `dhi` on level ground. */
export function skyRadiance(outdoors: Outdoors): (elevationDeg: number, azimuthDeg: number) => number {
  const { sky, dhi, sunAzimuthDeg, sunElevationDeg } = outdoors;
  const shape = (elevation: number, azimuthDeg: number): number => {
    if (sky === 'overcast') return (1 + 2 * Math.sin(elevation)) / 3;
    const [a, b, c, d, e] = [-1, -0.32, 10, -3, 0.45];
    const sun = sunElevationDeg * RAD;
    const turn = (azimuthDeg - sunAzimuthDeg) * RAD;
    const cosine = Math.sin(elevation) * Math.sin(sun) + Math.cos(elevation) * Math.cos(sun) * Math.cos(turn);
    const away = Math.acos(Math.max(-1, Math.min(1, cosine)));
    const gradation = 1 + a * Math.exp(b / Math.max(0.01, Math.sin(elevation)));
    return gradation * (1 + c * (Math.exp(d * away) - Math.exp((d * Math.PI) / 2)) + e * Math.cos(away) ** 2);
  };
  let level = 0;
  const [rings, turns] = [180, 360];
  for (let i = 0; i < rings; i++) {
    const elevation = ((i + 0.5) / rings) * (Math.PI / 2);
    for (let j = 0; j < turns; j++) {
      const azimuth = ((j + 0.5) / turns) * 360;
      level += shape(elevation, azimuth) * Math.sin(elevation) * Math.cos(elevation);
    }
  }
  level *= (Math.PI / 2 / rings) * ((2 * Math.PI) / turns);
  return (elevationDeg, azimuthDeg) => (shape(elevationDeg * RAD, azimuthDeg) * dhi) / level;
}

function treePasses({ kind, leafMonths }: Obstruction, month: number): number {
  if (kind === 'evergreen') return 0.12;
  if (kind === 'deciduous') return leafMonths.includes(month) ? 0.18 : 0.62;
  return 0;
}

const UNDERSIDE = 0.1;
const SNOW = 0.65;

/** What lies beyond a window: a slab over it, ground, houses, trees, sky. */
function beyondOf(facts: HomeFacts, room: Room, window: Window, glass: Sheet, outdoors: Outdoors) {
  const sky = skyRadiance(outdoors);
  const global = outdoors.dhi + outdoors.dni * Math.max(0, Math.sin(outdoors.sunElevationDeg * RAD));
  const snowy = facts.home.snowMonths.includes(outdoors.month);
  const albedo = snowy ? Math.max(SNOW, window.groundReflectance) : window.groundReflectance;
  const out = glass.normal;
  const ahead = unit([out[0] + 1e-12, out[1], 0]);
  const top = Math.max(glass.corner[2], glass.corner[2] + glass.v[2]) + window.overhangAboveM;
  const things = facts.obstructions.filter(({ roomId }) => roomId === room.id);
  const isUnderSlab = (at: V, way: V) =>
    window.overhangM > 0 && ((top - at[2]) / way[2]) * dot(way, ahead) < window.overhangM;
  const isBehindRow = (way: V) => {
    const level = Math.hypot(way[0], way[1]);
    const tangent = Math.tan(window.outsideDeg * RAD);
    if (window.outsideKind === 'ring') return way[2] < tangent * level;
    return window.outsideKind === 'row' && way[2] < tangent * dot(way, ahead);
  };
  /** From the nearest thing to the farthest: what comes of things, and what is left of what lies behind. */
  const past = (way: V) => {
    const bearing = bearingOf(room, way);
    const height = Math.asin(Math.min(1, way[2])) / RAD;
    let left = 1;
    let things0 = 0;
    const met = things
      .filter(({ fromBearing, toBearing, heightDeg }) => {
        const width = fromBearing === toBearing ? 360 : (toBearing - fromBearing + 360) % 360;
        return height < heightDeg && (bearing - fromBearing + 360) % 360 <= width;
      })
      .sort((p, q) => treePasses(q, outdoors.month) - treePasses(p, outdoors.month));
    for (const thing of met) {
      const passes = treePasses(thing, outdoors.month);
      things0 += left * (1 - passes) * thing.reflectance;
      left *= passes;
    }
    return { left, bright: things0 };
  };
  return {
    radiance(at: V, way: V): number {
      if (way[2] <= 0) return (albedo * global) / Math.PI;
      if (isUnderSlab(at, way)) return (UNDERSIDE * global) / Math.PI;
      if (isBehindRow(way)) return (window.outsideReflectance * global) / Math.PI;
      const { left, bright } = past(way);
      const elevation = Math.asin(Math.min(1, way[2])) / RAD;
      return left * sky(elevation, bearingOf(room, way)) + (bright * global) / Math.PI;
    },
    sunShare: (at: V, way: V): number => (way[2] <= 0 || isUnderSlab(at, way) || isBehindRow(way) ? 0 : past(way).left),
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
    const shift: V = one === room ? [0, 0, 0] : [one.insideXM, one.insideYM, one.insideZM];
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

function filmsOf({ insideXM, insideYM, insideZM, widthM, depthM, heightM, shellTransmittance }: Room): Film[] {
  const box = { xM: insideXM, yM: insideYM, zM: insideZM, widthM, depthM, heightM };
  return boxOf(box, 0).map((side) => ({ sheet: side, transmittance: shellTransmittance }));
}

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

const SIDE_WAY: Record<Lamp['tiltToward'], V> = { a: [0, -1, 0], b: [1, 0, 0], c: [0, 1, 0], d: [-1, 0, 0] };

function lightOf(facts: HomeFacts, room: Room, lamp: Lamp, optics: Optics): Light[] {
  const tier = facts.tiers.find(({ id }) => id === lamp.tierId);
  const stand = facts.stands.find(({ id }) => id === tier?.standId);
  if (!tier || !stand || stand.roomId !== room.id) return [];
  const centre: V = [stand.xM + lamp.alongM, stand.yM + lamp.acrossM, tier.heightM + lamp.aboveM];
  // Turned about the level axis at right angles to the way it is tilted toward.
  const way = SIDE_WAY[lamp.tiltToward];
  const axis = cross([0, 0, -1], way);
  const turn = (v: V): V => {
    const angle = lamp.tiltDeg * RAD;
    const along = mul(axis, dot(axis, v));
    const rest = sub(v, along);
    return add(along, add(mul(rest, Math.cos(angle)), mul(cross(axis, rest), Math.sin(angle))));
  };
  const aim = turn([0, 0, -1]);
  const [x, y] = [turn([1, 0, 0]), turn([0, 1, 0])];
  const output = lamp.ppf * lamp.dimming;
  const file = facts.photometries.find(({ id }) => id === lamp.photometryId);
  if (file) {
    const spread = optics.intensities(file.fileKey);
    const whole = integrated(spread);
    return [
      {
        centre,
        u: mul(x, file.lengthM),
        v: mul(y, file.breadthM),
        intensity: (toward) => (output * candela(spread, toward, aim, x, y)) / whole,
      },
    ];
  }
  const power = Math.log(0.5) / Math.log(Math.cos((lamp.beamDeg / 2) * RAD));
  const isPoint = lamp.form === 'point' || lamp.form === 'spot';
  return [
    {
      centre,
      u: mul(x, isPoint ? 0 : lamp.lengthM),
      v: mul(y, isPoint ? 0 : lamp.breadthM),
      intensity: (toward) => {
        const cosine = dot(toward, aim);
        return cosine <= 0 ? 0 : ((output * (power + 1)) / (2 * Math.PI)) * cosine ** power;
      },
    },
  ];
}

/** Intensity of a measured lamp in a direction: between its planes and angles along straight lines. */
function candela({ planes, angles, candela: list }: Intensities, toward: V, aim: V, x: V, y: V): number {
  const angle = Math.acos(Math.max(-1, Math.min(1, dot(toward, aim) / norm(toward)))) / RAD;
  if (angle > angles[angles.length - 1]!) return 0;
  const last = planes[planes.length - 1]!;
  let plane = (Math.atan2(dot(toward, y), dot(toward, x)) / RAD + 360) % 360;
  if (last === 0) plane = 0;
  else if (last <= 180 && plane > 180) plane = 360 - plane;
  if (last === 90 && plane > 90) plane = 180 - plane;
  const [i, s] = between(planes, plane);
  const [j, t] = between(angles, angle);
  const at = (p: number, a: number) =>
    list[Math.min(p, planes.length - 1) * angles.length + Math.min(a, angles.length - 1)]!;
  return (at(i, j) * (1 - t) + at(i, j + 1) * t) * (1 - s) + (at(i + 1, j) * (1 - t) + at(i + 1, j + 1) * t) * s;
}

function between(list: readonly number[], value: number): [number, number] {
  let i = 0;
  while (i + 1 < list.length && list[i + 1]! <= value) i++;
  const next = list[i + 1];
  return [i, next === undefined ? 0 : Math.max(0, (value - list[i]!) / (next - list[i]!))];
}

function integrated(spread: Intensities): number {
  let sum = 0;
  const steps = 360;
  for (let i = 0; i < steps; i++) {
    const angle = ((i + 0.5) / steps) * Math.PI;
    for (let j = 0; j < steps; j++) {
      const turn = ((j + 0.5) / steps) * 2 * Math.PI;
      const toward: V = [Math.sin(angle) * Math.cos(turn), Math.sin(angle) * Math.sin(turn), Math.cos(angle)];
      sum += candela(spread, toward, [0, 0, 1], [1, 0, 0], [0, 1, 0]) * Math.sin(angle);
    }
  }
  return (sum * 2 * Math.PI * Math.PI) / steps / steps;
}
