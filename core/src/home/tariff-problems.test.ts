/** Prices that leave an hour out, or tell it twice, are told beside the price they are about. */
import { applied, put, type TariffBand } from '../facts';
import { problemsOf } from './problems';
import { smallHome } from './small-home.fixture';

const band = (id: string, fromMinute: number, toMinute: number, weekdays = [1, 2, 3, 4, 5, 6, 7]): TariffBand => ({
  ...{ id, homeId: 'h', weekdays, fromMinute, toMinute, pricePerKwh: 1 },
});
const problemsWith = (...bands: TariffBand[]) =>
  problemsOf(
    applied(
      smallHome,
      bands.map((one) => put('tariffs', one)),
    )!,
  ).filter(({ list }) => list === 'tariffs');

it('a whole tariff, and none, are in order', () => {
  expect(problemsWith()).toEqual([]);
  expect(problemsWith(band('a', 0, 1440))).toEqual([]);
  expect(problemsWith(band('a', 0, 1440, [1, 2, 3, 4, 5]), band('b', 0, 1440, [6, 7]))).toEqual([]);
});

it('a gap and an overlap are told with their day and hours', () => {
  expect(problemsWith(band('a', 0, 360), band('b', 420, 1440))[0]).toMatchObject({
    ...{ id: 'a', field: 'toMinute', message: 'No price is said for Monday from 6:00 to 7:00.' },
  });
  expect(problemsWith(band('a', 60, 1440))[0]).toMatchObject({
    ...{ id: 'a', field: 'fromMinute', message: 'No price is said for Monday from 0:00 to 1:00.' },
  });
  expect(problemsWith(band('a', 0, 800), band('b', 700, 1440))[0]).toMatchObject({
    ...{ id: 'b', field: 'fromMinute', message: 'Two prices are said for Monday from 11:40 to 13:20.' },
  });
});

it('a price that ends before it begins is told first', () => {
  expect(problemsWith(band('a', 600, 300))).toEqual([expect.objectContaining({ id: 'a', field: 'toMinute' })]);
});

it('other changes of the home do not look at prices', () => {
  const broken = { ...smallHome, tariffs: [band('a', 0, 60)] };
  expect(problemsOf(broken, [{ list: 'plants', id: 'p' }])).toEqual([]);
  expect(problemsOf(broken, [{ list: 'tariffs', id: 'a' }])).toHaveLength(1);
});
