/** Lamps as they hang: rated, aged, tilted, measured, shaded. */
import fc from 'fast-check';
import type { Intensities, Lamp, Photometry } from '../facts';
import { smallHome } from '../home/small-home.fixture';
import { solidBox, vec } from '../room';
import { candelaAt, fluxOf, lampOutput, lampPpfd, placedLamps } from './index';

const bar = smallHome.lamps[0]!;
const hung = (given: Partial<Lamp>, photometries: readonly (Photometry & Intensities)[] = []) =>
  placedLamps({ ...smallHome, lamps: [{ ...bar, ...given }], photometries }, () => photometries[0]!)[0]!;
const under = vec(0.5, 3.2, 0.72);

describe('what a lamp gives', () => {
  it('follows its label: photons, lumens by colour, or watts with a large doubt', () => {
    expect(lampOutput({ ...bar, ratedBy: 'ppf', ppf: 40 })).toMatchObject({ ppf: 40, doubt: 0.05 });
    expect(lampOutput({ ...bar, ratedBy: 'lumens', lumens: 2640, spectrum: 'white-neutral' }).ppf).toBeCloseTo(40, 6);
    const watts = lampOutput({ ...bar, ratedBy: 'watts', powerW: 20 });
    expect(watts.ppf).toBeCloseTo(34, 6);
    expect(watts.doubt).toBeGreaterThan(0.2);
    expect(lampOutput({ ...bar, ratedBy: 'lumens', lumens: 500, spectrum: 'red-blue' }).doubt).toBeGreaterThan(0.5);
  });

  it('fades to 70 % over its rated life, half way to the root of that', () => {
    expect(lampOutput({ ...bar, burntHours: 30000, lifeHours: 30000 }).left).toBeCloseTo(0.7, 9);
    expect(lampOutput({ ...bar, burntHours: 15000, lifeHours: 30000 }).left).toBeCloseTo(Math.sqrt(0.7), 9);
    expect(lampOutput({ ...bar, burntHours: 15000, lifeHours: null }).left).toBe(1);
  });
});

describe('a tilted lamp', () => {
  const spot: Partial<Lamp> = { form: 'spot', beamDeg: 30, alongM: 0.5, acrossM: 0.2, aboveM: 1 };

  it('shines where it points', () => {
    const down = hung({ ...spot, tiltDeg: 0 });
    const toward = hung({ ...spot, tiltDeg: 30, tiltToward: 'a' });
    const there = vec(0.5, 3.2 - Math.tan(Math.PI / 6), 0.6);
    expect(lampPpfd(toward, there, [])).toBeGreaterThan(lampPpfd(down, there, []) * 3);
    expect(lampPpfd(toward, vec(0.5, 3.2, 0.6), [])).toBeLessThan(lampPpfd(down, vec(0.5, 3.2, 0.6), []));
  });

  it('keeps its own directions at right angles, whichever way it is turned', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 90, noNaN: true }),
        fc.constantFrom('a', 'b', 'c', 'd'),
        (tiltDeg, tiltToward) => {
          const { aim, along, across } = hung({ tiltDeg, tiltToward });
          for (const [p, q] of [
            [aim, along],
            [aim, across],
            [along, across],
          ] as const)
            expect(p.x * q.x + p.y * q.y + p.z * q.z).toBeCloseTo(0, 9);
          expect(aim.z).toBeCloseTo(-Math.cos((tiltDeg * Math.PI) / 180), 9);
        },
      ),
    );
  });
});

describe('a lamp with a measured spread', () => {
  const angles = Array.from({ length: 19 }, (_, i) => i * 5);
  const file: Photometry = {
    id: 'f',
    homeId: 'h',
    name: 'Lambertian',
    lumens: 1000,
    powerW: 10,
    lengthM: 0,
    breadthM: 0,
    fileKey: 'lambert',
  };
  const lambert = {
    ...file,
    planes: [0],
    angles,
    candela: angles.map((angle) => 300 * Math.cos((angle * Math.PI) / 180)),
  };

  it('that is Lambertian shines as a Lambertian point of the same photons does', () => {
    const point = hung({ form: 'point', ppf: 40 });
    const measured = hung({ photometryId: 'f', ppf: 40 }, [lambert]);
    for (const leaf of [under, vec(0.9, 3.1, 0.7), vec(0.2, 3.6, 0.65)])
      expect(Math.abs(lampPpfd(measured, leaf, []) / lampPpfd(point, leaf, []) - 1)).toBeLessThan(0.01);
  });

  it('has the flux of its intensities: pi times the peak for a Lambertian one', () => {
    expect(Math.abs(fluxOf(lambert) / (Math.PI * 300) - 1)).toBeLessThan(0.005);
  });

  it('is read between its angles, mirrored where half is measured, and dark beyond them', () => {
    const half = { planes: [0, 90, 180], angles: [0, 90], candela: [100, 0, 100, 50, 100, 80] };
    expect(candelaAt(half, 45, 45)).toBeCloseTo((100 + 25) / 2, 9);
    expect(candelaAt(half, 315, 45)).toBeCloseTo(candelaAt(half, 45, 45), 9);
    expect(candelaAt(half, 10, 120)).toBe(0);
  });

  it('as long as it is shines softer near by than a point', () => {
    const long = { ...lambert, lengthM: 0.8, breadthM: 0.05 };
    const near = vec(0.5, 3.2, 1.05);
    expect(lampPpfd(hung({ photometryId: 'f' }, [long]), near, [])).toBeLessThan(
      lampPpfd(hung({ photometryId: 'f' }, [lambert]), near, []) * 0.5,
    );
  });
});

describe('things under a lamp', () => {
  it('take the share of its length that they hide', () => {
    const open = lampPpfd(hung({}), under, []);
    const half = lampPpfd(hung({}), under, [solidBox(0, 3, 0.9, 0.45, 0.4, 0)]);
    expect(half).toBeLessThan(open);
    expect(half).toBeGreaterThan(0);
    expect(lampPpfd(hung({}), under, [solidBox(0, 3, 0.9, 1, 0.4, 0)])).toBe(0);
  });
});
