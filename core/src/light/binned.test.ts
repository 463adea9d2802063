/** Coefficients under the skies of a year, hour bin by hour bin, against the plain product. */
import fc from 'fast-check';
import {
  COARSE_NET,
  FINE_NET,
  HOUR_BINS,
  ISOTROPIC_SKY,
  OVERCAST_SKY,
  climateWeather,
  coarsened,
  skyYear,
} from '../sky';
import { binned } from './binned';
import { emptyCoefficients } from './coefficients';

const sky = skyYear({
  place: { latitude: 56, longitude: -3 },
  timeZone: 'Etc/GMT',
  year: 2026,
  weather: climateWeather(Array<number>(12).fill(0.4), 0, 3),
});
const ALL = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

function seeing(nodes: Readonly<Record<number, number>>, net = FINE_NET, ground = 0) {
  const coefficients = { ...emptyCoefficients(net), ground };
  for (const [node, value] of Object.entries(nodes)) coefficients.sky[Number(node)] = value;
  return coefficients;
}

const nodes = fc.dictionary(
  fc.integer({ min: 0, max: FINE_NET.count - 1 }).map(String),
  fc.double({ min: 0.001, max: 0.1, noNaN: true }),
  { maxKeys: 30 },
);

describe('coefficients under a year of skies', () => {
  it('are the product with each bin’s shape', () => {
    fc.assert(
      fc.property(nodes, fc.integer({ min: 0, max: HOUR_BINS - 1 }), (seen, bin) => {
        const { clear } = binned(seeing(seen), sky, OVERCAST_SKY, ALL);
        const product = Object.entries(seen).reduce(
          (sum, [node, value]) => sum + value * sky.clearShape[Number(node) * HOUR_BINS + bin]!,
          0,
        );
        expect(clear[bin]!).toBeCloseTo(product, 6);
      }),
    );
  });

  it('add up: what two parts of the sky give, both together give', () => {
    fc.assert(
      fc.property(nodes, nodes, (one, other) => {
        const both = { ...one };
        for (const [node, value] of Object.entries(other)) both[node] = (both[node] ?? 0) + value;
        const [a, b, ab] = [one, other, both].map((seen) => binned(seeing(seen), sky, OVERCAST_SKY, ALL));
        expect(ab!.overcast).toBeCloseTo(a!.overcast + b!.overcast, 9);
        for (let bin = 0; bin < HOUR_BINS; bin += 17)
          expect(ab!.clear[bin]!).toBeCloseTo(a!.clear[bin]! + b!.clear[bin]!, 6);
      }),
      { numRuns: 30 },
    );
  });

  it('give open ground the whole of the diffuse light, on either net', () => {
    for (const net of [FINE_NET, COARSE_NET]) {
      // One unit of a node's weight on the ground: what the net itself is normalised by.
      const open = emptyCoefficients(net);
      const step = 0.5;
      for (let elevation = step / 2; elevation < 90; elevation += step) {
        for (let azimuth = step / 2; azimuth < 360; azimuth += 4 * step) {
          const radians = Math.PI / 180;
          const weight = Math.sin(elevation * radians) * Math.cos(elevation * radians) * step * 4 * step * radians ** 2;
          const row = Math.min(net.rows - 2, Math.floor(elevation / net.altitudeStepDeg));
          const column = Math.floor(azimuth / net.azimuthStepDeg);
          const up = elevation / net.altitudeStepDeg - row;
          const right = azimuth / net.azimuthStepDeg - column;
          const next = (column + 1) % net.columns;
          open.sky[row * net.columns + column]! += weight * (1 - up) * (1 - right);
          open.sky[row * net.columns + next]! += weight * (1 - up) * right;
          open.sky[(row + 1) * net.columns + column]! += weight * up * (1 - right);
          open.sky[(row + 1) * net.columns + next]! += weight * up * right;
        }
      }
      const { clear, overcast } = binned(open, sky, OVERCAST_SKY, ALL);
      expect(overcast).toBeCloseTo(1, 2);
      for (let bin = 0; bin < HOUR_BINS; bin++)
        if (sky.lit[bin] === 1) expect(Math.abs(clear[bin]! - 1)).toBeLessThan(0.01);
    }
  });

  it('are nothing in months in which a view does not hold', () => {
    const { clear } = binned(seeing({ 100: 1, 200: 1 }), sky, OVERCAST_SKY, [6, 7]);
    const months = new Set(
      Array.from(clear.keys())
        .filter((bin) => clear[bin]! > 0)
        .map((bin) => Math.floor(bin / 24) + 1),
    );
    expect(months).toEqual(new Set([6, 7]));
  });

  it('take an even sky by its own shape, coarse where they are coarse', () => {
    expect(binned(seeing({ 100: 1 }), sky, ISOTROPIC_SKY, ALL).overcast).toBeCloseTo(ISOTROPIC_SKY[100]!, 9);
    expect(binned(seeing({ 50: 1 }, COARSE_NET), sky, OVERCAST_SKY, ALL).overcast).toBeCloseTo(
      coarsened(OVERCAST_SKY)[50]!,
      9,
    );
  });

  it('hold ground and what stands outside per unit of global light', () => {
    expect(binned(seeing({}, FINE_NET, Math.PI), sky, OVERCAST_SKY, ALL)).toMatchObject({
      ground: 1,
      obstruction: 0,
      overcast: 0,
    });
  });
});
