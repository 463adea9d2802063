import { shade } from '../../../core/src/home/small-home.fixture';
import type { Target } from '@dulvan/core';
import { basisWords, outlookWords, spanInWords } from './light-outlook';

const outlook = (weeks: number | null, growth: number) => ({ weeks, growth, losesForm: [], reserve: [] });

it.each([
  [0.4, 'about one week'],
  [3.2, 'about 3 weeks'],
  [9, 'about 2 months'],
  [30, 'about 7 months'],
  [98, 'about 2 years'],
])('%d weeks are %s', (weeks, words) => {
  expect(spanInWords(outlook(weeks, 0))).toBe(words);
});

it.each([
  [5, 0, 'By its light alone it declines within about 5 weeks.'],
  [30, 0, 'By its light alone it declines within about 7 months.'],
  [98, 0, 'By its light alone it lives on for about 2 years, but does not grow.'],
  [null, 0.3, 'By its light alone it lives on and grows slowly.'],
  [null, 0.6, 'By its light alone it grows.'],
  [null, 0.9, 'By its light alone it has all it needs to thrive.'],
] as const)('weeks %s and growth %d: %s', (weeks, growth, words) => {
  expect(outlookWords(outlook(weeks, growth))).toBe(words);
});

it('names what it rests on, with units, and how far it is to be trusted', () => {
  const words = basisWords(
    { light: shade.light } as Target,
    { dli: 0.34 },
    { temperature: 'C', length: 'cm', light: 'ppfd' },
  );
  expect(words).toMatch(/gets 0\.34 mol a day, survives from 1\.0 at 20 °C/);
  expect(words).toMatch(/20 weeks on its reserve in the dark.*half or twice the time/);
});
