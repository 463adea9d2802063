/** What traits seen on a plant shift, as facts. */
import fc from 'fast-check';
import { TRAITS } from '../facts';
import { shade } from '../home/small-home.fixture';
import { wrongOrder } from '../taxon';
import { bright, rester } from './plants.fixture';
import { TRAIT_RULES, withTraits } from './traits';

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

  it('make a variegated plant of the shade want more light than its plain sister, and any burn sooner', () => {
    for (const plain of [shade, bright]) {
      const { light } = withTraits(plain, ['variegated']).taxon;
      expect(light.thrivesTo).toBeLessThan(plain.light.thrivesTo);
      expect(light.scorches).toBeLessThan(plain.light.scorches);
      expect(light.peakPpfd).toBeLessThan(plain.light.peakPpfd);
    }
    expect(withTraits(shade, ['variegated']).taxon.light.thrivesFrom).toBeGreaterThan(shade.light.thrivesFrom);
    expect(withTraits(bright, ['variegated']).taxon.light.thrivesFrom).toBe(bright.light.thrivesFrom);
  });

  it('let dark leaves bear less light, and a wax or wool coat more', () => {
    expect(withTraits(bright, ['dark-leaved']).taxon.light.peakPpfd).toBeLessThan(bright.light.peakPpfd);
    expect(withTraits(shade, ['silvered']).taxon.light.peakPpfd).toBeGreaterThan(shade.light.peakPpfd);
  });

  it('that the whole kind shows are in its figures already, and not counted again', () => {
    const storing = {
      ...shade,
      care: { ...shade.care, waterAtShare: 0.05 },
      moisture: { ...shade.moisture, survives: 15 },
    };
    const sunny = { ...bright, light: { ...bright.light, peakPpfd: 1600 } };
    const furry = { ...shade, water: { ...shade.water, wetLeaves: 'never' as const } };
    for (const [taxon, trait] of [
      [storing, 'thick-leaved'],
      [sunny, 'silvered'],
      [furry, 'felted'],
    ] as const) {
      const seen = withTraits(taxon, [trait]);
      expect(seen.taxon).toEqual(taxon);
      expect(seen.rules.join()).toMatch(/already/);
    }
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
