/** The list of plants and a plant's sheet. */
import { drop, type Outcome } from '@dulvan/core';
import { fireEvent, screen } from '@testing-library/react-native';
import { caught, entryPut, open, settled, shadePlant, showHome, shownHome, sunPlant } from '../../testing/shown-home';
import { went } from '../../testing/router.mock';
import { AddPlantScreen } from './add-plant-screen';
import { PlantScreen } from './plant-screen';
import { PlantsScreen } from './plants-screen';

beforeEach(() => {
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

describe('a plant’s sheet', () => {
  it('says what is wrong, what it wants and where it would fare better', async () => {
    await open(<PlantScreen plantId={sunPlant.id} />);
    expect(screen.getAllByTestId('plant-trouble')[0]).toHaveTextContent(/^Too dim .*: gets .* wants .* mol a day/);
    expect(screen.getByText(/thrives at .* mol a day/)).toBeTruthy();
    expect(screen.getByText('Better spots')).toBeTruthy();
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
    await open(<PlantScreen plantId={sunPlant.id} />);
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
    await open(<PlantScreen plantId={sunPlant.id} />);
    fireEvent.press(screen.getByLabelText('Died here'));
    fireEvent.press(screen.getByLabelText('3 months'));
    await settled();
    expect(caught[0]!.changes.map(({ op, list }) => `${op} ${list}`)).toEqual(['put outcomes', 'drop plants']);
    expect(went).toContain('/plants');
  });

  it('takes a plant out and goes back to the list', async () => {
    await open(<PlantScreen plantId={sunPlant.id} />);
    fireEvent.press(screen.getByLabelText('Take out Sun plant'));
    await settled();
    expect(caught[0]!.changes).toEqual([drop('plants', sunPlant.id)]);
    expect(went).toContain('/plants');
  });

  it('says so when there is no such plant', async () => {
    await open(<PlantScreen plantId="gone" />);
    expect(screen.queryByText('Better spots')).toBeNull();
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
    expect(caught).toHaveLength(1);
    expect(caught[0]!.changes[0]).toMatchObject({
      list: 'plants',
      entry: { taxonId: 'spathiphyllum-wallisii', stage: 'adult' },
    });
    expect(shownHome.spots.map((spot) => spot.id)).toContain(entryPut<{ spotId: string }>().spotId);
  });
});
