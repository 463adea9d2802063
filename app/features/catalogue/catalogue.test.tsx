/** The catalogue on screen: chosen by need, corrected, set side by side, known without a label. */
import { knowledge, taxa } from '@dulvan/catalogue';
import { knownPlant } from '@dulvan/core';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { useDrafts } from '../../state/drafts';
import { useHome } from '../../state/home';
import { useSettings } from '../../state/settings';
import { went } from '../../testing/router.mock';
import { caught, entryPut, open, settled, showHome, shownHome, withRole, wordsIn } from '../../testing/shown-home';
import { CatalogueScreen } from './catalogue-screen';
import { CompareScreen } from './compare-screen';
import { FiguresTable, figureWords } from '../../parts/figures-table';
import { KnowledgeScreen } from './knowledge-screen';
import { filterOf, suits } from './need-filter';
import { NoLabelScreen } from './no-label-screen';
import { OwnTaxonScreen } from './own-taxon';
import { TaxonScreen } from './taxon-screen';

const correction = {
  id: 'k',
  homeId: 'h',
  taxonId: 'aloe-vera',
  plantId: null,
  figure: 'light.thrivesFrom' as const,
  value: 9,
  reason: 'Leans below this',
  on: '2026-02-01',
};
const own = { id: 'own-1', homeId: 'h', name: 'Aloe of mine', common: [], synonyms: [], basedOn: 'aloe-vera', key: '' };

beforeEach(() => {
  showHome();
  went.length = 0;
  useDrafts.setState({ drafts: {} });
});

describe('choosing by need', () => {
  it('means thriving in all of what is on offer, and takes harm that is not known for harm', () => {
    const filter = filterOf({ light: '3-6', humidity: '60-80', harmless: 'cats' });
    const chosen = taxa.filter((taxon) => suits(taxon, filter));
    expect(chosen.length).toBeGreaterThan(3);
    for (const { light, moisture, hazard } of chosen) {
      expect(light.thrivesFrom).toBeLessThanOrEqual(6);
      expect(light.thrivesTo).toBeGreaterThanOrEqual(3);
      expect(moisture.thrivesFrom).toBeLessThanOrEqual(80);
      expect(hazard.cats).toBe('none-known');
    }
    expect(suits({ ...chosen[0]!, hazard: { ...chosen[0]!.hazard, cats: 'unknown' } }, filter)).toBe(false);
  });

  it('leaves all taxa in where nothing was chosen', () => {
    expect(taxa.every((taxon) => suits(taxon, filterOf({})))).toBe(true);
    expect(filterOf({ light: 'nonsense', harmless: 'dragons' })).toMatchObject({ light: null, harmless: [] });
  });

  it('narrows the list on screen and can be cleared', async () => {
    await open(<CatalogueScreen />);
    fireEvent.press(screen.getByLabelText('Choose by need'));
    fireEvent.press(screen.getByLabelText('Frost'));
    const narrowed = taxa.filter((taxon) => taxon.warmth.lowest <= 0).length;
    expect(screen.getByTestId('taxon-count')).toHaveTextContent(`${narrowed} of ${taxa.length} taxa`);
    fireEvent.press(screen.getByLabelText('Clear the needs'));
    expect(screen.getByTestId('taxon-count')).toHaveTextContent(`${taxa.length} of ${taxa.length} taxa`);
  });

  it('says so when nothing comes near a name', async () => {
    await open(<CatalogueScreen />);
    fireEvent.changeText(screen.getByLabelText('Any name'), 'qqqqqqqqqqqq');
    expect(screen.getByText(/Nothing comes near “qqqqqqqqqqqq”/)).toBeTruthy();
  });
});

describe('a taxon’s sheet', () => {
  it('shows names, dangers and the year in stretches', async () => {
    await open(<TaxonScreen taxonId="schlumbergera-truncata" />);
    expect(screen.getByText('Thanksgiving cactus')).toBeTruthy();
    expect(screen.getByText(/Zygocactus truncatus/)).toBeTruthy();
    expect(withRole('listitem').map(wordsIn).join('|')).toContain('sets buds in long nights');
    expect(screen.getByText(/What breaks it: any lamp/)).toBeTruthy();
  });

  it('shows another school’s year without storing it', async () => {
    await open(<TaxonScreen taxonId="mammillaria-hahniana" />);
    expect(withRole('listitem').map(wordsIn).join('|')).toContain('rests');
    fireEvent.press(screen.getByLabelText('No rest'));
    expect(withRole('listitem').map(wordsIn).join('|')).not.toContain(': rests');
    expect(caught).toEqual([]);
  });

  it('refuses a figure that would cross another, and keeps what was typed', async () => {
    await open(<TaxonScreen taxonId="aloe-vera" />);
    fireEvent.press(screen.getByLabelText('Show, and correct'));
    fireEvent.press(screen.getByLabelText('Correct Light: thrives from'));
    fireEvent.changeText(screen.getByLabelText('Your figure, mol a day'), '39');
    fireEvent.changeText(screen.getByLabelText('Why'), 'A try');
    fireEvent.press(screen.getByLabelText('Keep this figure'));
    expect(screen.getByText(/It would cross “Light: thrives to”/)).toBeTruthy();
    expect(screen.getByLabelText('Your figure, mol a day').props.value).toBe('39');
    expect(caught).toEqual([]);
  });

  it('stores a correction with its reason and shows the difference', async () => {
    await open(<TaxonScreen taxonId="aloe-vera" />);
    fireEvent.press(screen.getByLabelText('Show, and correct'));
    fireEvent.press(screen.getByLabelText('Correct Light: thrives from'));
    fireEvent.changeText(screen.getByLabelText('Your figure, mol a day'), '9,5');
    fireEvent.changeText(screen.getByLabelText('Why'), 'Leans below this');
    fireEvent.press(screen.getByLabelText('Keep this figure'));
    await settled();
    expect(caught[0]!.changes[0]).toMatchObject({
      list: 'corrections',
      entry: {
        taxonId: 'aloe-vera',
        plantId: null,
        figure: 'light.thrivesFrom',
        value: 9.5,
        reason: 'Leans below this',
      },
    });
    expect(screen.getByText(/^yours; before/)).toBeTruthy();
  });

  it('withdraws a correction, and falls back to the catalogue', async () => {
    showHome({ ...shownHome, corrections: [correction] });
    await open(<TaxonScreen taxonId="aloe-vera" />);
    fireEvent.press(screen.getByLabelText('Show, and correct'));
    fireEvent.press(screen.getByLabelText('Withdraw the correction of Light: thrives from'));
    await settled();
    expect(useHome.getState().facts!.corrections).toEqual([]);
  });

  it('says when there is no such taxon', async () => {
    await open(<TaxonScreen taxonId="nobody" />);
    expect(screen.queryByText('Every figure')).toBeNull();
  });
});

describe('the figures of one plant', () => {
  it('say whose correction they follow: the taxon’s, or the plant’s own over it', async () => {
    const plant = shownHome.plants.find(({ taxonId }) => taxonId === 'aloe-vera')!;
    const facts = {
      ...shownHome,
      corrections: [
        correction,
        { ...correction, id: 'k2', taxonId: null, plantId: plant.id, figure: 'light.survives' as const, value: 3 },
      ],
    };
    showHome(facts);
    await open(
      <FiguresTable known={knownPlant(facts, plant, knowledge)!} taxonId={null} plantId={plant.id} name="Aloe" />,
    );
    expect(screen.getByText(/^yours for the whole taxon; before/)).toBeTruthy();
    expect(screen.getByText(/^yours; before/)).toBeTruthy();
    expect(screen.getByLabelText('Withdraw the correction of Light: survives from')).toBeTruthy();
    expect(screen.queryByLabelText('Withdraw the correction of Light: thrives from')).toBeNull();
  });
});

describe('side by side', () => {
  it('tells look-alikes apart and marks what differs', async () => {
    await open(<CompareScreen one="crassula-ovata" other="portulacaria-afra" />);
    expect(screen.getByText(/Red-brown stems/)).toBeTruthy();
    expect(screen.getByText('⚠ With care')).toBeTruthy();
    const rows = withRole('row').map(wordsIn);
    expect(rows.some((row) => row.startsWith('◆'))).toBe(true);
    expect(rows.some((row) => row.startsWith('Light: thrives from'))).toBe(true);
  });

  it('asks for the other while there is none', async () => {
    await open(<CompareScreen one="crassula-ovata" other={null} />);
    fireEvent.changeText(screen.getByLabelText('The other'), 'aloe vera');
    fireEvent.press(screen.getByLabelText('aloe vera, Aloe vera'));
    expect(went).toEqual([{ other: 'aloe-vera' }]);
  });
});

describe('without a label', () => {
  it('names the likely group and hands its make-up on', async () => {
    await open(<NoLabelScreen />);
    expect(screen.getByText(/as soon as you have marked something/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Its shape: None'));
    fireEvent.press(screen.getByLabelText('Looks like a stone'));
    fireEvent.press(screen.getByLabelText('Done'));
    expect(screen.getByLabelText('Its shape: Looks like a stone')).toBeTruthy();
    expect(screen.getByText('Living stones')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Keep it under this for now'));
    expect(useDrafts.getState().drafts['plants/adding']).toMatchObject({ taxonId: 'group-living-stones' });
    expect(went).toEqual(['/plants/add']);
  });

  it('keeps the marks of one part of it when another is marked, until it is started over', async () => {
    await open(<NoLabelScreen />);
    fireEvent.press(screen.getByLabelText('Its leaves: None'));
    fireEvent.press(screen.getByLabelText('Patterned leaves'));
    fireEvent.press(screen.getByLabelText('Thin, soft leaves'));
    fireEvent.press(screen.getByLabelText('Done'));
    fireEvent.press(screen.getByLabelText('No roots at all'));
    expect(screen.getByLabelText('Its leaves: Thin, soft leaves, Patterned leaves')).toBeTruthy();
    expect(useDrafts.getState().drafts['catalogue/seen']!.seen!.split(',').sort()).toEqual(
      ['no-roots', 'patterned', 'thin-leaf'].sort(),
    );
    fireEvent.press(screen.getByLabelText('Start over'));
    expect(screen.getByLabelText('Its leaves: None')).toBeTruthy();
  });
});

describe('own taxa', () => {
  it('need a name and a beginning, and then stand in the home', async () => {
    await open(<OwnTaxonScreen taxonId={null} />);
    fireEvent.press(screen.getByLabelText('Add it to the catalogue'));
    await settled();
    expect(screen.getByText(/Give it a name/)).toBeTruthy();
    expect(screen.getByText(/Choose the taxon or group/)).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Its name'), 'Aloe of mine');
    fireEvent.press(screen.getByLabelText('A whole group'));
    fireEvent.press(screen.getByLabelText('Which group?: Choose'));
    fireEvent.press(screen.getByLabelText('Leaf succulents'));
    fireEvent.press(screen.getByLabelText('Add it to the catalogue'));
    await settled();
    expect(caught[0]!.changes[0]).toMatchObject({
      list: 'ownTaxa',
      entry: { name: 'Aloe of mine', basedOn: 'group-succulents' },
    });
  });

  it('cannot be taken out while a plant is named by it', async () => {
    showHome({
      ...shownHome,
      ownTaxa: [own],
      plants: shownHome.plants.map((plant) => ({ ...plant, taxonId: 'own-1' })),
    });
    await open(<TaxonScreen taxonId="own-1" />);
    expect(screen.getByText(/cannot be taken out while 2 plants/)).toBeTruthy();
    expect(screen.queryByLabelText('Take out')).toBeNull();
  });

  it('are listed with the corrections, each with its reason', async () => {
    showHome({ ...shownHome, ownTaxa: [own], corrections: [correction] });
    await open(<KnowledgeScreen />);
    expect(screen.getByText('1 taxon of your own, 1 correction')).toBeTruthy();
    expect(screen.getByText('Aloe vera: Light: thrives from, 9 mol a day')).toBeTruthy();
    expect(screen.getByText('“Leans below this”, 2026-02-01')).toBeTruthy();
  });
});

describe('figures in words', () => {
  const metric = { temperature: 'C', length: 'cm', light: 'ppfd' } as const;

  it('have honest digits and their unit, in the grower’s own', () => {
    expect(figureWords('light.thrivesFrom', 4.444, metric)).toBe('4.4 mol a day');
    expect(figureWords('light.peakPpfd', 812.4, metric)).toBe('812 µmol/m²s');
    expect(figureWords('care.waterAtShare', 0.35, metric)).toBe('35 %');
    expect(figureWords('warmth.lowest', 10, { ...metric, temperature: 'F' })).toBe('50 °F');
    expect(figureWords('warmth.nightDrop', 5, { ...metric, temperature: 'F' })).toBe('9 °F');
    expect(figureWords('care.matureHeightCm', 254, { ...metric, length: 'in' })).toBe('100 in');
  });

  it('are stored in SI when they are typed in another unit', async () => {
    useSettings.setState({ units: { ...metric, temperature: 'F' } });
    await open(<TaxonScreen taxonId="aloe-vera" />);
    fireEvent.press(screen.getByLabelText('Show, and correct'));
    fireEvent.press(screen.getByLabelText('Correct Warmth: lowest it survives'));
    fireEvent.changeText(screen.getByLabelText('Your figure, °F'), '41');
    fireEvent.changeText(screen.getByLabelText('Why'), 'A cold porch');
    fireEvent.press(screen.getByLabelText('Keep this figure'));
    await settled();
    expect(entryPut<{ value: number }>().value).toBeCloseTo(5, 6);
    act(() => useSettings.setState({ units: metric }));
  });
});
