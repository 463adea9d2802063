/** The daylight engine against scenes traced by other means: several windows, reveals, overhangs, boards, cupboards, houses. */
import scenes from '../../reference/scenes.json';
import type { Obstruction, Room, Side, Window } from '../facts';
import { UP, solidBox, vec } from '../room';
import { OVERCAST_SKY, clearSky } from '../sky';
import { instantLight, litRoom, panesOf, spotWindows, transmittanceOf } from './index';

interface SceneWindow {
  readonly side: Side;
  readonly offset: number;
  readonly sill: number;
  readonly w: number;
  readonly h: number;
  readonly tau0: number;
  readonly panes?: 1 | 2;
  readonly reveal?: number;
  readonly revealRho?: number;
  readonly overhang?: number;
  readonly overhangAbove?: number;
  readonly slope?: number;
  readonly inset?: number;
  readonly attic?: boolean;
}

interface Solid {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
  readonly z0: number;
  readonly z1: number;
  readonly rho: number;
}

interface Scene {
  readonly name: string;
  readonly room: {
    readonly W: number;
    readonly D: number;
    readonly H: number;
    readonly rho: { readonly floor: number; readonly walls: number; readonly ceiling: number };
    readonly facade: number;
  };
  readonly windows: readonly SceneWindow[];
  readonly outside: {
    readonly DHI: number;
    readonly DNI: number;
    readonly sun: readonly [number, number] | null;
    readonly sky: 'overcast' | 'clear';
    readonly albedo: number;
  };
  readonly horizon?: readonly {
    readonly from: number;
    readonly to: number;
    readonly height: number;
    readonly rho: number;
  }[];
  readonly solids?: readonly Solid[];
  readonly receptors: readonly (readonly number[])[];
  readonly results: readonly { readonly direct: readonly number[]; readonly reflected: readonly number[] }[];
}

function roomOf({ room: { W, D, H, rho, facade } }: Scene): Room {
  return {
    id: 'room',
    homeId: 'home',
    name: 'Scene',
    widthM: W,
    depthM: D,
    heightM: H,
    wallABearing: facade,
    eveningLux: 0,
    eveningFromMinute: 0,
    eveningToMinute: 0,
    floorReflectance: rho.floor,
    wallReflectance: rho.walls,
    ceilingReflectance: rho.ceiling,
    airMovement: 'still',
    insideRoomId: null,
    insideXM: 0,
    insideYM: 0,
    insideZM: 0,
    shellTransmittance: 1,
  };
}

function windowOf(given: SceneWindow, index: number, { albedo }: Scene['outside']): Window {
  return {
    id: `window-${index}`,
    roomId: 'room',
    name: 'Window',
    side: given.side,
    offsetM: given.offset,
    insetM: given.inset ?? 0,
    sillM: given.sill,
    widthM: given.w,
    heightM: given.h,
    slopeDeg: given.slope ?? 90,
    glazingId: 'scene',
    frameShare: 0,
    dirtShare: 0,
    curtains: [],
    revealM: given.reveal ?? 0,
    revealReflectance: given.revealRho ?? 0,
    overhangM: given.overhang ?? 0,
    overhangAboveM: given.overhangAbove ?? 0,
    outsideKind: 'open',
    outsideDeg: 0,
    outsideReflectance: 0,
    groundReflectance: albedo,
  };
}

function litOf(scene: Scene) {
  const room = roomOf(scene);
  const houses = (scene.horizon ?? []).map(({ from, to, height, rho }, i): Obstruction => ({
    id: `house-${i}`,
    roomId: 'room',
    name: 'House',
    kind: 'building',
    fromBearing: from,
    toBearing: to,
    heightDeg: height,
    reflectance: rho,
    leafMonths: [],
  }));
  const panes = scene.windows.flatMap((given, i) =>
    panesOf(
      room,
      windowOf(given, i, scene.outside),
      { panes: given.panes ?? 2, normalTransmittance: given.tau0 },
      houses,
      [],
    ),
  );
  const solids = (scene.solids ?? []).map((s) =>
    solidBox(s.x0, s.y0, s.z0, s.x1 - s.x0, s.y1 - s.y0, s.z1 - s.z0, s.rho),
  );
  return { lit: litRoom(room, panes, solids), solids };
}

function spotsOf(scene: Scene) {
  const { lit, solids } = litOf(scene);
  const { DHI, DNI, sun, sky } = scene.outside;
  const [sunAzimuthDeg, sunElevationDeg] = sun ?? [0, -10];
  const skyShape = sky === 'overcast' ? OVERCAST_SKY : clearSky(sunAzimuthDeg, sunElevationDeg);
  const instant = { month: 6, dni: DNI, dhi: DHI, sunAzimuthDeg, sunElevationDeg, skyShape };
  return scene.receptors.map(([x, y, z, nx, ny, nz], i) => {
    const receiver = { point: vec(x!, y!, z!), normal: nz === 1 ? UP : vec(nx!, ny!, nz!) };
    let total = 0;
    let directSun = 0;
    for (const window of spotWindows(lit, receiver)) {
      const { direct, reflected } = instantLight(window, receiver, instant, transmittanceOf([]), solids);
      directSun += direct.sun;
      for (const part of [direct, reflected]) total += part.sun + part.sky + part.ground + part.obstruction;
    }
    const { direct, reflected } = scene.results[i]!;
    const sum = (list: readonly number[]) => list.reduce((all, one) => all + one, 0);
    return { total, directSun, wanted: sum(direct) + sum(reflected), wantedSun: direct[0]! };
  });
}

const all = (scenes as unknown as { cases: Scene[] }).cases;

const holds = (scene: Scene) => {
  for (const { total, directSun, wanted, wantedSun } of spotsOf(scene)) {
    expect(Math.abs(total - wanted)).toBeLessThanOrEqual(Math.max(0.05 * wanted, 0.3));
    expect(directSun > 0).toBe(wantedSun > 0);
    expect(Math.abs(directSun - wantedSun)).toBeLessThanOrEqual(0.01 * wantedSun);
  }
};

describe('a scene traced by other means', () => {
  it.each(all)('$name', holds);
});
