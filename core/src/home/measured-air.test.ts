/** A logger's months beside what is computed, and as what the grower states of a room. */
import type { AirStep, MeasuredMonth } from '../air';
import { applied, type HomeFacts } from '../facts';
import {
  correctsLight,
  forgottenAtSpot,
  forgottenChanges,
  lessonChanges,
  lightReadingsFrom,
  monthsApart,
  spotStatementsFrom,
  standAtSpot,
  standFor,
  statementsFrom,
  takenToRoom,
  withoutMonths,
} from './measured-air';
import { HomeEngine } from './engine';
import { smallHome, smallKnowledge } from './small-home.fixture';

const month = (given: Partial<MeasuredMonth>): MeasuredMonth => ({
  month: 1,
  dayC: 20.04,
  nightC: 16.96,
  dayRh: 44.6,
  nightRh: 50.4,
  celsiusByHour: Array<number>(24).fill(18.5),
  rhByHour: Array<null>(24).fill(null),
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

const LESSON = {
  ...{ airing: 1.8, water: 0.7, walls: 1, sun: 1.1, holds: 0.9, dayK: 0.6, nightK: -0.4, days: 30 },
  ...{ airingSpread: 0.2, waterSpread: 0.2, wallsSpread: 0.1, sunSpread: 0.1, holdsSpread: 0.2 },
  ...{ dayKSpread: 0.3, nightKSpread: 0.3 },
  heatingThen: 'set',
  airingThen: 'leaky',
  envelopeThen: 'usual',
} as const;

describe('what a record taught', () => {
  const months = [month({})];
  const newId = () => 'new';
  const taught = applied(smallHome, [
    ...lessonChanges(smallHome, 'r', LESSON, newId),
    ...statementsFrom(smallHome, 'r', months, newId),
  ])!;

  it('is kept once for a room, however often it is learnt', () => {
    const again = applied(
      taught,
      lessonChanges(taught, 'r', { ...LESSON, airing: 2 }, () => 'other'),
    )!;
    expect(again.learntAir).toEqual([{ id: 'new', roomId: 'r', ...LESSON, airing: 2 }]);
  });

  it('can be looked at without its months, and as if nothing had been learnt', () => {
    expect(withoutMonths(taught, 'r', 'with-lesson')).toMatchObject({ air: [], learntAir: taught.learntAir });
    expect(withoutMonths(taught, 'r', 'guessed')).toMatchObject({ air: [], learntAir: [] });
  });

  it('is forgotten with its months, and other months stay', () => {
    const after = applied(taught, forgottenChanges(taught, 'r', months))!;
    expect(after.learntAir).toEqual([]);
    expect(after.air).toEqual([]);
    expect(applied(taught, forgottenChanges(taught, 'r', [month({ month: 5 })]))!.air).toHaveLength(1);
  });
});

it('measured months stand for a spot, change those that stand, and are taken back', () => {
  const months = [month({}), month({ month: 2 })];
  let made = 0;
  const at = (facts: HomeFacts, given: readonly MeasuredMonth[]) =>
    applied(
      facts,
      spotStatementsFrom(facts, 'dim', given, () => `id-${made++}`),
    )!;
  const once = at(smallHome, months);
  expect(standAtSpot(smallHome, 'dim', months)).toBe(false);
  expect(standAtSpot(once, 'dim', months)).toBe(true);
  const twice = at(once, [month({ dayC: 25 })]);
  expect(twice.spotAir).toHaveLength(2);
  expect(twice.spotAir[0]).toMatchObject({ id: 'id-0', spotId: 'dim', month: 1, dayC: 25 });
  expect(applied(twice, forgottenAtSpot(twice, 'dim'))!.spotAir).toEqual([]);
});

describe('a logger’s months of light', () => {
  const engine = new HomeEngine(smallKnowledge);
  const YEAR = 2026;
  const logged = { spotId: 'bright', unit: 'ppfd', note: 'By one' } as const;
  const june = { month: 6, days: 30, atMs: Date.UTC(2026, 5, 20) };
  const dli = (facts: HomeFacts, month: number) => engine.conditionsOf(facts, 'bright', YEAR)[month - 1]!.dli;
  /** Mean PPFD of a day that gives so many mol. */
  const meanOfDay = (mol: number) => mol / (24 * 0.0036);
  const read = (mean: number, facts: HomeFacts = smallHome) =>
    applied(
      facts,
      lightReadingsFrom(facts, logged, [{ ...june, mean }], () => 'reading'),
    )!;

  it('change nothing where they are what is computed', () => {
    const before = dli(smallHome, 6);
    expect(dli(read(meanOfDay(before)), 6)).toBeCloseTo(before, 1);
  });

  it('correct the light of their spot toward what was measured, in all months', () => {
    const [june0, january0] = [dli(smallHome, 6), dli(smallHome, 1)];
    const half = read(meanOfDay(june0 / 2));
    expect(dli(half, 6)).toBeLessThan(0.7 * june0);
    expect(dli(half, 6)).toBeGreaterThan(0.45 * june0);
    expect(dli(half, 1) / january0).toBeCloseTo(dli(half, 6) / june0, 2);
  });

  it('count once a month, are changed by a later one, and can be withdrawn as any reading', () => {
    const once = read(100);
    expect(correctsLight(once, logged, [{ ...june, mean: 100 }])).toBe(true);
    const again = read(120, once);
    expect(again.readings).toHaveLength(1);
    expect(again.readings[0]).toMatchObject({ value: 120, sky: 'month' });
    const withdrawn = { ...again, readings: [{ ...again.readings[0]!, withdrawnOn: '2026-07-01' }] };
    expect(dli(withdrawn, 6)).toBe(dli(smallHome, 6));
    expect(correctsLight(withdrawn, logged, [{ ...june, mean: 120 }])).toBe(false);
  });
});
