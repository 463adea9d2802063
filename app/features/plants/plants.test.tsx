/** The list of plants and a plant's sheet. */
import { drop, patch, type Outcome, type Plant } from '@dulvan/core';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { useDrafts } from '../../state/drafts';
import { useVerdictsStore } from '../../state/verdicts';
import { caught, entryPut, open, settled, shadePlant, showHome, shownHome, sunPlant } from '../../testing/shown-home';
import { went } from '../../testing/router.mock';
import { AddPlantScreen } from './add-plant-screen';
import { PlantScreen } from './plant-screen';
import { PlantsScreen } from './plants-screen';

beforeEach(() => {
  useDrafts.setState({ drafts: {} });
  showHome();
  went.length = 0;
});

const names = () =>
  screen
    .getAllByLabelText(/^(Sun|Shade) plant$/)
    .map((row) => (row.props['aria-label'] ?? row.props.accessibilityLabel) as string);

describe('the list', () => {
  it('begins with the unhappiest and follows the sort', async () => {
    await open(<PlantsScreen />);
    expect(names()).toEqual([sunPlant.name, shadePlant.name]);
    fireEvent.press(screen.getByLabelText('Filter and sort'));
    fireEvent.press(screen.getByLabelText('By name'));
    expect(names()).toEqual([shadePlant.name, sunPlant.name]);
  });

  it('finds by any name or place, whatever the case, and says when none fits', async () => {
    await open(<PlantsScreen />);
    fireEvent.changeText(screen.getByLabelText('Search'), 'ALOE');
    expect(names()).toEqual([sunPlant.name]);
    expect(screen.getByTestId('plant-count')).toHaveTextContent('1 of 2');
    fireEvent.changeText(screen.getByLabelText('Search'), 'no such thing');
    expect(screen.getByText('No plant fits what you search for.')).toBeTruthy();
  });
});

describe('several plants at once', () => {
  const chooseBoth = async () => {
    await open(<PlantsScreen />);
    fireEvent.press(screen.getByText('Choose several'));
    fireEvent.press(screen.getByText('All shown'));
    fireEvent.press(screen.getByLabelText('What to set: Choose'));
  };

  it('are set one thing in one change, those that had it already left alone', async () => {
    await chooseBoth();
    fireEvent.press(screen.getByRole('radio', { name: 'Pot width' }));
    fireEvent.changeText(screen.getByLabelText('Pot width, cm'), '17');
    fireEvent.press(screen.getByText('Set it for 2 plants'));
    await settled();
    expect(caught).toHaveLength(1);
    expect(caught[0]!.changes).toEqual(shownHome.plants.map(({ id }) => patch('plants', id, { potCm: 17 })));
  });

  it('are all left as they were where one of them cannot be so', async () => {
    await chooseBoth();
    fireEvent.press(screen.getByRole('radio', { name: 'Height with the pot' }));
    fireEvent.changeText(screen.getByLabelText('Height with the pot, cm'), 'tall');
    fireEvent.press(screen.getByText('Set it for 2 plants'));
    await settled();
    expect(screen.getByText(/Nothing was set\.$/)).toBeTruthy();
    expect(caught).toEqual([]);
  });
});

describe('a plant’s sheet', () => {
  it('says what is wrong, what it wants and where it would fare better', async () => {
    await open(<PlantScreen plantId={sunPlant.id} />);
    expect(screen.getAllByTestId('plant-trouble')[0]).toHaveTextContent(/^Too dim .*: gets .* wants .* mol a day/);
    fireEvent.press(screen.getByText(/^What it wants in /));
    expect(screen.getByText(/thrives at .* mol a day/)).toBeTruthy();
    fireEvent.press(screen.getByText('Other spots for it'));
    await settled();
    expect(screen.getAllByLabelText(/^Move here: /).length).toBeGreaterThan(0);
  });

  it('says first how long it lives, what it would look like, and what would help', async () => {
    await open(<PlantScreen plantId={sunPlant.id} />);
    await settled();
    expect(screen.getByTestId('plant-verdict')).toHaveTextContent(/^Will decline within about \d+ (weeks|months)\.$/);
    expect(screen.getByText(/^First sign: /)).toBeTruthy();
    expect(screen.getByLabelText(/^Its reserve over the next \d+ months: 100 % now, used up at the end$/)).toBeTruthy();
    expect(screen.getAllByTestId('mend')[0]).toHaveTextContent(/^Move to Bright/);
  });

  it('lets the plant overrule the figures in two taps, and takes that back', async () => {
    await open(<PlantScreen plantId={sunPlant.id} open="came-of-it" />);
    fireEvent.press(screen.getByLabelText('Has stood here and is well'));
    fireEvent.press(screen.getByLabelText('3 years'));
    await settled();
    const seen = entryPut<Outcome>();
    expect(seen).toMatchObject({ plantId: sunPlant.id, spotId: sunPlant.spotId, kind: 'well' });
    expect(Number(seen.on.slice(0, 4)) - Number(seen.since.slice(0, 4))).toBe(3);
    expect(seen.dli).toHaveLength(12);
    fireEvent.press(screen.getByLabelText(/^Withdraw: was well on/));
    await settled();
    expect(caught[1]!.changes).toEqual([drop('outcomes', seen.id)]);
  });

  it('takes out a plant that died, and keeps what it taught', async () => {
    await open(<PlantScreen plantId={sunPlant.id} open="came-of-it" />);
    fireEvent.press(screen.getByLabelText('Died here'));
    fireEvent.press(screen.getByLabelText('3 months'));
    await settled();
    expect(caught[0]!.changes.map(({ op, list }) => `${op} ${list}`)).toEqual(['put outcomes', 'drop plants']);
    expect(went).toContain('/plants');
  });

  it('asserts nothing of a plant that is still being judged', async () => {
    await open(<PlantScreen plantId={sunPlant.id} />);
    act(() => useVerdictsStore.setState({ answers: null, facts: null, working: 'yes' }));
    expect(screen.getByText('Working out how it does here …')).toBeTruthy();
    expect(screen.queryByText(/not in the catalogue/)).toBeNull();
    expect(screen.queryByTestId('plant-verdict')).toBeNull();
  });

  it('asks before it is put where another stands, and changes places with it', async () => {
    await open(<PlantScreen plantId={sunPlant.id} open="spots" />);
    fireEvent.press(screen.getByLabelText(/^Move here: Dim/));
    expect(caught).toEqual([]);
    fireEvent.press(screen.getByText(/^Change places with /));
    await settled();
    const moved = caught[0]!.changes.map((change) => {
      const { id, fields } = change as { id: string; fields: Partial<Plant> };
      return [id, fields.spotId];
    });
    expect(moved).toEqual([
      [sunPlant.id, shadePlant.spotId],
      [shadePlant.id, sunPlant.spotId],
    ]);
  });

  it('shows the best spots first, the others as they are asked for', async () => {
    const [spot] = shownHome.spots;
    const many = Array.from({ length: 60 }, (_, i) => ({ ...spot!, id: `many-${i}`, name: `Many ${i}` }));
    showHome({ ...shownHome, spots: [...shownHome.spots, ...many] });
    await open(<PlantScreen plantId={sunPlant.id} open="spots" />);
    const offered = () => screen.getAllByLabelText(/^Move here: /).length;
    const first = offered();
    expect(first).toBeLessThanOrEqual(5);
    fireEvent.press(screen.getByLabelText('Show 40 more of 64 spots'));
    expect(offered()).toBe(first + 40);
    fireEvent.press(screen.getByLabelText('All 64 spots'));
    expect(offered()).toBeGreaterThan(first + 50);
    expect(screen.queryByLabelText(/^All 64 spots|^Show /)).toBeNull();
  });

  it('takes a plant out and goes back to the list', async () => {
    await open(<PlantScreen plantId={sunPlant.id} open="edit" />);
    fireEvent.press(screen.getByLabelText('Take out Sun plant'));
    await settled();
    expect(caught[0]!.changes).toEqual([drop('plants', sunPlant.id)]);
    expect(went).toContain('/plants');
  });

  it('says so when there is no such plant', async () => {
    await open(<PlantScreen plantId="gone" />);
    expect(screen.queryByText('Other spots for it')).toBeNull();
    expect(screen.getByText('Not here')).toBeTruthy();
  });
});

describe('adding a hybrid', () => {
  const withParents = async (shares: readonly number[]) => {
    const parents = shares.map((share, i) => ({ taxonId: ['aloe-vera', 'gasteria-bicolor'][i]!, share }));
    useDrafts.setState({ drafts: { 'plants/adding': { taxonId: 'aloe-vera', parents: JSON.stringify(parents) } } });
    await open(<AddPlantScreen />);
    fireEvent.press(screen.getByText('Add it without a spot'));
    await settled();
  };

  it('keeps its parents with their shares', async () => {
    await withParents([0.6, 0.4]);
    expect(entryPut<Plant>().parents).toEqual([
      { taxonId: 'aloe-vera', share: 0.6 },
      { taxonId: 'gasteria-bicolor', share: 0.4 },
    ]);
  });

  it('refuses shares that are no whole, and says so though no field asks for them', async () => {
    await withParents([0.6, 0.6]);
    expect(caught).toEqual([]);
    expect(screen.getByText(/100 %/)).toBeTruthy();
  });
});

describe('adding a plant', () => {
  it('searches forgivingly, ranks the spots and puts it where it was told', async () => {
    await open(<AddPlantScreen />);
    fireEvent.changeText(screen.getByLabelText('What is it called?'), 'spathifilum');
    fireEvent.press(screen.getByLabelText(/Spathiphyllum wallisii/));
    await settled();
    fireEvent.press(screen.getAllByLabelText(/^Put it here/)[0]!);
    await settled();
    expect(caught).toEqual([]);
    expect(screen.getByText(/is taken$/)).toBeTruthy();
    fireEvent.press(screen.getByText('Both on this spot'));
    await settled();
    expect(caught).toHaveLength(1);
    expect(caught[0]!.changes[0]).toMatchObject({
      list: 'plants',
      entry: { taxonId: 'spathiphyllum-wallisii', stage: 'adult' },
    });
    expect(shownHome.spots.map((spot) => spot.id)).toContain(entryPut<{ spotId: string }>().spotId);
  });
});
