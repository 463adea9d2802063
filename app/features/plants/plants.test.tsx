/** The list of plants and a plant's sheet. */
import { drop } from '@dulvan/core';
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
