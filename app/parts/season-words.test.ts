/** A year of targets told in stretches. */
import { yearTargets, type School } from '@dulvan/core';
import { knowledge } from '@dulvan/catalogue';
import { monthsWords, runsOf, spanWords, stretchesOf } from './season-words';

const cactus = knowledge.taxon('mammillaria-hahniana')!;
const targets = (school: School, latitude = 50) =>
  yearTargets({ stage: 'adult', growthState: 'by-season' }, cactus, { latitude, school, aim: 'whole' });

it('keeps a rest over the new year in one stretch', () => {
  const rest = stretchesOf(targets('hard')).find(({ phase }) => phase === 'resting')!;
  expect(rest.months).toEqual([11, 12, 1, 2]);
  expect(spanWords(rest.months)).toBe('November to February');
});

it('covers every month once, whatever the school and the hemisphere', () => {
  for (const school of ['hard', 'taper', 'grow-on'] as const) {
    for (const latitude of [60, 5, -5, -60]) {
      const months = stretchesOf(targets(school, latitude)).flatMap((stretch) => stretch.months);
      expect([...months].sort((p, q) => p - q)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);
    }
  }
});

it('tells a year without change as one stretch', () => {
  const fern = yearTargets({ stage: 'adult', growthState: 'by-season' }, knowledge.taxon('adiantum-raddianum')!, {
    latitude: 50,
    school: null,
    aim: 'whole',
  });
  expect(stretchesOf(fern)).toHaveLength(1);
  expect(spanWords(stretchesOf(fern)[0]!.months)).toBe('All year');
  expect(spanWords([6])).toBe('June');
});

it('tells months in runs, one over the new year whole', () => {
  expect(runsOf([1, 2, 6, 12])).toEqual([[6], [12, 1, 2]]);
  expect(monthsWords([3, 4, 5, 9])).toBe('March to May, September');
  expect(monthsWords([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12])).toBe('all year');
  expect(monthsWords([])).toBe('no month');
});
