import fc from 'fast-check';
import { taxa, taxonFinder } from './index';
import names from '../reference/names.json';
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

  it.each([
    ['dumb cane', 'dieffenbachia-seguine'],
    ['sago palm', 'cycas-revoluta'],
    ['Echinocactus', 'echinocactus-grusonii'],
    ['strelitzia', 'strelitzia-nicolai'],
    ['phala', 'phalaenopsis-hybrid'],
    ['Saraccenia purpurea', 'sarracenia-purpurea'],
    ['wandering jew', 'tradescantia-zebrina'],
    ['ficus alii', 'ficus-binnendijkii'],
    ['Geigenfeige', 'ficus-lyrata'],
    ['palmier nain chamaedorea', 'chamaedorea-elegans'],
    ['rosario', 'curio-rowleyanus'],
    ['comigo-ninguém-pode', 'dieffenbachia-seguine'],
    ['lingua di suocera', 'dracaena-trifasciata'],
    ['vingersboom', 'schefflera-arboricola'],
  ])('%s finds %s first', (typed, wanted) => {
    expect(first3(typed)[0]).toBe(wanted);
  });

  it('shows nothing that has little to do with what was typed beside what fits', () => {
    expect(finder.find('haraella').map(({ id }) => id)).toEqual(['gastrochilus-retrocalla']);
  });

  it('puts a grower’s own taxon beside the catalogue’s', () => {
    const own = { id: 'own-1', name: 'Hoya Lisbeth', common: ['my wax plant'], synonyms: [], cultivars: [] };
    expect(taxonFinder([...taxa, own]).find('lisbeth', 1)).toEqual([own]);
  });

  it('tells numbers apart by every figure, among two thousand', () => {
    const numbered = Array.from({ length: 2000 }, (_, i) => ({
      id: `own-${i}`,
      name: `Seedling number ${i}`,
      common: [],
      synonyms: [],
      cultivars: [],
    }));
    const among = taxonFinder([...taxa, ...numbered]);
    for (const i of [7, 119, 1111, 1999])
      expect(among.find(`seedling number ${i}`, 1).map(({ id }) => id)).toEqual([`own-${i}`]);
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

describe('what growers type, held against knowledgeable growers (reference/names.json)', () => {
  const { about, cases } = names;
  const sameAs = (name: string) => [name, ...about.equivalents.filter((list) => list.includes(name)).flat()];
  const bare = (name: string) => name.replace(/['‘’]/g, '');
  const genus = (name: string) => name.replace('× ', '').split(' ')[0]!;
  const isRight = ({ name }: { readonly name: string }, { expect: wanted }: (typeof cases)[number]) =>
    wanted
      .flatMap(sameAs)
      .some((right) => (right.includes(' ') ? `${bare(name)} `.startsWith(`${bare(right)} `) : genus(name) === right));
  const held = cases.filter((one) => taxa.some((taxon) => isRight(taxon, one)));
  const found = (places: number) =>
    held.filter((one) => finder.find(one.query, places).some((taxon) => isRight(taxon, one))).length / held.length;

  it('has the plant of at least 95 in 100', () => {
    expect(cases.length).toBeGreaterThanOrEqual(240);
    expect(held.length / cases.length).toBeGreaterThanOrEqual(0.95);
  });

  it('shows a right one first for at least 85 in 100, and among three for 96', () => {
    expect(found(1)).toBeGreaterThanOrEqual(0.85);
    expect(found(3)).toBeGreaterThanOrEqual(0.96);
  });
});
