/** The rules by which a plant's targets follow from its taxon, stated as facts. */
import fc from 'fast-check';
import { GROWTH_STATES, TRAITS, type GrowthState, type Stage } from '../facts';
import { shade } from '../home/small-home.fixture';
import { TRAIT_RULES, mixOf, seasonOf, withTraits, yearTargets, type Ways } from './index';
import { FIGURE_KEYS, SCHOOLS, figureOf, withFigure, wrongOrder, type School, type Taxon } from '../taxon';

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

/** Rests dry and cool from November to February. */
const rester: Taxon = {
  ...shade,
  id: 'rester',
  name: 'Dormio hiemalis',
  rest: {
    trigger: 'cool',
    months: [11, 12, 1, 2],
    lightShare: 0.6,
    dayC: 14,
    nightC: 8,
    water: 'none',
    feed: 'none',
    school: 'hard',
    sure: 'practice',
  },
};
const bright: Taxon = {
  ...shade,
  id: 'bright',
  name: 'Lux magna',
  light: { ...shade.light, survives: 4, thrivesFrom: 9, thrivesTo: 24, scorches: 36, peakPpfd: 1200 },
  hazard: { ...shade.hazard, cats: 'toxic' },
};
const shortDay: Taxon = {
  ...shade,
  id: 'short',
  name: 'Nox longa',
  day: { ...shade.day, kind: 'short', criticalNightH: 13, inductionWeeks: 7, inductionMonths: [9, 10, 11] },
};

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

describe('a hybrid', () => {
  const share = fc.double({ min: 0.05, max: 0.95, noNaN: true });

  it('lies between its parents in every figure, whatever the shares', () => {
    fc.assert(
      fc.property(share, (of) => {
        const mixed = mixOf(
          [
            { taxon: rester, share: of },
            { taxon: bright, share: 1 - of },
          ],
          'Hybrid',
          'h',
        );
        for (const key of FIGURE_KEYS) {
          const [low, high] = [figureOf(rester, key), figureOf(bright, key)].sort((p, q) => p - q) as [number, number];
          expect(figureOf(mixed, key)).toBeGreaterThanOrEqual(low - 1e-9);
          expect(figureOf(mixed, key)).toBeLessThanOrEqual(high + 1e-9);
        }
        expect(wrongOrder(mixed)).toBeNull();
      }),
    );
  });

  it('of two equal parents stands half way, and does not care which is named first', () => {
    const one = mixOf(
      [
        { taxon: shade, share: 1 },
        { taxon: bright, share: 1 },
      ],
      'H',
      'h',
    );
    const other = mixOf(
      [
        { taxon: bright, share: 0.5 },
        { taxon: shade, share: 0.5 },
      ],
      'H',
      'h',
    );
    for (const key of FIGURE_KEYS) {
      expect(figureOf(one, key)).toBeCloseTo((figureOf(shade, key) + figureOf(bright, key)) / 2, 9);
      expect(figureOf(other, key)).toBeCloseTo(figureOf(one, key), 9);
    }
  });

  it('of one parent is that parent', () => {
    expect(mixOf([{ taxon: bright, share: 0.3 }], 'B', 'b').light).toEqual(bright.light);
  });

  it('rests as the parent that rules, from four fifths of its make-up on', () => {
    expect(
      mixOf(
        [
          { taxon: rester, share: 0.8 },
          { taxon: bright, share: 0.2 },
        ],
        'H',
        'h',
      ).rest,
    ).toMatchObject({ months: [11, 12, 1, 2], water: 'none', nightC: 8 });
    expect(
      mixOf(
        [
          { taxon: rester, share: 0.2 },
          { taxon: bright, share: 0.8 },
        ],
        'H',
        'h',
      ).rest.trigger,
    ).toBe('none');
    const even = mixOf(
      [
        { taxon: rester, share: 0.6 },
        { taxon: bright, share: 0.4 },
      ],
      'H',
      'h',
    ).rest;
    expect(even.months).toEqual([1, 2, 11, 12]);
    expect(even.nightC!).toBeGreaterThan(8);
    expect(even.nightC!).toBeLessThan(bright.warmth.nightFrom);
  });

  it('is as dangerous as its most dangerous parent, and never surer than inferred', () => {
    const mixed = mixOf(
      [
        { taxon: shade, share: 0.9 },
        { taxon: bright, share: 0.1 },
      ],
      'H',
      'h',
    );
    expect(mixed.hazard.cats).toBe('toxic');
    expect([mixed.light.sure, mixed.rest.sure]).toEqual(['inferred', 'inferred']);
  });

  it('of parents that answer to day length differently is taken for day-neutral', () => {
    expect(
      mixOf(
        [
          { taxon: shortDay, share: 0.5 },
          { taxon: bright, share: 0.5 },
        ],
        'H',
        'h',
      ).day,
    ).toMatchObject({ kind: 'neutral', criticalNightH: null });
    expect(
      mixOf(
        [
          { taxon: shortDay, share: 0.5 },
          { taxon: { ...shortDay, id: 's2', day: { ...shortDay.day, criticalNightH: 12 } }, share: 0.5 },
        ],
        'H',
        'h',
      ).day.criticalNightH,
    ).toBeCloseTo(12.5);
  });
});

describe('traits', () => {
  it('keep every band in order, in any mixture', () => {
    fc.assert(
      fc.property(fc.subarray([...TRAITS]), fc.constantFrom(shade, bright, rester), (traits, taxon) => {
        const { taxon: seen, rules } = withTraits(taxon, traits);
        expect(wrongOrder(seen)).toBeNull();
        expect(rules).toHaveLength(traits.length);
      }),
    );
  });

  it('make a variegated plant want more light than its plain sister and burn sooner', () => {
    const { taxon } = withTraits(bright, ['variegated']);
    expect(taxon.light.thrivesFrom).toBeGreaterThan(bright.light.thrivesFrom);
    expect(taxon.light.scorches).toBeLessThan(bright.light.scorches);
    expect(taxon.light.peakPpfd).toBeLessThan(bright.light.peakPpfd);
  });

  it('ask moving air for felted leaves, moister air for mounted and thin ones, drier for thick', () => {
    expect(withTraits(shade, ['felted']).taxon.care.air).toBe('gentle');
    const from = (trait: (typeof TRAITS)[number]) => withTraits(shade, [trait]).taxon.moisture.thrivesFrom;
    expect(from('mounted')).toBeGreaterThan(shade.moisture.thrivesFrom);
    expect(from('thin-leaved')).toBeGreaterThan(shade.moisture.thrivesFrom);
    expect(from('thick-leaved')).toBeLessThan(shade.moisture.thrivesFrom);
  });

  it('name traits that cannot hold together, both ways', () => {
    for (const trait of TRAITS)
      for (const other of TRAIT_RULES[trait].not) expect(TRAIT_RULES[other].not).toContain(trait);
  });
});

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

  it('is put off by buds and flowers, and not asked of the young or the weak', () => {
    for (const stage of ['in-bud', 'in-bloom', 'seedling', 'cutting', 'just-arrived'] as const)
      expect(new Set(phases({ stage }))).toEqual(new Set(['growing']));
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
    expect([1, 2].map((number) => month(early, number))).toEqual(['growing', 'growing']);
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
    expect(targets[5]!.day.maxH).toBeGreaterThanOrEqual(18);
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
