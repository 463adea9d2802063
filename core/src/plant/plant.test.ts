/** The rules by which a plant's targets follow from its taxon, stated as facts. */
import fc from 'fast-check';
import { GROWTH_STATES, type GrowthState, type Stage } from '../facts';
import { shade } from '../home/small-home.fixture';
import { seasonOf, yearTargets, type Ways } from './index';
import { bright, rester, shortDay } from './plants.fixture';
import { FIGURE_KEYS, SCHOOLS, figureOf, withFigure, type School, type Taxon } from '../taxon';

const STAGES: readonly Stage[] = [
  'seed',
  'cutting',
  'rooted-cutting',
  'seedling',
  'juvenile',
  'adult',
  'in-bud',
  'in-bloom',
  'recovering',
  'just-arrived',
];

const plant = (given: Partial<{ stage: Stage; growthState: GrowthState; stateSeenOn: string | null }> = {}) => ({
  stage: 'adult' as Stage,
  growthState: 'by-season' as GrowthState,
  stateSeenOn: null,
  ...given,
});
const ways = (given: Partial<Ways> = {}): Ways => ({ latitude: 50, school: null, aim: 'whole', ...given });
const phases = (given: Parameters<typeof plant>[0] = {}, school: School = 'hard', latitude = 50) =>
  seasonOf(plant(given), rester, latitude, school).map((month) => month.phase);
const month = (phaseList: string[], number: number) => phaseList[number - 1];

describe('the season', () => {
  it('leads into rest and out of it over a month each', () => {
    expect(phases()).toEqual([
      'resting',
      'resting',
      'waking',
      'growing',
      'growing',
      'growing',
      'growing',
      'growing',
      'growing',
      'tapering',
      'resting',
      'resting',
    ]);
  });

  it('lies half a year away in the south, in every figure of the target', () => {
    for (const school of SCHOOLS) {
      const north = yearTargets(plant(), rester, ways({ school }));
      const south = yearTargets(plant(), rester, ways({ school, latitude: -50 }));
      for (let i = 0; i < 12; i++) expect({ ...south[i], month: 0 }).toEqual({ ...north[(i + 6) % 12], month: 0 });
    }
  });

  it('lets no resting plant be fed, whatever its stage, school or state', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...STAGES),
        fc.constantFrom(...GROWTH_STATES),
        fc.constantFrom(...SCHOOLS),
        fc.constantFrom(null, '2026-01-10', '2026-07-10'),
        (stage, growthState, school, stateSeenOn) => {
          for (const target of yearTargets(plant({ stage, growthState, stateSeenOn }), rester, ways({ school }))) {
            if (target.phase === 'resting') expect([target.feed, target.feedPpmN]).toEqual(['none', 0]);
          }
        },
      ),
    );
  });

  it('feeds nothing without roots', () => {
    for (const stage of ['seed', 'cutting', 'just-arrived', 'recovering'] as const) {
      for (const target of yearTargets(plant({ stage }), shade, ways())) expect(target.feedPpmN).toBe(0);
    }
  });

  it('is put off by buds and flowers, not asked of the young, and kept by those that arrive or recover in it', () => {
    for (const stage of ['in-bud', 'in-bloom', 'seedling', 'cutting'] as const)
      expect(new Set(phases({ stage }))).toEqual(new Set(['growing']));
    for (const stage of ['just-arrived', 'recovering'] as const) {
      expect(phases({ stage })).toEqual(phases());
      expect(yearTargets(plant({ stage }), rester, ways())[0]!.water).toBe('none');
    }
  });

  it('makes no plant hardier than it is', () => {
    const cold: Taxon = { ...rester, rest: { ...rester.rest, dayC: 6, nightC: 1 } };
    for (const { warmth } of yearTargets(plant(), cold, ways({ school: 'hard' }))) {
      expect(warmth.lowest).toBe(cold.warmth.lowest);
      expect(warmth.nightFrom).toBeGreaterThanOrEqual(warmth.lowest);
    }
  });

  it('of a bulb that sleeps warm in summer wants it warmer than growth does', () => {
    const bulb: Taxon = {
      ...rester,
      warmth: { ...rester.warmth, lowest: 2, nightFrom: 5, nightTo: 12, dayFrom: 10, dayTo: 18 },
      rest: { ...rester.rest, trigger: 'after-bloom', months: [6, 7, 8], dayC: 24, nightC: 17 },
    };
    const targets = yearTargets(plant(), bulb, ways());
    expect(targets[6]!.warmth.dayFrom).toBeGreaterThan(targets[2]!.warmth.dayTo);
    expect(targets[6]!.warmth.dayTo).toBeLessThanOrEqual(bulb.warmth.highest);
  });

  it('that a plant dies without is not left out, whatever the school', () => {
    const bound: Taxon = { ...rester, rest: { ...rester.rest, isObligate: true } };
    for (const school of SCHOOLS) {
      const [january] = yearTargets(plant(), bound, ways({ school }));
      expect(january).toMatchObject({ phase: 'resting', water: 'none' });
    }
    expect(yearTargets(plant(), bound, ways({ school: 'grow-on' }))[0]!.seasonRule).toMatch(/would die without/);
  });

  it('is as deep as it is stated by its own school, and not softened twice', () => {
    const gentle: Taxon = { ...rester, rest: { ...rester.rest, school: 'taper', water: 'little' } };
    expect(yearTargets(plant(), gentle, ways())[0]).toMatchObject({ water: 'little' });
    expect(yearTargets(plant(), gentle, ways())[0]!.light.thrivesFrom).toBeCloseTo(0.6 * gentle.light.thrivesFrom, 9);
  });

  it('does not turn round at the equator, where no half of the year is winter', () => {
    expect(phases({}, 'hard', -1)).toEqual(phases({}, 'hard', 1));
    expect(phases({}, 'hard', -30)).not.toEqual(phases({}, 'hard', 30));
  });

  it('goes less deep by the gentle school than by the hard one, and not at all by the third', () => {
    const january = (school: School) => yearTargets(plant(), rester, ways({ school }))[0]!;
    expect(january('hard')).toMatchObject({ water: 'none', phase: 'resting' });
    expect(january('taper').water).not.toBe('none');
    expect(january('taper').light.thrivesFrom).toBeGreaterThan(january('hard').light.thrivesFrom);
    expect(january('grow-on')).toMatchObject({ phase: 'growing', water: 'usual', feed: 'usual' });
    expect(january('grow-on').day.minH).toBe(12);
  });
});

describe('what the grower saw', () => {
  it('keeps a plant growing that is still growing, for three months', () => {
    const seen = phases({ growthState: 'growing', stateSeenOn: '2026-11-20' });
    expect([11, 12, 1].map((number) => month(seen, number))).toEqual(['growing', 'growing', 'growing']);
    expect(month(seen, 2)).toBe('resting');
  });

  it('ends the rest with a new leaf or root tips, for all that was left of it', () => {
    for (const growthState of ['new-leaf', 'root-tips'] as const) {
      const seen = phases({ growthState, stateSeenOn: '2026-11-05' });
      expect([11, 12, 1, 2].map((number) => month(seen, number))).toEqual(['growing', 'growing', 'growing', 'growing']);
    }
  });

  it('begins the rest when growth is finished, early or late, and asks for it once', () => {
    const early = phases({ growthState: 'finished', stateSeenOn: '2026-08-15' });
    expect([8, 9, 10, 11, 12].map((number) => month(early, number))).toEqual([
      'tapering',
      'resting',
      'resting',
      'resting',
      'resting',
    ]);
    expect([1, 2].map((number) => month(early, number))).toEqual(['waking', 'growing']);
  });

  it('of a living stone’s new leaves brings no water: they come out of the old ones at rest', () => {
    const stone: Taxon = {
      ...rester,
      care: { ...rester.care, habit: 'stone' },
      rest: { ...rester.rest, trigger: 'dry', months: [12, 1, 2, 3], isObligate: true },
    };
    const targets = yearTargets(plant({ growthState: 'new-leaf', stateSeenOn: '2026-01-10' }), stone, ways());
    expect([0, 1, 2].map((i) => targets[i]!.water)).toEqual(['none', 'none', 'none']);
    expect(targets[0]!.seasonRule).toMatch(/out of the old ones/);
  });

  it('that growth was finished early is followed by one rest and one waking', () => {
    const seen = phases({ growthState: 'finished', stateSeenOn: '2026-08-15' });
    expect([1, 2, 3, 4].map((number) => month(seen, number))).toEqual(['waking', 'growing', 'growing', 'growing']);
  });

  it('rests a plant seen at rest, even one that knows no rest', () => {
    const targets = yearTargets(plant({ growthState: 'resting', stateSeenOn: '2026-06-01' }), shade, ways());
    expect([6, 7, 8].map((number) => targets[number - 1]!.phase)).toEqual(['resting', 'resting', 'resting']);
    expect(targets[8]!.phase).toBe('growing');
  });
});

describe('the target', () => {
  it('tells the short-day plant’s nights only in its months, and what breaks them', () => {
    const targets = yearTargets(plant(), shortDay, ways());
    expect(targets[9]).toMatchObject({ phase: 'inducing', day: { maxH: 11 } });
    expect(targets[9]!.rules.join()).toMatch(/unbroken; a lamp or a room light/);
    // The sun's own longest day, twilight with it, is none too long.
    expect(targets[5]!.day.maxH).toBeGreaterThan(17);
    expect(targets[11]!.day.maxH).toBe(16);
  });

  it('keeps seed and seedlings moist, and cuttings of plants that store water dry', () => {
    const share = (stage: Stage, taxon: Taxon) => yearTargets(plant({ stage }), taxon, ways())[5]!;
    expect(share('seed', bright).waterAtShare).toBeGreaterThanOrEqual(0.7);
    expect(share('juvenile', bright).waterAtShare).toBeGreaterThan(bright.care.waterAtShare);
    const storing: Taxon = {
      ...bright,
      care: { ...bright.care, waterAtShare: 0.05 },
      moisture: { ...bright.moisture, survives: 10, thrivesFrom: 25 },
    };
    for (const stage of ['cutting', 'recovering'] as const)
      expect(share(stage, storing).moisture.thrivesFrom).toBe(storing.moisture.thrivesFrom);
    expect(share('cutting', storing).waterAtShare).toBe(0.05);
    expect(share('cutting', storing).rules.join()).toMatch(/skin/);
    expect(share('seed', storing).waterAtShare).toBeGreaterThanOrEqual(0.7);
  });

  it('lets a plant have no more sun than it is used to: half an hour more with each week here', () => {
    const sunny: Taxon = { ...bright, light: { ...bright.light, sunHoursFresh: 1, sunHoursUsed: 6 } };
    const sun = (given: Parameters<typeof plant>[0] & { arrivedOn?: string }) =>
      yearTargets({ ...plant(given), arrivedOn: given?.arrivedOn ?? null }, sunny, ways({ year: 2026 })).map(
        ({ light }) => light.sunHoursUsed,
      );
    expect(sun({ stage: 'just-arrived' })[6]).toBe(1);
    const came = sun({ arrivedOn: '2026-05-15' });
    expect(came[4]).toBe(1);
    expect(came[5]).toBeCloseTo(1 + 0.5 * (31 / 7), 6);
    expect([came[7], came[0]]).toEqual([6, 6]);
    expect(new Set(sun({ arrivedOn: '2024-05-15' }))).toEqual(new Set([6]));
  });

  it('aims within the band, never outside it', () => {
    const light = (aim: Ways['aim']) => yearTargets(plant(), bright, ways({ aim }))[5]!.light;
    expect(light('low')).toMatchObject({ thrivesFrom: 9, thrivesTo: 18 });
    expect(light('high')).toMatchObject({ thrivesFrom: 15, thrivesTo: 24 });
    expect(light('whole')).toMatchObject({ thrivesFrom: 9, thrivesTo: 24 });
  });

  it('names the rule that set each month', () => {
    for (const target of yearTargets(plant(), rester, ways())) expect(target.seasonRule.length).toBeGreaterThan(10);
    const rules = new Set(yearTargets(plant(), rester, ways()).map((target) => target.seasonRule));
    expect(rules.size).toBe(4);
  });

  it('keeps figures in order at every stage', () => {
    for (const stage of STAGES) {
      for (const { light, moisture } of yearTargets(plant({ stage }), bright, ways())) {
        expect(light.survives).toBeLessThanOrEqual(light.thrivesFrom);
        expect(light.thrivesFrom).toBeLessThanOrEqual(light.thrivesTo);
        expect(light.thrivesTo).toBeLessThanOrEqual(light.scorches);
        expect(moisture.thrivesFrom).toBeLessThanOrEqual(moisture.thrivesTo);
      }
    }
  });
});

it('a figure can be read and put back wherever it stands', () => {
  for (const key of FIGURE_KEYS) expect(figureOf(withFigure(shade, key, 7), key)).toBe(7);
});
