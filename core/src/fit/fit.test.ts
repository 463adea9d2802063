/** What a month does to a plant, factor by factor. */
import fc from 'fast-check';
import { shade } from '../home/small-home.fixture';
import { yearTargets } from '../plant';
import type { Taxon } from '../taxon';
import type { Condition } from './condition';
import { conditionWith } from './conditions.fixture';
import { burnDose, fitMonth, growthIn, leftByHarm, limitingFit, type Aspect, type Factor } from './index';
import { along } from './piecewise';
import { trapezoid } from './trapezoid';

const ways = { latitude: 50, school: null, aim: 'whole' } as const;
const june = (taxon: Taxon = shade) => yearTargets({ stage: 'adult', growthState: 'by-season' }, taxon, ways)[5]!;
const fit = (given: Partial<Condition> = {}, taxon: Taxon = shade) => fitMonth(june(taxon), conditionWith(given));
const factor = (given: Partial<Condition>, name: Factor, taxon: Taxon = shade) =>
  fit(given, taxon).factors.find((reading) => reading.factor === name)!;
const air = (given: Partial<Condition['air']>) => ({ air: { ...conditionWith().air, ...given } });

describe('the fit of a month', () => {
  it('is whole where all five factors are right', () => {
    expect(fit()).toMatchObject({ growth: 1, limiting: null });
    expect(leftByHarm(june(), conditionWith())).toBe(1);
  });

  it('counts light by its ratio: from none at what it uses up to all where it thrives', () => {
    const at = (dli: number) => factor({ dli, ...air({ dayC: 20, nightC: 20 }) }, 'light', keepsItsForm).score;
    expect(at(1)).toBe(0);
    expect(at(3)).toBeCloseTo(1, 9);
    expect(at(Math.sqrt(3))).toBeCloseTo(0.5, 9);
  });

  const keepsItsForm: Taxon = { ...shade, light: { ...shade.light, keepsForm: 0.5 } };

  it('gives less for light that stretches it, and for light that is weak for its kind', () => {
    expect(factor({ dli: 1.4 }, 'light').score).toBeLessThan(factor({ dli: 1.4 }, 'light', keepsItsForm).score);
    const strong: Taxon = { ...shade, light: { ...shade.light, peakPpfd: 1600 } };
    expect(factor({}, 'light', strong).score).toBeCloseTo(1 - 0.3 * (1 - 200 / (0.15 * 1600)), 9);
  });

  it('says when a verdict depends on the year', () => {
    expect(factor({ dli: 3.1, dliPoorYear: 2.6, dliGoodYear: 3.6 }, 'light').depends).toBe('on-the-year');
    expect(factor({}, 'light').depends).toBe('no');
  });

  it('burns by dose: the light of a clear day beyond the limit, not by its one brightest hour', () => {
    const clear = (...hours: number[]) => ({ clearDay: hours, peakPpfd: Math.max(...hours) });
    expect(burnDose([300, 600, 900], 300)).toBe(3);
    expect(factor(clear(600), 'light')).toMatchObject({ aspect: 'dli', severity: 'fine' });
    expect(factor(clear(600, 600, 600), 'light')).toMatchObject({ aspect: 'peak', score: 0.8 });
    expect(factor(clear(600, 600, 600, 900, 900), 'light')).toMatchObject({ aspect: 'peak', severity: 'danger' });
  });

  it('burns a leaf that is not used to the sun at half', () => {
    const fresh = { ...june(), isUsedToSun: false, light: { ...june().light, sunHoursUsed: 0 } };
    const sunny = conditionWith({ clearDay: Array<number>(9).fill(290), peakPpfd: 290, sunHoursPossible: 3 });
    expect(leftByHarm(june(), sunny)).toBe(1);
    expect(leftByHarm(fresh, sunny)).toBeLessThan(0.5);
    expect(leftByHarm(fresh, { ...sunny, sunHoursPossible: 0 })).toBe(1);
  });

  it('fears the coldest night and the hottest afternoon, not the mean alone', () => {
    expect(factor({ coldNightC: 9 }, 'warmth')).toMatchObject({ aspect: 'cold-night', score: 0.5, severity: 'danger' });
    expect(factor({ coldNightC: 11 }, 'warmth')).toMatchObject({ severity: 'fine' });
    const asleep = { ...june(), isDormant: true };
    expect(leftByHarm(asleep, conditionWith({ hotDayC: 39 }))).toBe(1);
    expect(leftByHarm(asleep, conditionWith({ coldNightC: 5 }))).toBeLessThan(0.5);
    expect(factor({ hotDayC: 39 }, 'warmth')).toMatchObject({ aspect: 'hot-day', severity: 'danger' });
  });

  it('browns by the drying power of the day, and dries out only what lives in moist air alone', () => {
    expect(factor({ vpdDay: 1.8 }, 'moisture')).toMatchObject({ aspect: 'dryness', severity: 'short' });
    const fern: Taxon = { ...shade, moisture: { ...shade.moisture, survives: 65, thrivesFrom: 75, vpdTo: 0.7 } };
    expect(factor({ vpdDay: 1.3 }, 'moisture', fern)).toMatchObject({ aspect: 'dryness', severity: 'danger' });
    const stone: Taxon = { ...shade, care: { ...shade.care, waterAtShare: 0 } };
    expect(factor({ vpdDay: 3 }, 'moisture', stone)).toMatchObject({ direction: 'right', score: 1 });
  });

  it('rots by damp nights, less in moving air, sooner for what stores water and is cool', () => {
    const damp = (nightRh: number, airMovement: Condition['airMovement'], nightC = 18) =>
      leftByHarm(june(), conditionWith({ ...air({ nightRh, nightC }), airMovement }));
    expect(damp(99, 'still')).toBeLessThan(0.6);
    expect(damp(99, 'gentle')).toBeGreaterThan(damp(99, 'still'));
    expect(damp(99, 'brisk')).toBe(1);
    const stone = june({ ...shade, care: { ...shade.care, waterAtShare: 0 } });
    const rot = (nightC: number) => leftByHarm(stone, conditionWith({ ...air({ nightRh: 97, nightC }) }));
    expect(rot(12)).toBeLessThan(rot(18));
  });

  it('minds still air most where it is moist', () => {
    const airy: Taxon = { ...shade, care: { ...shade.care, air: 'gentle' } };
    const still = (nightRh: number) => factor({ airMovement: 'still', ...air({ nightRh }) }, 'air', airy).score;
    expect(still(60)).toBeCloseTo(0.88, 9);
    expect(still(90)).toBeCloseTo(0.65, 9);
  });

  it('is harmed by cold and heat the more the longer they last, and tells the hours', () => {
    const { air: usual } = conditionWith();
    const lasting = (spell: readonly number[]) => ({ air: { ...usual, coldSpell: spell, hotSpell: spell } });
    const brief = lasting([0, 2, 4, 6, 8]);
    const long = lasting([0, 0, 0, 0.5, 1]);
    for (const extreme of [{ coldNightC: 9 }, { hotDayC: june().warmth.highest + 3 }]) {
      const [short, whole] = [factor({ ...extreme, ...brief }, 'warmth'), factor({ ...extreme, ...long }, 'warmth')];
      expect(short.score).toBeGreaterThan(whole.score + 0.1);
      expect(short.hoursBeyond!).toBeLessThan(5);
      expect(whole.hoursBeyond!).toBeGreaterThan(12);
    }
    expect(factor({ coldNightC: 11 }, 'warmth').hoursBeyond).toBeNull();
  });

  it('has no day too long below 18 hours for a plant that minds no night', () => {
    expect(factor({ dayH: 18 }, 'day-length').direction).toBe('right');
    expect(factor({ dayH: 22 }, 'day-length')).toMatchObject({ direction: 'too-much' });
  });

  it('never grows more, nor is harmed less, than a law allows', () => {
    const amount = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        fc.record({ dli: amount(0, 40), dayH: amount(0, 24), coldNightC: amount(-5, 25), hotDayC: amount(10, 45) }),
        fc.record({ dayC: amount(0, 40), nightC: amount(0, 35), dayRh: amount(5, 100), nightRh: amount(5, 100) }),
        amount(0, 5),
        fc.constantFrom('still', 'gentle', 'brisk'),
        (given, airs, vpdDay, airMovement) => {
          const condition = conditionWith({ ...given, ...air(airs), vpdDay, airMovement } as Partial<Condition>);
          const growth = growthIn(june(), condition);
          expect(growth).toBeGreaterThanOrEqual(0);
          expect(growth).toBeLessThanOrEqual(1);
          const scores = fitMonth(june(), condition).factors.map(({ score }) => score);
          expect(growth).toBeLessThanOrEqual(Math.max(...scores) + 1e-9);
          expect(Math.min(...scores)).toBeLessThanOrEqual(leftByHarm(june(), condition) + 1e-9);
        },
      ),
    );
  });

  it('tells of each harm under its own name', () => {
    const aspects: readonly [Partial<Condition>, Aspect][] = [
      [{ clearDay: Array<number>(8).fill(900), peakPpfd: 900 }, 'peak'],
      [{ coldNightC: 2 }, 'cold-night'],
      [{ hotDayC: 44 }, 'hot-day'],
      [{ ...air({ nightRh: 100 }), airMovement: 'still' }, 'humidity'],
    ];
    for (const [given, aspect] of aspects)
      expect(fit(given).factors.map((reading) => reading.aspect)).toContain(aspect);
  });
});

describe('what limits a month', () => {
  it('is the factor that is named, with its reading; nothing where none is', () => {
    const dark = fit({ dli: 0.01 });
    expect(limitingFit(dark)).toMatchObject({ factor: 'light', direction: 'too-little' });
    expect(limitingFit(dark)).toBe(dark.factors.find(({ factor: name }) => name === dark.limiting));
    expect(limitingFit({ factors: dark.factors, limiting: null })).toBeNull();
  });
});

describe('lines', () => {
  it('fall straight outside a band', () => {
    expect(trapezoid(5, 0, 10, 20, 30)).toBe(0.5);
    expect(trapezoid(25, 0, 10, 20, 30)).toBe(0.5);
    expect(trapezoid(-1, 0, 10, 20, 30)).toBe(0);
    expect(trapezoid(31, 0, 10, 20, 30)).toBe(0);
  });

  it('run straight between their points and level beyond them', () => {
    const line = [
      [1, 1],
      [3, 0],
    ] as const;
    expect([0, 1, 2, 3, 9].map((x) => along(line, x))).toEqual([1, 1, 0.5, 0, 0]);
  });
});
