/** A day's air outdoors. */
import fc from 'fast-check';
import { SPELLS, outdoorDay, relativeHumidity, saturationRatio, type OutdoorMonth, type Spell } from './index';

const AT_SEA = { sunriseH: 6, pressurePa: 101_325 };
const months = fc.record({
  dayC: fc.double({ min: -10, max: 38, noNaN: true }),
  nightC: fc.constant(0),
  rh: fc.double({ min: 30, max: 95, noNaN: true }),
});
const wide = fc.double({ min: 0, max: 18, noNaN: true });
const withNight = fc
  .tuple(months, wide)
  .map(([month, span]): OutdoorMonth => ({ ...month, nightC: month.dayC - span }));

it('is warmest in the afternoon and coldest at sunrise, at what the month says', () => {
  const { celsius } = outdoorDay({ dayC: 20, nightC: 10, rh: 70 }, 'typical', AT_SEA);
  expect(celsius).toHaveLength(24);
  expect(celsius[15]).toBe(20);
  expect(celsius[6]).toBe(10);
  expect(Math.max(...celsius)).toBe(20);
  expect(Math.min(...celsius)).toBe(10);
});

it('goes on over midnight without a step', () => {
  fc.assert(
    fc.property(
      withNight,
      fc.constantFrom(...SPELLS),
      fc.double({ min: 3, max: 10, noNaN: true }),
      (month, spell, sunriseH) => {
        const { celsius } = outdoorDay(month, spell, { ...AT_SEA, sunriseH });
        const span = Math.max(...celsius) - Math.min(...celsius);
        celsius.forEach((one, hour) =>
          expect(Math.abs(celsius[(hour + 1) % 24]! - one)).toBeLessThan(0.35 * span + 1e-9),
        );
      },
    ),
  );
});

it('holds no more water than it can, and about as much as the month says', () => {
  fc.assert(
    fc.property(withNight, fc.constantFrom(...SPELLS), (month, spell) => {
      const { celsius, ratio } = outdoorDay(month, spell, AT_SEA);
      celsius.forEach((one, hour) => expect(ratio[hour]).toBeLessThan(saturationRatio(one, 101_325)));
    }),
  );
  const { celsius, ratio } = outdoorDay({ dayC: 11, nightC: 4, rh: 76 }, 'typical', AT_SEA);
  const mean = celsius.reduce((sum, one, hour) => sum + relativeHumidity(one, ratio[hour]!, 101_325), 0) / 24;
  expect(Math.abs(mean - 76)).toBeLessThan(3);
});

it('is in each spell what its name says, beside the typical day', () => {
  fc.assert(
    fc.property(withNight, (month) => {
      const of = (spell: Spell) => outdoorDay(month, spell, AT_SEA);
      const mean = (list: readonly number[]) => list.reduce((sum, one) => sum + one, 0) / 24;
      const moisture = ({ celsius, ratio }: ReturnType<typeof of>) =>
        mean(celsius.map((one, hour) => relativeHumidity(one, ratio[hour]!, 101_325)));
      expect(mean(of('cold').celsius)).toBeLessThan(mean(of('typical').celsius) - 5);
      expect(mean(of('hot').celsius)).toBeGreaterThan(mean(of('typical').celsius) + 3);
      expect(moisture(of('dry'))).toBeLessThan(moisture(of('typical')));
      expect(moisture(of('damp'))).toBeGreaterThan(moisture(of('typical')) - 0.5);
    }),
  );
});
