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

describe('near by', () => {
  /** A fine sum over a face that shines straight down with cos^m of the angle: parts of a millimetre or two, no code shared. */
  function fineSum(m: number, sizeX: number, sizeY: number, down: number, alongM: number): number {
    const [nx, ny] = [Math.max(400, Math.ceil(sizeX / 0.0015)), Math.max(20, Math.ceil(sizeY / 0.0015))];
    let sum = 0;
    for (let i = 0; i < nx; i++) {
      for (let j = 0; j < ny; j++) {
        const x = ((i + 0.5) / nx - 0.5) * sizeX - alongM;
        const y = ((j + 0.5) / ny - 0.5) * sizeY;
        const square = x * x + y * y + down * down;
        const cosine = down / Math.sqrt(square);
        sum += (((m + 1) / (2 * Math.PI)) * cosine ** m * cosine) / square;
      }
    }
    return (40 * sum) / (nx * ny);
  }

  const given = (lamp: Partial<Lamp>) =>
    hung({ ...lamp, ratedBy: 'ppf', ppf: 40, dimming: 1, burntHours: 0, lifeHours: null, aboveM: 0.5, tiltDeg: 0 });
  const at = (placed: ReturnType<typeof hung>, down: number, alongM: number) =>
    lampPpfd(placed, vec(placed.centre.x + alongM, placed.centre.y, placed.centre.z - down), []);

  const NEAR = [0.05, 0.1, 0.15];
  const ALONG = [0, 0.17, 0.45, 0.58, 0.7];

  it.each([30, 60, 90, 110])(
    'a bar of 1.2 m with a beam of %i° is within 3 %% of a fine sum from 5 cm on',
    (beamDeg) => {
      const bar12 = given({ form: 'bar', lengthM: 1.2, breadthM: 0.06, beamDeg });
      const m = Math.log(0.5) / Math.log(Math.cos((beamDeg * Math.PI) / 360));
      for (const down of NEAR) {
        const most = fineSum(m, 1.2, 0.06, down, 0);
        for (const along of ALONG) {
          const fine = fineSum(m, 1.2, 0.06, down, along);
          // Where next to nothing is left, a part of the brightest is asked for.
          expect(Math.abs(at(bar12, down, along) - fine)).toBeLessThan(0.03 * fine + 0.001 * most);
        }
      }
    },
  );

  it.each([60, 90])('a panel of 0.6 m with a beam of %i° is so too', (beamDeg) => {
    const panel = given({ form: 'panel', lengthM: 0.6, breadthM: 0.6, beamDeg });
    const m = Math.log(0.5) / Math.log(Math.cos((beamDeg * Math.PI) / 360));
    for (const down of NEAR) {
      for (const along of [0, 0.13, 0.3, 0.4]) {
        const fine = fineSum(m, 0.6, 0.6, down, along);
        expect(Math.abs(at(panel, down, along) - fine) / fine).toBeLessThan(0.03);
      }
    }
  });

  it('a measured bar is right near its ends, as far as a file of the whole can be', () => {
    const angles = Array.from({ length: 91 }, (_, i) => i);
    const candela = angles.map((angle) => 300 * Math.cos((angle * Math.PI) / 180));
    const shape = { id: 'bar', homeId: 'h', name: 'Bar', lumens: 940, powerW: 10, lengthM: 1.2, breadthM: 0.06 };
    const file = { ...shape, fileKey: 'bar', planes: [0], angles, candela };
    const measured = hung(
      { photometryId: 'bar', ratedBy: 'ppf', ppf: 40, dimming: 1, burntHours: 0, lifeHours: null, aboveM: 0.5 },
      [file],
    );
    for (const down of NEAR) {
      for (const along of ALONG) {
        const fine = fineSum(1, 1.2, 0.06, down, along);
        expect(Math.abs(at(measured, down, along) - fine) / fine).toBeLessThan(0.03);
      }
    }
  });
});
