/** How long plants live by their light, as facts. */
import fc from 'fast-check';
import { shade } from '../home/small-home.fixture';
import { yearTargets } from '../plant';
import type { Taxon } from '../taxon';
import type { LitMonth } from './light-fit';
import { lightOutlook, reserveAfter, reserveChange, reserveOf, weeksOnReserve } from './reserve';

const ways = { latitude: 50, school: null, aim: 'whole' } as const;
const targetsOf = (taxon: Taxon) => yearTargets({ stage: 'adult', growthState: 'by-season' }, taxon, ways);
const even = (dli: number, dayC = 21, nightC = 18): LitMonth[] =>
  Array.from({ length: 12 }, () => ({ dli, air: { dayC, nightC } }));
const weeksOf = (dli: number, dayC?: number, nightC?: number) =>
  lightOutlook(targetsOf(shade), even(dli, dayC, nightC), 11).weeks ?? Infinity;

describe('a reserve', () => {
  it('in the dark is used up in the weeks that the taxon states, at 20 °C', () => {
    expect(weeksOf(0, 20, 20)).toBeCloseTo(shade.light.reserveWeeks, 6);
  });

  it('lasts no shorter with more light, and longer in the cool than in the warm', () => {
    const dli = fc.double({ min: 0, max: 1.2, noNaN: true });
    fc.assert(
      fc.property(dli, dli, (one, other) => {
        expect(weeksOf(Math.max(one, other))).toBeGreaterThanOrEqual(weeksOf(Math.min(one, other)) - 1e-9);
        expect(weeksOf(one, 14, 10)).toBeGreaterThanOrEqual(weeksOf(one, 24, 20) - 1e-9);
      }),
    );
  });

  it('is filled again by a bright season, so that a dim one does no lasting harm', () => {
    const year = even(5).map((month, i) => (i === 0 || i === 11 ? { ...month, dli: 0.2 } : month));
    const outlook = lightOutlook(targetsOf(shade), year, 10);
    expect(outlook.weeks).toBeNull();
    expect(Math.min(...outlook.reserve.slice(0, 5))).toBeLessThan(0.8);
    expect(outlook.reserve[9]).toBe(1);
  });

  it('lasts longer from the start of the bright season than from its end', () => {
    const year = even(0.5).map((month, i) => (i >= 4 && i <= 7 ? { ...month, dli: 1.2 } : month));
    const from = (month: number) => lightOutlook(targetsOf(shade), year, month).weeks ?? Infinity;
    expect(from(5)).toBeGreaterThan(from(9));
  });

  it('is drawn on by the months a plant has stood there, and by what is left it lives so much shorter', () => {
    const targets = targetsOf(shade);
    const dark = even(0, 20, 20);
    const left = reserveAfter(targets, dark, 1, 2)!;
    expect(left).toBeCloseTo(1 - (2 * 4.35) / shade.light.reserveWeeks, 9);
    expect(lightOutlook(targets, dark, 3, left).weeks).toBeCloseTo(shade.light.reserveWeeks - 2 * 4.35, 6);
    expect(reserveAfter(targets, even(5), 1, 30)).toBe(1);
    // One that by this account is used up long ago is disproved by the plant that stands there.
    expect(reserveAfter(targets, dark, 1, 12)).toBeNull();
  });

  it('is told alike in months and in short', () => {
    const dli = fc.array(fc.double({ min: 0, max: 4, noNaN: true }), { minLength: 12, maxLength: 12 });
    fc.assert(
      fc.property(dli, fc.integer({ min: 1, max: 12 }), (year, month) => {
        const months = even(0).map((each, i) => ({ ...each, dli: year[i]! }));
        const targets = targetsOf(shade);
        const changes = targets.map((target, i) => reserveChange(target, months[i]!));
        const weeks = weeksOnReserve(changes, reserveOf(targets), month);
        expect(weeks).toBe(lightOutlook(targets, months, month).weeks);
      }),
    );
  });
});
