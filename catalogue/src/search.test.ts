import fc from 'fast-check';
import { taxa, taxonFinder } from './index';
import misspellings from './misspellings.fixture.json';

const finder = taxonFinder(taxa);
const first3 = (typed: string) => finder.find(typed, 3).map((taxon) => taxon.id);

describe('search that forgives', () => {
  it.each([
    ['spathifilum', 'spathiphyllum-wallisii'],
    ['falenopsis', 'phalaenopsis-hybrid'],
    ['Sansevieria', 'dracaena-trifasciata'],
    ['saintpaulia', 'streptocarpus-ionanthus'],
    ['christmass cactus', 'schlumbergera-russelliana-hybrid'],
    ['snake plnat', 'dracaena-trifasciata'],
    ['nefrolepis', 'nephrolepis-exaltata'],
    ['zz', 'zamioculcas-zamiifolia'],
    ['kentya', 'howea-forsteriana'],
    ['african viol', 'streptocarpus-ionanthus'],
    ['Calathea orbifolia', 'goeppertia-orbifolia'],
    ['monstéra deliziosa', 'monstera-deliciosa'],
    ['dracena marginata', 'dracaena-reflexa-angustifolia'],
    ['Zygocactus', 'schlumbergera-truncata'],
    ['Pink Princess', 'philodendron-erubescens'],
    ['mother in laws tongue', 'dracaena-trifasciata'],
    ['jadeplant', 'crassula-ovata'],
  ])('%s finds %s among the first three', (typed, wanted) => {
    expect(first3(typed)).toContain(wanted);
  });

  it('finds the right taxon among the first three for at least 95 % of 200 misspellings', () => {
    expect(misspellings).toHaveLength(200);
    const missed = misspellings.filter(({ typed, wanted }) => !first3(typed).includes(wanted));
    expect(missed.length).toBeLessThanOrEqual(10);
  });

  it('finds each taxon by its own name first, unless another bears it too', () => {
    const lost = taxa.filter((taxon) => !first3(taxon.name).includes(taxon.id));
    expect(lost.map((taxon) => taxon.name)).toEqual([]);
  });

  it('finds nothing for nothing and survives anything typed', () => {
    expect(finder.find('')).toEqual([]);
    expect(finder.find('x'.repeat(10_000)).length).toBeLessThanOrEqual(12);
    fc.assert(fc.property(fc.string({ maxLength: 200 }), (text) => finder.find(text).length <= 12));
  });
});
