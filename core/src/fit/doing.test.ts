/** Months taken apart and put together again: the year they make is judged as if it had been asked whole. */
import fc from 'fast-check';
import { shade } from '../home/small-home.fixture';
import { yearTargets } from '../plant';
import { conditionWith, yearWith } from './conditions.fixture';
import { YEAR_FIGURES, accountOf, doingsOf, scoreOfDoings, scoreOfSeason, takeMonth } from './doing';
import { verdictOf, type Condition } from './index';

const ways = { latitude: 50, school: null, aim: 'whole' } as const;
const targets = yearTargets({ stage: 'adult', growthState: 'by-season' }, shade, ways);
const NOVEMBER = 11;

const lit = (dli: number) => (month: number) => ({
  ...{ dli, dliPoorYear: 0.9 * dli, dliTypicalYear: dli, dliGoodYear: 1.1 * dli, month },
});
const year = (dli: readonly number[]): Condition[] => yearWith((month) => lit(dli[month - 1]!)(month));
const light = fc.array(fc.double({ min: 0, max: 20, noNaN: true }), { minLength: 12, maxLength: 12 });

it('a year put together from months of two settings is judged as that year', () => {
  fc.assert(
    fc.property(light, light, fc.nat(4095), fc.integer({ min: 1, max: 12 }), (p, q, bits, from) => {
      const isFirst = (month0: number) => ((bits >> month0) & 1) === 1;
      const mixed = year(p.map((dli, month0) => (isFirst(month0) ? dli : q[month0]!)));
      const [ofFirst, ofSecond] = [doingsOf(targets, year(p)), doingsOf(targets, year(q))];
      const together = new Float64Array(YEAR_FIGURES);
      for (let month0 = 0; month0 < 12; month0++) takeMonth(together, isFirst(month0) ? ofFirst : ofSecond, month0);
      expect([...together]).toEqual([...doingsOf(targets, mixed)]);
      expect(scoreOfDoings(targets, together, from)).toBe(verdictOf(targets, mixed, from).score);
    }),
  );
});

it('tells the same account as the verdict', () => {
  fc.assert(
    fc.property(light, fc.double({ min: 0, max: 1, noNaN: true }), (dli, left) => {
      const account = accountOf(targets, doingsOf(targets, year(dli)), NOVEMBER, left);
      const { score, weeks, growth, parts } = verdictOf(targets, year(dli), NOVEMBER, left);
      expect(account).toEqual({ score, weeks, growth, parts });
    }),
  );
});

it('with less reserve left lasts no longer', () => {
  const dark = doingsOf(targets, year(Array.from({ length: 12 }, () => 0.3)));
  const weeks = [1, 0.5, 0.1].map((left) => accountOf(targets, dark, NOVEMBER, left).weeks!);
  expect(weeks[0]).toBeGreaterThan(weeks[1]!);
  expect(weeks[1]).toBeGreaterThan(weeks[2]!);
});

describe('a season by itself', () => {
  const SUMMER = [5, 6, 7, 8];
  const WINTER = [11, 12, 1, 2];
  const dli = Array.from({ length: 12 }, (_, i) => (WINTER.includes(i + 1) ? 0.2 : 5));
  const doings = doingsOf(targets, year(dli));

  it('is as good as its own months are, whatever the others do', () => {
    expect(scoreOfSeason(targets, doings, SUMMER)).toBeGreaterThan(0.9);
    expect(scoreOfSeason(targets, doings, WINTER)).toBeLessThan(0.5);
  });

  it('of all months that are alike is judged as the year', () => {
    const even = doingsOf(targets, year(Array.from({ length: 12 }, () => 5)));
    const all = Array.from({ length: 12 }, (_, i) => i + 1);
    expect(scoreOfSeason(targets, even, all)).toBeCloseTo(scoreOfDoings(targets, even, NOVEMBER), 9);
  });

  it('has the harm of its worst month', () => {
    const frost = { ...conditionWith(), air: { ...conditionWith().air, coldNightC: -8, nightC: -8, lowC: -8 } };
    const cold = doingsOf(
      targets,
      year(dli).map((condition, i) => (i === 6 ? { ...condition, air: frost.air, coldNightC: -8 } : condition)),
    );
    expect(scoreOfSeason(targets, cold, SUMMER)).toBeLessThan(scoreOfSeason(targets, doings, SUMMER));
    expect(scoreOfSeason(targets, cold, WINTER)).toBe(scoreOfSeason(targets, doings, WINTER));
  });
});
