/** Worth of verdicts, sizes of pots, and which light a spot has under its timers. */
import fc from 'fast-check';
import { PLAIN_TIMER, type Plant } from '../facts';
import { ALL_MONTHS } from '../units';
import { heightClass } from './heights';
import { combinations, wayIn } from './light-under';
import { ASSUMED_POT_CM, potWeightG, potWidthCm, spotWidthCm, spreadCm } from './pot-size';
import { timerMenu } from './timer-menu';
import { verdictOfWorth, worthOfVerdict } from './worth';

const share = fc.double({ min: 0, max: 1, noNaN: true });

describe('worth of a verdict', () => {
  it('is all for a whole verdict and nothing for none, and never falls', () => {
    expect(worthOfVerdict(0)).toBe(0);
    expect(worthOfVerdict(1)).toBeCloseTo(1, 9);
    fc.assert(
      fc.property(share, share, (p, q) => {
        expect(Math.sign(worthOfVerdict(p) - worthOfVerdict(q)) * Math.sign(p - q)).toBeGreaterThanOrEqual(0);
      }),
    );
  });

  it('counts a point between life and death for more than one between good and best', () => {
    const gain = (from: number) => worthOfVerdict(from + 0.05) - worthOfVerdict(from);
    expect(gain(0.1)).toBeGreaterThan(gain(0.55));
    expect(gain(0.55)).toBeGreaterThan(gain(0.9));
  });

  it('is read back as the verdict it was of', () => {
    fc.assert(fc.property(share, (score) => expect(verdictOfWorth(worthOfVerdict(score))).toBeCloseTo(score, 9)));
  });
});

describe('the size of a pot', () => {
  it('is taken as middling where it was not said', () => {
    expect(potWidthCm({ potCm: null })).toBe(ASSUMED_POT_CM);
    expect(potWeightG({ potCm: null, heightCm: null })).toBe(potWeightG({ potCm: ASSUMED_POT_CM, heightCm: 20 }));
  });

  it('weighs as a watered pot does: some 1.4 kg of 12 cm, some 11 kg of 24 cm', () => {
    expect(potWeightG({ potCm: 12, heightCm: 0 })).toBeGreaterThan(1200);
    expect(potWeightG({ potCm: 12, heightCm: 0 })).toBeLessThan(1600);
    expect(potWeightG({ potCm: 24, heightCm: 0 }) / potWeightG({ potCm: 12, heightCm: 0 })).toBeCloseTo(8, 1);
  });

  it('spreads as wide as it is tall, and never less than its pot', () => {
    expect(spreadCm({ potCm: 12, heightCm: 40 })).toBe(40);
    expect(spreadCm({ potCm: 18, heightCm: 5 })).toBe(18);
  });

  it('leaves a spot at least as wide as what stands there', () => {
    const plant = (potCm: number, heightCm: number) => ({ potCm, heightCm }) as Plant;
    expect(spotWidthCm({ sizeM: 0.2 }, [])).toBe(20);
    expect(spotWidthCm({ sizeM: 0.2 }, [plant(26, 10)])).toBe(26);
    expect(spotWidthCm({ sizeM: 0.2 }, [plant(12, 15), plant(12, 60)])).toBe(35);
  });
});

describe('light under timers', () => {
  it('goes through all combinations, the last fastest; without a timer there is one', () => {
    expect(combinations([])).toEqual([[]]);
    expect(combinations([2, 3])).toEqual([
      [0, 0],
      [0, 1],
      [0, 2],
      [1, 0],
      [1, 1],
      [1, 2],
    ]);
  });

  it('numbers ways as the combinations stand', () => {
    const timer = { homeId: 'h', onMinute: 480, offMinute: 960, months: [...ALL_MONTHS], ...PLAIN_TIMER };
    const menus = ['p', 'q'].map((id) => timerMenu({ ...timer, id, name: id }, 50));
    const counts = menus.map(({ ways }) => ways.length);
    combinations(counts).forEach((ways, at) => {
      const years = ways.map((way) => ALL_MONTHS.map(() => way));
      expect(wayIn({ timers: [0, 1] }, menus, years, 5)).toBe(at);
    });
    expect(wayIn({ timers: [] }, menus, [], 0)).toBe(0);
  });
});

it('plants are as high as one of two classes; of unknown height as a low one', () => {
  expect([5, 26, 27, 200].map((heightCm) => heightClass({ heightCm }))).toEqual([0, 0, 1, 1]);
  expect(heightClass({ heightCm: null })).toBe(0);
});
