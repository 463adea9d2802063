/** Laws that hold of light whatever the room. */
import fc from 'fast-check';
import type { Room, Window } from '../facts';
import {
  CLEAR_WEATHER,
  HORIZONTAL_WEIGHTS,
  ISOTROPIC_SKY,
  OVERCAST_SKY,
  climateWeather,
  clearSky,
  dayTypeClearness,
  erbsDiffuseShare,
  groundLux,
  elevationAtLux,
  skyYear,
} from '../sky';
import { UP, vec, type Vec } from '../room';
import {
  daylightYear,
  glassCurve,
  litRoom,
  paneOf,
  paneYear,
  transmittanceYear,
  photoperiodOf,
  spotWindows,
  windowYear,
  type CurtainSchedule,
  type DaylightYear,
} from './index';

const room = (given: Partial<Room> = {}): Room => ({
  id: 'room',
  homeId: 'home',
  name: 'Room',
  widthM: 4,
  depthM: 4,
  heightM: 2.5,
  wallABearing: 200,
  floorReflectance: 0.3,
  wallReflectance: 0.6,
  ceilingReflectance: 0.8,
  airMovement: 'still',
  insideRoomId: null,
  insideXM: 0,
  insideYM: 0,
  insideZM: 0,
  shellTransmittance: 1,
  eveningLux: 0,
  eveningFromMinute: 0,
  eveningToMinute: 0,
  ...given,
});

const window = (given: Partial<Window> = {}): Window => ({
  id: 'window',
  roomId: 'room',
  name: 'Window',
  side: 'a',
  offsetM: 1.2,
  insetM: 0,
  sillM: 0.9,
  widthM: 1.4,
  heightM: 1.2,
  slopeDeg: 90,
  glazingId: 'double',
  frameShare: 0.1,
  dirtShare: 0.05,
  curtains: [],
  outsideKind: 'open',
  outsideDeg: 0,
  outsideReflectance: 0.2,
  groundReflectance: 0.2,
  revealM: 0,
  revealReflectance: 0,
  overhangM: 0,
  overhangAboveM: 0,
  ...given,
});

const sky = skyYear({
  place: { latitude: 50, longitude: 0 },
  timeZone: 'Etc/GMT',
  year: 2026,
  weather: climateWeather(Array<number>(12).fill(0.45), 50, 3.5),
});

interface Scene {
  readonly room?: Room;
  readonly windows?: readonly Window[];
  readonly leaf?: Vec;
  readonly curtain?: CurtainSchedule;
  readonly clearness?: number;
  readonly year?: typeof sky;
}

function light({
  room: r = room(),
  windows = [window()],
  leaf = vec(2, 1.2, 0.8),
  curtain,
  clearness = 0.78,
  year = sky,
}: Scene): DaylightYear {
  const panes = windows.map((w) => paneOf(r, w, { panes: 2, normalTransmittance: clearness }));
  const spots = spotWindows(litRoom(r, panes, []), { point: leaf, normal: UP });
  const years = spots.map((spot) => windowYear(spot, leaf, [], year, paneYear(spot, year)));
  return daylightYear(years, year, new Map(curtain ? windows.map((w) => [w.id, transmittanceYear([curtain])]) : []));
}

const total = (year: DaylightYear) => year.byDayType.reduce((sum, value) => sum + value, 0);
const shut = (transmittance: number, scatter: number): CurtainSchedule => ({
  optics: { transmittance, scatter },
  months: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12],
  fromMinute: 0,
  toMinute: 1440,
});

describe('more openness never means less light', () => {
  it('a pane raised, widened or lowered never darkens a spot', () => {
    const before = total(light({}));
    expect(total(light({ windows: [window({ heightM: 1.5 })] }))).toBeGreaterThan(before);
    expect(total(light({ windows: [window({ offsetM: 0.9, widthM: 1.7 })] }))).toBeGreaterThan(before);
    expect(total(light({ windows: [window({ sillM: 0.6, heightM: 1.5 })] }))).toBeGreaterThanOrEqual(before * 0.999);
  });

  it('clearer glass and brighter walls give more', () => {
    const before = light({});
    expect(total(light({ clearness: 0.82 }))).toBeGreaterThan(total(before));
    const brighter = light({ room: room({ wallReflectance: 0.8 }) });
    expect(brighter.daylightFactor).toBeGreaterThan(before.daylightFactor);
  });

  it('a second window adds exactly its own light to the direct part', () => {
    const second = window({ id: 'second', side: 'b', offsetM: 1 });
    const both = light({ windows: [window(), second] });
    const one = light({});
    const other = light({ windows: [second] });
    const sunAndSky = (year: DaylightYear) =>
      [...year.byHour.sun, ...year.byHour.sky].reduce((sum, value) => sum + value, 0);
    expect(sunAndSky(both)).toBeCloseTo(sunAndSky(one) + sunAndSky(other), 3);
  });

  it('the order of windows changes nothing', () => {
    const second = window({ id: 'second', side: 'b', offsetM: 1 });
    expect(total(light({ windows: [window(), second] }))).toBeCloseTo(total(light({ windows: [second, window()] })), 6);
  });

  it('no level spot gets more than open ground', () => {
    const atThePane = light({ leaf: vec(2, 0.1, 1), room: room({ wallReflectance: 0.9 }) });
    const outdoors = sky.global.reduce((sum, value) => sum + value, 0);
    expect(total(atThePane)).toBeLessThan(outdoors);
  });
});

describe('curtains', () => {
  it('one that passes nothing leaves nothing', () => {
    expect(total(light({ curtain: shut(0, 1) }))).toBe(0);
  });

  it('one that passes all straight on changes nothing', () => {
    expect(total(light({ curtain: shut(1, 0) }))).toBeCloseTo(total(light({})), 6);
  });

  it('takes the direct sun when it scatters', () => {
    const veiled = light({ curtain: shut(0.5, 0.9) });
    expect(Math.max(...veiled.sunHoursPossible)).toBe(0);
    expect(total(veiled)).toBeGreaterThan(0);
  });

  it('shares add up to the whole', () => {
    const year = light({ curtain: shut(0.5, 0.5) });
    const parts = Object.values(year.byHour).reduce((sum, field) => sum + field.reduce((s, v) => s + v, 0), 0);
    expect(parts).toBeCloseTo(total(year) / year.dayTypes, 6);
  });
});

describe('turning the house and the sky together', () => {
  it('mirrors north and south half a year apart', () => {
    const place = { latitude: -50, longitude: 0 };
    const south = skyYear({ place, timeZone: 'Etc/GMT', year: 2026, weather: CLEAR_WEATHER });
    const north = skyYear({
      place: { latitude: 50, longitude: 0 },
      timeZone: 'Etc/GMT',
      year: 2026,
      weather: CLEAR_WEATHER,
    });
    // The leaf stands in the window's middle, so that left and right may change places; months are not of one length,
    // so a month agrees within some per cent and the year closely.
    const scene = { windows: [window({ offsetM: 1.3 })], leaf: vec(2, 0.4, 1) };
    const northLight = light({ ...scene, room: room({ wallABearing: 180 }), year: north });
    const southLight = light({ ...scene, room: room({ wallABearing: 0 }), year: south });
    for (let month0 = 0; month0 < 12; month0++) {
      const here = northLight.byDayType[month0]!;
      const there = southLight.byDayType[(month0 + 6) % 12]!;
      expect(Math.abs(here / there - 1)).toBeLessThan(0.15);
    }
    expect(Math.abs(total(northLight) / total(southLight) - 1)).toBeLessThan(0.02);
  });

  it('gives a roof window more sky than a wall’s of the same size', () => {
    const roof = light({ windows: [window({ slopeDeg: 30, sillM: 1.8, insetM: 0.4, heightM: 1.2 })] });
    expect(roof.daylightFactor).toBeGreaterThan(light({ windows: [window({ sillM: 1.2 })] }).daylightFactor);
  });
});

describe('glass', () => {
  it('passes less the flatter light strikes it, and nothing at grazing', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(1, 2, 3),
        fc.double({ min: 0.2, max: 0.75, noNaN: true }),
        (panes, normalTransmittance) => {
          const curve = glassCurve({ panes: panes as 1 | 2 | 3, normalTransmittance });
          let last = 0;
          for (let cosine = 0; cosine <= 1; cosine += 0.02) {
            const passed = curve(cosine);
            expect(passed).toBeGreaterThanOrEqual(last - 1e-9);
            last = passed;
          }
          expect(curve(0)).toBe(0);
          expect(curve(1)).toBeCloseTo(normalTransmittance, 4);
        },
      ),
    );
  });
});

describe('skies', () => {
  it.each([ISOTROPIC_SKY, OVERCAST_SKY, clearSky(200, 30), clearSky(90, 5)])(
    'integrates back to the horizontal diffuse light',
    (shape) => {
      const sum = shape.reduce((all, radiance, node) => all + radiance * HORIZONTAL_WEIGHTS[node]!, 0);
      expect(sum).toBeCloseTo(1, 9);
    },
  );

  it('keeps a month’s mean clearness over its day types, from dull to bright', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.15, max: 0.72, noNaN: true }), (clearness) => {
        const days = dayTypeClearness(clearness);
        const mean = days.reduce((sum, day) => sum + day, 0) / days.length;
        expect(Math.abs(mean / clearness - 1)).toBeLessThan(0.01);
        for (let i = 1; i < days.length; i++) expect(days[i]!).toBeGreaterThan(days[i - 1]!);
      }),
    );
  });

  it('is all diffuse when overcast and mostly beam when clear', () => {
    expect(erbsDiffuseShare(0.1)).toBeGreaterThan(0.98);
    expect(erbsDiffuseShare(0.78)).toBeLessThan(0.25);
  });

  it('reads the height of the sun back from the light of the ground', () => {
    for (const elevation of [-10, -4.5, 0.7, 15])
      expect(elevationAtLux(groundLux(elevation))).toBeCloseTo(elevation, 6);
  });
});

describe('photoperiod', () => {
  it('joins stretches that touch and finds the longest night across midnight', () => {
    expect(
      photoperiodOf([
        { fromMinute: 480, toMinute: 960 },
        { fromMinute: 900, toMinute: 1200 },
      ]),
    ).toEqual({ dayH: 12, longestNightH: 12 });
    expect(
      photoperiodOf([
        { fromMinute: 480, toMinute: 960 },
        { fromMinute: 1320, toMinute: 1380 },
      ]).longestNightH,
    ).toBeCloseTo(9, 9);
    expect(photoperiodOf([])).toEqual({ dayH: 0, longestNightH: 24 });
  });
});
