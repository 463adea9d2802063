/** Today: what is wrong where, worst first, each with what mends it. */
import { patch } from '@dulvan/core';
import { fireEvent, screen } from '@testing-library/react-native';
import { useHome } from '../../state/home';
import { caught, open, settled, showHome, shownHome, sunPlant, withRole, wordsIn } from '../../testing/shown-home';
import { TodayScreen } from './today-screen';

beforeEach(() => showHome());

it('counts who needs something and how soon, and names them under it', async () => {
  await open(<TodayScreen />);
  expect(screen.getByTestId('today-summary')).toHaveTextContent(
    /^Need something: .*; |^Need something: .*\. [01] of 2 plants/,
  );
  const groups = withRole('group').map((group) => group.props['aria-label'] as string);
  expect(groups).toContain(sunPlant.name);
  expect(screen.getByText(/^Will decline within about \d+ (weeks|months)\.$/)).toBeTruthy();
});

it('tallies the five factors so that each row adds up to the plants', async () => {
  await open(<TodayScreen />);
  const cells = withRole('cell').map((cell) => Number(wordsIn(cell)));
  expect(cells).toHaveLength(15);
  for (let row = 0; row < 5; row++) expect(cells[row * 3]! + cells[row * 3 + 1]! + cells[row * 3 + 2]!).toBe(2);
});

it('stores the proposed move when it is pressed, with where the plant came from and when', async () => {
  await open(<TodayScreen />);
  await settled();
  fireEvent.press(screen.getByLabelText(/^Do it: Move to Bright .* for Sun plant/));
  await settled();
  expect(caught).toHaveLength(1);
  const moved = {
    spotId: 'bright',
    cameFromSpotId: sunPlant.spotId,
    movedOn: expect.stringMatching(/^\d{4}-\d\d-\d\d$/) as string,
  };
  expect(caught[0]!.changes).toEqual([patch('plants', sunPlant.id, moved)]);
  expect(useHome.getState().facts!.plants.find((plant) => plant.id === sunPlant.id)!.spotId).toBe('bright');
});

it('lists plants that stand nowhere, and says that all others do as is wanted', async () => {
  showHome({ ...shownHome, plants: [{ ...sunPlant, spotId: null }] });
  await open(<TodayScreen />);
  await settled();
  expect(screen.getByText('Find a spot for Sun plant')).toBeTruthy();
  expect(screen.getByLabelText(/^Do it: Move to Bright .* for Sun plant/)).toBeTruthy();
  expect(screen.getByText('All plants that have a place do as you want of them.')).toBeTruthy();
});

it('folds away what could be a little better', async () => {
  showHome({ ...shownHome, plants: [{ ...sunPlant, goal: 'alive' }] });
  await open(<TodayScreen />);
  expect(screen.queryByText('This season')).toBeNull();
});

it('teaches the next step in an empty home', async () => {
  showHome({ ...shownHome, plants: [] });
  await open(<TodayScreen />);
  expect(screen.getByText('Add a plant')).toBeTruthy();
  showHome({ ...shownHome, rooms: [], windows: [], stands: [], tiers: [], spots: [], lamps: [], air: [], plants: [] });
  await open(<TodayScreen />);
  expect(screen.getByText('Add a room')).toBeTruthy();
});
