import fc from 'fast-check';
import { calibrationOf, type Compared } from './reading';

const reading = (ratio: number, given: Partial<Compared> = {}): Compared => ({
  readingId: `r${ratio}`,
  ratio,
  doubt: 0.1,
  nearness: 1,
  ...given,
});

describe('readings', () => {
  it('none corrects nothing', () => {
    expect(calibrationOf([])).toBeNull();
    expect(calibrationOf([reading(2, { nearness: 0 })])).toBeNull();
  });

  it('one brings the model most of the way, a surer one farther', () => {
    const sure = calibrationOf([reading(1.5, { doubt: 0.08 })])!.factor;
    const unsure = calibrationOf([reading(1.5, { doubt: 0.5 })])!.factor;
    expect(sure).toBeGreaterThan(1.45);
    expect(sure).toBeLessThan(1.5);
    expect(unsure).toBeGreaterThan(1);
    expect(unsure).toBeLessThan(1.25);
  });

  it('at a neighbour counts less', () => {
    expect(calibrationOf([reading(1.5, { nearness: 0.2 })])!.factor).toBeLessThan(
      calibrationOf([reading(1.5)])!.factor,
    );
  });

  it('together have a smaller doubt, their spread told, and their order does not matter', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0.5, max: 2, noNaN: true }), { minLength: 2, maxLength: 6 }), (ratios) => {
        const list = ratios.map((ratio) => reading(ratio));
        const all = calibrationOf(list)!;
        expect(all.doubt).toBeLessThan(calibrationOf(list.slice(0, 1))!.doubt);
        expect(all.spread).not.toBeNull();
        expect(calibrationOf([...list].reverse())!.factor).toBeCloseTo(all.factor, 9);
        expect(all.factor).toBeGreaterThanOrEqual(Math.min(1, ...ratios) - 1e-9);
        expect(all.factor).toBeLessThanOrEqual(Math.max(1, ...ratios) + 1e-9);
      }),
    );
  });

  it('that stand out are named and still count', () => {
    const steady = [reading(1.1), reading(1.12), reading(1.09)];
    const odd = calibrationOf([...steady, reading(3)])!;
    expect(odd.readings.filter((entry) => entry.outlier === 'yes').map((entry) => entry.ratio)).toEqual([3]);
    expect(odd.factor).toBeGreaterThan(calibrationOf(steady)!.factor);
  });

  it('that cannot be are held within limits', () => {
    expect(calibrationOf([reading(5000), reading(4000)])!.factor).toBe(3.3);
  });
});
