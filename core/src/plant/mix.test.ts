/** A hybrid's needs from its parents', as facts. */
import fc from 'fast-check';
import { shade } from '../home/small-home.fixture';
import { FIGURE_KEYS, figureOf, wrongOrder, type Taxon } from '../taxon';
import { mixOf } from './mix';
import { bright, rester, shortDay } from './plants.fixture';

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
        expect(mixed.warmth.lowest).toBeGreaterThanOrEqual(Math.min(rester.warmth.lowest, bright.warmth.lowest));
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
    for (const key of FIGURE_KEYS)
      expect(figureOf(one, key)).toBeCloseTo((figureOf(shade, key) + figureOf(bright, key)) / 2, 9);
    expect(other).toEqual(one);
  });

  it('is as tender, and its water must be as pure, as any parent of a quarter or more asks', () => {
    const tender: Taxon = {
      ...bright,
      id: 'tender',
      warmth: { ...bright.warmth, lowest: 14 },
      water: { ...bright.water, mostDissolvedPpm: 60, minds: ['lime'], wetLeaves: 'never' },
    };
    const of = (share: number) =>
      mixOf(
        [
          { taxon: shade, share: 1 - share },
          { taxon: tender, share },
        ],
        'H',
        'h',
      );
    expect(of(0.3).warmth.lowest).toBe(14);
    expect(of(0.3).water).toMatchObject({ mostDissolvedPpm: 60, minds: ['lime'], wetLeaves: 'never' });
    expect(of(0.1).warmth.lowest).toBeCloseTo(10.4, 9);
    expect(of(0.1).water.minds).toEqual([]);
  });

  it('half of which never rests is not left dry, and two different rests do not run into one', () => {
    const even = (taxon: Taxon, other: Taxon) =>
      mixOf(
        [
          { taxon, share: 0.5 },
          { taxon: other, share: 0.5 },
        ],
        'H',
        'h',
      ).rest;
    expect(even(rester, bright)).toMatchObject({ months: [1, 2, 11, 12], water: 'less', isObligate: false });
    const summer: Taxon = { ...rester, id: 'summer', rest: { ...rester.rest, months: [2, 6, 7] } };
    expect(even(rester, summer).months).toEqual([2]);
    expect(even(summer, rester)).toEqual(even(rester, summer));
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
