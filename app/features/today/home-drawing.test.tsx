/** The home from above on the first screen. */
import { fireEvent, render, screen } from '@testing-library/react-native';
import { PaperProvider } from 'react-native-paper';
import { Circle, Text as SvgText } from 'react-native-svg';
import { went } from '../../testing/router.mock';
import { shadePlant, shownHome, sunPlant } from '../../testing/shown-home';
import { lightTheme } from '../../ui/theme';
import { HomeDrawing, type Standing } from './home-drawing';

const NONE = new Map<string, null>();

function draw(facts: typeof shownHome, standings: ReadonlyMap<string, Standing>, width = 360) {
  const drawn = render(
    <PaperProvider theme={lightTheme}>
      <HomeDrawing facts={facts} standings={standings} fits={NONE} mostHeight={300} />
    </PaperProvider>,
  );
  for (const part of drawn.root.findAll(
    (one) => typeof one.type === 'string' && typeof one.props.onLayout === 'function',
  ))
    fireEvent(part, 'layout', { nativeEvent: { layout: { width, height: 0 } } });
  return drawn;
}

const both = new Map<string, Standing>([
  [shadePlant.id, 'well'],
  [sunPlant.id, 'needs'],
]);

beforeEach(() => {
  went.length = 0;
});

it('says in words how many need something', () => {
  draw(shownHome, both);
  expect(screen.getByLabelText(/ from above: 1 plant of 2 needs something$/)).toBeTruthy();
  draw(shownHome, new Map([...both].map(([id]) => [id, 'needs'])));
  expect(screen.getByLabelText(/ from above: 2 plants of 2 need something$/)).toBeTruthy();
});

it('letters each room that stands by itself, and draws a cabinet within its room', () => {
  const drawn = draw(shownHome, both);
  const lettered = drawn.root.findAllByType(SvgText).map((text) => String(text.props.children));
  const own = shownHome.rooms.filter(({ insideRoomId }) => insideRoomId === null);
  for (const { name } of own) expect(lettered.join(' ')).toContain(name.slice(0, 4));
  for (const { name } of shownHome.rooms.filter(({ insideRoomId }) => insideRoomId !== null))
    expect(lettered.join(' ')).not.toContain(name);
});

it('makes those stand out that need something', () => {
  const filled = (standing: Standing) => {
    const standings = new Map([...both].map(([id]) => [id, standing]));
    const discs = draw(shownHome, standings).root.findAllByType(Circle);
    return discs.map(({ props }) => `${String(props.r)} ${String(props.fill)}`).sort();
  };
  expect(filled('needs')).not.toEqual(filled('well'));
  expect(filled('mild')).not.toEqual(filled('needs'));
});

it('is no larger than it may be, however narrow the place', () => {
  for (const width of [280, 360, 900]) {
    const [svg] = draw(shownHome, both, width).root.findAll(
      (one) => one.props['aria-label'] !== undefined && one.props.width === width,
    );
    expect(Number(svg!.props.height)).toBeGreaterThan(60);
    expect(Number(svg!.props.height)).toBeLessThanOrEqual(300);
  }
});

it('is not there for a home without a room', () => {
  const drawn = draw({ ...shownHome, rooms: [] }, both);
  expect(drawn.root.findAllByType(Circle)).toEqual([]);
});
