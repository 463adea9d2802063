/** Today: what is wrong where, worst first, each with what mends it. */
import { patch } from '@dulvan/core';
import { fireEvent, screen } from '@testing-library/react-native';
import { useHome } from '../../state/home';
import { caught, open, settled, showHome, shownHome, sunPlant, withRole, wordsIn } from '../../testing/shown-home';
import { TodayScreen } from './today-screen';

beforeEach(() => showHome());

it('counts who lacks something and names the worst first', async () => {
  await open(<TodayScreen />);
  expect(screen.getByTestId('today-summary')).toHaveTextContent(
    /^[12] of 2 plants lack something this month; [01] ha(s|ve) all/,
  );
  const groups = withRole('group').map((group) => group.props['aria-label'] as string);
  expect(groups[0]).toBe(sunPlant.name);
});

it('tallies the five factors so that each row adds up to the plants', async () => {
  await open(<TodayScreen />);
  const cells = withRole('cell').map((cell) => Number(wordsIn(cell)));
  expect(cells).toHaveLength(15);
  for (let row = 0; row < 5; row++) expect(cells[row * 3]! + cells[row * 3 + 1]! + cells[row * 3 + 2]!).toBe(2);
});

it('stores the proposed move when it is pressed, and the plant stands there', async () => {
  await open(<TodayScreen />);
  fireEvent.press(screen.getByLabelText(/^Move Sun plant to Bright/));
  await settled();
  expect(caught).toHaveLength(1);
  expect(caught[0]!.changes).toEqual([patch('plants', sunPlant.id, { spotId: 'bright' })]);
  expect(useHome.getState().facts!.plants.find((plant) => plant.id === sunPlant.id)!.spotId).toBe('bright');
});

it('lists plants that stand nowhere, and says nothing is wrong where nothing is', async () => {
  showHome({ ...shownHome, plants: [{ ...sunPlant, spotId: null }] });
  await open(<TodayScreen />);
  expect(screen.getByText('Find a spot for Sun plant')).toBeTruthy();
  expect(screen.getByText('Nothing is wrong anywhere this month.')).toBeTruthy();
});

it('teaches the next step in an empty home', async () => {
  showHome({ ...shownHome, plants: [] });
  await open(<TodayScreen />);
  expect(screen.getByText('Add a plant')).toBeTruthy();
  showHome({ ...shownHome, rooms: [], windows: [], stands: [], tiers: [], spots: [], lamps: [], air: [], plants: [] });
  await open(<TodayScreen />);
  expect(screen.getByText('Add a room')).toBeTruthy();
});
