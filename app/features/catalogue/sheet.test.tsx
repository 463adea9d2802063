/** What a taxon's sheet says for a person. */
import { knowledge } from '@dulvan/catalogue';
import type { Condition, Target } from '@dulvan/core';
import { yearTargets } from '@dulvan/core';
import { screen } from '@testing-library/react-native';
import { open, showHome } from '../../testing/shown-home';
import { bandsWords, bestFirst, spotBands } from './light-here';
import { TaxonScreen } from './taxon-screen';
import { doesNotForgive, forgives } from './temper';

const taxon = (id: string) => knowledge.taxon(id)!;
const targetsOf = (id: string): Target[] =>
  yearTargets({ stage: 'adult', growthState: 'by-season' }, taxon(id), { latitude: 56, school: null, aim: 'whole' });

const spot = (spotId: string, dlis: readonly number[]) => ({
  spotId,
  conditions: dlis.map((dli, i) => ({ month: i + 1, dli, peakPpfd: 20 * dli }) as Condition),
});

describe('light in this home', () => {
  const winterDim = [1, 2, 5, 6, 7, 7, 7, 7, 6, 5, 2, 1];
  const targets = targetsOf('chamaedorea-elegans');

  it('is told in runs of months', () => {
    expect(bandsWords(spotBands(spot('sill', winterDim), targets))).toBe(
      'thrives March to October; survives November to February',
    );
    expect(bandsWords(spotBands(spot('dark', Array<number>(12).fill(0.2)), targets))).toBe(
      'too dim to live on all year',
    );
  });

  it('puts the spot first where it thrives longest and nothing burns', () => {
    const spots = [
      spot('dark', Array<number>(12).fill(0.3)),
      spot('sill', winterDim),
      spot('glass', Array<number>(12).fill(30)),
    ];
    expect(bestFirst(spots.map((one) => spotBands(one, targets)))[0]!.spotId).toBe('sill');
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
    for (const heading of ['Its light', 'Water', 'Bloom', 'Increase', 'Handling'])
      expect(screen.getByText(heading)).toBeTruthy();
    expect(screen.getByText(/At most 200 ppm dissolved in its water; it minds salts/)).toBeTruthy();
    expect(screen.getByText(/leaf cuttings, division and seed/)).toBeTruthy();
    expect(screen.getByText(/Usambaraveilchen \(German\)/)).toBeTruthy();
  });

  it('says that a plant which dies without its rest is not kept from it', async () => {
    showHome();
    await open(<TaxonScreen taxonId="dionaea-muscipula" />);
    expect(screen.getByText(/does not forgive.*a year without its rest/)).toBeTruthy();
  });
});
