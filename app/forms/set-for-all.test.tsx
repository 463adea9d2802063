/** One thing for several spots or lamps. */
import { patch, type HomeFacts } from '@dulvan/core';
import { fireEvent, screen } from '@testing-library/react-native';
import { useHome } from '../state/home';
import { useSettings } from '../state/settings';
import { caught, open, settled, showHome, shownHome } from '../testing/shown-home';
import { SetForAll } from './set-for-all';

type List = 'plants' | 'spots' | 'lamps';

async function choosing(kind: List, what: string, facts: HomeFacts = shownHome) {
  showHome(facts);
  const done = jest.fn();
  await open(<SetForAll facts={facts} list={kind} ids={facts[kind].map(({ id }) => id)} onDone={done} />);
  // Up to five things are all in sight; more are a list that opens.
  const list = screen.queryByLabelText('What to set: Choose');
  if (list) fireEvent.press(list);
  fireEvent.press(screen.getByRole('radio', { name: what }));
  return done;
}

const twoLamps: HomeFacts = {
  ...shownHome,
  lamps: [shownHome.lamps[0]!, { ...shownHome.lamps[0]!, id: 'l2', name: 'Second lamp', aboveM: 0.3 }],
};

beforeEach(() => useSettings.setState({ units: { temperature: 'C', length: 'cm', light: 'ppfd' } }));

it('hangs all lamps at one height in one change', async () => {
  const done = await choosing('lamps', 'Height above the board', twoLamps);
  fireEvent.changeText(screen.getByLabelText(/^Height above the board, cm/), '40');
  fireEvent.press(screen.getByText('Set it for 2 lamps'));
  await settled();
  expect(caught.map(({ changes }) => changes)).toEqual([
    twoLamps.lamps.map(({ id }) => patch('lamps', id, { aboveM: 0.4 })),
  ]);
  expect(done).toHaveBeenCalled();
});

it('reads lengths in the grower’s unit', async () => {
  useSettings.setState({ units: { temperature: 'C', length: 'in', light: 'ppfd' } });
  await choosing('lamps', 'Height above the board', twoLamps);
  fireEvent.changeText(screen.getByLabelText(/^Height above the board, in/), '10');
  fireEvent.press(screen.getByText('Set it for 2 lamps'));
  await settled();
  expect((caught[0]!.changes[0] as { fields: { aboveM: number } }).fields.aboveM).toBeCloseTo(0.254, 3);
});

it('stores nothing where all have it already, and is done', async () => {
  const { sizeM } = shownHome.spots[0]!;
  const same = { ...shownHome, spots: shownHome.spots.map((spot) => ({ ...spot, sizeM })) };
  const done = await choosing('spots', 'Room for a plant this wide', same);
  fireEvent.press(screen.getByText(`Set it for ${same.spots.length} spots`));
  await settled();
  expect(caught).toEqual([]);
  expect(done).toHaveBeenCalled();
});

it('says which one cannot be so, by its name, and sets none', async () => {
  const done = await choosing('lamps', 'Height above the board', twoLamps);
  fireEvent.changeText(screen.getByLabelText(/^Height above the board, cm/), '9000');
  fireEvent.press(screen.getByText('Set it for 2 lamps'));
  await settled();
  expect(screen.getByText(/Lamp: From 2 to 800 cm\. Nothing was set\.$/)).toBeTruthy();
  expect(caught).toEqual([]);
  expect(done).not.toHaveBeenCalled();
});

it('keeps what was typed and says why where the server refuses it', async () => {
  const done = await choosing('lamps', 'Height above the board', twoLamps);
  useHome.setState({ attempt: () => Promise.resolve({ message: 'The server cannot be reached.', problems: [] }) });
  fireEvent.changeText(screen.getByLabelText(/^Height above the board, cm/), '40');
  fireEvent.press(screen.getByText('Set it for 2 lamps'));
  await settled();
  expect(screen.getByText(/The server cannot be reached/)).toBeTruthy();
  expect(screen.getByLabelText(/^Height above the board, cm/).props.value).toBe('40');
  expect(done).not.toHaveBeenCalled();
});
