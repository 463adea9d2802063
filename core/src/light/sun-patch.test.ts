/** The sun's patch: what comes through the glass must be found again on the room's faces. */
import fc from 'fast-check';
import { smallHome } from '../home/small-home.fixture';
import { UP, directionInRoom, dot, solidBox, vec, type Occluder, type Vec } from '../room';
import { enclosureOf } from './enclosure';
import { litRoom } from './room';
import { litPart, paneOf, beamThrough } from './pane';
import { sunOnPlan, sunPatches, viewOfPatch } from './sun-patch';

const room = { ...smallHome.rooms[0]!, widthM: 4, depthM: 5, heightM: 2.6 };
const window = { ...smallHome.windows[0]!, offsetM: 1, sillM: 0.8, widthM: 1.6, heightM: 1.3 };
const pane = paneOf(room, window, { panes: 2, normalTransmittance: 0.78 });
const lit = litRoom(room, [pane], []);
const sunAt = (azimuth: number, elevation: number) => directionInRoom(room, azimuth, elevation);

/** Area of a plane polygon by its corners. */
function areaOf(polygon: readonly Vec[]): number {
  const sum = polygon.reduce((all, p, i) => {
    const q = polygon[(i + 1) % polygon.length]!;
    return all + p.x * q.y - q.x * p.y;
  }, 0);
  return Math.abs(sum) / 2;
}

const azimuths = fc.double({ min: 110, max: 250, noNaN: true });
const elevations = fc.double({ min: 3, max: 75, noNaN: true });

describe('the sun through a window', () => {
  it('lies whole on the floor when it stands high, as large as the glass seen from it', () => {
    const toSun = sunAt(180, 60);
    const outline = sunOnPlan(pane, room, toSun, 0);
    // Flux is the same on the glass and on the floor: area times cosine.
    expect(areaOf(outline) * toSun.z).toBeCloseTo(window.widthM * window.heightM * dot(toSun, pane.opening.normal), 6);
  });

  it('never lies outside the plan, at any height of the plane and of the sun', () => {
    fc.assert(
      fc.property(azimuths, elevations, fc.double({ min: 0, max: 2, noNaN: true }), (azimuth, elevation, heightM) => {
        for (const { x, y } of sunOnPlan(pane, room, sunAt(azimuth, elevation), heightM)) {
          expect(x).toBeGreaterThanOrEqual(-1e-6);
          expect(x).toBeLessThanOrEqual(room.widthM + 1e-6);
          expect(y).toBeGreaterThanOrEqual(-1e-6);
          expect(y).toBeLessThanOrEqual(room.depthM + 1e-6);
        }
      }),
    );
  });

  it('gives nothing from behind the wall or below the horizon', () => {
    expect(sunOnPlan(pane, room, sunAt(0, 40), 0)).toEqual([]);
    expect(sunOnPlan(pane, room, sunAt(180, -5), 0)).toEqual([]);
    expect(beamThrough(pane, sunAt(10, 30))).toBe(0);
  });

  it('is less in view of a leaf under a board that hides the floor’s patch', () => {
    const toSun = sunAt(180, 55);
    const facingDown = { point: vec(2, 1, 1), normal: vec(0, 0, -1) };
    const seen = (occluders: readonly Occluder[]) =>
      sunPatches(lit.enclosure, pane, toSun).reduce(
        (sum, patch) => sum + patch.exitance * viewOfPatch(lit.enclosure, patch, facingDown, occluders),
        0,
      );
    const open = seen([]);
    const hidden = seen([solidBox(0, 0, 0.5, 4, 5, 0)]);
    expect(open).toBeGreaterThan(0.001);
    expect(hidden).toBe(0);
  });

  it('throws nothing back from the face a leaf lies behind', () => {
    expect(
      sunPatches(lit.enclosure, pane, sunAt(180, 60))
        .map((patch) => viewOfPatch(lit.enclosure, patch, { point: vec(2, 1, 0), normal: UP }, []))
        .every((view) => view >= 0),
    ).toBe(true);
  });
});

describe('the part of a pane that is lit', () => {
  const part = { u0: 0, u1: 0, v0: 0, v1: 0 };
  const lengths = (given: Partial<typeof window>, toSun: Vec) => {
    litPart(
      part,
      paneOf(room, { ...window, ...given }, { panes: 2, normalTransmittance: 0.78 }),
      toSun.x,
      toSun.y,
      toSun.z,
    );
    return { across: Math.max(0, part.u1 - part.u0), up: Math.max(0, part.v1 - part.v0) };
  };

  it('is all of it without reveal and overhang', () => {
    fc.assert(
      fc.property(azimuths, elevations, (azimuth, elevation) =>
        expect(lengths({}, sunAt(azimuth, elevation))).toEqual({ across: 1.6, up: 1.3 }),
      ),
    );
  });

  it('is cut by a reveal as deep as the sun is aslant', () => {
    expect(lengths({ revealM: 0.2 }, sunAt(180 + 45, 0.001)).across).toBeCloseTo(1.4, 3);
    expect(lengths({ revealM: 0.2 }, sunAt(180, 45)).up).toBeCloseTo(1.1, 6);
    expect(lengths({ revealM: 1.5 }, sunAt(180 + 80, 20)).across).toBe(0);
  });

  it('is cut by an overhang from above: at 45 degrees by its depth less its height over the pane', () => {
    expect(lengths({ overhangM: 0.8, overhangAboveM: 0.3 }, sunAt(180, 45)).up).toBeCloseTo(1.3 - 0.5, 6);
    expect(lengths({ overhangM: 0.8, overhangAboveM: 0.3 }, sunAt(180, 15)).up).toBeCloseTo(1.3, 6);
    expect(lengths({ overhangM: 3, overhangAboveM: 0.3 }, sunAt(180, 60)).up).toBe(0);
  });
});

describe('what a leaf makes of the room', () => {
  it('weighs its surfaces the same whether pieces are asked near or far, and none for less than nothing', () => {
    const shape = {
      widthM: 4,
      depthM: 3,
      heightM: 2.5,
      floorReflectance: 0.3,
      wallReflectance: 0.6,
      ceilingReflectance: 0.8,
    };
    const { importance, shareOfPatch, patchOf, coarseCount } = enclosureOf(shape, [], 6);
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 3.8, noNaN: true }),
        fc.double({ min: 0.2, max: 2.8, noNaN: true }),
        fc.double({ min: 0.05, max: 2.3, noNaN: true }),
        (x, y, z) => {
          const { whole, byBounces } = importance({ point: vec(x, y, z), normal: UP }, []);
          for (let i = 0; i < whole.length; i++) {
            expect(whole[i]!).toBeGreaterThanOrEqual(byBounces[i]! - 1e-12);
            expect(byBounces[i]!).toBeGreaterThanOrEqual(-1e-9);
          }
        },
      ),
      { numRuns: 10 },
    );
    const sums = new Float64Array(coarseCount);
    patchOf.forEach((patch, piece) => (sums[patch]! += shareOfPatch[piece]!));
    for (const sum of sums) expect(sum).toBeCloseTo(1, 9);
  });
});
