/** Homes that were taken out, from Settings and the first screen. */
import { fireEvent, screen } from '@testing-library/react-native';
import { useHome } from '../state/home';
import { open, settled, showHome } from '../testing/shown-home';
import { BringBack } from './bring-back';

const entry = {
  id: 'e1',
  homeId: 'gone',
  at: new Date(2026, 2, 14, 12).getTime(),
  summary: 'Took out Old house',
  revision: 3,
  kind: 'change',
  undoes: null,
  touched: 9,
};

/** The server tells of these homes. */
const serve = (homes: readonly unknown[]) => {
  globalThis.fetch = jest.fn(() =>
    Promise.resolve({ ok: true, headers: new Headers(), json: () => Promise.resolve(homes) }),
  ) as unknown as typeof fetch;
};

beforeEach(() => {
  showHome();
  useHome.setState({ load: () => Promise.resolve(), openHome: () => Promise.resolve() });
});

it('shows nothing where none was taken out', async () => {
  serve([]);
  await open(<BringBack />);
  expect(screen.queryByText('Taken out')).toBeNull();
});

it('names each with its day, and undoes what took it out', async () => {
  serve([{ name: 'Old house', entry }]);
  const undone = jest.fn(() => Promise.resolve(null));
  const opened = jest.fn(() => Promise.resolve());
  useHome.setState({ undo: undone, openHome: opened });
  await open(<BringBack />);
  expect(screen.getByText('Taken out on 14 March 2026, with all its rooms and plants.')).toBeTruthy();
  fireEvent.press(screen.getByText('Bring back Old house'));
  await settled();
  expect(undone).toHaveBeenCalledWith([{ homeId: 'gone', entryId: 'e1' }]);
  expect(opened).toHaveBeenCalledWith('gone');
});

it('says why one could not be brought back', async () => {
  serve([{ name: 'Old house', entry }]);
  useHome.setState({ undo: () => Promise.resolve({ message: 'The server cannot be reached.', problems: [] }) });
  await open(<BringBack />);
  fireEvent.press(screen.getByText('Bring back Old house'));
  await settled();
  expect(screen.getByText(/The server cannot be reached/)).toBeTruthy();
});
