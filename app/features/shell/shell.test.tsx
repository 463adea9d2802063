/** The frame round every screen: the way about, what is tried, what just happened, a home that cannot be reached. */
import { patch } from '@dulvan/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import { useHome } from '../../state/home';
import { useVerdictsStore } from '../../state/verdicts';
import { caught, open, settled, showHome } from '../../testing/shown-home';
import { Shell } from './shell';

beforeEach(() => {
  showHome();
  useHome.setState({ load: () => Promise.resolve() });
});

/** Lets the answers to what is on screen arrive. */
const answered = () => waitFor(() => expect(useVerdictsStore.getState().working).toBe('no'));

async function openShell(): Promise<void> {
  await open(<Shell />);
  await answered();
}

it('leads to all places by name', async () => {
  await openShell();
  for (const word of ['Today', 'Rooms', 'Plants', 'Catalogue', 'Place', 'Settings'])
    expect(screen.getByLabelText(word)).toBeTruthy();
});

it('shows what is tried until it is kept, and then stores it', async () => {
  await openShell();
  act(() =>
    useHome
      .getState()
      .tryOut('Window: net', [
        patch('windows', 'w', { curtains: [{ curtainId: 'net', months: [1], fromMinute: 0, toMinute: 60 }] }),
      ]),
  );
  expect(screen.getByText('Window: net')).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Keep'));
  await settled();
  expect(caught[0]).toMatchObject({ summary: 'Window: net' });
  expect(useHome.getState().trial).toBeNull();
  await answered();
});

it('leaves the way back until what follows from a change is worked out, and then long enough to be read', async () => {
  await openShell();
  jest.useFakeTimers();
  try {
    act(() => {
      useVerdictsStore.setState({ working: 'yes' });
      useHome.setState({ notice: { text: 'Moved it', undo: [{ homeId: 'h', entryId: 'e' }] } });
    });
    act(() => jest.advanceTimersByTime(600_000));
    expect(screen.getByText('Undo')).toBeTruthy();
    act(() => useVerdictsStore.setState({ working: 'no' }));
    act(() => jest.advanceTimersByTime(30_000));
    expect(screen.getByText('Undo')).toBeTruthy();
    act(() => jest.advanceTimersByTime(30_000));
    expect(screen.queryByText('Undo')).toBeNull();
  } finally {
    jest.useRealTimers();
  }
});

it('puts a trial back without storing anything', async () => {
  await openShell();
  act(() => useHome.getState().tryOut('A try', []));
  fireEvent.press(screen.getByLabelText('Put back'));
  expect(screen.queryByText('A try')).toBeNull();
  expect(caught).toEqual([]);
  await answered();
});

it('offers to take back what just happened, and can be closed', async () => {
  const undone: unknown[] = [];
  useHome.setState({
    undo: (entries) => Promise.resolve(undone.push(entries)).then(() => null),
    notice: { text: 'Moved it', undo: [{ homeId: 'h', entryId: 'e' }] },
  });
  await openShell();
  fireEvent.press(screen.getByText('Undo'));
  await settled();
  expect(undone).toEqual([[{ homeId: 'h', entryId: 'e' }]]);
  act(() => useHome.setState({ notice: { text: 'Moved it', undo: [] } }));
  expect(screen.queryByText('Undo')).toBeNull();
  fireEvent.press(screen.getByLabelText('Close this message'));
  expect(screen.queryByText('Moved it')).toBeNull();
});

it('says why the home cannot be opened, and tries again', async () => {
  let tries = 0;
  useHome.setState({
    status: 'failed',
    failure: 'The server cannot be reached.',
    load: () => Promise.resolve(void tries++),
  });
  await openShell();
  expect(screen.getByText('The server cannot be reached.')).toBeTruthy();
  const before = tries;
  fireEvent.press(screen.getByLabelText('Try again'));
  expect(tries).toBe(before + 1);
});
