/** Settings: units, homes, everything in and out. */
import { fireEvent, screen } from '@testing-library/react-native';
import { useHome } from '../../state/home';
import { useSettings } from '../../state/settings';
import { open, settled, showHome, shownHome } from '../../testing/shown-home';
import { SettingsScreen } from './settings-screen';

beforeEach(() => {
  showHome();
  useSettings.setState({ units: { temperature: 'C', length: 'cm', light: 'ppfd' }, appearance: 'auto' });
});

it('keeps the grower’s units, each by itself', async () => {
  await open(<SettingsScreen />);
  fireEvent.press(screen.getByLabelText('°F'));
  fireEvent.press(screen.getByLabelText('Lux of daylight'));
  expect(useSettings.getState().units).toEqual({ temperature: 'F', length: 'cm', light: 'lux' });
  fireEvent.press(screen.getByLabelText('Dark'));
  expect(useSettings.getState().appearance).toBe('dark');
});

it('asks before a home is taken out, and does nothing when it is left', async () => {
  const wiped = jest.fn(() => Promise.resolve(null));
  useHome.setState({ wipe: wiped });
  await open(<SettingsScreen />);
  fireEvent.press(screen.getByLabelText(`Take out ${shownHome.home.name}`));
  expect(screen.getByText(/goes with its 2 rooms and 2 plants. You can bring it back/)).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Leave it'));
  expect(wiped).not.toHaveBeenCalled();
  fireEvent.press(screen.getByLabelText(`Take out ${shownHome.home.name}`));
  fireEvent.press(screen.getByLabelText(`Yes, take out ${shownHome.home.name}`));
  await settled();
  expect(wiped).toHaveBeenCalledTimes(1);
});

it('tells why a home could not be taken out', async () => {
  useHome.setState({ wipe: () => Promise.resolve({ message: 'The server cannot be reached.', problems: [] }) });
  await open(<SettingsScreen />);
  fireEvent.press(screen.getByLabelText(`Take out ${shownHome.home.name}`));
  fireEvent.press(screen.getByLabelText(`Yes, take out ${shownHome.home.name}`));
  await settled();
  expect(screen.getByText(/The server cannot be reached/)).toBeTruthy();
});

it('opens another home by its name', async () => {
  const opened = jest.fn(() => Promise.resolve());
  useHome.setState({
    homes: [shownHome.home, { ...shownHome.home, id: 'other', name: 'Other home' }],
    openHome: opened,
  });
  await open(<SettingsScreen />);
  fireEvent.press(screen.getByLabelText('Other home'));
  expect(opened).toHaveBeenCalledWith('other');
});
