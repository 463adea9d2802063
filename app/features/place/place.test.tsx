/** The place by forms: what is asked, refused, drafted, taken out. */
import { fireEvent, screen } from '@testing-library/react-native';
import { useDrafts } from '../../state/drafts';
import { useHome } from '../../state/home';
import { useSettings } from '../../state/settings';
import { went } from '../../testing/router.mock';
import {
  caught,
  entryPut,
  fieldsPatched,
  open,
  settled,
  showHome,
  shownHome,
  withRole,
  wordsIn,
} from '../../testing/shown-home';
import { EditScreen } from './edit-screen';
import { PlaceScreen } from './place-screen';

beforeEach(() => {
  showHome();
  went.length = 0;
  useDrafts.setState({ drafts: {} });
  useSettings.setState({ units: { temperature: 'C', length: 'cm', light: 'ppfd' } });
  globalThis.fetch = jest.fn(() => Promise.reject(new TypeError('No server in this test'))) as unknown as typeof fetch;
});

/** Opens a form; that of a room or a stand is folded away behind its parts on a phone. */
async function edit(list: string, id: string, parent: string | null = null): Promise<void> {
  await open(<EditScreen list={list} id={id} parent={parent} />);
  const fold = screen.queryByText(/^Edit this (room|stand)$/);
  if (fold) fireEvent.press(fold);
}

describe('the place', () => {
  it('lists rooms with what is in them, in words that agree', async () => {
    await open(<PlaceScreen />);
    expect(screen.getByText('1 window, 2 stands')).toBeTruthy();
    expect(screen.getByText('no windows, 1 stand')).toBeTruthy();
    expect(screen.getByText('1 lamp')).toBeTruthy();
    expect(screen.getByText(/^52° N, 0° E, 20 m above the sea/)).toBeTruthy();
  });
});

describe('beside a form', () => {
  const sunRows = () => withRole('row').map(wordsIn);

  it('of a home stands the sun at its place, as it is typed', async () => {
    await edit('home', 'h');
    expect(sunRows()).toHaveLength(13);
    expect(sunRows()[3]).toMatch(/^March6:1\d18:0\d36°$/);
    fireEvent.changeText(screen.getByLabelText('Longitude, °'), '-75');
    await settled();
    expect(sunRows()[3]).toMatch(/^March11:1\d23:0\d36°$/);
    fireEvent.changeText(screen.getByLabelText('Longitude, °'), '0');
    fireEvent.changeText(screen.getByLabelText('Latitude, °'), '-52');
    await settled();
    expect(sunRows()[12]).toMatch(/^December3:\d\d20:\d\d61°$/);
    fireEvent.changeText(screen.getByLabelText('Latitude, °'), '80');
    await settled();
    expect(sunRows()[6]).toBe('Juneup all day33°');
    expect(sunRows()[12]).toBe('Decemberstays down-13°');
  });

  it('of a circuit stand the lamps on it, each with where it hangs', async () => {
    await edit('circuits', 'c');
    expect(screen.getByText('Lamps on this circuit')).toBeTruthy();
    expect(screen.getByText('18 W')).toBeTruthy();
    screen.unmount();
    showHome({ ...shownHome, lamps: [] });
    await edit('circuits', 'c');
    expect(screen.getByText(/^No lamp hangs on it yet/)).toBeTruthy();
  });
});

describe('a form', () => {
  it('stores what was typed, in SI whatever the unit', async () => {
    useSettings.setState({ units: { temperature: 'C', length: 'in', light: 'ppfd' } });
    await edit('windows', 'w');
    fireEvent.changeText(screen.getByLabelText('Width of the opening, in'), '60');
    fireEvent.press(screen.getByLabelText('Save'));
    await settled();
    expect(fieldsPatched<{ widthM: number }>().widthM).toBeCloseTo(1.524, 3);
  });

  it('refuses a window larger than its wall beside the field, and keeps what was typed', async () => {
    await edit('windows', 'w');
    fireEvent.changeText(screen.getByLabelText('Width of the opening, cm'), '900');
    fireEvent.press(screen.getByLabelText('Save'));
    await settled();
    expect(screen.getByTestId('error-Width of the opening')).toBeTruthy();
    expect(screen.getByText(/cannot be kept yet/)).toBeTruthy();
    expect(screen.getByLabelText('Width of the opening, cm').props.value).toBe('900');
    expect(caught).toEqual([]);
  });

  it.each([
    ['home', 'h', 'Latitude, °', '95', /From -90 to 90/],
    ['lamps', 'l', 'Photons it gives (PPF), µmol/s', '-4', /From 0.1 to 5000/],
    ['lamps', 'l', 'Height above the board, cm', '700', /ceiling/],
    ['spots', 'bright', 'Middle, along the stand, cm', '450', /Outside Sill/],
    ['rooms', 'r', 'Name', 'x'.repeat(10_000), /At most 80 characters/],
    ['stands', 'shelf', 'From wall D, cm', 'far', /From -150 to 3000 cm/],
  ] as const)('says of %s %s what is wrong with %s “%.12s”', async (list, id, label, typed, wanted) => {
    await edit(list, id);
    fireEvent.changeText(screen.getByLabelText(label), typed);
    fireEvent.press(screen.getByLabelText('Save'));
    await settled();
    expect(screen.getAllByText(wanted).length).toBeGreaterThan(0);
    expect(caught).toEqual([]);
  });

  it('says of a timer that goes off before it comes on what is wrong', async () => {
    useDrafts.setState({ drafts: { 'circuits/c': { offMinute: '7:00' } } });
    await edit('circuits', 'c');
    expect(screen.getByLabelText('Lamps off at: 7:00')).toBeTruthy();
    expect(screen.getByTestId('error-Lamps off at')).toHaveTextContent(/go off after they come on/);
  });

  it('folds away what may stay as it is, told in one line, and opens it where something in it is wrong', async () => {
    useDrafts.setState({ drafts: { 'windows/w': { frameShare: '200' } } });
    await edit('windows', 'w');
    expect(screen.getByTestId('error-Window area lost to the frame')).toHaveTextContent(/From 0 to 90 %/);
    await edit('lamps', 'l');
    expect(screen.queryByLabelText(/^On circuit/)).toBeNull();
    expect(screen.getByText(/^As it is now: name Lamp/)).toBeTruthy();
    fireEvent.press(screen.getByText('More exactly'));
    expect(screen.getByLabelText('Dimmed to, %')).toBeTruthy();
  });

  it('takes markup in a name for text', async () => {
    await edit('rooms', 'r');
    fireEvent.changeText(screen.getByLabelText('Name'), '<img src=x onerror=alert(1)>');
    fireEvent.press(screen.getByLabelText('Save'));
    await settled();
    expect(useHome.getState().facts!.rooms.find((room) => room.id === 'r')!.name).toBe('<img src=x onerror=alert(1)>');
  });

  it('keeps a draft until it is saved or begun again', async () => {
    await edit('circuits', 'c');
    fireEvent.changeText(screen.getByLabelText('Name'), 'Night light');
    expect(useDrafts.getState().drafts['circuits/c']).toMatchObject({ name: 'Night light' });
    fireEvent.press(screen.getByLabelText('Start over'));
    expect(useDrafts.getState().drafts['circuits/c']).toBeUndefined();
    expect(screen.getByLabelText('Name').props.value).toBe('Timer');
  });

  it('adds a stand to a room and opens it for its tiers', async () => {
    await edit('stands', 'new', 'r');
    fireEvent.changeText(screen.getByLabelText('Name'), 'Plank');
    fireEvent.press(screen.getByLabelText('Add this stand'));
    await settled();
    const entry = entryPut<{ id: string }>();
    expect(entry).toMatchObject({ name: 'Plank', roomId: 'r' });
    expect(went).toContainEqual({ pathname: '/place/[list]/[id]', params: { list: 'stands', id: entry.id } });
  });

  it('asks for the way plants rest here, each school with its reason', async () => {
    await edit('home', 'h');
    fireEvent.press(screen.getByText('More exactly'));
    fireEvent.press(screen.getByLabelText('About “How plants rest here”'));
    expect(screen.getByText(/A hard rest: It copies the dry or cold season/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('No rest'));
    fireEvent.press(screen.getByLabelText('Save'));
    await settled();
    expect(useHome.getState().facts!.home.restSchool).toBe('grow-on');
  });

  it('says so for what is not there', async () => {
    await edit('windows', 'gone');
    expect(screen.queryByLabelText('Save')).toBeNull();
    await edit('dragons', 'new');
    expect(screen.queryByLabelText('Save')).toBeNull();
  });
});

describe('taking out', () => {
  it('a stand with a plant asks where it goes, and takes its tiers, spots and lamps along', async () => {
    await edit('stands', 'shelf');
    fireEvent.press(screen.getByLabelText('Take out Shelf'));
    expect(screen.getByText('Where do its plants go?')).toBeTruthy();
    const where = screen.queryByLabelText(/^Where .* goes: /);
    if (where) fireEvent.press(where);
    fireEvent.press(screen.getAllByLabelText('Bright · Room')[0]!);
    fireEvent.press(screen.getByLabelText('Yes, take out Shelf'));
    await settled();
    const { facts } = useHome.getState();
    expect(facts!.stands.map((stand) => stand.id)).not.toContain('shelf');
    expect(facts!.tiers.some((tier) => tier.standId === 'shelf')).toBe(false);
    expect(facts!.lamps).toEqual([]);
    expect(facts!.plants.map((plant) => plant.spotId).sort()).toEqual(['bright', null].sort());
  });

  it('a room takes the cabinet that stands in it along', async () => {
    await edit('rooms', 'r');
    fireEvent.press(screen.getByLabelText('Take out Room'));
    fireEvent.press(screen.getByLabelText('Yes, take out Room'));
    await settled();
    expect(useHome.getState().facts).toMatchObject({ rooms: [], windows: [], stands: [], spots: [], air: [] });
    expect(useHome.getState().facts!.plants).toHaveLength(shownHome.plants.length);
  });
});
