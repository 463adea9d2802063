/** Each figure's explanation adds up to the figure it explains. */
import { knowledge } from '@dulvan/catalogue';
import { HomeEngine, ask } from '@dulvan/core';
import { smallHome } from '../../../core/src/home/small-home.fixture';
import type { Units } from '../../state/settings';
import { mol } from '../../parts/words';
import { explain } from './explain';
import type { Asked } from './explanation';

const units: Units = { temperature: 'C', length: 'cm', light: 'ppfd' };
const facts = {
  ...smallHome,
  home: { ...smallHome.home, climateId: 'cool-ocean' },
  windows: smallHome.windows.map((window) => ({ ...window, glazingId: 'double' })),
};
const answers = ask(new HomeEngine(knowledge), facts, 'home', { year: 2026, month: 11 });
const asked = (spotId: string, month: number, given: Partial<Asked> = {}): Asked => ({
  facts,
  spotId,
  answer: answers.spots.find((spot) => spot.spotId === spotId)!,
  month,
  units,
  climate: knowledge.climate('cool-ocean'),
  ...given,
});

it.each([
  ['dim', 1],
  ['dim', 7],
  ['bright', 12],
  ['boxed', 6],
] as const)('the light at %s in month %i is the sum of its parts', (spotId, month) => {
  const { value, parts } = explain(asked(spotId, month), 'dli');
  const sum = parts.reduce((total, [, text]) => total + Number.parseFloat(text), 0);
  const stated = Number.parseFloat(value);
  expect(Math.abs(sum - stated)).toBeLessThanOrEqual(0.06 * Math.max(stated, 1));
  expect(value).toBe(`${mol(asked(spotId, month).answer.conditions[month - 1]!.dli)} mol a day`);
});

it('names every figure’s inputs, method, assumptions and doubt', () => {
  for (const figure of ['dli', 'peak', 'sun', 'day', 'air', 'vpd'] as const) {
    const told = explain(asked('dim', 3), figure);
    expect(told.method.join('').length).toBeGreaterThan(40);
    expect(told.doubt.length).toBeGreaterThan(10);
    expect(told.inputs.length + told.parts.length).toBeGreaterThan(0);
    expect(told.value).toMatch(/\d/);
  }
});

it('speaks the grower’s units', () => {
  const told = explain(asked('bright', 6, { units: { temperature: 'F', length: 'in', light: 'lux' } }), 'peak');
  expect(told.value).toMatch(/lux$/);
  expect(explain(asked('bright', 6, { units: { ...units, temperature: 'F' } }), 'air').value).toMatch(/°F/);
});

it('says which month’s air was taken where none was stated', () => {
  const stated = explain(asked('dim', 1), 'air');
  const borrowed = explain(asked('dim', 6), 'air');
  expect(JSON.stringify(stated)).not.toBe(JSON.stringify(borrowed));
});
