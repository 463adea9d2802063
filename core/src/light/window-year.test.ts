/** The sun on a leaf through a year, held against a ray from the leaf at every step. */
import fc from 'fast-check';
import { smallHome } from '../home/small-home.fixture';
import { directionInRoom, solidBox, vec, UP, type Occluder, type Vec } from '../room';
import { HOUR_BINS, climateWeather, skyYear } from '../sky';
import { litRoom, paneFlux, paneOf, paneYear, spotWindows, sunTransmittance, windowYear, type Pane } from './index';
import { sunOnLeaf } from './sun-on-leaf';

const room = { ...smallHome.rooms[0]!, widthM: 4, depthM: 4, heightM: 2.6, wallABearing: 170 };
const window = {
  ...smallHome.windows[0]!,
  offsetM: 1.2,
  sillM: 0.9,
  widthM: 1.4,
  heightM: 1.2,
  overhangM: 0.3,
  overhangAboveM: 0.1,
  revealM: 0.15,
};
const sky = skyYear({
  place: { latitude: 50, longitude: 3 },
  timeZone: 'Etc/GMT',
  year: 2026,
  weather: climateWeather(Array<number>(12).fill(0.45), 50, 3.5),
});
const GLASS = { panes: 2, normalTransmittance: 0.76 } as const;
const wall = paneOf(room, window, GLASS);
const roof = paneOf(
  room,
  { ...window, side: 'b', slopeDeg: 40, sillM: 1.4, insetM: 0.6, heightM: 1, overhangM: 0, revealM: 0 },
  GLASS,
);

const BOARD = solidBox(1.5, 0.2, 1.15, 1, 0.4, 0);
const CROWN: Occluder = { ...solidBox(1.6, 0.3, 0.9, 0.5, 0.3, 0.4), extinction: 1.2 };

/** Ray by ray: the beam's energy by bin and day type, hours in sight by bin, the strongest whole hour by bin. */
function stepByStep(pane: Pane, leaf: Vec, occluders: readonly Occluder[]) {
  const energy = new Float64Array(HOUR_BINS * sky.dayTypes);
  const hoursInSight = new Float64Array(HOUR_BINS);
  const hours = new Map<string, number>();
  const days = sky.daysInMonth;
  let day = 0;
  for (let step = 0; step < sky.steps; step++) {
    if (step > 0 && sky.azimuthDeg[step]! < sky.azimuthDeg[step - 1]!) day++;
    const toSun = directionInRoom(room, sky.azimuthDeg[step]!, sky.elevationDeg[step]!);
    const passed = sunTransmittance(pane, leaf, toSun, occluders);
    if (passed === 0) continue;
    const bin = sky.bin[step]!;
    const share = 0.25 / days[Math.floor(bin / 24)]!;
    let brightest = 0;
    for (let type = 0; type < sky.dayTypes; type++) {
      const beam = sky.dni[step * sky.dayTypes + type]! * passed * toSun.z;
      energy[bin * sky.dayTypes + type]! += beam * share;
      brightest = Math.max(brightest, beam);
    }
    if (
      passed /
        (pane.glass(
          toSun.x * pane.opening.normal.x + toSun.y * pane.opening.normal.y + toSun.z * pane.opening.normal.z,
        ) *
          pane.clearShare) >=
      0.5
    )
      hoursInSight[bin]! += share;
    const hour = `${bin}|${day}`;
    hours.set(hour, (hours.get(hour) ?? 0) + brightest / 4);
  }
  const peak = new Float64Array(HOUR_BINS);
  for (const [hour, sum] of hours) peak[Number(hour.split('|')[0])] = Math.max(peak[Number(hour.split('|')[0])]!, sum);
  return { energy, hoursInSight, peak };
}

const sum = (values: ArrayLike<number>) => Array.from(values).reduce((total, value) => total + value, 0);

describe('the sun on a leaf', () => {
  it.each<[string, Pane, Vec, Occluder[]]>([
    ['near the window', wall, vec(1.8, 0.5, 1), []],
    ['deep in the room, where patches come and go', wall, vec(2.6, 2.9, 0.4), []],
    ['under a board', wall, vec(1.8, 0.4, 1), [BOARD]],
    ['behind a crown', wall, vec(1.8, 0.9, 0.95), [CROWN]],
    ['under a roof window', roof, vec(2.4, 1.9, 0.6), []],
    ['under a roof window and a board', roof, vec(2.4, 1.9, 0.6), [solidBox(2.5, 1.6, 0.9, 0.5, 0.6, 0)]],
  ])('is what rays tell step by step: %s', (_, pane, leaf, occluders) => {
    const [spot] = spotWindows(litRoom(room, [pane], []), { point: leaf, normal: UP }, occluders);
    const { sun: year } = windowYear(spot!, leaf, occluders, sky, paneYear(spot!, sky));
    const rays = stepByStep(pane, leaf, occluders);
    expect(sum(rays.energy)).toBeGreaterThan(100);
    expect(Math.abs(sum(year.energy) / sum(rays.energy) - 1)).toBeLessThan(0.001);
    expect(Math.abs(sum(year.possible) / sum(rays.hoursInSight) - 1)).toBeLessThan(0.003);
    for (let bin = 0; bin < HOUR_BINS; bin++) {
      const at = bin * sky.dayTypes;
      expect(year.energy.slice(at, at + sky.dayTypes).reduce((p, q) => p + q, 0)).toBeCloseTo(
        sum(rays.energy.slice(at, at + sky.dayTypes)),
        0,
      );
      // An hour is one day's: what fell on the same hour of another day is not added to it.
      expect(Math.abs(year.strongest[bin]! - rays.peak[bin]!)).toBeLessThan(0.5);
    }
  });

  it('is what rays tell wherever boards, cupboards and crowns stand', () => {
    const outside = paneYear({ pane: wall, ...paneFlux(wall) }, sky);
    const within = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const thing = fc.record({
      x: within(0, 3),
      y: within(0, 2),
      z: within(0.2, 1.6),
      sizeX: within(0.1, 1.5),
      sizeY: within(0.1, 0.8),
      sizeZ: fc.constantFrom(0, 0.3, 1.2),
      extinction: fc.constantFrom(Infinity, Infinity, 0.8),
    });
    fc.assert(
      fc.property(
        within(0.2, 3.8),
        within(0.05, 2.5),
        within(0.2, 1.8),
        fc.array(thing, { maxLength: 3 }),
        (x, y, z, things) => {
          const leaf = vec(x, y, z);
          const occluders = things.map((o): Occluder => ({
            ...solidBox(o.x, o.y, o.z, o.sizeX, o.sizeY, o.sizeZ),
            extinction: o.extinction,
          }));
          const year = sunOnLeaf(wall, leaf, occluders, sky, outside);
          const rays = stepByStep(wall, leaf, occluders);
          expect(Math.abs(sum(year.energy) - sum(rays.energy))).toBeLessThan(1 + 0.001 * sum(rays.energy));
          expect(Math.abs(sum(year.possible) - sum(rays.hoursInSight))).toBeLessThan(
            0.02 + 0.003 * sum(rays.hoursInSight),
          );
        },
      ),
      { numRuns: 25, seed: 7 },
    );
  });

  it('is nothing on the far side of the glass', () => {
    const leaf = vec(1.8, -0.4, 1);
    expect(sum(sunOnLeaf(wall, leaf, [], sky, paneYear({ pane: wall, ...paneFlux(wall) }, sky)).energy)).toBe(0);
  });
});
