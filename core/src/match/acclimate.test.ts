/** What a plant is used to by where it stood, and how long its reserve has been drawn on there. */
import { yearWith } from '../fit/conditions.fixture';
import { shade } from '../home/small-home.fixture';
import { yearTargets } from '../plant';
import { usedToBefore } from './acclimate';

const targets = yearTargets(
  { stage: 'adult', growthState: 'by-season' },
  { ...shade, light: { ...shade.light, sunHoursFresh: 0.5, sunHoursUsed: 4 } },
  { latitude: 50, school: null, aim: 'whole' },
);
const dim = yearWith(() => ({ dli: 1, sunHoursPossible: 0 }));
const bright = yearWith(() => ({ dli: 5, sunHoursPossible: 3 }));
const moved = (movedOn: string | null, before = dim, here = bright) =>
  usedToBefore(targets, { movedOn }, before, here, 2026);
const freshMonths = (list: ReturnType<typeof moved>) =>
  list.filter(({ isUsedToSun }) => !isUsedToSun).map(({ month }) => month);

describe('a plant that was moved', () => {
  it('into more than twice the light is not used to it for six weeks', () => {
    const list = moved('2026-06-01');
    expect(freshMonths(list)).toEqual([6]);
    expect(list[5]!.light.sunHoursUsed).toBe(0.5);
    expect(list[5]!.rules.at(-1)).toContain('Moved on 2026-06-01 into 5.0 times the light');
    expect(freshMonths(moved('2026-06-10'))).toEqual([6, 7]);
  });

  it('into light like it had, or never, wants what it wanted: the very same list', () => {
    expect(moved('2026-06-01', bright)).toBe(targets);
    expect(moved(null)).toBe(targets);
    expect(moved('2025-06-01')).toBe(targets);
  });

  it('keeps the hours of sun that it had where it stood', () => {
    const sunny = yearWith(() => ({ dli: 1, sunHoursPossible: 2 }));
    expect(moved('2026-06-01', sunny)[5]!.light.sunHoursUsed).toBe(2);
  });
});
