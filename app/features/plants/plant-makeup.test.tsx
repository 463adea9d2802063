/** What a plant is and what is seen of it: named anew, mixed of parents, marked with traits. */
import { fireEvent, screen } from '@testing-library/react-native';
import { useHome } from '../../state/home';
import { caught, open, settled, showHome, shownHome, sunPlant } from '../../testing/shown-home';
import { Hazards } from '../../parts/hazards';
import { PlantMakeup } from './plant-makeup';

beforeEach(() => showHome());

/** The part as a screen shows it: with the plant as it stands now. */
function Shown() {
  const facts = useHome((state) => state.facts)!;
  return <PlantMakeup facts={facts} plant={facts.plants.find((plant) => plant.id === sunPlant.id)!} />;
}
const now = () => useHome.getState().facts!.plants.find((plant) => plant.id === sunPlant.id)!;

it('is named anew by any of its names, and its parents then no longer count', async () => {
  showHome({ ...shownHome, plants: [{ ...sunPlant, parents: [{ taxonId: 'aloe-vera', share: 1 }] }] });
  await open(<Shown />);
  fireEvent.press(screen.getByLabelText('Change its name'));
  fireEvent.changeText(screen.getByLabelText('Its name'), 'gasterria bicolor');
  fireEvent.press(screen.getByLabelText(/Gasteria bicolor/));
  await settled();
  expect(now()).toMatchObject({ taxonId: 'gasteria-bicolor', parents: [] });
});

it('is mixed of parents whose shares are numbers, evenly to begin with', async () => {
  await open(<Shown />);
  fireEvent.press(screen.getByLabelText('A hybrid of …'));
  for (const [label, typed, name] of [
    ['One parent', 'aloe vera', /Aloe vera/],
    ['Another parent', 'gasteria', /Gasteria bicolor/],
  ] as const) {
    fireEvent.changeText(screen.getByLabelText(label), typed);
    fireEvent.press(screen.getByLabelText(name));
  }
  fireEvent.changeText(screen.getByLabelText('Aloe vera, %'), 'half');
  fireEvent.press(screen.getByLabelText('Keep these parents'));
  expect(screen.getByText(/Each share is a number from 1 to 100 %/)).toBeTruthy();
  expect(caught).toEqual([]);
  fireEvent.changeText(screen.getByLabelText('Aloe vera, %'), '50');
  fireEvent.press(screen.getByLabelText('Keep these parents'));
  await settled();
  expect(now().parents).toEqual([
    { taxonId: 'aloe-vera', share: 0.5 },
    { taxonId: 'gasteria-bicolor', share: 0.5 },
  ]);
});

it('is marked with what is seen, each mark with its rule, and not with what cannot be both', async () => {
  await open(<Shown />);
  fireEvent.press(screen.getByLabelText('What you see of it: None'));
  fireEvent.press(screen.getByLabelText('Thick, firm leaves'));
  await settled();
  expect(now().traits).toEqual(['thick-leaved']);
  expect(screen.getByText(/Thick leaves: they hold water/)).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Thin, papery leaves'));
  await settled();
  expect(now().traits).toEqual(['thick-leaved']);
});

describe('the caution', () => {
  const harmless = {
    people: 'none-known',
    cats: 'none-known',
    dogs: 'none-known',
    birds: 'none-known',
    smallMammals: 'none-known',
    sapOnSkin: 'none-known',
    sapInEyes: 'none-known',
    spines: 'none',
  } as const;

  it('never calls a plant safe to eat', async () => {
    await open(<Hazards hazard={harmless} />);
    expect(screen.getByText(/does not make it food/)).toBeTruthy();
  });

  it('gives no alarm where nobody has said, and names whom that is about', async () => {
    await open(<Hazards hazard={{ ...harmless, smallMammals: 'unknown' }} />);
    expect(screen.queryByText('⚠ With care')).toBeNull();
    expect(screen.getByText(/For small mammals nobody has said: keep it out of their reach/)).toBeTruthy();
  });

  it('names whom it harms, treats the unknown as harm, and sends to doctor, vet or poison line', async () => {
    await open(
      <Hazards hazard={{ ...harmless, cats: 'toxic', birds: 'unknown', sapInEyes: 'irritant', spines: 'many' }} />,
    );
    expect(screen.getByText('Eaten: cats: toxic; birds: not known, so treat it as harmful.')).toBeTruthy();
    expect(screen.getByText(/Sap: in eyes irritates/)).toBeTruthy();
    expect(screen.getByText(/tongs/)).toBeTruthy();
    expect(screen.getByText(/a doctor, a vet or a poison line/)).toBeTruthy();
  });
});
