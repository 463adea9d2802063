/** A figure opened: its parts, its inputs, its method, its doubt. */
import { screen } from '@testing-library/react-native';
import { open, shadePlant, showHome, sunPlant, withRole, wordsIn } from '../../testing/shown-home';
import { WhyScreen } from './why-screen';

beforeEach(() => showHome());

it.each(['dli', 'peak', 'sun', 'day', 'air', 'vpd'])('explains %s of a spot', async (figure) => {
  await open(<WhyScreen figure={figure} spot="dim" plant={null} month={2} />);
  for (const heading of ['From these facts', 'How', 'Assumed', 'How far it may be off'])
    expect(screen.getByText(heading)).toBeTruthy();
  expect(screen.getByText('February')).toBeTruthy();
});

it('explains a verdict factor by factor, with the rules behind the target', async () => {
  await open(<WhyScreen figure="fit" spot={null} plant={shadePlant.id} month={2} />);
  const rows = withRole('row').map(wordsIn);
  for (const factor of ['Light', 'Day length', 'Warmth', 'Moisture', 'Air movement'])
    expect(rows.some((row) => row.startsWith(`${factor} in February: gets`))).toBe(true);
  expect(screen.getByText(/with your own corrections and what you saw/)).toBeTruthy();
});

it('gives a verdict that can be worked out again from its parts', async () => {
  await open(<WhyScreen figure="fit" spot={null} plant={sunPlant.id} month={2} />);
  const rows = withRole('row').map(wordsIn);
  const percent = (start: string) => Number(/(\d+)\s%$/.exec(rows.find((row) => row.startsWith(start)) ?? '')?.[1]);
  const least = Math.min(percent('By the time its reserve lasts'), percent('By the worst harm'));
  expect(screen.getByText(new RegExp(`· ${least} %$`))).toBeTruthy();
});

it.each([
  ['dli', 'gone', null, 2],
  ['nonsense', 'dim', null, 2],
  ['dli', 'dim', null, 13],
  ['fit', null, 'gone', 2],
  ['dli', null, null, 1],
] as const)('says so when there is nothing to explain: %s %s %s %i', async (figure, spot, plant, month) => {
  await open(<WhyScreen figure={figure} spot={spot} plant={plant} month={month} />);
  expect(screen.queryByText('How far it may be off')).toBeNull();
});
