/** Stages pass: what was seen of a plant holds for its weeks, and then it is taken for grown out of it. */
import { missingFacts } from '../home';
import { shade, smallHome, smallKnowledge } from '../home/small-home.fixture';
import type { Plant } from '../facts';
import { yearTargets } from './index';

const YEAR = 2026;
type Seen = Partial<Pick<Plant, 'stage' | 'stageSeenOn' | 'arrivedOn'>>;
const wantsFrom = (seen: Seen, year = YEAR): number[] =>
  yearTargets({ stage: 'adult', growthState: 'by-season', ...seen }, shade, {
    latitude: 50,
    school: null,
    aim: 'whole',
    year,
  }).map(({ light }) => light.thrivesFrom);
const GROWN = shade.light.thrivesFrom;
const monthsAt = (list: readonly number[], wanted: number) =>
  list.flatMap((from, i) => (Math.abs(from - wanted) < 1e-9 ? [i + 1] : []));

describe('a stage', () => {
  it('of a plant just arrived holds for six weeks from its arrival, not all year', () => {
    const list = wantsFrom({ stage: 'just-arrived', arrivedOn: '2026-11-08' });
    expect(monthsAt(list, 0.6 * GROWN)).toEqual([11, 12]);
    expect(monthsAt(list, GROWN)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
  });

  it('reaches into the next year, and is over by the one after', () => {
    const seen: Seen = { stage: 'recovering', stageSeenOn: '2025-12-20' };
    expect(monthsAt(wantsFrom(seen), 0.6 * GROWN)).toEqual([1]);
    expect(monthsAt(wantsFrom(seen, 2027), 0.6 * GROWN)).toEqual([]);
  });

  it('of a seedling passes into the next, not into a grown plant', () => {
    const list = wantsFrom({ stage: 'seedling', stageSeenOn: '2026-01-10' });
    expect(monthsAt(list, 0.7 * GROWN)).toEqual([1, 2, 3, 4]);
    expect(monthsAt(list, 0.85 * GROWN)).toContain(6);
  });

  it('without a date rules all year, and its date is asked for', () => {
    expect(monthsAt(wantsFrom({ stage: 'recovering' }), 0.6 * GROWN)).toHaveLength(12);
    const asked = (seen: Seen) =>
      missingFacts(
        { ...smallHome, plants: [{ ...smallHome.plants[0]!, ...seen }] },
        smallKnowledge,
        Date.UTC(2026, 10, 29),
      ).map(({ missing }) => missing);
    expect(asked({ stage: 'recovering' })).toContain('stage');
    expect(asked({ stage: 'recovering', stageSeenOn: '2026-11-01' })).not.toContain('stage');
    expect(asked({ stage: 'recovering', stageSeenOn: '2026-08-01' })).toContain('stage');
    expect(asked({ stage: 'just-arrived', arrivedOn: '2026-08-01' })).toContain('settled');
  });
});
