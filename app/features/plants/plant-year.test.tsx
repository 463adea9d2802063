/** A plant's year on one line of the wide list. */
import type { Direction, Factor, MonthFit } from '@dulvan/core';
import { fireEvent, renderHook, screen } from '@testing-library/react-native';
import { useMonth } from '../../parts/use-month';
import { went } from '../../testing/router.mock';
import { open, showHome } from '../../testing/shown-home';
import { PlantYear } from './plant-year';

const month = (number: number, limiting: Factor | null, direction: Direction = 'too-little'): MonthFit => ({
  month: number,
  growth: 0.5,
  limiting,
  factors: limiting
    ? [
        {
          factor: limiting,
          aspect: 'dli',
          score: 0.4,
          direction,
          severity: 'short',
          gets: 1,
          hoursBeyond: null,
          wantsFrom: 2,
          wantsTo: 4,
          distance: 1,
          depends: 'no',
        },
      ]
    : [],
});
const year = (limitOf: (number: number) => MonthFit) => Array.from({ length: 12 }, (_, i) => limitOf(i + 1));
const labelOf = (words: string) => screen.getByLabelText(`Fern, its year: ${words}`);

beforeEach(() => {
  showHome();
  went.length = 0;
});

it('says what limits it when, a stretch over the new year in one', async () => {
  const months = year((number) =>
    number === 11 || number === 12 || number === 1
      ? month(number, 'light')
      : number === 7
        ? month(number, 'warmth', 'too-much')
        : month(number, null),
  );
  await open(<PlantYear plantId="p" name="Fern" months={months} />);
  expect(labelOf('light too little: November to January; warmth too much: July')).toBeTruthy();
});

it('says that all is right, and that nothing is known yet', async () => {
  await open(<PlantYear plantId="p" name="Fern" months={year((number) => month(number, null))} />);
  expect(labelOf('right all year')).toBeTruthy();
  await open(<PlantYear plantId="p" name="Fern" months={null} />);
  expect(labelOf('not worked out')).toBeTruthy();
});

it('leads to the plant in the month that was pressed', async () => {
  await open(<PlantYear plantId="p" name="Fern" months={year((number) => month(number, null))} />);
  const cell = labelOf('right all year');
  fireEvent.press(cell, { nativeEvent: { locationX: 9.5 * 38 } });
  expect(went).toEqual([{ pathname: '/plants/[plantId]', params: { plantId: 'p' } }]);
  expect(renderHook(() => useMonth()).result.current[0]).toBe(10);
});
