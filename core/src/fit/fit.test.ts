import fc from 'fast-check';
import { yearTargets, type Target } from '../plant';
import type { Taxon } from '../taxon';
import { shade } from '../home/small-home.fixture';
import type { Condition } from './condition';
import { fitMonth, fitYear, trapezoid, wholeOfMonth, wholeScore } from './index';

const taxon: Taxon = {
  ...shade,
  light: { ...shade.light, survives: 2, thrivesFrom: 5, thrivesTo: 9, scorches: 14 },
  day: { ...shade.day, minH: 10 },
  warmth: { ...shade.warmth, nightTo: 20, dayFrom: 19, nightDrop: 4 },
  moisture: { ...shade.moisture, thrivesFrom: 50, thrivesTo: 75, tooMoistStill: 85 },
  care: { ...shade.care, air: 'gentle' },
};
const plant = { stage: 'adult', growthState: 'by-season' } as const;
const targetOf = (given: Parameters<typeof yearTargets>[0], of: Taxon, month: number, latitude: number): Target =>
  yearTargets(given, of, { latitude, school: null, aim: 'whole' })[month - 1]!;

const condition = (given: Partial<Condition> = {}, month = 6): Condition => ({
  month,
  dli: 7,
  dliPoorYear: 6,
  dliTypicalYear: 7,
  dliGoodYear: 8,
  dliDullDay: 3,
  dliBrightDay: 10,
  shares: { sun: 0, sky: 7, ground: 0, obstruction: 0, reflected: 0, roomLight: 0, lamps: {} },
  peakPpfd: 200,
  sunHoursPossible: 0,
  sunHoursLikely: 0,
  dayH: 13,
  longestNightH: 11,
  air: { month, dayC: 22, nightC: 18, dayRh: 60, nightRh: 65, basis: 'stated' },
  airMovement: 'gentle',
  vpdDay: 1,
  byHour: [],
  ...given,
});

const fit = (given: Partial<Condition> = {}) => fitMonth(targetOf(plant, taxon, 6, 50), condition(given));
const factor = (given: Partial<Condition>, name: string) =>
  fit(given).factors.find((reading) => reading.factor === name)!;

describe('the fit of a month', () => {
  it('is whole where all five factors are right', () => {
    expect(fit()).toMatchObject({ whole: 1, limiting: null });
  });

  it('tells surviving from thriving from scorching', () => {
    expect(factor({ dli: 3 }, 'light')).toMatchObject({ direction: 'too-little', severity: 'short', distance: -2 });
    expect(factor({ dli: 1 }, 'light')).toMatchObject({ direction: 'too-little', severity: 'danger' });
    expect(factor({ dli: 15 }, 'light')).toMatchObject({ direction: 'too-much', severity: 'danger' });
  });

  it('fears the brightest hour even where the day’s sum is right', () => {
    expect(factor({ peakPpfd: 700 }, 'light')).toMatchObject({
      aspect: 'peak',
      direction: 'too-much',
      severity: 'danger',
    });
  });

  it('says when a verdict depends on the year', () => {
    expect(factor({ dli: 4.8, dliPoorYear: 4.2, dliGoodYear: 5.4 }, 'light').depends).toBe('on-the-year');
    expect(factor({}, 'light').depends).toBe('no');
  });

  it('lets moist air harm only where it stands', () => {
    const moist = { month: 6, dayC: 22, nightC: 18, dayRh: 92, nightRh: 92, basis: 'stated' as const };
    expect(factor({ air: moist, airMovement: 'still' }, 'moisture').direction).toBe('too-much');
    expect(factor({ air: moist, airMovement: 'brisk' }, 'moisture').direction).toBe('right');
  });

  it('is ruled by the scarcest factor, the others still counting', () => {
    expect(wholeScore([1, 1, 1, 1, 0])).toBeCloseTo(0.16, 9);
    expect(wholeScore([0.5, 1, 1, 1, 1])).toBeGreaterThan(wholeScore([0.5, 0.5, 1, 1, 1]));
  });

  it('falls in straight lines outside the band', () => {
    expect(trapezoid(5, 0, 10, 20, 30)).toBe(0.5);
    expect(trapezoid(25, 0, 10, 20, 30)).toBe(0.5);
    expect(trapezoid(-1, 0, 10, 20, 30)).toBe(0);
    expect(trapezoid(31, 0, 10, 20, 30)).toBe(0);
  });
});

describe('a year of troubles', () => {
  it('puts months of one kind into one stretch, round the turn of the year', () => {
    const dim = new Set([11, 12, 1, 2]);
    const months = Array.from({ length: 12 }, (_, i) =>
      fitMonth(
        targetOf(plant, taxon, i + 1, 50),
        condition(dim.has(i + 1) ? { dli: 2.5, dliPoorYear: 2.4, dliGoodYear: 2.6 } : {}, i + 1),
      ),
    );
    const year = fitYear(months);
    expect(year.troubles).toHaveLength(1);
    expect(year.troubles[0]).toMatchObject({ factor: 'light', direction: 'too-little', months: [11, 12, 1, 2] });
    expect(year.limiting).toBe('light');
    expect(year.whole).toBeLessThan(0.8);
  });

  it('has none where all is right', () => {
    const months = Array.from({ length: 12 }, (_, i) =>
      fitMonth(targetOf(plant, taxon, i + 1, 50), condition({}, i + 1)),
    );
    expect(fitYear(months)).toMatchObject({ troubles: [], limiting: null, whole: 1 });
  });
});

describe('the whole of a month alone', () => {
  it('is what the month’s fit says, whatever the place', () => {
    const amount = (max: number) => fc.double({ min: 0, max, noNaN: true });
    fc.assert(
      fc.property(
        fc.record({
          dli: amount(40),
          peakPpfd: amount(2000),
          sunHoursLikely: amount(12),
          dayH: amount(24),
          longestNightH: amount(24),
          airMovement: fc.constantFrom('still', 'gentle', 'brisk'),
        }),
        fc.record({ dayC: amount(40), nightC: amount(35), dayRh: amount(100), nightRh: amount(100) }),
        fc.integer({ min: 1, max: 12 }),
        (given, air, month) => {
          const target = targetOf(plant, taxon, month, 50);
          const place = condition({ ...given, air: { month, ...air, basis: 'stated' } } as Partial<Condition>, month);
          expect(wholeOfMonth(target, place)).toBeCloseTo(fitMonth(target, place).whole, 9);
        },
      ),
    );
  });
});
