/** Laws of windows, tried on rooms drawn at random: openness, order, turning, what stands outside and over them. */
import fc from 'fast-check';
import type { Obstruction, Room, Window } from '../facts';
import { smallHome } from '../home/small-home.fixture';
import { UP, solidBox, vec, type Occluder, type Solid, type Vec } from '../room';
import { OVERCAST_SKY, climateWeather, clearSky, skyYear, type SkyYear } from '../sky';
import {
  daylightYear,
  instantLight,
  litRoom,
  paneOf,
  panesOf,
  paneYear,
  transmittanceAt,
  transmittanceOf,
  transmittanceYear,
  spotWindows,
  windowYear,
  type CurtainSchedule,
  type DaylightYear,
} from './index';

const baseRoom: Room = { ...smallHome.rooms[0]!, widthM: 4, depthM: 4, heightM: 2.6 };
const baseWindow: Window = { ...smallHome.windows[0]!, offsetM: 1.2, sillM: 0.9, widthM: 1.4, heightM: 1.2 };
const year = skyYear({
  place: { latitude: 50, longitude: 0 },
  timeZone: 'Etc/GMT',
  year: 2026,
  weather: climateWeather(Array<number>(12).fill(0.45), 50, 3.5),
});

interface Scene {
  readonly room?: Partial<Room>;
  readonly windows?: readonly Partial<Window>[];
  readonly leaf?: Vec;
  readonly curtains?: readonly CurtainSchedule[];
  readonly clearness?: number;
  readonly scatter?: number;
  readonly outside?: readonly Obstruction[];
  readonly snow?: readonly number[];
  readonly solids?: readonly Solid[];
  readonly neighbours?: readonly Occluder[];
  readonly sky?: SkyYear;
}

function light({
  room = {},
  windows = [{}],
  leaf = vec(2, 1.2, 0.8),
  curtains = [],
  clearness = 0.78,
  outside = [],
  snow = [],
  solids = [],
  neighbours = [],
  sky = year,
}: Scene): DaylightYear {
  const whole = { ...baseRoom, ...room };
  const placed = windows.map((window, i) => ({ ...baseWindow, id: `w${i}`, ...window }));
  const panes = placed.flatMap((window) =>
    panesOf(whole, window, { panes: 2, normalTransmittance: clearness }, outside, snow),
  );
  const spots = spotWindows(litRoom(whole, panes, solids), { point: leaf, normal: UP }, neighbours);
  const years = spots.map((spot) => windowYear(spot, leaf, [...solids, ...neighbours], sky, paneYear(spot, sky)));
  return daylightYear(years, sky, new Map(placed.map((window) => [window.id, transmittanceYear(curtains)])));
}

const total = (given: DaylightYear) => given.byDayType.reduce((sum, value) => sum + value, 0);
const month = (given: DaylightYear, number: number) =>
  given.byDayType
    .subarray((number - 1) * given.dayTypes, number * given.dayTypes)
    .reduce((sum, value) => sum + value, 0);
const few = { numRuns: 4 };
const ALL_YEAR = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

const place = fc.record({
  x: fc.double({ min: 0.4, max: 3.6, noNaN: true }),
  y: fc.double({ min: 0.3, max: 3.6, noNaN: true }),
  z: fc.double({ min: 0.2, max: 1.6, noNaN: true }),
});

describe('more openness', () => {
  it('on any side of a pane never gives less, wherever the leaf is', () => {
    fc.assert(
      fc.property(
        place,
        fc.constantFrom('left', 'right', 'up', 'down'),
        fc.double({ min: 0.1, max: 0.5, noNaN: true }),
        (leaf, way, by) => {
          const larger: Partial<Window> = {
            left: { offsetM: 1.2 - by, widthM: 1.4 + by },
            right: { widthM: 1.4 + by },
            up: { heightM: 1.2 + Math.min(by, 0.4) },
            down: { sillM: 0.9 - by, heightM: 1.2 + by },
          }[way];
          // What the larger pane no longer throws back as a wall may cost some thousandths.
          expect(total(light({ leaf, windows: [larger] }))).toBeGreaterThan(total(light({ leaf })) * 0.995);
        },
      ),
      few,
    );
  });

  it('of glass and walls never gives less', () => {
    fc.assert(
      fc.property(
        place,
        fc.double({ min: 0.3, max: 0.7, noNaN: true }),
        fc.double({ min: 0.2, max: 0.7, noNaN: true }),
        (leaf, clearness, reflectance) => {
          expect(total(light({ leaf, clearness: clearness + 0.08 }))).toBeGreaterThan(
            total(light({ leaf, clearness })),
          );
          expect(total(light({ leaf, room: { wallReflectance: reflectance + 0.15 } }))).toBeGreaterThanOrEqual(
            total(light({ leaf, room: { wallReflectance: reflectance } })) * (1 - 1e-9),
          );
        },
      ),
      few,
    );
  });

  it('never gives a level leaf more than open ground has', () => {
    const outdoors = year.global.reduce((sum, value) => sum + value, 0);
    fc.assert(
      fc.property(place, (leaf) =>
        expect(
          total(
            light({
              leaf: { ...leaf, y: 0.1 },
              room: { wallReflectance: 0.9, ceilingReflectance: 0.9 },
              windows: [{ widthM: 3, offsetM: 0.5, heightM: 1.6 }],
            }),
          ),
        ).toBeLessThan(outdoors),
      ),
      few,
    );
  });
});

describe('the same room', () => {
  it('gives the same whatever the order of its windows', () => {
    const two: Partial<Window>[] = [{ id: 'p' }, { id: 'q', side: 'b', offsetM: 1, widthM: 1 }];
    fc.assert(
      fc.property(place, (leaf) =>
        expect(total(light({ leaf, windows: two }))).toBeCloseTo(
          total(light({ leaf, windows: [...two].reverse() })),
          4,
        ),
      ),
      few,
    );
  });

  it('turned with its window, the sky and the sun, gives the same', () => {
    fc.assert(
      fc.property(
        place,
        fc.double({ min: 5, max: 355, noNaN: true }),
        fc.double({ min: 10, max: 60, noNaN: true }),
        (leaf, turn, elevation) => {
          const at = (wallABearing: number, azimuth: number) => {
            const room = { ...baseRoom, wallABearing };
            const lit = litRoom(room, [paneOf(room, baseWindow, { panes: 2, normalTransmittance: 0.78 })], []);
            const receiver = { point: leaf, normal: UP };
            const [spot] = spotWindows(lit, receiver);
            const { direct, reflected } = instantLight(spot!, receiver, {
              month: 6,
              dni: 700,
              dhi: 120,
              sunAzimuthDeg: azimuth,
              sunElevationDeg: elevation,
              skyShape: clearSky(azimuth, elevation),
            });
            return {
              sun: direct.sun,
              all: [direct, reflected].reduce((sum, parts) => sum + parts.sun + parts.sky + parts.ground, 0),
            };
          };
          const before = at(180, 190);
          const after = at(180 + turn, 190 + turn);
          expect(after.sun).toBeCloseTo(before.sun, 4);
          // The sky's nodes stay where they are: what is read between them may differ by half a per cent.
          expect(Math.abs(after.all / before.all - 1)).toBeLessThan(0.012);
        },
      ),
      { numRuns: 6 },
    );
  });
});

describe('what is over and outside a window', () => {
  const thing = (given: Partial<Obstruction>): Obstruction => ({
    id: 'o',
    roomId: 'r',
    name: 'It',
    kind: 'building',
    fromBearing: 120,
    toBearing: 240,
    heightDeg: 25,
    reflectance: 0.2,
    leafMonths: [],
    ...given,
  });

  it('a deep reveal, a balcony, a house each take light, the deeper the more', () => {
    const open = total(light({}));
    for (const [less, more] of [
      [{ windows: [{ revealM: 0.1 }] }, { windows: [{ revealM: 0.3 }] }],
      [{ windows: [{ overhangM: 0.5, overhangAboveM: 0.2 }] }, { windows: [{ overhangM: 1.5, overhangAboveM: 0.2 }] }],
      [
        { outside: [thing({ heightDeg: 10, reflectance: 0 })] },
        { outside: [thing({ heightDeg: 40, reflectance: 0 })] },
      ],
    ] as const) {
      expect(total(light(less))).toBeLessThan(open);
      expect(total(light(more))).toBeLessThan(total(light(less)));
    }
  });

  it('a balcony never lights, however deep the reveal under it', () => {
    const metres = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(place, metres(0, 0.5), metres(0.2, 2), metres(0, 0.5), (leaf, revealM, overhangM, overhangAboveM) => {
        const open = total(light({ leaf, windows: [{ revealM }] }));
        const under = total(light({ leaf, windows: [{ revealM, overhangM, overhangAboveM }] }));
        expect(under).toBeLessThanOrEqual(open * (1 + 1e-9));
      }),
      few,
    );
  });

  it('a balcony keeps the high sun out and lets the low one in', () => {
    const balcony = light({ windows: [{ overhangM: 1.2, overhangAboveM: 0.1 }], leaf: vec(2, 0.4, 1) });
    const bare = light({ leaf: vec(2, 0.4, 1) });
    expect(balcony.sunHoursPossible[5]!).toBeLessThan(bare.sunHoursPossible[5]! * 0.3);
    expect(balcony.sunHoursPossible[11]!).toBeCloseTo(bare.sunHoursPossible[11]!, 6);
  });

  it('a house all round as high as a ring darkens as the ring does', () => {
    const ring = light({ windows: [{ outsideKind: 'ring', outsideDeg: 20, outsideReflectance: 0.2 }] });
    const round = light({ outside: [thing({ fromBearing: 0, toBearing: 0, heightDeg: 20 })] });
    expect(Math.abs(total(round) / total(ring) - 1)).toBeLessThan(0.02);
    expect(round.sunHoursPossible[0]!).toBeCloseTo(ring.sunHoursPossible[0]!, 6);
  });

  it('what stands behind the house takes nothing', () => {
    // Only the cells by which the pane is looked through become finer.
    const behind = light({ outside: [thing({ fromBearing: 300, toBearing: 60, heightDeg: 50 })] });
    expect(Math.abs(total(behind) / total(light({})) - 1)).toBeLessThan(0.004);
    expect(behind.sunHoursPossible).toEqual(light({}).sunHoursPossible);
  });

  it('a tree dims in leaf, less when bare, and an evergreen all year', () => {
    const tree = thing({ kind: 'deciduous', heightDeg: 40, leafMonths: [5, 6, 7, 8, 9, 10] });
    const open = light({});
    const seasonal = light({ outside: [tree] });
    const evergreen = light({ outside: [{ ...tree, kind: 'evergreen' }] });
    const share = (number: number, given: DaylightYear) => month(given, number) / month(open, number);
    expect(share(8, seasonal)).toBeLessThan(1);
    expect(share(2, evergreen)).toBeLessThan(share(2, seasonal));
    const never = light({ outside: [{ ...tree, leafMonths: [] }] });
    expect(month(seasonal, 2)).toBeCloseTo(month(never, 2), 4);
    expect(share(8, seasonal)).toBeLessThan(share(8, never) - 0.05);
  });

  it('snow brightens its months and leaves the others as they were', () => {
    const bare = light({});
    const snowy = light({ snow: [1, 2] });
    expect(month(snowy, 1)).toBeGreaterThan(month(bare, 1) * 1.02);
    expect(month(snowy, 6)).toBeCloseTo(month(bare, 6), 6);
  });
});

describe('what stands inside', () => {
  it('a cupboard between window and leaf takes the sun and most of the sky', () => {
    const leaf = vec(2, 2.5, 0.8);
    const hidden = light({ leaf, solids: [solidBox(0.5, 1.5, 0, 3, 0.4, 2.4)] });
    expect(Math.max(...hidden.sunHoursPossible)).toBe(0);
    expect(total(hidden)).toBeLessThan(total(light({ leaf })) * 0.5);
  });

  it('a neighbour’s crown dims, a denser one more, and none adds light', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 8, noNaN: true }),
        fc.double({ min: 0.1, max: 0.5, noNaN: true }),
        (extinction, half) => {
          const crown = (strength: number): Occluder => ({
            x0: 2 - half,
            y0: 0.3,
            z0: 0.85,
            x1: 2 + half,
            y1: 0.9,
            z1: 1.6,
            extinction: strength,
          });
          const open = total(light({}));
          const one = total(light({ neighbours: [crown(extinction)] }));
          expect(one).toBeLessThan(open);
          expect(total(light({ neighbours: [crown(extinction * 2)] }))).toBeLessThan(one);
        },
      ),
      { numRuns: 3 },
    );
  });
});

describe('curtains one behind the other', () => {
  const programme = (transmittance: number, scatter: number, fromMinute = 0, toMinute = 1440): CurtainSchedule => ({
    optics: { transmittance, scatter },
    months: ALL_YEAR,
    fromMinute,
    toMinute,
  });
  const share = fc.double({ min: 0, max: 1, noNaN: true });

  it('pass no more than either, and what is lost plus what passes is all', () => {
    fc.assert(
      fc.property(share, share, share, share, (a, s, b, t) => {
        const { straight, spread } = transmittanceOf([
          { transmittance: a, scatter: s },
          { transmittance: b, scatter: t },
        ]);
        expect(straight + spread).toBeCloseTo(a * b, 9);
        expect(straight).toBeLessThanOrEqual(Math.min(a, b) + 1e-12);
        expect(spread).toBeGreaterThanOrEqual(-1e-12);
      }),
    );
  });

  it('take nothing while both are open, and act to the minute', () => {
    const both = transmittanceYear([programme(0.5, 0.9, 600, 630), programme(0.2, 1, 615, 660)]);
    expect(both.straight[9]).toBe(1);
    expect(both.straight[10]! + both.spread[10]!).toBeCloseTo(0.25 * 0.5 + 0.25 * 0.1 + 0.5 * 0.2, 9);
    expect(both.straightMost[10]).toBeCloseTo(0.05, 9);
    expect(both.sunShare[10]).toBe(0);
    expect(transmittanceAt([programme(0.5, 0, 600, 630)], 3, 629).straight).toBe(0.5);
    expect(transmittanceAt([programme(0.5, 0, 600, 630)], 3, 630).straight).toBe(1);
  });

  it('one of transmittance zero among them leaves no daylight', () => {
    expect(total(light({ curtains: [programme(0.7, 0.3), programme(0, 1)] }))).toBe(0);
  });

  it('that spread all give a level leaf the same whatever the sky’s shape, for the same light on the glass', () => {
    const leaf = { point: vec(2, 1, 0.8), normal: UP };
    const lit = litRoom(baseRoom, [paneOf(baseRoom, baseWindow, { panes: 2, normalTransmittance: 0.78 })], []);
    const [spot] = spotWindows(lit, leaf);
    const { direct } = instantLight(
      spot!,
      leaf,
      { month: 6, dni: 0, dhi: 100, sunAzimuthDeg: 0, sunElevationDeg: -5, skyShape: OVERCAST_SKY },
      transmittanceOf([{ transmittance: 0.6, scatter: 1 }]),
    );
    const flux = spot!.flux.sky.reduce((sum, value, node) => sum + value * OVERCAST_SKY[node]! * 100, 0);
    expect(direct.sky).toBeCloseTo(0.6 * spot!.direct.optics * flux, 9);
  });
});
