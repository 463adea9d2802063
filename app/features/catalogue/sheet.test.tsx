/** What a taxon's sheet says for a person. */
import { knowledge } from '@dulvan/catalogue';
import { screen } from '@testing-library/react-native';
import { open, showHome, wordsIn } from '../../testing/shown-home';
import { TaxonScreen } from './taxon-screen';
import { doesNotForgive, forgives } from './temper';

const taxon = (id: string) => knowledge.taxon(id)!;
describe('light in this home', () => {
  it('names the spots on which it would do best, on the scale of all verdicts', async () => {
    showHome();
    await open(<TaxonScreen taxonId="spathiphyllum-wallisii" />);
    expect(screen.getByText(/^Of your 4 spots it would grow well on/)).toBeTruthy();
    const told = screen.getAllByText(/ · \d+ %$/).map((line) => Number(/(\d+)\s%$/.exec(wordsIn(line))![1]));
    expect(told).toHaveLength(4);
    expect(told).toEqual([...told].sort((p, q) => q - p));
  });
});

describe('what it forgives', () => {
  it.each([
    ['dracaena-trifasciata', 'weeks without water', 'a pot that stays wet'],
    ['zamioculcas-zamiifolia', 'a dim corner for some months', 'a pot that stays wet'],
    ['adiantum-raddianum', null, 'a pot that dries out'],
    ['goeppertia-orbifolia', null, 'hard or salty water'],
    ['dionaea-muscipula', 'a cold night', 'a year without its rest'],
    ['sempervivum-tectorum', 'a cold night', 'winters without cold'],
    ['sedum-morganianum', 'weeks without water', 'being knocked: it breaks'],
  ] as const)('of %s: %s, not %s', (id, mild, hard) => {
    if (mild) expect(forgives(taxon(id))).toContain(mild);
    expect(doesNotForgive(taxon(id))).toContain(hard);
  });

  it('is never told of the same thing both ways', () => {
    for (const id of ['dracaena-trifasciata', 'goeppertia-orbifolia', 'aeonium-arboreum', 'nerium-oleander'])
      expect(forgives(taxon(id)).filter((words) => doesNotForgive(taxon(id)).includes(words))).toEqual([]);
  });
});

describe('the sheet', () => {
  it('puts cautions before what decides success, and tells water, bloom, increase and handling', async () => {
    showHome();
    await open(<TaxonScreen taxonId="streptocarpus-ionanthus" />);
    expect(screen.getByText('What decides success')).toBeTruthy();
    for (const heading of ['Its light', 'Water', 'Bloom', 'Propagation', 'Handling'])
      expect(screen.getByText(heading)).toBeTruthy();
    expect(screen.getByText(/At most 200 ppm dissolved in its water; it dislikes salts/)).toBeTruthy();
    expect(screen.getByText(/leaf cuttings, division and seed/)).toBeTruthy();
    expect(screen.getByText(/Usambaraveilchen \(German\)/)).toBeTruthy();
  });

  it('says that a plant which dies without its rest is not kept from it', async () => {
    showHome();
    await open(<TaxonScreen taxonId="dionaea-muscipula" />);
    expect(screen.getByText(/does not forgive.*a year without its rest/)).toBeTruthy();
  });
});
