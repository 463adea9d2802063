/** The daylight engine against rooms and years computed by other means. */
import rooms from '../../reference/rooms.json';
import years from '../../reference/years.json';
import type { Room, Window } from '../facts';
import { CLEAR_WEATHER, ISOTROPIC_SKY, OVERCAST_SKY, clearSky, skyYear, type Weather } from '../sky';
import { PPFD_PER_WATT } from '../units';
import { UP, vec, type Vec } from '../room';
import {
  daylightYear,
  instantLight,
  litRoom,
  paneOf,
  paneYear,
  transmittanceOf,
  spotWindows,
  windowYear,
  type SpotWindow,
} from './index';

interface ReferenceRoom {
  W: number;
  D: number;
  H: number;
  window: { x0: number; sill: number; w: number; h: number };
  rho: { floor: number; walls: number; ceiling: number };
  facade: number;
  tau0: number;
  glass: string;
}

interface Outside {
  albedo?: number;
  obst?: number;
  obst_kind?: string;
  obst_k?: number;
}

function placeOf(r: ReferenceRoom, outside: Outside) {
  const room: Room = {
    id: 'room',
    homeId: 'home',
    name: 'Reference',
    widthM: r.W,
    depthM: r.D,
    heightM: r.H,
    wallABearing: r.facade,
    eveningLux: 0,
    eveningFromMinute: 0,
    eveningToMinute: 0,
    floorReflectance: r.rho.floor,
    wallReflectance: r.rho.walls,
    ceilingReflectance: r.rho.ceiling,
    airMovement: 'still',
    insideRoomId: null,
    insideXM: 0,
    insideYM: 0,
    insideZM: 0,
    shellTransmittance: 1,
  };
  const window: Window = {
    id: 'window',
    roomId: 'room',
    name: 'Window',
    side: 'a',
    offsetM: r.window.x0,
    insetM: 0,
    sillM: r.window.sill,
    widthM: r.window.w,
    heightM: r.window.h,
    slopeDeg: 90,
    glazingId: 'reference',
    frameShare: 0,
    dirtShare: 0,
    curtains: [],
    revealM: 0,
    revealReflectance: 0,
    overhangM: 0,
    overhangAboveM: 0,
    outsideKind: outside.obst ? (outside.obst_kind as 'ring' | 'row') : 'open',
    outsideDeg: outside.obst ?? 0,
    outsideReflectance: outside.obst_k ?? 0,
    groundReflectance: outside.albedo ?? 0.2,
  };
  const pane = paneOf(room, window, { panes: r.glass === 'fresnel1' ? 1 : 2, normalTransmittance: r.tau0 });
  return litRoom(room, [pane], []);
}

interface Parts {
  sun: number;
  sky: number;
  ground: number;
  obstruction: number;
}

interface Wanted {
  direct: Parts;
  reflected: Parts;
  reflected_total: number;
  total: number;
  other_skies_same_DHI?: { iso?: { direct_sky: number } };
}

const sumOf = (p: Parts) => p.sun + p.sky + p.ground + p.obstruction;

function expectWithin(found: number, wanted: number, share: number, floor = 0.02): void {
  expect(Math.abs(found - wanted)).toBeLessThanOrEqual(Math.abs(wanted) * share + floor);
}

describe('a spot in a box room at one instant', () => {
  const cases = rooms.cases.flatMap((c) =>
    (['horizontal_up', 'vertical_facing_window'] as const).flatMap((face) =>
      face in c ? [{ face, label: `${c.id} ${c.name}, ${face}`, c: c as unknown as Record<string, unknown> }] : [],
    ),
  );
  it.each(cases)('$label', ({ c, face }) => {
    const wanted = c[face] as Wanted;
    const outside = c.outside as Outside & {
      DHI: number;
      DNI: number;
      sun: number[] | null;
      sky: string;
      curtain?: number;
    };
    const lit = placeOf(c.room as ReferenceRoom, outside);
    const [x, y, z] = c.receptor as number[];
    const receiver = { point: vec(x!, y!, z!), normal: face === 'horizontal_up' ? UP : vec(0, -1, 0) };
    const [spot] = spotWindows(lit, receiver) as [SpotWindow];
    const [sunAzimuthDeg, sunElevationDeg] = (outside.sun ?? [0, -10]) as [number, number];
    const instant = {
      month: 6,
      dni: outside.DNI,
      dhi: outside.DHI,
      sunAzimuthDeg,
      sunElevationDeg,
      skyShape:
        outside.sky === 'overcast'
          ? OVERCAST_SKY
          : outside.sky === 'clear'
            ? clearSky(sunAzimuthDeg, sunElevationDeg)
            : ISOTROPIC_SKY,
    };
    const transmittance = transmittanceOf(outside.curtain ? [{ transmittance: outside.curtain, scatter: 1 }] : []);
    const { direct, reflected } = instantLight(spot, receiver, instant, transmittance);
    expectWithin(direct.sun, wanted.direct.sun, 0.01);
    expectWithin(direct.sky, wanted.direct.sky, 0.02);
    expectWithin(direct.ground, wanted.direct.ground, 0.02);
    expectWithin(direct.obstruction, wanted.direct.obstruction, 0.03);
    const even = instantLight(spot, receiver, { ...instant, skyShape: ISOTROPIC_SKY }, transmittance);
    const iso = wanted.other_skies_same_DHI?.iso?.direct_sky;
    if (iso !== undefined) expectWithin(even.direct.sky, iso, 0.02);
    expectWithin(sumOf(reflected), wanted.reflected_total, 0.05);
    expectWithin(sumOf(direct) + sumOf(reflected), wanted.total, 0.03);
  });
});

const EVEN_WEATHER: Weather = {
  dayTypes: 1,
  write(step, question) {
    CLEAR_WEATHER.write(step, question);
    step.clearShare[0] = 0;
  },
};

function monthlyDli(lit: ReturnType<typeof placeOf>, leaf: Vec, sky: ReturnType<typeof skyYear>): number[] {
  const [spot] = spotWindows(lit, { point: leaf, normal: UP }) as [SpotWindow];
  const outside = paneYear(spot, sky, ISOTROPIC_SKY);
  const year = daylightYear([windowYear(spot, leaf, [], sky, outside, ISOTROPIC_SKY)], sky, new Map());
  return Array.from(year.byDayType, (wattHours) => (wattHours * 3600 * PPFD_PER_WATT) / 1e6);
}

describe('a clear-sky year', () => {
  describe.each(years.cases)('$name', (c) => {
    const zone =
      c.utc_offset_h === 0 ? 'Etc/GMT' : `Etc/GMT${c.utc_offset_h > 0 ? '-' : '+'}${Math.abs(c.utc_offset_h)}`;
    const request = { place: { latitude: c.lat, longitude: c.lon }, timeZone: zone, year: c.year };
    const clear = skyYear({ ...request, weather: CLEAR_WEATHER });
    const even = skyYear({ ...request, weather: EVEN_WEATHER });
    const lit = placeOf(c.room, { albedo: c.albedo });

    it('has the reference’s light outdoors in every month', () => {
      c.outdoor_monthly_mean_daily_PAR_mol_m2.forEach((wanted, month0) => {
        let wattHours = 0;
        for (let hour = 0; hour < 24; hour++) wattHours += clear.global[month0 * 24 + hour]!;
        expectWithin((wattHours * 3600 * PPFD_PER_WATT) / 1e6, wanted, 0.005, 0);
      });
    });

    it.each(c.positions)('has the reference’s DLI at $receptor', (position) => {
      const leaf = vec(...(position.receptor as [number, number, number]));
      for (const [sky, wanted] of [
        [even, position.monthly_mean_DLI_isotropic_sky],
        [clear, position.monthly_mean_DLI_CIE_clear_sky],
      ] as const) {
        const found = monthlyDli(lit, leaf, sky);
        found.forEach((dli, month0) => expectWithin(dli, wanted[month0]!, 0.05, 0));
        const total = (list: readonly number[]) => list.reduce((sum, value) => sum + value, 0);
        expectWithin(total(found), total(wanted), 0.03, 0);
      }
    });
  });
});
