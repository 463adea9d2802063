/** What a point gets through a window, held against closed forms and against looking out ray by ray. */
import fc from 'fast-check';
import type { Obstruction, Room, Window } from '../facts';
import { smallHome } from '../home/small-home.fixture';
import { UP, clearWay, configurationFactor, corners, dot, solidBox, unit, vec, type Occluder, type Vec } from '../room';
import { HORIZONTAL_WEIGHTS } from '../sky';
import { directLight, distanceTo, fluxThrough, whereThrough } from './coefficients';
import {
  CROWN_TRANSMITTANCE,
  SNOW_REFLECTANCE,
  beamThrough,
  lookOut,
  paneOf,
  panesOf,
  type Look,
  type Pane,
} from './pane';

const room: Room = { ...smallHome.rooms[0]!, widthM: 4, depthM: 4, heightM: 2.6, wallABearing: 180 };
const window: Window = {
  ...smallHome.windows[0]!,
  offsetM: 1.2,
  sillM: 0.8,
  widthM: 1.6,
  heightM: 1.3,
  frameShare: 0,
  dirtShare: 0,
};
const clear = { panes: 0, normalTransmittance: 1 } as const;
const paneWith = (given: Partial<Window> = {}, outside: readonly Obstruction[] = []): Pane =>
  panesOf(room, { ...window, ...given }, clear, outside, [])[0]!;
const fine = { cellPerDistance: 0.08, least: 20, most: 120 };

const inside = fc.record({
  x: fc.double({ min: 0.3, max: 3.7, noNaN: true }),
  y: fc.double({ min: 0.25, max: 3.7, noNaN: true }),
  z: fc.double({ min: 0.1, max: 2.2, noNaN: true }),
});

const skySum = (sky: Float64Array) => sky.reduce((sum, value) => sum + value, 0);

/** Light of an even outdoors of radiance 1: pi times the configuration factor of what is seen of it. */
const evenLight = (pane: Pane, point: Vec, normal: Vec, occluders: readonly Occluder[] = []) => {
  const { sky, ground, obstruction, optics } = directLight(pane, { point, normal }, occluders, fine);
  return { all: skySum(sky) + ground + obstruction, optics };
};

/** Looks out through the opening ray by ray: the share of its configuration factor that the outer pane keeps. */
function throughReveal(pane: Pane, point: Vec, normal: Vec): number {
  const { corner, edgeU, edgeV, normal: out, sizeU, sizeV } = pane.opening;
  // Fine enough for a point close by whose edge of sight runs along a row of rays: with 160 that row was 4 % of all.
  const count = 1000;
  let sum = 0;
  for (let i = 0; i < count; i++) {
    for (let j = 0; j < count; j++) {
      const u = ((i + 0.5) / count) * sizeU;
      const v = ((j + 0.5) / count) * sizeV;
      const way = vec(
        corner.x + edgeU.x * u + edgeV.x * v - point.x,
        corner.y + edgeU.y * u + edgeV.y * v - point.y,
        corner.z + edgeU.z * u + edgeV.z * v - point.z,
      );
      const square = dot(way, way);
      const here = dot(way, normal);
      const glass = dot(way, out);
      if (here <= 0 || glass <= 0) continue;
      const farU = u + (pane.revealM * dot(way, edgeU)) / glass;
      const farV = v + (pane.revealM * dot(way, edgeV)) / glass;
      if (farU >= 0 && farU <= sizeU && farV >= 0 && farV <= sizeV)
        sum += (here * glass * ((sizeU * sizeV) / count ** 2)) / (square * square);
    }
  }
  return sum;
}

describe('an opening to an even outdoors', () => {
  it('gives pi times its configuration factor, whatever way the leaf is turned', () => {
    const pane = paneWith();
    fc.assert(
      fc.property(
        inside,
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (point, tiltX, tiltY) => {
          const normal = unit(vec(tiltX, tiltY, 1));
          const wanted = configurationFactor(corners(pane.opening), point, normal);
          const { all, optics } = evenLight(pane, point, normal);
          expect(Math.abs(all / Math.PI - wanted)).toBeLessThan(0.004 + 0.01 * wanted);
          expect(Math.abs(optics - wanted)).toBeLessThan(0.004 + 0.01 * wanted);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('with a reveal keeps what a ray through both ends of it does', () => {
    fc.assert(
      fc.property(inside, fc.double({ min: 0.05, max: 0.5, noNaN: true }), (point, revealM) => {
        const pane = paneWith({ revealM });
        const wanted = throughReveal(pane, point, UP);
        const { all, optics } = evenLight(pane, point, UP);
        expect(Math.abs(all - wanted)).toBeLessThan(0.004 + 0.02 * wanted);
        // The curtain in front of the reveal is seen whole.
        expect(Math.abs(optics - configurationFactor(corners(pane.opening), point, UP))).toBeLessThan(0.01);
      }),
      { numRuns: 15 },
    );
  });

  it('loses to a board what the way to each part of it does', () => {
    const pane = paneWith();
    const point = vec(2, 1.2, 0.6);
    const board = solidBox(1, 0.3, 1.1, 2, 0.5, 0);
    const hidden = evenLight(pane, point, UP, [board]);
    expect(hidden.all).toBeLessThan(evenLight(pane, point, UP).all);
    expect(clearWay([board], point.x, point.y, point.z, 2, 0, 0.85)).toBe(1);
    expect(hidden.all).toBeGreaterThan(0);
  });

  it('gives nothing to a leaf that lies in or behind its plane', () => {
    expect(evenLight(paneWith(), vec(2, 0, 1), UP).all).toBe(0);
  });
});

describe('what falls on a pane', () => {
  it('is half of the sky and half of the ground on an upright one under an open, even outdoors', () => {
    const flux = fluxThrough(paneWith());
    expect(skySum(flux.sky)).toBeCloseTo(Math.PI / 2, 2);
    expect(flux.ground).toBeCloseTo(Math.PI / 2, 2);
    expect(flux.obstruction).toBe(0);
  });

  it('on a pane that lies flat is the whole sky, as open ground has it', () => {
    const flat = fluxThrough(paneWith({ slopeDeg: 5, sillM: 1.5, insetM: 0.5 }));
    expect(Math.abs(skySum(flat.sky) / HORIZONTAL_WEIGHTS.reduce((sum, weight) => sum + weight, 0) - 1)).toBeLessThan(
      0.01,
    );
  });

  it('falls with frame and dirt in proportion, and with a reveal by its depth', () => {
    const open = skySum(fluxThrough(paneWith()).sky);
    expect(skySum(fluxThrough(paneWith({ frameShare: 0.2, dirtShare: 0.1 })).sky) / open).toBeCloseTo(0.72, 9);
    const shares = [0.05, 0.2, 0.6].map((revealM) => skySum(fluxThrough(paneWith({ revealM })).sky) / open);
    expect(shares[0]!).toBeLessThan(1);
    expect(shares[1]!).toBeLessThan(shares[0]!);
    expect(shares[2]!).toBeLessThan(shares[1]!);
  });
});

describe('looking out', () => {
  const look: Look = { sky: 0, ground: 0, obstruction: 0 };
  const at = (pane: Pane, azimuth: number, elevation: number, vM = 0.6): Look => {
    const turned = ((azimuth - 180 - 180) * Math.PI) / 180;
    const level = Math.cos((elevation * Math.PI) / 180);
    lookOut(look, pane, Math.sin(turned) * level, Math.cos(turned) * level, Math.sin((elevation * Math.PI) / 180), vM);
    return { ...look };
  };
  const thing = (given: Partial<Obstruction>): Obstruction => ({
    id: 'o',
    roomId: 'r',
    name: 'It',
    kind: 'building',
    fromBearing: 170,
    toBearing: 200,
    heightDeg: 20,
    reflectance: 0.3,
    leafMonths: [],
    ...given,
  });

  it('sees ground below the horizon and sky above it', () => {
    expect(at(paneWith(), 180, -5)).toEqual({ sky: 0, ground: 1, obstruction: 0 });
    expect(at(paneWith(), 180, 5)).toEqual({ sky: 1, ground: 0, obstruction: 0 });
  });

  it('sees a house between its bearings and up to its height, also across north', () => {
    const pane = paneWith({}, [thing({})]);
    expect(at(pane, 185, 10)).toEqual({ sky: 0, ground: 0, obstruction: 0.3 });
    expect(at(pane, 185, 25).sky).toBe(1);
    expect(at(pane, 165, 10).sky).toBe(1);
    const northern = paneWith({}, [thing({ fromBearing: 340, toBearing: 20 })]);
    expect(at(northern, 5, 10).obstruction).toBe(0.3);
    expect(at(northern, 25, 10).sky).toBe(1);
  });

  it('sees through a tree in part, and a tree before a house darkens both', () => {
    const tree = thing({ id: 't', kind: 'evergreen', reflectance: 0.1 });
    const alone = at(paneWith({}, [tree]), 185, 10);
    expect(alone.sky).toBeCloseTo(CROWN_TRANSMITTANCE.evergreen, 9);
    expect(alone.obstruction).toBeCloseTo((1 - CROWN_TRANSMITTANCE.evergreen) * 0.1, 9);
    const both = at(paneWith({}, [thing({}), tree]), 185, 10);
    expect(both.sky).toBe(0);
    expect(both.obstruction).toBeCloseTo(
      (1 - CROWN_TRANSMITTANCE.evergreen) * 0.1 + CROWN_TRANSMITTANCE.evergreen * 0.3,
      9,
    );
  });

  it('sees the underside of a balcony from low on the pane at a steeper look than from high on it', () => {
    const pane = paneWith({ overhangM: 1, overhangAboveM: 0.2 });
    // From the sill the slab begins at atan(1.5 / 1), from the top at atan(0.2 / 1).
    expect(at(pane, 180, 50, 0).sky).toBe(1);
    expect(at(pane, 180, 60, 0).sky).toBe(0);
    expect(at(pane, 180, 10, 1.3).sky).toBe(1);
    expect(at(pane, 180, 15, 1.3).sky).toBe(0);
  });

  it('never gives more than all', () => {
    const pane = paneWith({ outsideKind: 'row', outsideDeg: 12, outsideReflectance: 0.4 }, [
      thing({ kind: 'deciduous', leafMonths: [6] }),
      thing({ id: 'p', fromBearing: 150, toBearing: 210, heightDeg: 35 }),
    ]);
    fc.assert(
      fc.property(
        fc.double({ min: 95, max: 265, noNaN: true }),
        fc.double({ min: -80, max: 85, noNaN: true }),
        (azimuth, elevation) => {
          const { sky, ground, obstruction } = at(pane, azimuth, elevation);
          expect(sky + ground + obstruction).toBeLessThanOrEqual(1 + 1e-12);
          expect(Math.min(sky, ground, obstruction)).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  it('has two panes for a window that sees a tree drop its leaves, and one for each season of several', () => {
    const tree = thing({ kind: 'deciduous', leafMonths: [5, 6, 7] });
    expect(panesOf(room, window, clear, [tree], []).map((pane) => pane.months)).toEqual([
      [1, 2, 3, 4, 8, 9, 10, 11, 12],
      [5, 6, 7],
    ]);
    const other = thing({ id: 'q', kind: 'deciduous', leafMonths: [7, 8] });
    const months = panesOf(room, window, clear, [tree, other], []).flatMap((pane) => pane.months);
    expect([...months].sort((p, q) => p - q)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);
    expect(paneOf(room, window, clear).months).toHaveLength(12);
  });

  it('sees snow as bright as it is in its months, and never darker than the ground it covers', () => {
    const [pane] = panesOf(room, { ...window, groundReflectance: 0.2 }, clear, [], [1, 12]);
    expect(pane!.groundByMonth).toEqual([SNOW_REFLECTANCE, ...Array<number>(10).fill(0.2), SNOW_REFLECTANCE]);
    expect(panesOf(room, { ...window, groundReflectance: 0.8 }, clear, [], [1])[0]!.groundByMonth[0]).toBe(0.8);
  });
});

describe('the line to the sun', () => {
  const pane = paneWith();

  it('meets the pane where it should, and not when it leads away', () => {
    const hit = whereThrough(pane.opening, vec(2, 1, 0.8), unit(vec(0, -1, 1)));
    expect(hit!.u).toBeCloseTo(0.8, 9);
    expect(hit!.v).toBeCloseTo(1, 9);
    expect(hit!.distance).toBeCloseTo(Math.SQRT2, 9);
    expect(whereThrough(pane.opening, vec(2, 1, 0.8), unit(vec(0, 1, 1)))).toBeNull();
  });

  it('loses to a tree what its crown keeps', () => {
    const toSun = unit(vec(0, -1, 0.2));
    const tree: Obstruction = {
      id: 't',
      roomId: 'r',
      name: 'T',
      kind: 'deciduous',
      fromBearing: 90,
      toBearing: 270,
      heightDeg: 30,
      reflectance: 0.1,
      leafMonths: [7],
    };
    const [bare, leafy] = panesOf(room, window, clear, [tree], []);
    expect(beamThrough(bare!, toSun) / beamThrough(pane, toSun)).toBeCloseTo(CROWN_TRANSMITTANCE.bare, 9);
    expect(beamThrough(leafy!, toSun) / beamThrough(pane, toSun)).toBeCloseTo(CROWN_TRANSMITTANCE.inLeaf, 9);
  });

  it('is as long as the nearest point of the pane is away, at the least', () => {
    fc.assert(
      fc.property(inside, (point) =>
        expect(distanceTo(pane.opening, point)).toBeGreaterThanOrEqual(Math.max(0.02, point.y - 1e-9)),
      ),
      { numRuns: 30 },
    );
  });
});
