/** A sprayed leaf dries sooner in drier, warmer and moving air, and never in air that is full. */
import { hoursWet, type WetLeafAir } from './leaf-wetness';

const air = (given: Partial<WetLeafAir> = {}): WetLeafAir => ({
  celsius: 20,
  rh: 60,
  movement: 'gentle',
  pressurePa: 101_325,
  ...given,
});

it('takes one to two hours in a living room', () => {
  // 0.94 kPa missing, of which 0.066 / (0.066 + 0.145) drives it: 0.3 mol x 18 g x 3600 s x 0.29 / 101.3 = 56 g/m2 h.
  expect(hoursWet(air())).toBeCloseTo(80 / 56.3, 1);
});

it.each([
  ['drier', { rh: 40 }],
  ['warmer', { celsius: 28 }],
  ['moving', { movement: 'brisk' }],
] as const)('takes less in %s air', (_what, given) => {
  expect(hoursWet(air(given))).toBeLessThan(hoursWet(air()));
});

it('takes all night where the air is nearly full, and never ends where it is', () => {
  expect(hoursWet(air({ celsius: 16, rh: 92, movement: 'still' }))).toBeGreaterThan(8);
  expect(hoursWet(air({ rh: 100 }))).toBe(48);
  expect(hoursWet(air(), 0)).toBe(0);
});
