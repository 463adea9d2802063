import type { HomeFacts, Lamp } from '../facts';
import { doubtsOf } from './doubts';
import { smallHome } from './small-home.fixture';

const lamp = (given: Partial<Lamp>) => ({
  ...smallHome.lamps[0]!,
  ratedBy: 'ppf' as const,
  ppf: 40,
  powerW: 20,
  ...given,
});
const fields = (facts: HomeFacts, list: 'lamps' | 'stands' | 'spots', entry: object) =>
  doubtsOf(facts, list, entry as never).map(({ field }) => field);

describe('what is most often a slip', () => {
  it.each<[string, Partial<Lamp>, string[]]>([
    ['a usual lamp', {}, []],
    ['5000 µmol/s from 0.1 W', { ppf: 5000, powerW: 0.1 }, ['ppf']],
    ['1 µmol/s from 100 W', { ppf: 1, powerW: 100 }, ['ppf']],
    ['80,000 lumens from 8 W', { ratedBy: 'lumens', lumens: 80_000, powerW: 8 }, ['lumens']],
    ['800 lumens from 8 W', { ratedBy: 'lumens', lumens: 800, powerW: 8 }, []],
    ['watts alone, whatever the photons say', { ratedBy: 'watts', ppf: 5000 }, []],
  ])('of %s', (_what, given, doubted) => {
    expect(fields(smallHome, 'lamps', lamp(given))).toEqual(doubted);
  });

  it('two stands in one place, but not the same stand, nor one beside it', () => {
    const [stand] = smallHome.stands;
    expect(fields(smallHome, 'stands', stand!)).toEqual([]);
    expect(fields(smallHome, 'stands', { ...stand, id: 'twin' })).toEqual(['xM']);
    expect(fields(smallHome, 'stands', { ...stand, id: 'beside', xM: stand!.xM + stand!.widthM })).toEqual([]);
  });

  it('two spots in one place', () => {
    const [spot] = smallHome.spots;
    expect(fields(smallHome, 'spots', spot!)).toEqual([]);
    expect(fields(smallHome, 'spots', { ...spot, id: 'twin' })).toEqual(['alongM']);
    expect(doubtsOf(smallHome, 'spots', { ...spot!, id: 'twin' })[0]!.message).toContain(spot!.name);
  });
});
