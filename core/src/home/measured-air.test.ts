/** A logger's months beside what is computed, and as what the grower states of a room. */
import type { AirStep, MeasuredMonth } from '../air';
import { applied, type HomeFacts } from '../facts';
import { monthsApart, standFor, statementsFrom, takenToRoom } from './measured-air';
import { smallHome } from './small-home.fixture';

const month = (given: Partial<MeasuredMonth>): MeasuredMonth => ({
  month: 1,
  dayC: 20.04,
  nightC: 16.96,
  dayRh: 44.6,
  nightRh: 50.4,
  days: 28,
  ...given,
});
const step = (dayK: number, nightK: number): AirStep => ({ from: 'pane', id: null, dayK, nightK, water: 1 });

describe('two tellings of the same months', () => {
  it('lie apart by the mean of day and night, whichever is higher', () => {
    const one = [month({}), month({ month: 2 })];
    const other = [month({ dayC: 21.04, nightC: 15.96, dayRh: 40.6 }), month({ month: 3 })];
    expect(monthsApart(one, other)!.celsius).toBeCloseTo(1, 9);
    expect(monthsApart(one, other)!.rh).toBeCloseTo(2, 9);
    expect(monthsApart(other, one)!.celsius).toBeCloseTo(1, 9);
  });

  it('are not compared without a month in common, and none lies apart from itself', () => {
    expect(monthsApart([month({})], [month({ month: 7 })])).toBeNull();
    expect(monthsApart([month({})], [month({})])).toEqual({ celsius: 0, rh: 0 });
  });
});

it('has what parts a spot from its room taken off, month by month', () => {
  const steps = Array.from({ length: 12 }, (_, i) => (i === 0 ? [step(-2, -3), step(0.5, 0)] : []));
  const [january, june] = takenToRoom([month({}), month({ month: 6 })], steps);
  expect(january!.dayC).toBeCloseTo(21.54, 9);
  expect(january!.nightC).toBeCloseTo(19.96, 9);
  expect(january!.dayRh).toBe(44.6);
  expect(june!.dayC).toBe(20.04);
});

describe('measured months as statements', () => {
  const ids = ['new-1', 'new-2'];
  const stated = (facts: HomeFacts, months: readonly MeasuredMonth[]) => {
    let made = 0;
    return applied(
      facts,
      statementsFrom(facts, 'r', months, () => ids[made++]!),
    )!;
  };

  it('change those that stand, add the others, and round as a grower writes', () => {
    const after = stated(smallHome, [month({}), month({ month: 7, dayC: 24.26 })]);
    expect(after.air).toHaveLength(smallHome.air.length + 1);
    expect(after.air.find((one) => one.month === 1)).toMatchObject({
      id: smallHome.air[0]!.id,
      dayC: 20,
      nightC: 17,
      dayRh: 45,
      nightRh: 50,
    });
    expect(after.air.find((one) => one.month === 7)).toMatchObject({ id: 'new-1', roomId: 'r', dayC: 24.3 });
  });

  it('stand for the room once they are stated, and no longer once one of them differs', () => {
    const months = [month({}), month({ month: 7 })];
    expect(standFor(smallHome, 'r', months)).toBe(false);
    const after = stated(smallHome, months);
    expect(standFor(after, 'r', months)).toBe(true);
    expect(standFor(after, 'r', [month({ nightRh: 58 })])).toBe(false);
    expect(standFor(after, 'box', months)).toBe(false);
  });
});
