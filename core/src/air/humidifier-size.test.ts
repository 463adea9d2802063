/** The humidifier a room takes: what it must give, and where none would do. */
import fc from 'fast-check';
import { humidifierFor, steadyMoisture, type WetRoom } from './index';

/** A heated room of 40 m3 on a winter's day, with a few plants and one person. */
const winter: WetRoom = {
  volumeM3: 40,
  airChangesH: 0.5,
  indoorC: 21,
  outdoorC: 2,
  outdoorRh: 80,
  pressurePa: 101_325,
  sourceGH: 40,
};
const bare = steadyMoisture(winter, winter.sourceGH).rh;

it('holds a humidity with what it gives beside what the room has, and says where none would do', () => {
  const { gH, litresADay, within } = humidifierFor(winter, 50);
  expect(within).toBe('reach');
  expect(litresADay).toBeCloseTo((gH * 24) / 1000, 9);
  expect(steadyMoisture(winter, winter.sourceGH + gH).rh).toBeCloseTo(50, 3);
  expect(humidifierFor(winter, bare - 5).gH).toBe(0);
  expect(humidifierFor({ ...winter, volumeM3: 400, airChangesH: 2 }, 80).within).toBe('no-sensible-size');
});

it('gives more for a moister room, a larger one and one that is aired more', () => {
  const target = fc.double({ min: bare + 2, max: 85, noNaN: true });
  fc.assert(
    fc.property(target, fc.double({ min: 1.05, max: 3, noNaN: true }), (rh, factor) => {
      const { gH } = humidifierFor(winter, rh);
      expect(humidifierFor(winter, Math.min(90, rh + 2)).gH).toBeGreaterThan(gH);
      expect(humidifierFor({ ...winter, volumeM3: winter.volumeM3 * factor }, rh).gH).toBeGreaterThan(gH);
      expect(humidifierFor({ ...winter, airChangesH: winter.airChangesH * factor }, rh).gH).toBeGreaterThan(gH);
    }),
    { numRuns: 40 },
  );
});
