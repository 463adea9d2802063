/** A spot is chosen on which others stand. */
import type { Change, Plant } from '@dulvan/core';
import { fireEvent, screen } from '@testing-library/react-native';
import { open, shadePlant, showHome, shownHome, sunPlant } from '../../testing/shown-home';
import { SpotTaken, othersOn } from './spot-taken';

const DATE = '2026-11-29';

async function ask(plants: readonly Plant[], plant: Plant) {
  const facts = { ...shownHome, plants };
  showHome(facts);
  const answers: (readonly Change[] | null)[] = [];
  await open(
    <SpotTaken
      facts={facts}
      plant={plant}
      name={plant.name}
      spotId={shadePlant.spotId!}
      date={DATE}
      onAnswer={(others) => answers.push(others)}
    />,
  );
  return answers;
}

const spotsIn = (changes: readonly Change[] | null | undefined) =>
  changes!.map((change) => [(change as { id: string }).id, (change as { fields: Partial<Plant> }).fields.spotId]);

it('offers to change places with the one that stands there', async () => {
  const answers = await ask([shadePlant, sunPlant], sunPlant);
  expect(screen.getByText('Shade plant stands there.')).toBeTruthy();
  fireEvent.press(screen.getByText('Change places with Shade plant'));
  expect(spotsIn(answers[0])).toEqual([[shadePlant.id, sunPlant.spotId]]);
});

it('of two that stand there names both, and sends both away where it comes instead', async () => {
  const third = { ...shadePlant, id: 'third', name: 'Third plant' };
  const answers = await ask([shadePlant, third, sunPlant], sunPlant);
  expect(screen.getByText('Shade plant and Third plant stand there.')).toBeTruthy();
  expect(screen.queryByText(/^Change places/)).toBeNull();
  fireEvent.press(screen.getByText('Put Sun plant there; Shade plant and Third plant without a spot for now'));
  expect(spotsIn(answers[0])).toEqual([
    [shadePlant.id, null],
    ['third', null],
  ]);
});

it('cannot change places with one that has none to give', async () => {
  const homeless = { ...sunPlant, spotId: null };
  await ask([shadePlant, homeless], homeless);
  expect(screen.queryByText(/^Change places/)).toBeNull();
  expect(screen.getByText('Put Sun plant there; Shade plant without a spot for now')).toBeTruthy();
});

it('moves nobody where both stay or another spot is looked for', async () => {
  const answers = await ask([shadePlant, sunPlant], sunPlant);
  fireEvent.press(screen.getByText('Both on this spot'));
  fireEvent.press(screen.getByText('Choose another spot'));
  expect(answers).toEqual([[], null]);
});

it('does not count the plant itself among those in its way', () => {
  expect(othersOn(shownHome, sunPlant.spotId!, sunPlant.id)).toEqual([]);
  expect(othersOn(shownHome, sunPlant.spotId!, 'another').map(({ id }) => id)).toEqual([sunPlant.id]);
});
