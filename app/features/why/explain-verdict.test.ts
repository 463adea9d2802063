/** A verdict's explanation holds all that it can be worked out from again. */
import { knowledge } from '@dulvan/catalogue';
import { HomeEngine, ask, type HomeFacts } from '@dulvan/core';
import { smallHome } from '../../../core/src/home/small-home.fixture';
import type { Units } from '../../state/settings';
import { explainVerdict } from './explain-verdict';

const units: Units = { temperature: 'C', length: 'cm', light: 'ppfd' };
const facts: HomeFacts = {
  ...smallHome,
  home: { ...smallHome.home, climateId: 'cool-ocean' },
  windows: smallHome.windows.map((window) => ({ ...window, glazingId: 'double' })),
  plants: smallHome.plants.map((plant, i) => ({
    ...plant,
    taxonId: i === 0 ? 'spathiphyllum-wallisii' : 'epipremnum-aureum',
    spotId: i === 0 ? 'dim' : 'top',
  })),
};
const answers = ask(new HomeEngine(knowledge), facts, 'home', { year: 2026, month: 11 });
const explained = (plantId: string) => {
  const plant = facts.plants.find(({ id }) => id === plantId)!;
  const answer = answers.plants.find((each) => each.plantId === plantId)!;
  const here = answers.spots.find(({ spotId }) => spotId === plant.spotId)!.conditions;
  const told = explainVerdict({ facts, plant, answer, fit: answer.fit!, month: 2, units, here });
  const value = (name: string) => told.inputs.find(([start]) => start.startsWith(name))![1];
  const list = (name: string) => value(name).split(' · ').map(Number);
  return { told, value, list, verdict: answer.fit!.verdict };
};

it('gives growth and weights by month, whose mean is the year’s growth', () => {
  const { list, verdict } = explained('p');
  const [growth, weights] = [list('Growth by month'), list('Each counts')];
  const sum = growth.reduce((all, share, i) => all + share * weights[i]!, 0);
  expect(sum / weights.reduce((all, weight) => all + weight, 0) / 100).toBeCloseTo(verdict.growth, 1);
});

it('gives light and upkeep by month and the reserve, from which the time follows', () => {
  const { list, value, verdict } = explained('q');
  const [light, upkeep] = [list('Light by month'), list('It uses up by month')];
  let left = Number.parseFloat(value('Lives on its reserve'));
  let weeks = 0;
  for (let month0 = 10; left > 0 && weeks < 400; month0 = (month0 + 1) % 12) {
    const lost = 4.35 * (1 - light[month0]! / upkeep[month0]!);
    weeks += 4.35 * Math.min(1, left / lost);
    left -= lost;
  }
  expect(weeks / verdict.weeks!).toBeCloseTo(1, 1);
});

it('names both ends of each line', () => {
  const { told } = explained('p');
  expect(told.parts.find(([name]) => name.startsWith('Light in February'))![0]).toMatch(
    /all .* nothing at .* half at|dose/,
  );
  const [warmth] = told.parts.find(([name]) => name.startsWith('Warmth in February'))!;
  expect(warmth).toMatch(/half at .* °C and at .* °C$/);
});
