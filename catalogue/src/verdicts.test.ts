/** Verdicts of catalogued plants on six stated spots, held against the judgement of growers (reference/verdicts.json). */
import { flowersOf, verdictOf, yearTargets, type Verdict } from '@dulvan/core';
import reference from '../reference/verdicts.json';
import { knowledge, taxa } from './index';
import { JUDGED_SPOTS, judgedYear, type JudgedSpot } from './judged-spots.fixture';

const ways = { latitude: 50, school: null, aim: 'whole' } as const;
const NAMED: Readonly<Record<string, string>> = {
  'Paphiopedilum Maudiae type': 'paphiopedilum-maudiae-hybrid',
  'Nepenthes ventrata': 'nepenthes-ventrata',
};
const taxonOf = (name: string) => taxa.find((taxon) => taxon.name === name) ?? knowledge.taxon(NAMED[name]!)!;
const NOVEMBER = 11;

const targetsOf = (name: string) => yearTargets({ stage: 'adult', growthState: 'by-season' }, taxonOf(name), ways);
const verdictAt = (name: string, spot: JudgedSpot): Verdict => verdictOf(targetsOf(name), judgedYear(spot), NOVEMBER);
const pointsAt = (name: string, spot: JudgedSpot): number => 100 * verdictAt(name, spot).score;

/** Where the reference parts its classes. */
const CLASS_FROM = [25, 40, 50, 75] as const;
const classOf = (points: number) => CLASS_FROM.filter((from) => points >= from).length;
const NEAR_POINTS = 12;

const cells = reference.cases.flatMap(({ taxon, judged }) =>
  JUDGED_SPOTS.flatMap((spot) => {
    const { score } = judged[spot];
    return score === null ? [] : [{ taxon, spot, judged: score }];
  }),
);
const isMet = ({ taxon, spot, judged }: (typeof cells)[number]) => {
  const points = pointsAt(taxon, spot);
  return classOf(points) === classOf(judged) || Math.abs(points - judged) <= NEAR_POINTS;
};

describe('the judgement of growers', () => {
  it('is met in its class or within twelve points in 85 of 100 cells', () => {
    expect(cells).toHaveLength(65);
    expect(cells.filter(isMet).length / cells.length).toBeGreaterThanOrEqual(0.85);
  });

  const ORDERS = reference.orders.map(([taxon, order]) => ({ taxon: taxon!, order: order! }));

  it.each(ORDERS.filter(({ order }) => !order.startsWith('flowers')))(
    'is kept in its order: $taxon, $order',
    ({ taxon, order }) => {
      const spots = order.split(/>=?/) as JudgedSpot[];
      const signs = order.match(/>=?/g)!;
      signs.forEach((sign, i) => {
        const [better, worse] = [pointsAt(taxon, spots[i]!), pointsAt(taxon, spots[i + 1]!)];
        if (sign === '>') expect(better).toBeGreaterThan(worse);
        else expect(better).toBeGreaterThanOrEqual(worse);
      });
    },
  );

  const LIKELY = ['no', 'unlikely', 'yes'];

  it.each(ORDERS.filter(({ order }) => order.startsWith('flowers')))(
    'is kept for $order of $taxon',
    ({ taxon, order }) => {
      const [better, worse] = order.replace('flowers: ', '').split('>') as [JudgedSpot, JudgedSpot];
      const likely = (spot: JudgedSpot) =>
        LIKELY.indexOf(flowersOf(targetsOf(taxon), judgedYear(spot), verdictAt(taxon, spot))!.likely);
      expect(likely(better)).toBeGreaterThan(likely(worse));
    },
  );
});

describe('what growers know of whole groups', () => {
  it('is that a green plant without buds is well: a kalanchoe in days of 14 hours grows and does not bloom', () => {
    const verdict = verdictAt('Kalanchoe blossfeldiana', 'rack');
    expect(verdict.score).toBeGreaterThanOrEqual(0.9);
    expect(flowersOf(targetsOf('Kalanchoe blossfeldiana'), judgedYear('rack'), verdict)).toMatchObject({
      likely: 'no',
      lacks: [{ lack: 'long-nights' }],
    });
  });

  it('is that what needs a cold winter weakens without one, however bright its summer', () => {
    const flytrap = verdictAt('Dionaea muscipula', 'sill');
    expect(flytrap.score).toBeLessThanOrEqual(0.45);
    const cold = judgedYear('sill').map((month) =>
      [11, 12, 1, 2].includes(month.month)
        ? { ...month, air: { ...month.air, dayC: 8, nightC: 4 }, coldNightC: 2, hotDayC: 11 }
        : month,
    );
    expect(verdictOf(targetsOf('Dionaea muscipula'), cold, NOVEMBER).parts.winter).toBe(1);
  });

  it('is that a cooler dim winter is kinder than a warm one', () => {
    const winter = (kelvin: number) =>
      judgedYear('dim').map((month) => ({
        ...month,
        air: { ...month.air, dayC: month.air.dayC - kelvin, nightC: month.air.nightC - kelvin },
      }));
    for (const { taxon } of reference.cases) {
      const weeks = (kelvin: number) => verdictOf(targetsOf(taxon), winter(kelvin), NOVEMBER).weeks ?? Infinity;
      expect(weeks(6)).toBeGreaterThanOrEqual(weeks(0));
    }
  });

  it('is that a resting plant is not asked for summer’s light: all that sleep without leaves grow as well in the dark then', () => {
    const sleepers = taxa.filter(({ rest }) => rest.months.length >= 2 && rest.lightShare <= 0.3);
    expect(sleepers.length).toBeGreaterThan(10);
    for (const taxon of sleepers) {
      const targets = yearTargets({ stage: 'adult', growthState: 'by-season' }, taxon, { ...ways, school: 'hard' });
      const bright = judgedYear('rack');
      const darkened = bright.map((month, i) => (targets[i]!.phase === 'resting' ? { ...month, dli: 0.1 } : month));
      expect(verdictOf(targets, darkened, NOVEMBER).parts.slow).toBeCloseTo(
        verdictOf(targets, bright, NOVEMBER).parts.slow,
        9,
      );
    }
  });

  it('is that more light never shortens a life in the shade, for any plant of the catalogue', () => {
    const shaded = (dli: number) => judgedYear('deep').map((month) => ({ ...month, dli, dliPoorYear: dli }));
    for (const taxon of taxa) {
      const targets = yearTargets({ stage: 'adult', growthState: 'by-season' }, taxon, ways);
      let before = 0;
      for (const dli of [0.05, 0.2, 0.5, 1, 2, 3]) {
        const weeks = verdictOf(targets, shaded(dli), NOVEMBER).weeks ?? Infinity;
        expect(weeks).toBeGreaterThanOrEqual(before);
        before = weeks;
      }
    }
  });
});
