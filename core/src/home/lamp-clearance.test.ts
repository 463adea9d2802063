/** A plant that grows into its lamp is noticed, and none that stands beside or under it. */
import { doubtsOf } from './doubts';
import { lampsTouched } from './lamp-clearance';
import { smallHome } from './small-home.fixture';

const [lamp] = smallHome.lamps;
const [first] = smallHome.plants;
const at = (heightCm: number | null, spotId: string | null = 'dim') => ({
  ...smallHome,
  plants: [{ ...first!, name: 'Tall one', heightCm, spotId }],
});
const lampCm = lamp!.aboveM * 100;

describe('a plant under a lamp', () => {
  it('stands into it from its height on', () => {
    expect(lampsTouched(at(lampCm - 3))).toEqual([]);
    const [touched] = lampsTouched(at(lampCm + 5));
    expect(touched!.lamp.id).toBe(lamp!.id);
    expect(touched!.overM).toBeCloseTo(0.05, 9);
  });

  it('does not while its height is not known, nor on another stand, nor on no spot', () => {
    expect(lampsTouched(at(null))).toEqual([]);
    expect(lampsTouched(at(lampCm + 5, 'bright'))).toEqual([]);
    expect(lampsTouched(at(lampCm + 5, null))).toEqual([]);
  });

  it('is doubted beside the height that is being changed', () => {
    const plant = { ...first!, name: 'Tall one', heightCm: lampCm + 5, spotId: 'dim' };
    expect(doubtsOf(smallHome, 'plants', plant)).toMatchObject([{ field: 'heightCm' }]);
    expect(doubtsOf(at(30), 'lamps', { ...lamp!, aboveM: 0.25 })).toMatchObject([{ field: 'aboveM' }]);
    expect(doubtsOf(at(10), 'lamps', { ...lamp!, aboveM: 0.25 })).toEqual([]);
  });
});
