/** What came of plants overrules their kind's figures, within limits. */
import type { HomeFacts, Outcome } from '../facts';
import { knownPlant } from './known';
import { withOutcomes } from './outcomes';
import { shade, smallHome, smallKnowledge } from './small-home.fixture';

const outcome = (given: Partial<Outcome>): Outcome => ({
  id: 'o',
  homeId: 'h',
  plantId: 'p',
  spotId: 'dim',
  taxonId: 'shade',
  kind: 'well',
  since: '2023-11-01',
  on: '2026-11-01',
  dli: Array<number>(12).fill(0.8),
  peakPpfd: Array<number>(12).fill(100),
  meanC: Array<number>(12).fill(20),
  ...given,
});
const seen = (...outcomes: Partial<Outcome>[]) => withOutcomes(shade, outcomes.map(outcome));

describe('a plant seen well', () => {
  it('where it should have starved is taken to need as much less as explains it', () => {
    const { taxon, rules } = seen({});
    // With a tenth to spare it would live for the five years that are looked at on 20 weeks of reserve.
    expect(taxon.light.survives).toBeCloseTo(0.8 / (1 - 20 / (60 * 4.35)) / 1.1, 2);
    expect(taxon.light.thrivesFrom).toBeCloseTo(3 * taxon.light.survives, 6);
    expect(rules[0]).toMatch(/You saw it well after 3.0 years in 0.80 to 0.80 mol a day: .* 0\.79 times/);
  });

  it('is never taken to need less than half', () => {
    expect(seen({ dli: Array<number>(12).fill(0.05) }).taxon.light.survives).toBe(0.5);
  });

  it('where it was computed well changes nothing', () => {
    const { taxon, rules } = seen({ dli: Array<number>(12).fill(4) });
    expect(taxon.light).toEqual(shade.light);
    expect(rules[0]).toContain('as computed');
  });

  it('after a short while tells less than after years', () => {
    const months = seen({ since: '2026-08-01' }).taxon.light.survives;
    expect(months).toBeGreaterThan(seen({}).taxon.light.survives);
  });

  it('in brighter hours is taken to tolerate them, up to half as much again', () => {
    const peaks = (most: number) => seen({ dli: Array<number>(12).fill(4), peakPpfd: Array<number>(12).fill(most) });
    expect(peaks(380).taxon.light.peakPpfd).toBe(380);
    expect(peaks(2000).taxon.light.peakPpfd).toBe(450);
  });
});

describe('a plant that died', () => {
  it('sooner than computed makes its kind need more, up to twice', () => {
    const died = seen({ kind: 'died', since: '2026-05-01', dli: Array<number>(12).fill(0.6) });
    expect(died.taxon.light.survives).toBeGreaterThan(1);
    expect(died.taxon.light.survives).toBeLessThanOrEqual(2);
  });

  it('in good light tells nothing of its light', () => {
    const { taxon, rules } = seen({ kind: 'died', since: '2026-09-01', dli: Array<number>(12).fill(6) });
    expect(taxon.light).toEqual(shade.light);
    expect(rules[0]).toContain('does not explain');
  });
});

describe('in a home', () => {
  const home = (...outcomes: Partial<Outcome>[]): HomeFacts => ({ ...smallHome, outcomes: outcomes.map(outcome) });
  const survives = (facts: HomeFacts, id: string) =>
    knownPlant(facts, { ...smallHome.plants.find((plant) => plant.id === id)!, taxonId: 'shade' }, smallKnowledge)!
      .taxon.light.survives;

  it('what was seen well tells of that plant alone, a death of all of its kind', () => {
    expect(survives(home({}), 'p')).toBeLessThan(1);
    expect(survives(home({}), 'q')).toBe(1);
    const death = { kind: 'died', since: '2026-05-01', dli: Array<number>(12).fill(0.6) } as const;
    expect(survives(home({ ...death, plantId: 'gone' }), 'p')).toBeGreaterThan(1);
  });
});
