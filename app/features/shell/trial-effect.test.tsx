/** Who gains and who loses by what is tried. */
import type { HomeAnswers, PlantAnswer } from '@dulvan/core';
import { act, screen } from '@testing-library/react-native';
import { useVerdictsStore } from '../../state/verdicts';
import { open, shadePlant, showHome, shownHome, sunPlant } from '../../testing/shown-home';
import { TrialEffect } from './trial-effect';

/** The answers with other scores; null takes the fit away. */
const scored = (answers: HomeAnswers, scores: Readonly<Record<string, number | null>>): HomeAnswers => ({
  ...answers,
  plants: answers.plants.map((plant): PlantAnswer => {
    const score = scores[plant.plantId];
    if (score === undefined) return plant;
    return { ...plant, fit: score === null ? null : { ...plant.fit!, verdict: { ...plant.fit!.verdict, score } } };
  }),
});

async function tried(before: Record<string, number | null>, after: Record<string, number | null>): Promise<void> {
  const answers = useVerdictsStore.getState().answers!;
  useVerdictsStore.setState({ ofStored: scored(answers, before), answers: scored(answers, after) });
  await open(<TrialEffect />);
}

const told = () => screen.getByTestId('trial-effect');

beforeEach(() => showHome());

it('names both, the greatest change first, with which way it goes', async () => {
  await tried({ [shadePlant.id]: 0.5, [sunPlant.id]: 0.6 }, { [shadePlant.id]: 0.55, [sunPlant.id]: 0.2 });
  expect(told()).toHaveTextContent('Sun plant ↓ 60 % to 20 %; Shade plant ↑ 50 % to 55 %');
});

it('says so where nothing changes by as much as one in a hundred', async () => {
  await tried({ [shadePlant.id]: 0.5, [sunPlant.id]: 0.6 }, { [shadePlant.id]: 0.505, [sunPlant.id]: 0.6 });
  expect(screen.getByText('No plant does better or worse by it.')).toBeTruthy();
});

it('leaves out a plant that is judged on one side only', async () => {
  await tried({ [shadePlant.id]: null, [sunPlant.id]: 0.6 }, { [shadePlant.id]: 0.9, [sunPlant.id]: 0.7 });
  expect(told()).toHaveTextContent('Sun plant ↑ 60 % to 70 %');
});

it('names four at most, and counts the others', async () => {
  const plants = Array.from({ length: 6 }, (_, i) => ({ ...shadePlant, id: `p${i}`, name: `Plant ${i}` }));
  showHome({ ...shownHome, plants });
  const scores = (step: number) => Object.fromEntries(plants.map(({ id }, i) => [id, 0.5 + step * 0.05 * (i + 1)]));
  await tried(scores(0), scores(1));
  expect(told()).toHaveTextContent(/^Plant 5 ↑ .*; Plant 2 ↑ 50 % to 65 %; and 2 more$/);
});

it('asserts nothing while what is tried is still worked out, nor where nothing was worked out before', async () => {
  await tried({}, {});
  act(() => useVerdictsStore.setState({ facts: { ...shownHome }, working: 'yes' }));
  expect(screen.getByText('Working out what it changes …')).toBeTruthy();
  act(() => useVerdictsStore.setState({ ofStored: null }));
  expect(screen.queryByText(/Working out|No plant does/)).toBeNull();
});
