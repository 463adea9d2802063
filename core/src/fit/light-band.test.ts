import fc from 'fast-check';
import { shade } from '../home/small-home.fixture';
import { LIGHT_BANDS, lightBand } from './light-band';

describe('the light of a month', () => {
  it.each([
    [0.5, 50, 'fades'],
    [2, 100, 'survives'],
    [5, 200, 'thrives'],
    [10, 250, 'bears'],
    [14, 280, 'scorches'],
    [5, 900, 'scorches'],
  ] as const)('of %d mol a day and %d at its brightest %s', (dli, peakPpfd, band) => {
    expect(lightBand(shade.light, { dli, peakPpfd })).toBe(band);
  });

  it('never falls to a lower band with more light', () => {
    const amount = fc.double({ min: 0, max: 60, noNaN: true });
    fc.assert(
      fc.property(amount, amount, (one, other) => {
        const [less, more] = one < other ? [one, other] : [other, one];
        const rank = (dli: number) => LIGHT_BANDS.indexOf(lightBand(shade.light, { dli, peakPpfd: 20 * dli }));
        expect(rank(less)).toBeLessThanOrEqual(rank(more));
      }),
    );
  });
});
