/** The place by forms: what is asked, refused, drafted, taken out. */
import { fireEvent, screen } from '@testing-library/react-native';
import { useDrafts } from '../../state/drafts';
import { useHome } from '../../state/home';
import { useSettings } from '../../state/settings';
import { went } from '../../testing/router.mock';
import { caught, entryPut, fieldsPatched, open, settled, showHome, shownHome } from '../../testing/shown-home';
import { EditScreen } from './edit-screen';
import { PlaceScreen } from './place-screen';

beforeEach(() => {
  showHome();
  went.length = 0;
  useDrafts.setState({ drafts: {} });
  useSettings.setState({ units: { temperature: 'C', length: 'cm', light: 'ppfd' } });
  globalThis.fetch = jest.fn(() => Promise.reject(new TypeError('No server in this test'))) as unknown as typeof fetch;
});

const edit = (list: string, id: string, parent: string | null = null) =>
  open(<EditScreen list={list} id={id} parent={parent} />);

describe('the place', () => {
  it('lists rooms with what is in them, in words that agree', async () => {
    await open(<PlaceScreen />);
    expect(screen.getByText('1 window, 2 stands')).toBeTruthy();
    expect(screen.getByText('no windows, 1 stand')).toBeTruthy();
    expect(screen.getByText('1 lamp')).toBeTruthy();
    expect(screen.getByText(/^52° N, 0° E, 20 m above the sea/)).toBeTruthy();
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
    ['circuits', 'c', 'Lamps off at', '7:00', /go off after they come on/],
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

  it('takes markup in a name for text', async () => {
    await edit('rooms', 'r');
    fireEvent.changeText(screen.getByLabelText('Name'), '<img src=x onerror=alert(1)>');
    fireEvent.press(screen.getByLabelText('Save'));
    await settled();
    expect(useHome.getState().facts!.rooms.find((room) => room.id === 'r')!.name).toBe('<img src=x onerror=alert(1)>');
  });

  it('keeps a draft until it is saved or begun again', async () => {
    await edit('circuits', 'c');
    fireEvent.changeText(screen.getByLabelText('Lamps on at'), '9:30');
    expect(useDrafts.getState().drafts['circuits/c']).toMatchObject({ onMinute: '9:30' });
    fireEvent.press(screen.getByLabelText('Start over'));
    expect(useDrafts.getState().drafts['circuits/c']).toBeUndefined();
    expect(screen.getByLabelText('Lamps on at').props.value).toBe('8:00');
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
