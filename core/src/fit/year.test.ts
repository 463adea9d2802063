/** A year of a plant on a spot: its verdict, its troubles, and when they do damage. */
import fc from 'fast-check';
import { shade } from '../home/small-home.fixture';
import { yearTargets } from '../plant';
import type { Taxon } from '../taxon';
import { yearWith } from './conditions.fixture';
import { fitYear, flowersOf, lifeClass, scoreOfWeeks, verdictOf, verdictScore, type Condition } from './index';

const ways = { latitude: 50, school: null, aim: 'whole' } as const;
const targetsOf = (taxon: Taxon = shade) => yearTargets({ stage: 'adult', growthState: 'by-season' }, taxon, ways);
const NOVEMBER = 11;
const fit = (year: readonly Condition[], taxon: Taxon = shade, month = NOVEMBER) =>
  fitYear(targetsOf(taxon), year, month);
const even = (dli: number) => yearWith(() => ({ dli, dliPoorYear: dli * 0.9, dliGoodYear: dli * 1.1 }));

describe('a verdict', () => {
  it('thrives where all is right, and has no troubles', () => {
    expect(fit(yearWith())).toMatchObject({ verdict: { score: 1, life: 'thrives', weeks: null }, troubles: [] });
  });

  it('tells time in the shade: weeks, months, years, then growth', () => {
    const lives = [0.02, 0.6, 0.9, 1.4, 2.2, 3].map((dli) => fit(even(dli)).verdict.life);
    expect(lives).toEqual(['months', 'months', 'years', 'slow', 'grows', 'thrives']);
    expect(fit(even(0.02), { ...shade, light: { ...shade.light, reserveWeeks: 4 } }).verdict.life).toBe('weeks');
  });

  it('has one scale: two weeks are 10, five years 50 of 100, each doubling one step', () => {
    expect(scoreOfWeeks(2)).toBeCloseTo(0.1, 9);
    expect(scoreOfWeeks(260)).toBeCloseTo(0.5, 9);
    expect(scoreOfWeeks(32) - scoreOfWeeks(16)).toBeCloseTo(scoreOfWeeks(8) - scoreOfWeeks(4), 9);
    expect(lifeClass(0.25)).toBe('months');
  });

  it('is the least of its four parts, and the quick score is the same', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 30, noNaN: true }), { minLength: 12, maxLength: 12 }),
        fc.array(fc.integer({ min: 0, max: 1500 }), { minLength: 12, maxLength: 12 }),
        fc.integer({ min: 1, max: 12 }),
        (dli, peaks, month) => {
          const year = yearWith((at) => ({
            dli: dli[at - 1]!,
            dliPoorYear: dli[at - 1]! * 0.8,
            clearDay: [peaks[at - 1]!, peaks[at - 1]! / 2],
            peakPpfd: peaks[at - 1]!,
          }));
          const { score, parts } = verdictOf(targetsOf(), year, month);
          expect(score).toBe(Math.min(parts.slow, parts.harm, parts.form, parts.winter));
          expect(verdictScore(targetsOf(), year, month)).toBe(score);
        },
      ),
    );
  });

  it('never lives longer in poor years than in usual ones', () => {
    const light = fc.double({ min: 0, max: 4, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(light, { minLength: 12, maxLength: 12 }),
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        (dli, poor) => {
          const year = yearWith((at) => ({ dli: dli[at - 1]!, dliPoorYear: dli[at - 1]! * poor }));
          const { weeks, weeksInPoorYears } = verdictOf(targetsOf(), year, NOVEMBER);
          expect(weeksInPoorYears ?? Infinity).toBeLessThanOrEqual(weeks ?? Infinity);
        },
      ),
    );
  });

  it('is not moved by an hour: one clear hour at twice the limit leaves a good year what it was', () => {
    const spiked = yearWith((month) => (month === 6 ? { clearDay: [600], peakPpfd: 600 } : {}));
    expect(fit(spiked).verdict.score).toBe(1);
  });

  it('lets one dim month cost a month, not the year', () => {
    const dimmed = yearWith((month) => (month === 12 ? { dli: 1.2 } : {}));
    expect(fit(dimmed).verdict.score).toBeGreaterThan(0.94);
  });

  it('is spoilt by stretching where form does not grow back', () => {
    const stone: Taxon = {
      ...shade,
      light: { ...shade.light, keepsForm: 2.4 },
      care: { ...shade.care, habit: 'stone', waterAtShare: 0 },
    };
    const { decidedBy, score } = fit(even(1.7), stone).verdict;
    expect(decidedBy).toBe('form');
    expect(score).toBeCloseTo(0.45, 9);
    expect(fit(even(1.7)).verdict.decidedBy).toBe('growth');
  });
});

describe('troubles of a year', () => {
  it('put months of one kind into one stretch, round the turn of the year', () => {
    const dim = new Set([11, 12, 1, 2]);
    const { troubles, verdict } = fit(
      yearWith((month) => (dim.has(month) ? { dli: 0.8, dliPoorYear: 0.7, dliGoodYear: 0.9 } : {})),
    );
    expect(troubles).toHaveLength(1);
    expect(troubles[0]).toMatchObject({
      factor: 'light',
      direction: 'too-little',
      months: [11, 12, 1, 2],
      weeks: null,
    });
    // A plant that lives through its dim months is not in danger.
    expect(troubles[0]!.severity).toBe('short');
    expect(verdict.weeks).toBeNull();
  });

  it('are in danger where the reserve will be used up, with the time it takes', () => {
    const { troubles, verdict } = fit(even(0.4));
    expect(troubles[0]).toMatchObject({ aspect: 'dli', severity: 'danger', weeks: verdict.weeks });
  });

  it('come soonest damage first, counted from the month that is on', () => {
    const year = yearWith((month) => ({
      ...(month === 7 ? { clearDay: Array<number>(9).fill(900), peakPpfd: 900 } : {}),
      ...(month === 12 ? { coldNightC: 7 } : {}),
    }));
    const aspects = (month: number) => fit(year, shade, month).troubles.map(({ aspect }) => aspect);
    expect(aspects(11)).toEqual(['cold-night', 'peak']);
    expect(aspects(6)).toEqual(['peak', 'cold-night']);
    const [soonest] = fit(year, shade, 12).troubles;
    expect(soonest!.weeks).toBeLessThan(2);
  });
});

describe('flowers', () => {
  const blooms = (given: Partial<Taxon>): Taxon => ({
    ...shade,
    bloom: { months: [4, 5], setBy: ['cool-nights'], daysFromBud: 30, sure: 'practice' },
    ...given,
  });
  const flowers = (year: readonly Condition[], taxon: Taxon) =>
    flowersOf(targetsOf(taxon), year, verdictOf(targetsOf(taxon), year, NOVEMBER));

  it('are told of kinds that flower indoors alone, and of plants of an age to', () => {
    expect(flowers(yearWith(), shade)).toBeNull();
    const young = yearTargets({ stage: 'seedling', growthState: 'by-season' }, blooms({}), ways);
    expect(flowersOf(young, yearWith(), verdictOf(young, yearWith(), NOVEMBER))).toBeNull();
  });

  it('want cool nights for weeks where those set buds, and say which', () => {
    expect(flowers(yearWith(), blooms({}))).toMatchObject({
      likely: 'unlikely',
      lacks: [{ lack: 'cool-nights', gets: 18, wants: 17 }],
    });
    const cool = yearWith((month) => ({ air: { ...yearWith()[0]!.air, month, nightC: month > 9 ? 15 : 18 } }));
    expect(flowers(cool, blooms({}))).toEqual({ likely: 'yes', lacks: [] });
  });

  it('want long nights unbroken in their weeks, and a lamp that burns too long keeps them away', () => {
    const short = blooms({
      day: { ...shade.day, kind: 'short', criticalNightH: 13, inductionWeeks: 8, inductionMonths: [9, 10, 11] },
      bloom: { months: [12, 1], setBy: ['long-nights'], daysFromBud: 60, sure: 'practice' },
    });
    const nights = (hours: number) => yearWith(() => ({ dayH: 24 - hours, longestNightH: hours }));
    expect(flowers(nights(14), short)!.likely).toBe('yes');
    expect(flowers(nights(10), short)).toMatchObject({
      likely: 'no',
      lacks: [{ lack: 'long-nights', gets: 10, wants: 13, weeks: 8, months: [9, 10, 11] }],
    });
    // And the verdict is none the worse for it.
    expect(verdictOf(targetsOf(short), nights(10), NOVEMBER).score).toBe(1);
  });

  it('are none where the plant hardly lives', () => {
    expect(flowers(even(0.5), blooms({}))).toMatchObject({ likely: 'no' });
  });
});
