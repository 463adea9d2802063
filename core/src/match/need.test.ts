/** How soon a plant needs something, by what its grower wants of it. */
import { fitYear, type Condition, type YearFit } from '../fit';
import { yearWith } from '../fit/conditions.fixture';
import { shade } from '../home/small-home.fixture';
import { yearTargets } from '../plant';
import { meetsGoal, troublesFor, urgencyOf } from './need';

const NOVEMBER = 11;
const targets = yearTargets({ stage: 'adult', growthState: 'by-season' }, shade, {
  latitude: 50,
  school: null,
  aim: 'whole',
});
const fit = (given: (month: number) => Partial<Condition>): YearFit => fitYear(targets, yearWith(given), NOVEMBER);
const even = (dli: number) => fit(() => ({ dli, dliPoorYear: dli }));

describe('a goal', () => {
  it('of living is met where the plant lives on without growth, of growing it is not', () => {
    const lives = even(0.9);
    expect(lives.verdict.life).toBe('years');
    expect(meetsGoal('alive', lives)).toBe(true);
    expect(meetsGoal('grow', lives)).toBe(false);
    expect(urgencyOf('alive', lives)).toBe('none');
    expect(urgencyOf('grow', lives)).toBe('later');
  });

  it('of form is missed where it stretches, though it grows a little', () => {
    expect(meetsGoal('form', even(1.4))).toBe(false);
    expect(troublesFor('form', even(1.4))).toHaveLength(1);
    expect(troublesFor('alive', even(1.4))).toEqual([]);
    expect(meetsGoal('form', even(3))).toBe(true);
  });

  it('of flowers is missed by a plant that grows well and sets none', () => {
    const well = even(5);
    expect(meetsGoal('flower', { ...well, flowers: { likely: 'no', lacks: [] } })).toBe(false);
    expect(meetsGoal('grow', { ...well, flowers: { likely: 'no', lacks: [] } })).toBe(true);
    expect(meetsGoal('flower', { ...well, flowers: { likely: 'yes', lacks: [] } })).toBe(true);
  });
});

describe('urgency', () => {
  it('is this week, this season or later by when damage is done', () => {
    const cold = (month: number) => fit((at) => (at === month ? { coldNightC: 4 } : {}));
    expect(urgencyOf('grow', cold(11))).toBe('week');
    expect(urgencyOf('grow', cold(1))).toBe('season');
    expect(urgencyOf('grow', cold(7))).toBe('later');
  });

  it('is mild where a plant does as is wanted and could do a little better, none where nothing is wrong', () => {
    expect(
      urgencyOf(
        'grow',
        fit((month) => (month === 12 ? { dli: 1.2, dliPoorYear: 1.1 } : {})),
      ),
    ).toBe('mild');
    expect(urgencyOf('grow', even(5))).toBe('none');
  });
});
