/** Lamps burn when it is cheap, as long as before. */
import { PLAIN_TIMER, type TariffBand } from '../facts';
import { ALL_MONTHS } from '../units';
import { atCheapHours } from './cheap-hours';
import { isTimer, type Menu } from './menu';
import { timerMenu } from './timer-menu';

const circuit = {
  ...{ ...PLAIN_TIMER, id: 'c', homeId: 'h', name: 'Timer' },
  ...{ onMinute: 600, offMinute: 1080, months: ALL_MONTHS },
};
const band = (fromMinute: number, toMinute: number, pricePerKwh: number): TariffBand => ({
  ...{ id: `${fromMinute}`, homeId: 'h', weekdays: [1, 2, 3, 4, 5, 6, 7], fromMinute, toMinute, pricePerKwh },
});
const menus = [timerMenu(circuit, 56)];
const waysOf = (list: readonly Menu[]) => list.filter(isTimer)[0]!.ways;
const lengths = (list: readonly Menu[]) =>
  waysOf(list).map(({ spans }) => spans.reduce((sum, { onMinute, offMinute }) => sum + offMinute - onMinute, 0));

it('one price, or none, changes nothing', () => {
  expect(atCheapHours(menus, [])).toBeNull();
  expect(atCheapHours(menus, [band(0, 1440, 3)])).toBeNull();
});

it('hours move into the cheap part of the day, and stay as many', () => {
  const cheap = atCheapHours(menus, [band(0, 720, 1), band(720, 1440, 3)])!;
  expect(lengths(cheap)).toEqual(lengths(menus));
  const six = waysOf(cheap).find(({ spans }) => spans[0] && spans[0].offMinute - spans[0].onMinute === 360)!;
  expect(six.spans[0]!.offMinute).toBe(720);
});

it('hours that lie cheap already stay where they are', () => {
  const cheap = atCheapHours(menus, [band(0, 360, 3), band(360, 1440, 1)])!;
  expect(cheap[0]!.ways[0]).toEqual(menus[0]!.ways[0]);
});

it('a timer that must not be touched is not', () => {
  const fixed = [timerMenu({ ...circuit, freedom: 'nothing' }, 56)];
  expect(atCheapHours(fixed, [band(0, 720, 1), band(720, 1440, 3)])).toEqual(fixed);
});
